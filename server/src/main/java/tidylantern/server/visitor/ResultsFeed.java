package tidylantern.server.visitor;

import com.rometools.rome.feed.atom.Entry;
import com.rometools.rome.feed.atom.Feed;
import com.rometools.rome.feed.atom.Link;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.WireFeedOutput;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Date;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import tidylantern.server.answer.Answering;
import tidylantern.server.answer.SearchAnswers;
import tidylantern.server.answer.SearchAnswers.HitShape;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.site.Sites;

/** A page of results as a feed (Atom, RFC 4287), for readers of feeds and for browsers that take them. */
@RestController
class ResultsFeed {
    private static final String NAME = "/results.atom";

    static final String TYPE = "application/atom+xml;charset=UTF-8";

    private final Searches searches;
    private final Answering answering;
    private final Sites sites;
    private final Clock clock;

    ResultsFeed(Searches searches, Answering answering, Sites sites, Clock clock) {
        this.searches = searches;
        this.answering = answering;
        this.sites = sites;
        this.clock = clock;
    }

    /** Where the results of a query are as a feed. */
    static String path(SearchKey key, String query) {
        return SearchAnswers.hostedPage(key) + NAME + "?q=" + URLEncoder.encode(query, StandardCharsets.UTF_8);
    }

    @GetMapping(path = "/s/{key}" + NAME, produces = TYPE)
    ResponseEntity<String> feed(
            @PathVariable SearchKey key,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page,
            @RequestParam MultiValueMap<String, String> all) {
        Searches.Live live = searches.live(key);
        Sites.Site site = sites.get(live.site());
        Answering.SearchInLanguage search = new Answering.SearchInLanguage(live.site(), key, live.design(), null);
        Results results = answering.results(search, q, PageNumber.of(page), all, false);
        Feed feed = new Feed("atom_1.0");
        String own = ServletUriComponentsBuilder.fromCurrentRequest().toUriString();
        feed.setId(own);
        feed.setTitle(writable(HostedPage.heading(results, answering.texts(search)) + " – " + site.name()));
        feed.setUpdated(Date.from(clock.instant()));
        feed.setAlternateLinks(List.of(link("alternate", "text/html", own.replaceFirst(Pattern.quote(NAME), ""))));
        feed.setOtherLinks(List.of(link("self", "application/atom+xml", own)));
        feed.setEntries(
                results.hits().stream().map(hit -> entry(hit, site, feed)).toList());
        return ResponseEntity.ok().cacheControl(CacheControl.noCache()).body(written(feed));
    }

    /** An item has no day of a change that visitors may know, so that an entry is as new as its feed. */
    private static Entry entry(HitShape hit, Sites.Site site, Feed feed) {
        Entry entry = new Entry();
        entry.setTitle(writable(hit.title()));
        entry.setId(Objects.requireNonNullElseGet(
                hit.url(),
                () -> site.address() + "/#" + hit.collection().value() + "/"
                        + hit.id().value()));
        entry.setUpdated(feed.getUpdated());
        if (hit.url() != null) {
            entry.setAlternateLinks(List.of(link("alternate", "text/html", hit.url())));
        }
        return entry;
    }

    /** Without the characters that no XML can hold (XML 1.0, production 2). */
    private static String writable(String text) {
        return text.replaceAll("[^\\t\\n\\r\\x20-\\uD7FF\\uE000-\\uFFFD\\x{10000}-\\x{10FFFF}]", "");
    }

    private static Link link(String relation, String type, String address) {
        Link link = new Link();
        link.setRel(relation);
        link.setType(type);
        link.setHref(address);
        return link;
    }

    private static String written(Feed feed) {
        try {
            return new WireFeedOutput().outputString(feed);
        } catch (FeedException impossible) {
            throw new IllegalStateException("writing the feed " + feed.getId(), impossible);
        }
    }
}
