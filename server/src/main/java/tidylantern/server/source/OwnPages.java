package tidylantern.server.source;

import java.net.URI;
import java.time.Duration;
import org.jsoup.nodes.Document;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Refusal;

/** Looks at pages of a site on which its owner wants to see a search. */
@Component
public class OwnPages {
    private static final WebFetcher.Limits PAGE = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(20), true);

    private final WebFetcher fetcher;

    OwnPages(WebFetcher fetcher) {
        this.fetcher = fetcher;
    }

    /**
     * A page of the site.
     *
     * @param framed whether it may be shown within another page
     * @param script whether it loads the script of the elements; a page's own script may bring that in later
     */
    public record OwnPage(String address, boolean framed, boolean script) {}

    /** @throws Refusal with the reason, if it is no page of the site or cannot be read */
    public OwnPage of(String siteAddress, String address) {
        URI at = SiteAddresses.tidy(address);
        if (at == null || !SiteAddresses.sameSite(URI.create(siteAddress), at)) {
            throw Refusal.bad("address", "\"%s\" is no page of this site, %s.".formatted(address, siteAddress));
        }
        try {
            WebFetcher.Fetched answer = fetcher.fetch(at, WebFetcher.Known.NOTHING, PAGE);
            if (!answer.ok()) {
                throw Refusal.bad("address", "%s answers with status %d.".formatted(at, answer.status()));
            }
            Document page = PageReader.parse(answer);
            boolean script = page.select("script[src]").stream()
                    .anyMatch(one -> one.attr("src").contains("/elements/tidy-lantern.js"));
            return new OwnPage(answer.address().toString(), answer.framed(), script);
        } catch (SourceProblem problem) {
            throw Refusal.bad("address", String.valueOf(problem.getMessage()));
        }
    }
}
