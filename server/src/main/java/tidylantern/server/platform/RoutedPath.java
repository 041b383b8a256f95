package tidylantern.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import org.springframework.web.util.UriUtils;

/**
 * The path of a request as it is routed. Letters may be written otherwise ({@code %61} for {@code a}) and lead to the
 * same place, so whoever decides by an address decides by this.
 */
public final class RoutedPath {
    private RoutedPath() {}

    public static String of(HttpServletRequest request) {
        return UriUtils.decode(request.getRequestURI(), StandardCharsets.UTF_8);
    }
}
