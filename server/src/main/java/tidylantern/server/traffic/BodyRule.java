package tidylantern.server.traffic;

import java.time.Duration;
import java.util.List;
import org.springframework.http.server.PathContainer;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/**
 * What a request to one endpoint may bring.
 *
 * @param mostBytes of the body as it is sent, and of what it becomes when it is unpacked
 * @param time from the head of the request to the last byte
 * @param gzip whether it may be packed
 */
record BodyRule(long mostBytes, Duration time, boolean gzip) {
    private static final long KB = 1_000;
    private static final long MB = 1_000_000;
    private static final Duration SHORT = Duration.ofSeconds(20);
    private static final Duration LONG = Duration.ofMinutes(15);

    /** Of endpoints that no line below names: JSON that somebody filled in. */
    private static final BodyRule USUAL = new BodyRule(200 * KB, SHORT, false);

    private record Line(String method, PathPattern path, BodyRule rule) {}

    private static final List<Line> LINES = List.of(
            // These can be sent by anybody.
            line("POST", "/api/owner/invitation", new BodyRule(4 * KB, SHORT, false)),
            line("POST", "/api/owner/invitation/accept", new BodyRule(4 * KB, SHORT, false)),
            line("POST", "/api/owner/session", new BodyRule(4 * KB, SHORT, false)),
            line("POST", "/api/owner/first-start", new BodyRule(8 * KB, SHORT, false)),
            line("PUT", "/api/owner/sites/{site}/collections/{collection}/items", new BodyRule(1_000 * MB, LONG, true)),
            line("POST", "/api/owner/installation/restore", new BodyRule(20_000 * MB, LONG, false)),
            line("POST", "/api/owner/sites/{site}/uploads", new BodyRule(1_000 * MB, LONG, false)),
            line("PUT", "/api/owner/searches/{key}/draft", new BodyRule(4 * MB, SHORT, false)),
            line("POST", "/api/owner/sites/{site}/designs", new BodyRule(4 * MB, SHORT, false)),
            line("POST", "/api/owner/set-ups", new BodyRule(50 * MB, LONG, false)),
            line("POST", "/api/owner/synonym-tables", new BodyRule(20 * MB, SHORT, false)),
            line("POST", "/api/owner/searches/{key}/trials.csv", new BodyRule(5 * MB, SHORT, false)),
            line(
                    "POST",
                    "/api/owner/sites/{site}/collections/{collection}/items/marks",
                    new BodyRule(5 * MB, SHORT, false)),
            line("PUT", "/api/owner/sites/{site}/places", new BodyRule(5 * MB, SHORT, false)),
            line("PUT", "/api/owner/sites/{site}/placements", new BodyRule(5 * MB, SHORT, false)));

    private static Line line(String method, String path, BodyRule rule) {
        return new Line(method, PathPatternParser.defaultInstance.parse(path), rule);
    }

    static BodyRule of(String method, String path) {
        PathContainer parsed = PathContainer.parsePath(path);
        return LINES.stream()
                .filter(line -> line.method().equals(method) && line.path().matches(parsed))
                .map(Line::rule)
                .findFirst()
                .orElse(USUAL);
    }

    /** As people write it. */
    String most() {
        return mostBytes >= MB ? "%,d MB".formatted(mostBytes / MB) : "%,d kB".formatted(mostBytes / KB);
    }
}
