package tidylantern.server.visitor;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import tidylantern.core.content.Collection;
import tidylantern.core.design.Control;
import tidylantern.core.design.Filter;
import tidylantern.core.query.FilterAnswer;
import tidylantern.core.query.MarkedText;
import tidylantern.server.content.SiteContents;
import tidylantern.server.design.Searches;
import tidylantern.server.platform.PageNumber;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.visitor.SearchAnswers.Results;

/** The results page hosted here. It is whole without script; with it, the elements take over. */
@Controller
class HostedPage {
    private static final int PAGES_EACH_SIDE = 2;
    private static final String ORDER = "order";

    private final Searches searches;
    private final Answering answering;
    private final Sites sites;
    private final SiteContents contents;

    HostedPage(Searches searches, Answering answering, Sites sites, SiteContents contents) {
        this.searches = searches;
        this.answering = answering;
        this.sites = sites;
        this.contents = contents;
    }

    static String path(String key) {
        return "/s/" + key;
    }

    /**
     * @param featured whether the item holds a tier
     * @param ribbon what its ribbon says; null for none
     * @param disclosure what visitors read because it is paid for; null for nothing
     * @param away how far it is from the visitor's place; null where nobody knows
     */
    record PageHit(
            String title,
            List<MarkedText.Run> titleRuns,
            List<MarkedText.Run> excerpt,
            boolean hasExcerpt,
            @Nullable String url,
            String collection,
            SearchAnswers.@Nullable Picture image,
            boolean featured,
            @Nullable String ribbon,
            @Nullable String disclosure,
            @Nullable String away) {
        static PageHit of(SearchAnswers.HitShape hit, List<SearchAnswers.TierFace> tiers, PageNumbers numbers) {
            SearchAnswers.TierFace tier = tiers.stream()
                    .filter(one -> one.key().equals(hit.tier()))
                    .findFirst()
                    .orElse(null);
            return new PageHit(
                    hit.title(),
                    hit.titleRuns(),
                    hit.excerpt(),
                    !hit.excerpt().isEmpty(),
                    hit.url(),
                    hit.collectionLabel(),
                    hit.image(),
                    tier != null,
                    tier == null || tier.looks().ribbon() == null
                            ? null
                            : tier.looks().ribbon().text(),
                    tier == null ? null : tier.disclosure(),
                    hit.distanceKm() == null ? null : numbers.away(hit.distanceKm()));
        }
    }

    /**
     * @param type of the box before each value
     * @param written what is typed: bounds as {@code from..to}, or words; null where values are ticked
     * @param hint what may be typed; empty if anything may
     * @param begun whether something is set at the start, so that setting nothing must be said
     * @param place the name of the place that distances are measured from; null for other filters
     * @param inView whether visitors see it on the page
     */
    record PageFilter(
            String key,
            String label,
            String help,
            boolean hasHelp,
            List<PageValue> values,
            String type,
            @Nullable String written,
            String hint,
            boolean begun,
            @Nullable String place,
            boolean inView) {
        static PageFilter of(SearchAnswers.FilterShape filter, boolean anyShown, PageNumbers numbers) {
            FilterAnswer.Bounds bounds = filter.bounds();
            String written = bounds != null ? interval(bounds) : filter.control() == Control.BOX ? filter.text() : null;
            boolean onlyOne = filter.control().onlyOne()
                    || (filter.control() == Control.DISTANCE && !filter.values().isEmpty());
            List<PageValue> values = new ArrayList<>(HostedPage.values(filter, filter.values(), 0, numbers));
            if (onlyOne) {
                // Otherwise nothing could take the choice back.
                values.addFirst(new PageValue(
                        "",
                        filter.neutral().isEmpty() ? "Any" : filter.neutral(),
                        "",
                        values.stream().noneMatch(PageValue::selected),
                        false,
                        0,
                        ""));
            }
            return new PageFilter(
                    filter.key(),
                    filter.label(),
                    filter.help(),
                    !filter.help().isEmpty(),
                    values,
                    onlyOne ? "radio" : "checkbox",
                    written,
                    bounds == null || bounds.min() == null ? "" : bounds.min() + ".." + bounds.max(),
                    !filter.start().isEmpty(),
                    filter.around() == null
                            ? null
                            : filter.around().known()
                                    ? filter.around().name()
                                    : filter.around().unknown(),
                    anyShown && filter.offers() && filter.shown().page() != Filter.OnPage.NOWHERE);
        }

        /** As the address has it; empty where nothing is set. */
        private static String interval(FilterAnswer.Bounds bounds) {
            return bounds.from() == null && bounds.to() == null
                    ? ""
                    : Objects.requireNonNullElse(bounds.from(), "") + ".."
                            + Objects.requireNonNullElse(bounds.to(), "");
        }

        /** What is set, as the address has it. */
        List<String> set() {
            return written == null
                    ? values.stream()
                            .filter(PageValue::selected)
                            .map(PageValue::value)
                            .filter(value -> !value.isEmpty())
                            .toList()
                    : written.isEmpty() ? List.of() : List.of(written);
        }
    }

