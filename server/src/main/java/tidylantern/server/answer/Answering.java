package tidylantern.server.answer;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.util.MultiValueMap;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.design.text.DesignLabels;
import tidylantern.core.query.Answer;
import tidylantern.core.query.FoundAddresses;
import tidylantern.core.query.Hit;
import tidylantern.core.query.LiveAnswer;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.TookTooLong;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.filter.Popularity;
import tidylantern.core.query.why.Explanation;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;
import tidylantern.server.answer.SearchAnswers.HitShape;
import tidylantern.server.answer.SearchAnswers.LiveGroup;
import tidylantern.server.answer.SearchAnswers.LiveResults;
import tidylantern.server.answer.SearchAnswers.OrderShape;
import tidylantern.server.answer.SearchAnswers.PopularValue;
import tidylantern.server.answer.SearchAnswers.Results;
import tidylantern.server.content.CompiledSearches;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.insight.ChosenResults;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.turn.AnswerTurns;
import tidylantern.server.turn.Asker;

/**
 * Asks the one engine for live results and pages of results, whoever wants them: visitors, the stage, the page without
 * script.
 */
@Component
public class Answering {
    private final AnswerTurns turns;
    private final SiteContents contents;
    private final SiteIndexes indexes;
    private final CompiledSearches compiled;
    private final Sites sites;
    private final ChosenResults chosen;
    private final Clock clock;

    Answering(
            AnswerTurns turns,
            SiteContents contents,
            SiteIndexes indexes,
            CompiledSearches compiled,
            Sites sites,
            ChosenResults chosen,
            Clock clock) {
        this.chosen = chosen;
        this.turns = turns;
        this.contents = contents;
        this.indexes = indexes;
        this.compiled = compiled;
        this.sites = sites;
        this.clock = clock;
    }

    /**
     * A search as somebody asks it.
     *
     * @param key of the search, by which it is counted what visitors choose
     * @param language that the answer shall speak, as the header Accept-Language names it; null for any
     */
    public record SearchInLanguage(
            SiteKey site,
            SearchKey key,
            SearchDesign design,
            @Nullable String language) {}

    /**
     * @param parameters of the request; those that no filter of the design is called by are passed over
     * @param reasons whether each result tells why it stands where it stands, which is for owners
     */
    public Results results(
            SearchInLanguage search, String q, int page, MultiValueMap<String, String> parameters, boolean reasons) {
        SiteKey site = search.site();
        SearchDesign design = search.design();
        return inTurn(AnswerTurns.Kind.PAGE, q, () -> {
            long begun = System.nanoTime();
            SiteContent content = contents.of(site);
            AnswerTexts texts = AnswerTexts.of(content, design, search.language());
            Answer answer = indexes.engine(site)
                    .answer(
                            compiled.of(site, design),
                            query(content, q, page, parameters, texts.order()),
                            popularity(search));
            String base = sites.get(site).address();
            CardWriter cards =
                    new CardWriter(content, design, design.page().layout().place(), texts, today(content), base);
            return new Results(
                    answer.query(),
                    answer.startingList(),
                    answer.total(),
                    answer.page(),
                    answer.pages(),
                    answer.perPage(),
                    micros(begun),
                    answer.hits().stream()
                            .map(hit -> shape(hit, cards, base, reasons))
                            .toList(),
                    answer.didYouMean(),
                    answer.seeAlso(),
                    answer.withoutOne(),
                    answer.related().stream()
                            .map(hit -> shape(hit, cards, base, false))
                            .toList(),
                    popular(design, answer, texts, base),
                    answer.filters().stream()
                            .map(filter -> SearchAnswers.FilterShape.of(filter, answer.shows(filter), texts, base))
                            .toList(),
                    design.filterPlaces(),
                    orders(design.order(), first(parameters, "order"), texts),
                    answer.newestFirst(),
                    SearchAnswers.TierFace.of(design, texts),
                    SearchAnswers.ListFace.of(design.page(), answer),
                    SearchAnswers.CardFace.of(
                            design,
                            design.page().layout().place(),
                            Stream.concat(answer.hits().stream(), answer.related().stream())
                                    .toList()));
        });
    }

