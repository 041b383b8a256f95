package tidylantern.server.answer;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;

/** An answer as it goes out: written once, and packed once however often it is given. */
public final class KeptAnswer {
    /** Below this many bytes nothing is gained: it fits into two packets of a network; the web server's own figure. */
    private static final int FEWEST_TO_PACK = 2_048;
    /** About so many times as large as packed; an estimate, since it is packed when somebody wants that. */
    private static final int PACKED_TIMES_SMALLER = 4;

    private final byte[] json;
    private final @Nullable String tag;
    private final String query;
    private final boolean startingList;
    private final int total;
    private volatile byte @Nullable [] packed;

    /**
     * @param json of its body, in UTF-8
     * @param tag another for each answer, as an {@code ETag} has it; null where it is not given again
     * @param query that it answers
     * @param total how many items were found
     */
    KeptAnswer(byte[] json, @Nullable String tag, String query, boolean startingList, int total) {
        this.json = json;
        this.tag = tag;
        this.query = query;
        this.startingList = startingList;
        this.total = total;
    }

    public @Nullable String tag() {
        return tag;
    }

    public String query() {
        return query;
    }

    public boolean startingList() {
        return startingList;
    }

    public int total() {
        return total;
    }

    /** In UTF-8. */
    public byte[] json() {
        return json;
    }

    public boolean isWorthPacking() {
        return json.length >= FEWEST_TO_PACK;
    }

    /** As gzip (RFC 1952). */
    public byte[] packed() {
        byte[] known = packed;
        if (known == null) {
            // Two that ask at once may both pack it, which is the same twice.
            known = gzip(json);
            packed = known;
        }
        return known;
    }

    private static byte[] gzip(byte[] bytes) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream(bytes.length / PACKED_TIMES_SMALLER);
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(bytes);
        } catch (IOException failure) {
            throw new UncheckedIOException("packing an answer in memory", failure);
        }
        return packed.toByteArray();
    }

    /** In memory, with what it is packed. */
    int bytes() {
        return json.length + json.length / PACKED_TIMES_SMALLER;
    }
}