    /**
     * @param count as it is shown; empty where none is
     * @param nothing whether it would give nothing
     * @param level 0 at the top of a tree
     * @param heading that begins with it; empty for none
     */
    record PageValue(
            String value, String label, String count, boolean selected, boolean nothing, int level, String heading) {
        boolean hasHeading() {
            return !heading.isEmpty();
        }
    }

    /** Another query, and where it is answered. */
    record QueryLink(String query, String address) {}

    /** One entry of the list of pages; a gap has no address. */
    record PageLink(String label, @Nullable String address, boolean current) {}

    @GetMapping("/s/{key}")
    String page(
            @PathVariable String key,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page,
            @RequestParam MultiValueMap<String, String> all,
            Model model,
            HttpServletResponse response) {
        Searches.Live live = searches.live(key);
        Sites.Site site = sites.get(live.site());
        Results results = answering.results(live.site(), live.design(), q, PageNumber.of(page), all, false);
        String language = contents.of(live.site()).collections().stream()
                .findFirst()
                .map(Collection::language)
                .orElse("en");
        PageNumbers numbers = new PageNumbers(
                Locale.forLanguageTag(language),
                results.filters().stream()
                        .anyMatch(filter ->
                                filter.around() != null && filter.unit().equals("mi")));
        List<PageFilter> pageFilters = results.filters().stream()
                .map(filter ->
                        PageFilter.of(filter, results.filterPlaces().page().shown(), numbers))
                .toList();
        List<Held> held = held(pageFilters, all);
        String filters = held.stream()
                .map(one -> "&" + one.name() + "=" + URLEncoder.encode(one.value(), StandardCharsets.UTF_8))
                .collect(Collectors.joining());
        response.setHeader("Cache-Control", CacheControl.noCache().getHeaderValue());
        model.addAttribute("key", key);
        model.addAttribute("name", live.design().name());
        model.addAttribute("site", site);
        model.addAttribute("language", language);
        model.addAttribute("query", results.query());
        model.addAttribute("heading", heading(results));
        model.addAttribute("count", count(results, numbers));
        model.addAttribute("nothing", results.total() == 0);
        model.addAttribute(
                "hits",
                results.hits().stream()
                        .map(hit -> PageHit.of(hit, results.tiers(), numbers))
                        .toList());
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

    @ExceptionHandler
    String gone(Refusal refusal, Model model, HttpServletResponse response) {
        response.setStatus(refusal.status().value());
        model.addAttribute("detail", refusal.getMessage());
        return "no-such-search";
    }

    static String heading(Results results) {
        return results.startingList()
                ? results.newestFirst() ? "Everything, newest first" : "Everything"
                : "Results for “" + results.query() + "”";
    }

    static String count(Results results, PageNumbers numbers) {
        String items = results.total() == 1 ? "1 result" : numbers.count(results.total()) + " results";
        return results.pages() == 1
                ? items
                : "%s, page %s of %s".formatted(items, numbers.count(results.page()), numbers.count(results.pages()));
    }

    private static List<QueryLink> links(String key, List<String> queries, String filters) {
        return queries.stream()
                .map(query -> new QueryLink(query, address(key, query, 1) + filters))
                .toList();
    }

    /** The values one below the other, those below a value further in. */
    private static List<PageValue> values(
            SearchAnswers.FilterShape filter, List<FilterAnswer.Offered> values, int level, PageNumbers numbers) {
        List<PageValue> shown = new ArrayList<>();
        String heading = "";
        for (FilterAnswer.Offered value : values) {
            shown.add(new PageValue(
                    value.value(),
                    value.label(),
                    filter.counts() ? numbers.count(value.count()) : "",
                    value.selected(),
                    value.count() == 0 && !value.selected(),
                    level,
                    value.heading().equals(heading) ? "" : value.heading()));
            heading = value.heading();
            shown.addAll(values(filter, value.children(), level + 1, numbers));
        }
        return shown;
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

    private static List<PageLink> links(String key, Results results, String filters) {
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

    private static String address(String key, String query, int page) {
        return path(key) + "?q=" + URLEncoder.encode(query, StandardCharsets.UTF_8) + (page > 1 ? "&page=" + page : "");
    }
}
