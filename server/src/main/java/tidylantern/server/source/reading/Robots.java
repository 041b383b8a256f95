package tidylantern.server.source.reading;

import crawlercommons.robots.SimpleRobotRules;
import crawlercommons.robots.SimpleRobotRulesParser;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Locale;

/** What a site's robots.txt allows (RFC 9309): all where there is none (4xx), nothing while it cannot be had (5xx). */
public final class Robots {
    private static final WebFetcher.Limits LIMITS = new WebFetcher.Limits(512_000, Duration.ofSeconds(20), false);
    private static final long LONGEST_DELAY = 30_000;

    private final SimpleRobotRules rules;

    private Robots(SimpleRobotRules rules) {
        this.rules = rules;
    }

    public static Robots of(URI site, WebFetcher fetcher) throws SourceProblem {
        URI address = site.resolve("/robots.txt");
        WebFetcher.Fetched answer = fetcher.fetch(address, WebFetcher.Known.NOTHING, LIMITS);
        if (answer.status() >= 500) {
            throw new SourceProblem(
                    "The site's robots.txt cannot be had (status %d), so nothing may be read. Try again later."
                            .formatted(answer.status()));
        }
        SimpleRobotRulesParser parser = new SimpleRobotRulesParser();
        byte[] body = answer.ok() ? answer.body() : new byte[0];
        return new Robots(parser.parseContent(
                address.toString(), body, "text/plain", List.of(WebFetcher.ROBOT.toLowerCase(Locale.ROOT))));
    }

    public boolean allows(URI address) {
        return rules.isAllowed(address.toString());
    }

    /** The pause that the site asks for, in milliseconds; 0 where it asks for none. */
    long pause() {
        return Math.clamp(rules.getCrawlDelay(), 0, LONGEST_DELAY);
    }
}
