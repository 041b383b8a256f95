package tidylantern.server.visitor;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.EarlyLooks;
import tidylantern.server.design.Searches;
import tidylantern.server.insight.ChosenResults;
import tidylantern.server.insight.SearchPages;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.JsonProblems;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What elements tell of themselves: which result was chosen, and on which page they stand; nothing about the visitor.
 * They tell it by a beacon, which a browser sends even as its page goes, as plain text.
 */
@RestController
class TellingController {
    private static final int LONGEST = 8_000;
    private static final int LONGEST_ADDRESS = 500;
    private static final int LONGEST_TITLE = 200;
    private static final int MOST_UNKNOWN = 20;
    private static final int LONGEST_VERSION = 40;

    private final Searches searches;
    private final SiteIndexes indexes;
    private final Sites sites;
    private final ChosenResults chosen;
    private final SearchPages pages;
    private final JsonMapper json;
    private final EarlyLooks earlyLooks;
    private final SplitSides sides;

    TellingController(
            Searches searches,
            SiteIndexes indexes,
            Sites sites,
            ChosenResults chosen,
            SearchPages pages,
            JsonMapper json,
            EarlyLooks earlyLooks,
            SplitSides sides) {
        this.earlyLooks = earlyLooks;
        this.sides = sides;
        this.searches = searches;
        this.indexes = indexes;
        this.sites = sites;
        this.chosen = chosen;
        this.pages = pages;
        this.json = json;
    }

    /** A result that a visitor chose. */
    record ChosenResult(
            @Nullable String collection, @Nullable String id) {}

    /**
     * A page with elements of a search.
     *
     * @param unknown how many entries of a site's own list are no items; null where there is no such list
     * @param width of the window
     * @param script version of the elements' script
     * @param unknownLinks where the first of them lead
     */
    record ToldPage(
            @Nullable String address,
            @Nullable String title,
            @Nullable Set<SearchPages.Element> elements,
            @Nullable Integer unknown,
            @Nullable List<String> unknownLinks,
            SearchPages.@Nullable Width width,
            @Nullable String script) {}

    @Operation(summary = "Counts that somebody chose a result. Plain text that holds JSON, as a beacon sends it.")
    @PostMapping(path = "/api/public/searches/{key}/chosen", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void chosen(
            @PathVariable SearchKey key,
            @Parameter(hidden = true) @RequestParam(name = PublicController.DRAFT, defaultValue = "") String draft,
            HttpServletRequest request,
            @RequestBody String body) {
        EarlyLooks.Meeting met = earlyLooks.meet(key, draft, AskingPage.origin(request));
        if (met.early()) {
            // What owners do with a draft is no visitor's choice.
            return;
        }
        ChosenResult told = read(body, ChosenResult.class);
        if (told.collection() == null || told.id() == null) {
            throw Refusal.bad("id", "Say which item of which collection was chosen.");
        }
        ItemRef item = new ItemRef(new CollectionKey(told.collection()), new ItemId(told.id()));
        if (!met.design().searched().contains(item.collection())
                || indexes.engine(met.site()).titles(List.of(item)).isEmpty()) {
            throw Refusal.notFound("This search finds no item \"%s\".".formatted(item));
        }
        chosen.count(key, item);
        sides.chose(met);
    }

    @Operation(summary = "Notes a page with elements of the search. Plain text that holds JSON, as a beacon sends it.")
    @PostMapping(path = "/api/public/searches/{key}/pages", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void met(@PathVariable SearchKey key, @RequestBody String body) {
        searches.live(key);
        ToldPage told = read(body, ToldPage.class);
        pages.note(
                key,
                new SearchPages.MetPage(
                        own(key, told.address()),
                        shortened(told.title() == null ? "" : told.title().strip(), LONGEST_TITLE),
                        told.elements() == null ? Set.of() : told.elements(),
                        unknown(told),
                        told.width() == null ? Set.of() : Set.of(told.width()),
                        told.script() == null ? null : shortened(told.script(), LONGEST_VERSION)));
    }

    private static SearchPages.UnknownLinks unknown(ToldPage told) {
        List<String> links = told.unknownLinks() == null ? List.of() : told.unknownLinks();
        return new SearchPages.UnknownLinks(
                told.unknown() == null ? 0 : Math.max(0, told.unknown()),
                links.stream()
                        .limit(MOST_UNKNOWN)
                        .map(link -> shortened(link.replaceAll("\\s+", " "), LONGEST_ADDRESS))
                        .toList());
    }

    /** Anybody can send anything; what is noted is of the site's own. */
    private String own(SearchKey key, @Nullable String address) {
        try {
            URI uri = URI.create(address == null ? "" : address);
            String kept = uri.isAbsolute() && uri.getRawAuthority() != null ? SearchPages.withoutQuery(uri) : "";
            if (kept.length() <= LONGEST_ADDRESS
                    && sites.originsOfSearch(key).contains(uri.getScheme() + "://" + uri.getRawAuthority())) {
                return kept;
            }
        } catch (IllegalArgumentException noAddress) {
            throw Refusal.bad("address", "\"%s\" is no web address.".formatted(shortened(String.valueOf(address), 80)));
        }
        throw Refusal.bad("address", "The page is of none of the site's own origins, or its address is too long.");
    }

    private <T> T read(String body, Class<T> type) {
        if (body.length() > LONGEST) {
            throw Refusal.bad(null, "This is longer than %d characters.".formatted(LONGEST));
        }
        try {
            return json.readValue(body, type);
        } catch (JacksonException wrong) {
            throw JsonProblems.of(wrong);
        }
    }

    private static String shortened(String text, int most) {
        return text.codePointCount(0, text.length()) <= most
                ? text
                : text.substring(0, text.offsetByCodePoints(0, most));
    }
}
