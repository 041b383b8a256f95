package tidylantern.server.visitor;

import static org.springframework.http.HttpHeaders.ACCEPT_ENCODING;
import static org.springframework.http.HttpHeaders.ACCEPT_LANGUAGE;
import static org.springframework.http.HttpHeaders.CONTENT_ENCODING;
import static org.springframework.http.MediaType.APPLICATION_JSON_VALUE;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.server.answer.Answering;
import tidylantern.server.answer.Answering.SearchInLanguage;
import tidylantern.server.answer.KeptAnswer;
import tidylantern.server.answer.KeptAnswers;
import tidylantern.server.answer.LookSheet;
import tidylantern.server.answer.SearchAnswers.ListedAddresses;
import tidylantern.server.answer.SearchAnswers.LiveResults;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.answer.SearchAnswers.SearchFace;
import tidylantern.server.answer.SearchAnswers.SpokenTexts;
import tidylantern.server.design.EarlyLooks;
import tidylantern.server.insight.AskedQueries;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.Digests;
import tidylantern.server.platform.ListPages;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.platform.PublicHeaders;
import tidylantern.server.site.Sites;

/**
 * What visitors' browsers ask: read-only, by the search's public key. Some of them meet the draft in place of the live
 * version.
 */
@RestController
@RequestMapping("/api/public/searches/{key}")
class PublicController {
    /** The parameter that holds the token of a link to the draft. */
    static final String DRAFT = "tidy-draft";

    private static final Set<String> ASKING = Set.of("q", "page", DRAFT);

    private final Answering answering;
    private final KeptAnswers kept;
    private final Sites sites;
    private final AskedQueries asked;
    private final SplitSides sides;
    private final EarlyLooks earlyLooks;

    PublicController(
            Answering answering,
            KeptAnswers kept,
            Sites sites,
            AskedQueries asked,
            SplitSides sides,
            EarlyLooks earlyLooks) {
        this.earlyLooks = earlyLooks;
        this.sides = sides;
        this.answering = answering;
        this.kept = kept;
        this.sites = sites;
        this.asked = asked;
    }

    @GetMapping
    ResponseEntity<SearchFace> face(
            @PathVariable SearchKey key,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        return fresh(met, SearchFace.of(key, met.design(), sites.get(met.site()).address()));
    }

    @Operation(
            summary =
                    "A page of results. Beside these parameters there is one a filter, by the filter's key, repeated for several values; near=latitude,longitude or place=name, within=km, and order=key.")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = APPLICATION_JSON_VALUE, schema = @Schema(implementation = Results.class)))
    @GetMapping(path = "/results", produces = APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> results(
            @PathVariable SearchKey key,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        KeptAnswer results = kept.results(asked(met, language), met.early(), q, page, all);
        if (!met.early() && !results.startingList() && PageNumber.of(page) == 1 && ASKING.containsAll(all.keySet())) {
            // Other pages, filters and orders are the same question, gone on with.
            asked.count(key, results.query());
            sides.asked(met, results.total() == 0);
        }
        return fresh(met, results, request);
    }

    @Operation(
            summary =
                    "Values of one filter with their numbers: those right below a value, 500 a page, or those with some letters in the name, 50 a page. A Link header leads to the next page.")
    @GetMapping("/filters/{filter}/values")
    ResponseEntity<List<FilterAnswer.Offered>> values(
            @PathVariable SearchKey key,
            @PathVariable String filter,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String below,
            @RequestParam(defaultValue = "") String named,
            @RequestParam(defaultValue = "1") String page,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        List<FilterAnswer.Offered> values = answering.values(asked(met, language), q, filter, below, named, all);
        return ListPages.answer(answer(met), values, Answering.valuesOnAPage(named), page);
    }

    @Operation(summary = "Where the items of a query are, in its order, for a list that the site draws itself.")
    @GetMapping("/addresses")
    ResponseEntity<ListedAddresses> addresses(
            @PathVariable SearchKey key,
            @RequestParam(defaultValue = "") String q,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        return fresh(met, answering.addresses(asked(met, null), q, all));
    }

    @Operation(summary = "The short list while somebody types, with the same parameters of filters as the results.")
    @ApiResponse(
            responseCode = "200",
            content =
                    @Content(mediaType = APPLICATION_JSON_VALUE, schema = @Schema(implementation = LiveResults.class)))
    @GetMapping(path = "/live", produces = APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> live(
            @PathVariable SearchKey key,
            @RequestParam(defaultValue = "") String q,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        return fresh(met, kept.live(asked(met, language), met.early(), q, all), request);
    }

    @Operation(summary = "What the elements wear, and how featured tiers stand out, as a style sheet.")
    @GetMapping(path = "/look.css", produces = LookSheet.TYPE)
    ResponseEntity<String> look(
            @PathVariable SearchKey key,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        String sheet = LookSheet.of(met.design(), sites.get(met.site()).look());
        return answer(met).eTag(Digests.sha256(sheet)).body(sheet);
    }

    @Operation(
            summary = "What visitors read around the results, in the language that the header Accept-Language names.")
    @GetMapping("/texts")
    ResponseEntity<SpokenTexts> texts(
            @PathVariable SearchKey key,
            @Parameter(hidden = true) @RequestParam(name = DRAFT, defaultValue = "") String draft,
            HttpServletRequest request,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        EarlyLooks.Meeting met = meet(key, draft, request);
        return fresh(met, SpokenTexts.of(answering.texts(asked(met, language))));
    }

    /**
     * @param draft what makes the draft, or a side of a split, answer; empty for nothing
     * @param request whose page asks, since the draft stands on test pages
     */
    private EarlyLooks.Meeting meet(SearchKey key, String draft, HttpServletRequest request) {
        return earlyLooks.meet(key, draft, AskingPage.origin(request));
    }

    private static SearchInLanguage asked(EarlyLooks.Meeting met, @Nullable String language) {
        return new SearchInLanguage(met.site(), met.search(), met.design(), language);
    }

    /** A publication must reach visitors at once, so browsers ask again before they use an answer twice. */
    private static <T> ResponseEntity<T> fresh(EarlyLooks.Meeting met, T body) {
        return answer(met).varyBy(ACCEPT_LANGUAGE).body(body);
    }

    /** The same for what may be given again: whoever has it already is told so, and gets nothing twice. */
    private static ResponseEntity<byte[]> fresh(EarlyLooks.Meeting met, KeptAnswer body, HttpServletRequest request) {
        ResponseEntity.BodyBuilder answer =
                answer(met).varyBy(ACCEPT_LANGUAGE, ACCEPT_ENCODING).contentType(MediaType.APPLICATION_JSON);
        if (body.tag() != null) {
            answer.eTag(body.tag());
        }
        return body.isWorthPacking() && Packing.isWanted(request.getHeader(ACCEPT_ENCODING))
                ? answer.header(CONTENT_ENCODING, Packing.GZIP).body(body.packed())
                : answer.body(body.json());
    }

    private static ResponseEntity.BodyBuilder answer(EarlyLooks.Meeting met) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.ok().cacheControl(CacheControl.noCache());
        return met.offer() == null ? answer : answer.header(PublicHeaders.DRAFT_OFFER, met.offer());
    }
}
