package tidylantern.server.visitor;

import static org.springframework.http.HttpHeaders.ACCEPT_LANGUAGE;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.FilterAnswer;
import tidylantern.server.design.DraftLinks;
import tidylantern.server.design.Searches;
import tidylantern.server.insight.AskedQueries;
import tidylantern.server.platform.Digests;
import tidylantern.server.platform.ListPages;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.visitor.Answering.SearchInLanguage;
import tidylantern.server.visitor.SearchAnswers.ListedAddresses;
import tidylantern.server.visitor.SearchAnswers.LiveResults;
import tidylantern.server.visitor.SearchAnswers.Results;
import tidylantern.server.visitor.SearchAnswers.SearchFace;
import tidylantern.server.visitor.SearchAnswers.SpokenTexts;

/**
 * What visitors' browsers ask: read-only, by the search's public key. Whoever has a link to the draft gets that in
 * place of the live version.
 */
@RestController
@RequestMapping("/api/public/searches/{key}")
class PublicController {
    /** The parameter that holds the token of a link to the draft. */
    static final String DRAFT = "tidy-draft";

    private static final Set<String> ASKING = Set.of("q", "page");

    private final Searches searches;
    private final Answering answering;
    private final Sites sites;
    private final AskedQueries asked;
    private final DraftLinks draftLinks;

    PublicController(Searches searches, Answering answering, Sites sites, AskedQueries asked, DraftLinks draftLinks) {
        this.draftLinks = draftLinks;
        this.searches = searches;
        this.answering = answering;
        this.sites = sites;
        this.asked = asked;
    }

    @GetMapping
    ResponseEntity<SearchFace> face(
            @PathVariable String key,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft) {
        SearchInLanguage search = search(key, draft, null);
        return fresh(face(key, search.design(), sites.get(search.site()).address()));
    }

    @Operation(
            summary =
                    "A page of results. Beside these parameters there is one a filter, by the filter's key, repeated for several values; near=latitude,longitude or place=name, within=km, and order=key.")
    @GetMapping("/results")
    ResponseEntity<Results> results(
            @PathVariable String key,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        Results results = answering.results(search(key, draft, language), q, PageNumber.of(page), all, false);
        if (draft.isEmpty()
                && !results.startingList()
                && PageNumber.of(page) == 1
                && ASKING.containsAll(all.keySet())) {
            // Other pages, filters and orders are the same question, gone on with.
            asked.count(key, results.query());
        }
        return fresh(results);
    }

    @Operation(
            summary =
                    "Values of one filter with their numbers: those right below a value, 500 a page, or those with some letters in the name, 50 a page. A Link header leads to the next page.")
    @GetMapping("/filters/{filter}/values")
    ResponseEntity<List<FilterAnswer.Offered>> values(
            @PathVariable String key,
            @PathVariable String filter,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String below,
            @RequestParam(defaultValue = "") String named,
            @RequestParam(defaultValue = "1") String page,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        List<FilterAnswer.Offered> values =
                answering.values(search(key, draft, language), q, filter, below, named, all);
        return ListPages.answer(
                ResponseEntity.ok().cacheControl(CacheControl.noCache()), values, Answering.valuesOnAPage(named), page);
    }

    @Operation(summary = "Where the items of a query are, in its order, for a list that the site draws itself.")
    @GetMapping("/addresses")
    ResponseEntity<ListedAddresses> addresses(
            @PathVariable String key,
            @RequestParam(defaultValue = "") String q,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all) {
        return fresh(answering.addresses(search(key, draft, null), q, all));
    }

    @Operation(summary = "The short list while somebody types, with the same parameters of filters as the results.")
    @GetMapping("/live")
    ResponseEntity<LiveResults> live(
            @PathVariable String key,
            @RequestParam(defaultValue = "") String q,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        return fresh(answering.live(search(key, draft, language), q, all));
    }

    @Operation(summary = "What the elements wear, and how featured tiers stand out, as a style sheet.")
    @GetMapping(path = "/look.css", produces = LookSheet.TYPE)
    ResponseEntity<String> look(
            @PathVariable String key,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft) {
        SearchInLanguage search = search(key, draft, null);
        String sheet = LookSheet.of(search.design(), sites.get(search.site()).look());
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .eTag(Digests.sha256(sheet))
                .body(sheet);
    }

    @Operation(
            summary = "What visitors read around the results, in the language that the header Accept-Language names.")
    @GetMapping("/texts")
    ResponseEntity<SpokenTexts> texts(
            @PathVariable String key,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        return fresh(SpokenTexts.of(answering.texts(search(key, draft, language))));
    }

    /** @param draft the token of a link to the draft; empty for the live version */
    private SearchInLanguage search(String key, String draft, @Nullable String language) {
        if (draft.isEmpty()) {
            Searches.Live live = searches.live(key);
            return new SearchInLanguage(live.site(), key, live.design(), language);
        }
        if (!draftLinks.isGood(key, draft)) {
            throw new Refusal(
                    HttpStatus.GONE,
                    null,
                    "This link to the draft has ended. Make another in the workbench, or open the page without it.");
        }
        Searches.Draft now = searches.draft(key);
        return new SearchInLanguage(now.site(), key, now.design(), language);
    }

    static SearchFace face(String key, SearchDesign design, String siteAddress) {
        String address = design.page().address();
        return new SearchFace(
                key,
                design.name(),
                design.words().fewestLetters(),
                address == null ? HostedPage.path(key) : Answering.absolute(address, siteAddress),
                address == null,
                design.filtersInUse().stream().map(Filter::key).toList(),
                design.filterPlaces().box().shown()
                        && design.filtersInUse().stream()
                                .anyMatch(filter -> filter.shown().box()),
                design.filterPlaces(),
                design.page().told().inAddress(),
                SearchAnswers.BoxFace.of(design.box()),
                design.live());
    }

    /** A publication must reach visitors at once, so browsers ask again before they use an answer twice. */
    private static <T> ResponseEntity<T> fresh(T body) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .varyBy(ACCEPT_LANGUAGE)
                .body(body);
    }
}
