package tidylantern.server.content.intake;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.h2.mvstore.MVMap;
import org.h2.mvstore.MVStore;
import org.jspecify.annotations.Nullable;
import tidylantern.server.platform.PrivateFiles;

/**
 * On which line each item of an intake came first. The first {@value #IN_MEMORY} are held in memory, the others lie in
 * a file of their own, so that what an intake takes of memory does not grow with what it takes in. The file goes with
 * this.
 */
final class NamedIds implements AutoCloseable {
    static final int IN_MEMORY = 20_000;
    /** In megabytes, of what was read and of what is not written yet. */
    private static final int CACHE = 4;

    private static final String BEGINS = "named-ids-";

    private final Path folder;
    private final Map<String, Integer> first = new HashMap<>();
    private @Nullable Path file;
    private @Nullable MVStore store;
    private @Nullable MVMap<String, Integer> others;

    /** Takes away what a service that fell left in a folder, which is made if it is not there. */
    static void tidy(Path folder) {
        try {
            PrivateFiles.makeFolder(folder);
            try (DirectoryStream<Path> left = Files.newDirectoryStream(folder, BEGINS + "*")) {
                for (Path file : left) {
                    Files.delete(file);
                }
            }
        } catch (IOException failure) {
            throw new UncheckedIOException("tidying " + folder, failure);
        }
    }

    /** @param folder in which the file lies, where one is needed */
    NamedIds(Path folder) {
        this.folder = folder;
    }

    /** The line on which the item came before; null where this is the first, which is kept. */
    @Nullable Integer putIfAbsent(String id, int line) {
        Integer earlier = first.get(id);
        if (earlier != null) {
            return earlier;
        }
        if (first.size() < IN_MEMORY) {
            first.put(id, line);
            return null;
        }
        return others().putIfAbsent(id, line);
    }

    /** Whether a line was of this item. */
    boolean contains(String id) {
        return first.containsKey(id) || (others != null && others.containsKey(id));
    }

    private MVMap<String, Integer> others() {
        if (others == null) {
            try {
                file = PrivateFiles.make(folder, BEGINS);
            } catch (IOException failure) {
                throw new UncheckedIOException("making room for the ids that come in", failure);
            }
            store = new MVStore.Builder()
                    .fileName(file.toString())
                    .cacheSize(CACHE)
                    .autoCommitBufferSize(CACHE * 1024)
                    .open();
            // Nobody reads the file after this, so nothing of it has to be there after a fall.
            store.setVersionsToKeep(0);
            others = store.openMap("ids");
        }
        return others;
    }

    @Override
    public void close() {
        if (store != null) {
            store.closeImmediately();
        }
        if (file != null) {
            try {
                Files.deleteIfExists(file);
            } catch (IOException failure) {
                throw new UncheckedIOException("deleting " + file, failure);
            }
        }
    }
}
