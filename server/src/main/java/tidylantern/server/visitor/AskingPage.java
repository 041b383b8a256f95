package tidylantern.server.visitor;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import tidylantern.core.content.Addresses;

/** The page whose elements ask. */
final class AskingPage {
    private AskingPage() {}

    /** Its origin, as the browser tells it; null where it tells none. */
    static @Nullable String origin(HttpServletRequest request) {
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        // Browsers leave it out where a page asks the service on its own origin.
        String told = origin == null ? request.getHeader(HttpHeaders.REFERER) : origin;
        if (told == null) {
            return null;
        }
        try {
            return Addresses.origin(URI.create(told));
        } catch (IllegalArgumentException noAddress) {
            return null;
        }
    }
}
