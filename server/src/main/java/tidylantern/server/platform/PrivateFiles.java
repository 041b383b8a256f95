package tidylantern.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;

/** Files and folders that no other user of the machine can read. */
public final class PrivateFiles {
    private static final boolean POSIX =
            FileSystems.getDefault().supportedFileAttributeViews().contains("posix");

    private PrivateFiles() {}

    private static FileAttribute<?>[] only(String permissions) {
        return POSIX
                ? new FileAttribute<?>[] {
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(permissions))
                }
                : new FileAttribute<?>[0];
    }

    public static void makeFolder(Path folder) throws IOException {
        Files.createDirectories(folder.toAbsolutePath().getParent());
        if (!Files.isDirectory(folder)) {
            Files.createDirectory(folder, only("rwx------"));
        }
    }

    /** A new file of a name that begins so. */
    public static Path make(Path folder, String begins) throws IOException {
        return Files.createTempFile(folder, begins, "", only("rw-------"));
    }

    /** Takes a file that is there already from other users. */
    public static void hide(Path file) {
        try {
            if (POSIX && Files.exists(file)) {
                Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
            }
        } catch (IOException failure) {
            throw new UncheckedIOException("hiding " + file, failure);
        }
    }
}
