package tidylantern.server.traffic;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import tidylantern.server.platform.Refusal;

/** What the head of a request says. */
final class RequestHeads {
    private static final long MOST_SHORT = 200_000;

    private RequestHeads() {}

    static boolean bringsBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    }

    /** Whether it says of itself that it is so short that it can be received whoever sends it. */
    static boolean isShort(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 && request.getContentLengthLong() <= MOST_SHORT;
    }

    static boolean gzip(HttpServletRequest request) {
        return "gzip"
                .equalsIgnoreCase(String.valueOf(request.getHeader(HttpHeaders.CONTENT_ENCODING))
                        .strip());
    }

    /**
     * Why the parameters in the address cannot be read, or null if they can. Whoever asks for one would find out, and
     * once a body has arrived it is too late to say so.
     */
    static @Nullable Refusal unreadable(HttpServletRequest request) {
        try {
            request.getParameterMap();
            return null;
        } catch (InvalidParameterException wrong) {
            return Refusal.bad(null, "A parameter of the address has no name, or is not percent-encoded UTF-8.");
        }
    }

    /** Why the body is not wanted as it is announced, or null if it may come. */
    static @Nullable Refusal objection(HttpServletRequest request) {
        String method = request.getMethod();
        if (!method.equals("POST") && !method.equals("PUT") && !method.equals("DELETE")) {
            return Refusal.bad(null, "A %s request has no body. Send it without one.".formatted(method));
        }
        String type = String.valueOf(request.getContentType()).strip().toLowerCase(Locale.ROOT);
        if (type.startsWith("application/x-www-form-urlencoded") || type.startsWith("multipart/")) {
            return new Refusal(
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                    "Content-Type",
                    "Forms are not read here. Send JSON, JSON Lines or the file itself, as the API's description says.");
        }
        BodyRule rule = BodyRule.of(method, request.getRequestURI());
        String encoding = request.getHeader(HttpHeaders.CONTENT_ENCODING);
        if (encoding != null && !encoding.strip().equalsIgnoreCase("identity") && !(rule.gzip() && gzip(request))) {
            return new Refusal(
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                    "Content-Encoding",
                    rule.gzip()
                            ? "Only gzip is unpacked here. Send the body plain or as gzip."
                            : "The body is not unpacked here. Send it plain.");
        }
        if (request.getContentLengthLong() > rule.mostBytes()) {
            return tooLarge(rule);
        }
        return null;
    }

    static Refusal tooLarge(BodyRule rule) {
        return new Refusal(
                HttpStatus.CONTENT_TOO_LARGE,
                null,
                "The body has more than %s, which is the most here. Nothing of it was kept.".formatted(rule.most()));
    }
}