    /** What answers of a search are made of now. */
    AnswerStanding standing(SearchInLanguage search) {
        SiteKey site = search.site();
        SearchEngine engine = indexes.engine(site);
        return new AnswerStanding(
                compiled.of(site, search.design()),
                engine,
                engine.contentState(),
                sites.get(site),
                today(contents.of(site)),
                popularity(search));
    }

    /** What visitors chose, where the page shows that. */
    private Popularity popularity(SearchInLanguage search) {
        ResultsPage page = search.design().page();
        return page.start().with() == StartingList.With.POPULAR || page.shows().popular() != null
                ? new Popularity(chosen.mostChosen(search.key()))
                : Popularity.UNKNOWN;
    }

    private static List<PopularValue> popular(SearchDesign design, Answer answer, AnswerTexts texts, String base) {
        PopularCategories popular = design.page().shows().popular();
        return popular == null
                ? List.of()
                : SearchAnswers.drawn(answer.popular(), CategoryControl.LIST, "", texts, base).stream()
                        .map(value -> new PopularValue(popular.filter(), value.value(), value.label(), value.count()))
                        .toList();
    }

    private static final int VALUES_BELOW = 500;
    private static final int VALUES_NAMED = 50;

    /**
     * How many values stand on a page: of a branch many, of those with some letters few, since whoever types looks for
     * one.
     */
    public static int valuesOnAPage(String named) {
        return named.isBlank() ? VALUES_BELOW : VALUES_NAMED;
    }

    /** @param below key of a value that is opened; empty to look by letters of the name */
    public List<FilterAnswer.Offered> values(
            SearchInLanguage search,
            String q,
            String filter,
            String below,
            String named,
            MultiValueMap<String, String> parameters) {
        SiteKey site = search.site();
        SearchDesign design = search.design();
        return inTurn(AnswerTurns.Kind.PAGE, q, () -> {
            SiteContent content = contents.of(site);
            AnswerTexts texts = AnswerTexts.of(content, design, search.language());
            List<FilterAnswer.Offered> values = indexes.engine(site)
                    .values(
                            compiled.of(site, design),
                            query(content, q, 1, parameters, texts.order()),
                            filter,
                            below,
                            named);
            // Values that come apart have names of their own.
            return SearchAnswers.drawn(
                    values, CategoryControl.LIST, "", texts, sites.get(site).address());
        });
    }

    /** What answers of a design say in words. */
    public AnswerTexts texts(SearchInLanguage search) {
        return AnswerTexts.of(contents.of(search.site()), search.design(), search.language());
    }

    /** @param parameters of the request; those that no filter of the design is called by are passed over */
    public SearchAnswers.ListedAddresses addresses(
            SearchInLanguage search, String q, MultiValueMap<String, String> parameters) {
        return inTurn(AnswerTurns.Kind.PAGE, q, () -> {
            SiteContent content = contents.of(search.site());
            String base = sites.get(search.site()).address();
            FoundAddresses found = indexes.engine(search.site())
                    .addresses(compiled.of(search.site(), search.design()), query(content, q, 1, parameters, null));
            return new SearchAnswers.ListedAddresses(
                    found.total(),
                    found.whole(),
                    found.addresses().stream()
                            .map(address -> absolute(address, base))
                            .toList());
        });
    }

