package tidylantern.server.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/**
 * Browsers in which an owner signed in before: each keeps a number of its own, signed for that owner. It opens nothing
 * by itself.
 */
@Component
class KnownBrowsers {
    private static final Logger LOG = LoggerFactory.getLogger(KnownBrowsers.class);
    private static final String COOKIE = "tidy-lantern-browser";
    private static final String SECRET = "known-browsers";
    private static final Duration KEPT = Duration.ofDays(180);
    private static final int BYTES = 15;

    private final AccountStore store;

    KnownBrowsers(AccountStore store) {
        this.store = store;
    }

    /** The browser's number, if this owner signed in with it before. */
    @Nullable String number(HttpServletRequest request, String owner) {
        for (Cookie cookie : request.getCookies() == null ? new Cookie[0] : request.getCookies()) {
            int dot = cookie.getValue().indexOf('.');
            if (cookie.getName().equals(COOKIE) && dot > 0) {
                String number = cookie.getValue().substring(0, dot);
                String secret = store.secret(SECRET).orElse("");
                if (!secret.isEmpty()
                        && Secrets.same(
                                cookie.getValue().substring(dot + 1),
                                Secrets.signature(secret, number + " " + owner))) {
                    return number;
                }
            }
        }
        return null;
    }

    synchronized void remember(HttpServletRequest request, HttpServletResponse response, String owner) {
        String secret = store.secret(SECRET).orElse("");
        if (secret.isEmpty()) {
            secret = Secrets.random(BYTES * 2);
            try {
                store.addSecret(SECRET, secret);
            } catch (DataAccessException full) {
                // Owners come in all the same; the browser is known another time.
                LOG.warn("A browser could not be remembered", full);
                return;
            }
        }
        String number = Secrets.random(BYTES);
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, number + "." + Secrets.signature(secret, number + " " + owner))
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .path("/api/owner/session")
                        .maxAge(KEPT)
                        .build()
                        .toString());
    }
}
