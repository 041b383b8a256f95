package tidylantern.bench.peer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/**
 * Something that a site's owner could have searched with: it takes a corpus and answers questions, each with the exact
 * number of what is found, the first ten by relevance with a marked excerpt each, and how many of all have each value
 * of two categories.
 */
public interface Peer extends AutoCloseable {
    /** Takes all texts, so that they are found when this returns. */
    void take(PeerCorpus corpus) throws Exception;

    /** @return how many texts are found */
    int answer(PeerCorpus.Question question) throws Exception;

    /** Of all that it keeps. */
    long diskBytes() throws IOException;

    @Override
    void close() throws IOException;

    /** How many bytes the files of a folder have. */
    static long bytesBelow(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            long bytes = 0;
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                bytes += Files.size(file);
            }
            return bytes;
        }
    }
}
