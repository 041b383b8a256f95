package tidylantern.server.ownpage;

import java.net.URI;
import java.time.Duration;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Component;
import tidylantern.core.embedding.PagePolicy;
import tidylantern.core.embedding.PageSeen;
import tidylantern.server.platform.Refusal;
import tidylantern.server.source.reading.PageReader;
import tidylantern.server.source.reading.SiteAddresses;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.WebFetcher;

/** Looks at pages of a site on which its owner wants to see a search. */
@Component
public class OwnPages {
    private static final String SCRIPT = "/elements/tidy-lantern.js";
    private static final WebFetcher.Limits PAGE = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(20), true);
    private static final WebFetcher.Limits ANY_PAGE = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(20), false);

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

    /**
     * A page as it comes, as far as an embedded search is concerned. It may be of any origin, since that is one of the
     * things that can be wrong.
     *
     * @throws Refusal with the reason, if it cannot be read
     */
    public PageSeen seen(String address) {
        URI at = SiteAddresses.tidy(address);
        if (at == null) {
            throw Refusal.bad(
                    "address", "\"%s\" is no web address; write the whole of it, from https:// on.".formatted(address));
        }
        Read read = read(at, ANY_PAGE);
        Document page = read.page();
        URI arrived = read.answer().address();
        Stream<String> inPage = page.select("meta[http-equiv~=(?i)^content-security-policy$]").stream()
                .map(meta -> meta.attr("content"));
        return new PageSeen(
                arrived,
                Stream.concat(read.answer().policies().stream(), inPage)
                        .map(policy -> (PagePolicy) new ReadPolicy(policy, arrived))
                        .toList(),
                page.select("script[src]").stream().flatMap(OwnPages::script).toList(),
                page.select("tidy-search, tidy-results, tidy-filters, tidy-list").stream()
                        .map(OwnPages::tag)
                        .toList());
    }

    private record Read(WebFetcher.Fetched answer, Document page) {}

    private Read read(URI at, WebFetcher.Limits limits) {
        try {
            WebFetcher.Fetched answer = fetcher.fetch(at, WebFetcher.Known.NOTHING, limits);
            if (!answer.ok()) {
                throw Refusal.bad("address", "%s answers with status %d.".formatted(at, answer.status()));
            }
            return new Read(answer, PageReader.parse(answer));
        } catch (SourceProblem problem) {
            throw Refusal.bad("address", String.valueOf(problem.getMessage()));
        }
    }

    private static Stream<PageSeen.Script> script(Element script) {
        URI address = SiteAddresses.tidy(script.absUrl("src"));
        if (address == null || !address.getPath().endsWith(SCRIPT) || isInert(script)) {
            return Stream.empty();
        }
        return Stream.of(new PageSeen.Script(address, script.hasAttr("nonce") ? script.attr("nonce") : null));
    }

    /** Browsers draw nothing of a template, and of a noscript only where no script runs. */
    private static boolean isInert(Element element) {
        return element.closest("template, noscript") != null;
    }

    private static PageSeen.Tag tag(Element tag) {
        return new PageSeen.Tag(tag.normalName(), tag.attr("search").strip(), isInert(tag));
    }

    /** @throws Refusal with the reason, if it is no page of the site or cannot be read */
    public OwnPage of(String siteAddress, String address) {
        URI at = SiteAddresses.tidy(address);
        if (at == null || !SiteAddresses.sameSite(URI.create(siteAddress), at)) {
            throw Refusal.bad("address", "\"%s\" is no page of this site, %s.".formatted(address, siteAddress));
        }
        Read read = read(at, PAGE);
        boolean script = read.page().select("script[src]").stream()
                .anyMatch(one -> one.attr("src").contains(SCRIPT));
        return new OwnPage(read.answer().address().toString(), read.answer().framed(), script);
    }
}
