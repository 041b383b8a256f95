package tidylantern.server.visitor;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.look.WornLook;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.design.text.Language;
import tidylantern.server.answer.AnswerTexts;
import tidylantern.server.answer.Answering;
import tidylantern.server.answer.SearchAnswers;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.text.Texts;

/** The results page hosted here. It is whole without script; with it, the elements take over. */
@Controller
class HostedPage {
    private static final int PAGES_EACH_SIDE = 2;
    private static final String ORDER = "order";

    private final Searches searches;
    private final Answering answering;
    private final Sites sites;
    private final ElementParts parts;

    HostedPage(Searches searches, Answering answering, Sites sites, ElementParts parts) {
        this.searches = searches;
        this.answering = answering;
        this.sites = sites;
        this.parts = parts;
    }

    /** Another query, and where it is answered. */
    record QueryLink(String query, String address) {}

    /** One entry of the list of pages; a gap has no address. */
    record PageLink(String label, @Nullable String address, boolean current) {}

    @GetMapping("/s/{key}")
    String page(
            @PathVariable SearchKey key,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page,
            @RequestParam MultiValueMap<String, String> all,
            Model model,
            HttpServletResponse response) {
        Searches.Live live = searches.live(key);
        Sites.Site site = sites.get(live.site());
        // The page speaks as the design says, and the elements on it as the page does.
        Answering.SearchInLanguage asked = new Answering.SearchInLanguage(live.site(), key, live.design(), null);
        Results results = answering.results(asked, q, PageNumber.of(page), all, false);
        AnswerTexts texts = answering.texts(asked);
        List<PageFilter> pageFilters = results.filters().stream()
                .map(filter ->
                        PageFilter.of(filter, results.filterPlaces().page().shown(), texts))
                .toList();
        List<Held> held = held(pageFilters, all);
        String filters = inAddress(held);
        response.setHeader("Cache-Control", CacheControl.noCache().getHeaderValue());
        HostedHead.of(key, live.design(), site, results, texts, HostedHead.isPlain(all))
                .into(model);
        model.addAttribute("key", key);
        model.addAttribute("sheet", HostedSheet.path(key));
        model.addAttribute("parts", parts.ofResults());
        model.addAttribute("name", live.design().name());
        model.addAttribute("site", site);
        model.addAttribute("shade", shade(WornLook.of(live.design().look(), site.look())));
        model.addAttribute("language", texts.language().toLanguageTag());
        model.addAttribute("say", texts.texts().plain());
        model.addAttribute("searchSite", texts.say("searchSite", Map.of("site", site.name())));
        model.addAttribute("query", results.query());
        model.addAttribute("feed", ResultsFeed.path(key, results.query()));
        boolean empty = results.list().start() == StartingList.With.NOTHING;
        model.addAttribute("heading", empty ? live.design().name() : heading(results, texts));
        model.addAttribute("count", count(results, texts));
        model.addAttribute("nothing", results.total() == 0);
        model.addAttribute("hasList", !empty);
        model.addAttribute("hasCount", !empty && results.total() > 0);
        model.addAttribute("offersEverything", results.list().shows().nothing().everything());
        model.addAttribute("lessOne", lessOne(key, results, pageFilters, held));
        model.addAttribute("box", live.design().box().wide());
        model.addAttribute("chooser", chooser(pageFilters));
        model.addAttribute("unseen", unseen(held, pageFilters));
        model.addAttribute(
                "hits",
                results.hits().stream()
                        .map(hit -> PageCard.of(hit, results.cards(), results.tiers()))
                        .toList());
        model.addAttribute(
                "related",
                results.related().stream()
                        .map(hit -> PageCard.of(hit, results.cards(), results.tiers()))
                        .toList());
        model.addAttribute("hasRelated", !results.related().isEmpty());
        model.addAttribute(
                "popular",
                results.popular().stream()
                        .map(one -> new QueryLink(
                                one.label(),
                                address(key, "", 1) + inAddress(List.of(new Held(one.filter(), one.value())))))
                        .toList());
        model.addAttribute("hasPopular", !results.popular().isEmpty());
        model.addAttribute("pageLinks", results.pages() > 1 ? links(key, results, filters) : List.of());
        model.addAttribute("several", results.pages() > 1);
        List<PageFilter> shown = pageFilters.stream().filter(PageFilter::inView).toList();
        model.addAttribute("filters", shown);
        model.addAttribute("hasFilters", !shown.isEmpty());
        model.addAttribute(
                "near",
                Stream.ofNullable(all.getFirst("near"))
                        .filter(near -> !near.isEmpty())
                        .toList());
        model.addAttribute("orders", results.orders());
        model.addAttribute("hasOrders", !results.orders().isEmpty());
        model.addAttribute(
                "held", held.stream().filter(one -> !one.name().equals(ORDER)).toList());
        model.addAttribute(
                "order", held.stream().filter(one -> one.name().equals(ORDER)).toList());
        model.addAttribute("narrowed", pageFilters.stream().anyMatch(filter -> !filter.set()
                .isEmpty()));
        model.addAttribute("everything", address(key, results.query(), 1));
        model.addAttribute(
                "didYouMean",
                results.didYouMean() == null ? List.of() : links(key, List.of(results.didYouMean()), filters));
        model.addAttribute("seeAlso", links(key, results.seeAlso(), filters));
        model.addAttribute("hasSeeAlso", !results.seeAlso().isEmpty());
        return "results-page";
    }

