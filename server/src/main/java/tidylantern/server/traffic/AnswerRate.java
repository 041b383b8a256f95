package tidylantern.server.traffic;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import tidylantern.server.platform.Clients;
import tidylantern.server.platform.Problems;
import tidylantern.server.platform.RoutedPath;

/**
 * How many visitors' answers one address may ask for: so many a second, and some seconds' worth of them at once (a
 * token bucket). Many people may share an address, so it is there against machines alone.
 */
final class AnswerRate extends OncePerRequestFilter {
    private static final int SECONDS_AT_ONCE = 5;
    private static final int MOST_CLIENTS = 20_000;

    private final int perSecond;
    private final Clock clock;
    private final Problems problems;
    private final Map<String, Bucket> byClient = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Bucket> eldest) {
            return size() > MOST_CLIENTS;
        }
    };

    private record Bucket(double left, Instant at) {}

    /** @param perSecond 0 for any number */
    AnswerRate(int perSecond, Clock clock, Problems problems) {
        this.perSecond = perSecond;
        this.clock = clock;
        this.problems = problems;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = RoutedPath.of(request);
        return perSecond == 0 || !(path.startsWith("/api/public/") || path.startsWith("/s/"));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (take(Clients.of(request))) {
            chain.doFilter(request, response);
            return;
        }
        response.setHeader(HttpHeaders.RETRY_AFTER, "1");
        problems.write(
                response,
                HttpStatus.TOO_MANY_REQUESTS,
                null,
                "More than %d answers a second were asked for from here. Try again in a second.".formatted(perSecond));
    }

    private synchronized boolean take(String client) {
        Instant now = clock.instant();
        double most = (double) perSecond * SECONDS_AT_ONCE;
        Bucket before = byClient.getOrDefault(client, new Bucket(most, now));
        double since = Math.max(0, Duration.between(before.at(), now).toMillis()) / 1_000d;
        double left = Math.min(most, before.left() + since * perSecond);
        byClient.put(client, new Bucket(left < 1 ? left : left - 1, now));
        return left >= 1;
    }
}
