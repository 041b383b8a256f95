package tidylantern.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The room on the disk that holds the data. Below a reserve nothing is changed any more: a database that cannot write
 * is no database, while answers go on from index and memory.
 */
@Component
public class DiskRoom {
    private final Path data;
    private final long reserve;

    DiskRoom(Settings settings) {
        this.data = settings.data();
        this.reserve = settings.reserve().toBytes();
    }

    /** Bytes that may still be written. */
    public long free() {
        try {
            Files.createDirectories(data);
            return Files.getFileStore(data).getUsableSpace();
        } catch (IOException failure) {
            throw new UncheckedIOException("The disk of %s cannot be looked at.".formatted(data), failure);
        }
    }

    /** Bytes of the whole disk. */
    public long all() {
        try {
            return Files.getFileStore(data).getTotalSpace();
        } catch (IOException failure) {
            throw new UncheckedIOException("The disk of %s cannot be looked at.".formatted(data), failure);
        }
    }

    public long reserve() {
        return reserve;
    }

    /** Whether less is left than the reserve. */
    public boolean low() {
        return free() < reserve;
    }

    /**
     * @param more bytes that somebody means to write
     * @throws Refusal with status 507 if less than the reserve would be left
     */
    public void require(long more) {
        long free = free();
        if (free - more < reserve) {
            throw new Refusal(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    null,
                    "The disk has %,d MB left, and %,d MB are kept in reserve, so nothing is changed just now. Visitors are answered all the same. Make room, or set the reserve lower."
                            .formatted(free / 1_000_000, reserve / 1_000_000));
        }
    }
}