    /** @param parameters of the request; those that no filter of the design is called by are passed over */
    public LiveResults live(SearchInLanguage search, String q, MultiValueMap<String, String> parameters) {
        SiteKey site = search.site();
        SearchDesign design = search.design();
        return inTurn(AnswerTurns.Kind.LIVE, q, () -> {
            long begun = System.nanoTime();
            SiteContent content = contents.of(site);
            LiveAnswer answer =
                    indexes.engine(site).live(compiled.of(site, design), query(content, q, 1, parameters, null));
            String base = sites.get(site).address();
            AnswerTexts texts = AnswerTexts.of(content, design, search.language());
            CardWriter cards = new CardWriter(content, design, Place.LIVE, texts, today(content), base);
            return new LiveResults(
                    answer.query(),
                    answer.startingList(),
                    answer.total(),
                    micros(begun),
                    answer.groups().stream()
                            .map(group -> new LiveGroup(
                                    group.collection(),
                                    group.label(),
                                    group.total(),
                                    group.hits().stream()
                                            .map(hit -> shape(hit, cards, base, false))
                                            .toList()))
                            .toList(),
                    answer.completions(),
                    answer.didYouMean(),
                    SearchAnswers.TierFace.of(design, texts),
                    SearchAnswers.CardFace.of(
                            design,
                            Place.LIVE,
                            answer.groups().stream()
                                    .flatMap(group -> group.hits().stream())
                                    .toList()));
        });
    }

    /** @param parameters of the request; those that no filter of the design is called by are passed over */
    public Explanation explain(
            SiteKey site,
            SearchDesign design,
            String q,
            String collection,
            String id,
            MultiValueMap<String, String> parameters) {
        ItemRef item = new ItemRef(contents.collection(site, collection).key(), new ItemId(id));
        return inTurn(AnswerTurns.Kind.WORK, q, () -> indexes.engine(site)
                .explain(compiled.of(site, design), query(contents.of(site), q, 1, parameters, null), item));
    }

    private <T> T inTurn(AnswerTurns.Kind kind, String q, Callable<T> question) {
        try {
            return turns.answer(Asker.current(), kind, q.length(), question);
        } catch (TookTooLong dear) {
            throw new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, String.valueOf(dear.getMessage()));
        }
    }

    private static List<OrderShape> orders(ResultOrder order, String chosen, AnswerTexts texts) {
        if (order.choices().isEmpty()) {
            return List.of();
        }
        boolean known = order.choices().stream().anyMatch(choice -> choice.key().equals(chosen));
        return Stream.concat(
                        Stream.of(new OrderShape(
                                "",
                                order.label().isEmpty()
                                        ? texts.say("bestFirst")
                                        : texts.worded(DesignLabels.ofUsualOrder(), order.label()),
                                !known)),
                        order.choices().stream()
                                .map(choice -> new OrderShape(
                                        choice.key(),
                                        texts.worded(DesignLabels.ofOrder(choice.key()), choice.label()),
                                        choice.key().equals(chosen))))
                .toList();
    }

    /** @param language whose rules names are ordered by; null where none are */
    private VisitorQuery query(
            SiteContent content,
            String q,
            int page,
            MultiValueMap<String, String> parameters,
            @Nullable String language) {
        return new VisitorQuery(
                q,
                page,
                parameters,
                Whereabouts.of(first(parameters, "near"), first(parameters, "place"), first(parameters, "within")),
                first(parameters, "order"),
                today(content),
                language);
    }

    private LocalDate today(SiteContent content) {
        return LocalDate.now(clock.withZone(content.zone()));
    }

    private static String first(MultiValueMap<String, String> parameters, String name) {
        return Objects.requireNonNullElse(parameters.getFirst(name), "");
    }

    private static long micros(long begun) {
        return (System.nanoTime() - begun) / 1_000;
    }

    /** Addresses that a site writes from its own root are its own, wherever the results are shown. */
    static String absolute(String address, String base) {
        return address.startsWith("/") && !address.startsWith("//") ? base + address : address;
    }

    private static HitShape shape(Hit hit, CardWriter cards, String base, boolean reasons) {
        return new HitShape(
                hit.ref().id(),
                hit.ref().collection(),
                hit.address() == null ? null : absolute(hit.address(), base),
                hit.title().plain(),
                hit.score(),
                hit.metres() == null ? null : (Double) (hit.metres() / 1_000),
                hit.tier() == null ? null : hit.tier().key(),
                cards.of(hit),
                cards.tags(hit),
                reasons ? hit.standing() : null);
    }
}
