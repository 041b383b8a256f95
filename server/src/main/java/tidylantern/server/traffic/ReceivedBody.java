package tidylantern.server.traffic;

import jakarta.servlet.ServletRequest;
import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.util.zip.GZIPInputStream;
import org.springframework.http.HttpStatus;
import tidylantern.server.platform.Refusal;

/**
 * A request's body that has arrived whole, in memory or, where it may be large, in a file that goes with the request.
 */
public final class ReceivedBody {
    private static final String ATTRIBUTE = ReceivedBody.class.getName();
    private static final ReceivedBody NOTHING =
            new ReceivedBody(new byte[0], new Arrival.Place(null, false, false), Long.MAX_VALUE);

    private final byte[] bytes;
    private final Arrival.Place place;
    private final long mostBytes;

    ReceivedBody(byte[] bytes, Arrival.Place place, long mostBytes) {
        this.bytes = bytes;
        this.place = place;
        this.mostBytes = mostBytes;
    }

    /** The body of a request; an empty one where none was sent. */
    public static ReceivedBody of(ServletRequest request) {
        return request.getAttribute(ATTRIBUTE) instanceof ReceivedBody body ? body : NOTHING;
    }

    boolean beforeSecurity() {
        return place.beforeSecurity();
    }

    void keepWith(ServletRequest request) {
        request.setAttribute(ATTRIBUTE, this);
    }

    /**
     * Reads it from its beginning, unpacked; as often as it is wanted, while the request lasts.
     *
     * @throws IOException if it is no gzip although it says so
     * @throws Refusal while reading, if it unpacks to more than its endpoint takes
     */
    public InputStream open() throws IOException {
        InputStream plain = place.file() == null ? new ByteArrayInputStream(bytes) : Files.newInputStream(place.file());
        if (!place.gzip()) {
            return plain;
        }
        try {
            return new Bounded(new GZIPInputStream(plain, 1 << 16), mostBytes);
        } catch (IOException noGzip) {
            plain.close();
            throw noGzip;
        }
    }

    private static final class Bounded extends FilterInputStream {
        private final long most;
        private long read;

        Bounded(InputStream in, long most) {
            super(in);
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int one = super.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int some = super.read(into, from, length);
            count(Math.max(0, some));
            return some;
        }

        private void count(int more) {
            read += more;
            if (read > most) {
                throw new Refusal(
                        HttpStatus.CONTENT_TOO_LARGE,
                        null,
                        "The body unpacks to more than %,d MB. Nothing of it was kept; send it in parts."
                                .formatted(most / 1_000_000));
            }
        }
    }
}
