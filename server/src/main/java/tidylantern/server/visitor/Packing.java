package tidylantern.server.visitor;

import java.io.IOException;
import java.io.StringReader;
import org.apache.tomcat.util.http.parser.AcceptEncoding;
import org.jspecify.annotations.Nullable;

/** Whether whoever asks takes an answer packed (RFC 9110, 12.5.3). */
final class Packing {
    static final String GZIP = "gzip";

    private Packing() {}

    /** @param accepted the header Accept-Encoding; null where there is none */
    static boolean isWanted(@Nullable String accepted) {
        if (accepted == null) {
            return false;
        }
        try {
            return AcceptEncoding.parse(new StringReader(accepted)).stream()
                    .anyMatch(one -> one.getEncoding().equals(GZIP) && one.getQuality() > 0);
        } catch (IOException unread) {
            // What is no list of encodings asks for none.
            return false;
        }
    }
}
