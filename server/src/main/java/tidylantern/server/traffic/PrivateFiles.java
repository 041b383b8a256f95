package tidylantern.server.traffic;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;

/** Files and folders that no other user of the machine can read. */
final class PrivateFiles {
    private static final boolean POSIX = FileSystems.getDefault().supportedFileAttributeViews().contains("posix");

    private PrivateFiles() {}

    private static FileAttribute<?>[] only(String permissions) {
        return POSIX ? new FileAttribute<?>[] {PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(permissions))} : new FileAttribute<?>[0];
    }

    static void makeFolder(Path folder) throws IOException {
        Files.createDirectories(folder.toAbsolutePath().getParent());
        if (!Files.isDirectory(folder)) {
            Files.createDirectory(folder, only("rwx------"));
        }
    }

    static Path make(Path folder) throws IOException {
        return Files.createTempFile(folder, "body-", "", only("rw-------"));
    }
}