    /** The page stands on the look's own ground, which is light where the look leaves it to the page. */
    private static String shade(WornLook look) {
        return switch (look.scheme()) {
            case LIGHT, PAGE -> "light";
            case DARK -> "dark";
            case VISITOR -> "visitor";
        };
    }

    @ExceptionHandler
    String gone(Refusal refusal, Model model, HttpServletResponse response) {
        response.setStatus(refusal.status().value());
        boolean missing = refusal.status() == HttpStatus.NOT_FOUND;
        Texts texts = Texts.in(Language.EN);
        model.addAttribute("heading", texts.say(missing ? "noSuchSearch" : "failed"));
        model.addAttribute("hint", texts.say(missing ? "noSuchSearchHint" : "pageFailed"));
        return "page-refused";
    }

    static String heading(Results results, AnswerTexts texts) {
        if (results.total() == 0) {
            return results.query().isEmpty()
                    ? texts.say("nothingAtAll")
                    : texts.say("nothing", Map.of("query", results.query()));
        }
        return results.startingList()
                ? startHeading(results, texts)
                : texts.say("resultsFor", Map.of("query", results.query()));
    }

    private static String startHeading(Results results, AnswerTexts texts) {
        return switch (results.list().start()) {
            case FEATURED -> texts.say("featured");
            case POPULAR -> texts.say("popular");
            case CATEGORY -> results.list().startLabel();
            case EVERYTHING, NOTHING -> texts.say(results.newestFirst() ? "newest" : "all");
        };
    }

    private static String count(Results results, AnswerTexts texts) {
        return results.pages() == 1
                ? texts.count(results.total())
                : texts.say(
                        "countOnPage",
                        Map.of("count", results.total(), "page", results.page(), "pages", results.pages()));
    }

    private static List<QueryLink> links(SearchKey key, List<String> queries, String filters) {
        return queries.stream()
                .map(query -> new QueryLink(query, address(key, query, 1) + filters))
                .toList();
    }

    /** The same query with one filter less, where nothing is found with all of them. */
    private static List<LessOne> lessOne(SearchKey key, Results results, List<PageFilter> filters, List<Held> held) {
        return results.withoutOne().stream()
                .map(way -> new LessOne(
                        filters.stream()
                                .filter(filter -> filter.key().equals(way.filter()))
                                .map(PageFilter::setSaid)
                                .findFirst()
                                .orElse(way.filter()),
                        way.total(),
                        address(key, results.query(), 1)
                                + inAddress(held.stream()
                                        .filter(one -> !one.name().equals(way.filter()))
                                        .toList())))
                .toList();
    }

    /** @param total how many results it has */
    record LessOne(String label, int total, String address) {}

    private static String inAddress(List<Held> held) {
        return held.stream()
                .map(one -> "&" + one.name() + "=" + URLEncoder.encode(one.value(), StandardCharsets.UTF_8))
                .collect(Collectors.joining());
    }

    /** What can be chosen in the box: none, or the one filter that stands there. */
    private static List<PageFilter> chooser(List<PageFilter> filters) {
        return filters.stream()
                .filter(filter -> filter.key().equals(Chooser.KEY))
                .toList();
    }

    /** What is set where nothing on the page shows it, so that narrowing further does not lose it. */
    private static List<Held> unseen(List<Held> held, List<PageFilter> filters) {
        return held.stream()
                .filter(one -> filters.stream().anyMatch(filter -> filter.key().equals(one.name()) && !filter.inView()))
                .toList();
    }

    /** A parameter that another page of the same search carries on. */
    record Held(String name, String value) {}

    /** What is set, as the address has it; with the place and the order that hold. */
    private static List<Held> held(List<PageFilter> filters, MultiValueMap<String, String> all) {
        List<Held> held = new ArrayList<>();
        for (PageFilter filter : filters) {
            List<String> set = filter.set().isEmpty() && filter.begun() ? List.of("") : filter.set();
            set.forEach(value -> held.add(new Held(filter.key(), value)));
        }
        Stream.of("near", "place", "within", ORDER)
                .filter(name ->
                        !Objects.requireNonNullElse(all.getFirst(name), "").isEmpty())
                .forEach(name -> held.add(new Held(name, Objects.requireNonNull(all.getFirst(name)))));
        return held;
    }

    private static List<PageLink> links(SearchKey key, Results results, String filters) {
        List<PageLink> links = new ArrayList<>();
        int shownBefore = 0;
        for (int number = 1; number <= results.pages(); number++) {
            boolean near =
                    Math.abs(number - results.page()) <= PAGES_EACH_SIDE || number == 1 || number == results.pages();
            if (!near) {
                continue;
            }
            if (number > shownBefore + 1) {
                links.add(new PageLink("…", null, false));
            }
            links.add(new PageLink(
                    Integer.toString(number),
                    address(key, results.query(), number) + filters,
                    number == results.page()));
            shownBefore = number;
        }
        return links;
    }

    private static String address(SearchKey key, String query, int page) {
        return SearchAnswers.hostedPage(key) + "?q=" + URLEncoder.encode(query, StandardCharsets.UTF_8)
                + (page > 1 ? "&page=" + page : "");
    }
}
