package tidylantern.server.draft;

import static org.springframework.http.HttpHeaders.ACCEPT_LANGUAGE;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.why.Explanation;
import tidylantern.server.answer.Answering;
import tidylantern.server.answer.Answering.SearchInLanguage;
import tidylantern.server.answer.LookSheet;
import tidylantern.server.answer.SearchAnswers.ListedAddresses;
import tidylantern.server.answer.SearchAnswers.LiveResults;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.answer.SearchAnswers.SearchFace;
import tidylantern.server.answer.SearchAnswers.SpokenTexts;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.ListPages;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;

/**
 * The same answers as visitors get, for the owner: from the draft, the live version, or any that was published once.
 */
@RestController
@RequestMapping("/api/owner/searches/{key}/{which}")
class DraftAnswersController {
    private static final Pattern VERSION = Pattern.compile("version-(\\d{1,9})");

    private final Searches searches;
    private final Answering answering;
    private final Sites sites;

    DraftAnswersController(Searches searches, Answering answering, Sites sites) {
        this.searches = searches;
        this.answering = answering;
        this.sites = sites;
    }

    @GetMapping("/face")
    ResponseEntity<SearchFace> face(@PathVariable SearchKey key, @PathVariable String which) {
        SearchInLanguage asked = asked(key, which, null);
        return now(SearchFace.of(key, asked.design(), sites.get(asked.site()).address()));
    }

    @GetMapping(path = "/look.css", produces = LookSheet.TYPE)
    ResponseEntity<String> look(@PathVariable SearchKey key, @PathVariable String which) {
        SearchInLanguage asked = asked(key, which, null);
        return now(LookSheet.of(asked.design(), sites.get(asked.site()).look()));
    }

    @GetMapping("/texts")
    ResponseEntity<SpokenTexts> texts(
            @PathVariable SearchKey key,
            @PathVariable String which,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        return now(SpokenTexts.of(answering.texts(asked(key, which, language))));
    }

    @GetMapping("/results")
    ResponseEntity<Results> results(
            @PathVariable SearchKey key,
            @PathVariable String which,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        SearchInLanguage asked = asked(key, which, language);
        return now(answering.results(asked, q, PageNumber.of(page), all, true));
    }

    @Operation(
            summary =
                    "Values of one filter with their numbers: those right below a value, 500 a page, or those with some letters in the name, 50 a page. A Link header leads to the next page.")
    @GetMapping("/filters/{filter}/values")
    ResponseEntity<List<FilterAnswer.Offered>> values(
            @PathVariable SearchKey key,
            @PathVariable String which,
            @PathVariable String filter,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String below,
            @RequestParam(defaultValue = "") String named,
            @RequestParam(defaultValue = "1") String page,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        SearchInLanguage asked = asked(key, which, language);
        List<FilterAnswer.Offered> values = answering.values(asked, q, filter, below, named, all);
        return ListPages.answer(
                ResponseEntity.ok().header(HttpHeaders.CACHE_CONTROL, "no-store"),
                values,
                Answering.valuesOnAPage(named),
                page);
    }

    @GetMapping("/live")
    ResponseEntity<LiveResults> live(
            @PathVariable SearchKey key,
            @PathVariable String which,
            @RequestParam(defaultValue = "") String q,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all,
            @Parameter(hidden = true) @RequestHeader(name = ACCEPT_LANGUAGE, required = false) @Nullable String language) {
        SearchInLanguage asked = asked(key, which, language);
        return now(answering.live(asked, q, all));
    }

    @Operation(summary = "Where the items of a query are, in its order, as a list that the site draws itself asks for.")
    @GetMapping("/addresses")
    ResponseEntity<ListedAddresses> addresses(
            @PathVariable SearchKey key,
            @PathVariable String which,
            @RequestParam(defaultValue = "") String q,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all) {
        return now(answering.addresses(asked(key, which, null), q, all));
    }

    @Operation(summary = "Why a query finds an item where it does, or why it does not, with what would change that.")
    @GetMapping("/why")
    ResponseEntity<Explanation> why(
            @PathVariable SearchKey key,
            @PathVariable String which,
            @RequestParam(defaultValue = "") String q,
            @RequestParam String collection,
            @RequestParam String id,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> all) {
        SearchInLanguage asked = asked(key, which, null);
        return now(answering.explain(asked.site(), asked.design(), q, collection, id, all));
    }

    private SearchInLanguage asked(SearchKey key, String which, @Nullable String language) {
        return switch (which) {
            case "draft" -> {
                Searches.Draft draft = searches.draft(key);
                yield new SearchInLanguage(draft.site(), key, draft.design(), language);
            }
            case "live-version" -> {
                Searches.Live live = searches.live(key);
                yield new SearchInLanguage(live.site(), key, live.design(), language);
            }
            default -> {
                SiteKey site = searches.draft(key).site();
                yield new SearchInLanguage(site, key, searches.version(key, numberOf(which)), language);
            }
        };
    }

    private static int numberOf(String which) {
        Matcher version = VERSION.matcher(which);
        if (!version.matches()) {
            throw Refusal.notFound(
                    "Ask for \"draft\", \"live-version\" or \"version-3\", say, not \"%s\".".formatted(which));
        }
        return Integer.parseInt(version.group(1));
    }

    private static <T> ResponseEntity<T> now(T body) {
        return ResponseEntity.ok().header(HttpHeaders.CACHE_CONTROL, "no-store").body(body);
    }
}
