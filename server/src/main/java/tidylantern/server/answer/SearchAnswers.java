package tidylantern.server.answer;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.TierLooks;
import tidylantern.core.design.box.BoxArrangement;
import tidylantern.core.design.box.BoxButton;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.box.Opening;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.PartGroup;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.Devices;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterPlaces;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.OnPage;
import tidylantern.core.design.filter.Several;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.design.text.DesignLabels;
import tidylantern.core.query.Answer;
import tidylantern.core.query.Hit;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.help.WithoutOne;
import tidylantern.core.query.order.Standing;
import tidylantern.server.key.SearchKey;

/**
 * The shapes in which answers go out. What most of them say nothing of is left out where it is empty: an answer has
 * hundreds of values.
 */
public final class SearchAnswers {
    private SearchAnswers() {}

    /**
     * @param url null where the site gives the item no address
     * @param title as it is; the card has it with its marked words
     * @param score what the words gave; 0 in the starting list
     * @param distanceKm from the visitor's place, along the great circle; null where the item or the visitor has none
     * @param tier that the item holds today: its key; null for none
     * @param card what its card shows, part by part; what it has no value for is left out
     * @param tags what stands below its picture where that opens large
     * @param standing why it stands where it stands; null in what visitors get
     */
    public record HitShape(
            ItemId id,
            CollectionKey collection,
            @Nullable String url,
            String title,
            double score,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Double distanceKm,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable String tier,

            List<CardValue> card,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<Tag> tags,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Standing standing) {}

    /**
     * How visitors see a featured tier.
     *
     * @param disclosure what they read because it is paid for; null where it is not
     */
    public record TierFace(String key, @Nullable String disclosure, TierLooks looks) {
        static List<TierFace> of(SearchDesign design, AnswerTexts texts) {
            return design.tiersByRank().stream()
                    .map(tier -> new TierFace(
                            tier.key(),
                            tier.disclosure() == null
                                    ? null
                                    : texts.worded(DesignLabels.disclosureOf(tier.key()), tier.disclosure()),
                            tier.looks()))
                    .toList();
        }
    }

    /**
     * What stands on the cards of some results, and how.
     *
     * @param collections whose results have this card
     * @param place that it was made for; where that is another one, the card is fitted to where it is drawn
     * @param frame the class by which the search's look draws what is around its parts; null where that is the look's
     */
    public record CardFace(
            List<CollectionKey> collections,
            Place place,
            PartGroup body,
            @Nullable String frame) {
        /** For the collections among the results; one card where they share one. */
        public static List<CardFace> of(SearchDesign design, Place place, List<Hit> hits) {
            Map<Card, List<CollectionKey>> cards = new LinkedHashMap<>();
            hits.stream().map(hit -> hit.ref().collection()).distinct().forEach(collection -> cards.computeIfAbsent(
                            design.card(place, collection), card -> new ArrayList<>())
                    .add(collection));
            return cards.entrySet().stream()
                    .map(card -> of(card.getKey(), card.getValue()))
                    .toList();
        }

        public static CardFace of(Card card, List<CollectionKey> collections) {
            return new CardFace(collections, card.place(), card.body(), LookSheet.frameOf(card));
        }
    }

    /**
     * An order that visitors may choose.
     *
     * @param key its name in the address; empty for the one that holds by itself
     */
    public record OrderShape(String key, String label, boolean selected) {}

    /**
     * @param tookMicros how long the reckoning took, in microseconds
     * @param didYouMean another query, where little is found; it finds something
     * @param seeAlso queries to go on with; each finds something
     * @param withoutOne where nothing is found, what is with one filter less, if the owner offers that
     * @param related where nothing is found, items that some of the words find
     * @param popular categories that lead on
     * @param filters in the order in which visitors see them
     * @param filterPlaces how they stand in each place
     * @param orders that visitors may choose among; none where there is one
     * @param tiers of featured listings, the highest first
     * @param list how the list is laid out
     * @param cards what stands on the cards of the results
     * @param newestFirst whether the starting list begins with what was published last
     */
    public record Results(
            String query,
            boolean startingList,
            int total,
            int page,
            int pages,
            int perPage,
            long tookMicros,
            List<HitShape> hits,
            @Nullable String didYouMean,
            List<String> seeAlso,
            List<WithoutOne> withoutOne,
            List<HitShape> related,
            List<PopularValue> popular,
            List<FilterShape> filters,
            FilterPlaces filterPlaces,
            List<OrderShape> orders,
            boolean newestFirst,
            List<TierFace> tiers,
            ListFace list,
            List<CardFace> cards) {}

    /**
     * What visitors can narrow by.
     *
     * @param key its parameter's name
     * @param help what stands below the label; may be empty
     * @param offers whether it leads anywhere just now, and what it waits for is set; if not, it is not shown
     * @param devices where it is shown; what is set in it holds everywhere
     * @param several whether one tick is enough, or every one must hold
     * @param counts whether the number beside a value is shown
     * @param cutAfter how many values of a list show at first
     * @param folded whether only the label shows at first
     * @param unit what stands behind numbers; may be empty
     * @param neutral what stands for none of a list or menu of which one holds
     * @param values to tick; none where bounds are set or words typed
     * @param further how many more there are, which are asked for by letters of their names
     * @param bounds null where values are ticked or words typed
     * @param text the words typed; empty if none are
     * @param around from where distances are measured; null for other controls
     * @param start what holds while the filter's parameter is missing, as addresses have it
     * @param shown in which places
     * @param searchFrom from how many values on a list is searched by name
     * @param headings whether values stand under headings
     */
    public record FilterShape(
            String key,
            String label,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) String help,
            Control control,
            boolean offers,
            Devices devices,
            Several several,
            boolean counts,
            int cutAfter,
            boolean folded,
            @JsonInclude(JsonInclude.Include.NON_EMPTY) String unit,
            String neutral,
            List<FilterAnswer.Offered> values,
            int further,
            @JsonInclude(JsonInclude.Include.NON_NULL) FilterAnswer.@Nullable Bounds bounds,
            String text,
            @JsonInclude(JsonInclude.Include.NON_NULL) FilterAnswer.@Nullable Around around,
            List<String> start,
            ShownIn shown,
            int searchFrom,
            boolean headings) {
        public static FilterShape of(FilterAnswer answer, boolean offers, AnswerTexts texts, String siteAddress) {
            Filter filter = answer.filter();
            FilterSource source = filter.source();
            return new FilterShape(
                    filter.key(),
                    filter.key().equals(Chooser.KEY)
                            ? texts.say("searchIn")
                            : texts.worded(DesignLabels.ofFilter(filter.key()), filter.label()),
                    texts.worded(
                            DesignLabels.helpOf(filter.key()), filter.head().help()),
                    answer.control(),
                    offers,
                    filter.shown().devices(),
                    source.several(),
                    source.counts(),
                    source.cutAfter(),
                    filter.shown().folded(),
                    source.unit(),
                    texts.neutral(answer),
                    underWordedHeadings(
                            filter, drawn(answer.values(), answer.control(), source.unit(), texts, siteAddress), texts),
                    answer.further(),
                    answer.bounds(),
                    answer.text(),
                    answer.around(),
                    answer.start(),
                    new ShownIn(
                            filter.shown().page(),
                            filter.shown().box(),
                            filter.shown().home()),
                    source.searchFrom(),
                    answer.values().stream().anyMatch(value -> !value.heading().isEmpty()));
        }
    }

    /**
     * In which places a filter is shown.
     *
     * @param page where on the results page
     * @param box beside the search box
     * @param home in the form that stands alone
     */
    public record ShownIn(OnPage page, boolean box, boolean home) {}

    /** Of a joint filter the headings are the labels of its parts. */
    private static List<FilterAnswer.Offered> underWordedHeadings(
            Filter filter, List<FilterAnswer.Offered> values, AnswerTexts texts) {
        if (!(filter.source() instanceof JointSource joint)) {
            return values;
        }
        Map<String, String> worded = joint.parts().stream()
                .collect(Collectors.toMap(
                        Filter::label,
                        part -> texts.worded(DesignLabels.ofFilter(part.key()), part.label()),
                        (a, b) -> a));
        return values.stream()
                .map(value -> value.under(worded.getOrDefault(value.heading(), value.heading())))
                .toList();
    }

    /** Values as visitors see them: each with its words, and with pictures that can be shown anywhere. */
    static List<FilterAnswer.Offered> drawn(
            List<FilterAnswer.Offered> values, Control control, String unit, AnswerTexts texts, String siteAddress) {
        return values.stream()
                .map(value -> value.drawn(
                        texts.label(value, control, unit),
                        Answering.absolute(value.picture(), siteAddress),
                        drawn(value.children(), control, unit, texts, siteAddress)))
                .toList();
    }

    /**
     * How the list of results is laid out.
     *
     * @param layout how the cards stand
     * @param paging how visitors get further
     * @param shows what stands around the cards
     * @param nothingSign where nothing is found: the path of an SVG of 24 by 24; null for none
     * @param start what stands there now, before anything is typed or set; everything once something is
     * @param startLabel of the category that it is of; empty for others
     * @param inAddress whether the address tells what is shown
     */
    public record ListFace(
            Layout layout,
            ResultsPage.Paging paging,
            ResultsPage.Shows shows,
            @Nullable String nothingSign,
            StartingList.With start,
            String startLabel,
            boolean inAddress) {
        public static ListFace of(ResultsPage page, Answer answer) {
            return new ListFace(
                    page.layout(),
                    page.paging(),
                    page.shows(),
                    Signs.pathOrNull(page.shows().nothing().sign()),
                    answer.start(),
                    answer.startLabel(),
                    page.told().inAddress());
        }
    }

    /**
     * A category as a link that narrows.
     *
     * @param filter the key of the filter it is set in
     * @param count how many items in reach have it
     */
    public record PopularValue(String filter, String value, String label, int count) {}

    /**
     * What an item stands under, as a link that narrows.
     *
     * @param value as the filter of tags has it in addresses
     */
    public record Tag(String value, String label) {}

    /**
     * @param collection null where results of all stand in one list
     * @param label empty for such a list
     */
    public record LiveGroup(@Nullable CollectionKey collection, String label, int total, List<HitShape> hits) {}

    /**
     * @param completions whole queries in which the word at hand is completed; each finds something
     * @param didYouMean another query, where nothing is found; it finds something
     * @param tiers of featured listings, the highest first
     * @param cards what stands on the cards of the results
     */
    public record LiveResults(
            String query,
            boolean startingList,
            int total,
            long tookMicros,
            List<LiveGroup> groups,
            List<String> completions,
            @Nullable String didYouMean,
            List<TierFace> tiers,
            List<CardFace> cards) {}

    /**
     * Where the items of a query are, in its order, for a list that the site draws itself.
     *
     * @param total how many are found
     * @param whole whether nothing is typed and nothing set
     * @param addresses of at most 5,000 of them, absolute; of those that have one
     */
    public record ListedAddresses(int total, boolean whole, List<String> addresses) {}

    /**
     * What visitors read around the results.
     *
     * @param language by which numbers and days are written, as a tag of BCP 47
     * @param texts of each its forms by plural categories of the language; one that goes by no number has just
     *     {@code other}
     */
    public record SpokenTexts(String language, Map<String, Map<String, String>> texts) {
        public static SpokenTexts of(AnswerTexts texts) {
            return new SpokenTexts(
                    texts.language().toLanguageTag(), texts.texts().all());
        }
    }

    /**
     * What the elements need to draw a search.
     *
     * @param resultsPage where results are shown, absolute
     * @param hostedPage whether that is the page hosted here
     * @param filters their keys, which are the names of their parameters
     * @param filtersInBox whether any of them is shown beside the search box
     * @param filterPlaces how they stand in each place
     * @param inAddress whether the address tells what is shown
     * @param box what visitors type into
     * @param live what appears at the box while they type
     */
    public record SearchFace(
            SearchKey key,
            String name,
            int fewestLetters,
            String resultsPage,
            boolean hostedPage,
            List<String> filters,
            boolean filtersInBox,
            FilterPlaces filterPlaces,
            boolean inAddress,
            BoxFace box,
            LiveList live) {
        /** @param siteAddress from which the address of a results page may start */
        public static SearchFace of(SearchKey key, SearchDesign design, String siteAddress) {
            String address = design.page().address();
            List<Filter> filters = design.filtersInUse();
            return new SearchFace(
                    key,
                    design.name(),
                    design.words().fewestLetters(),
                    address == null ? SearchAnswers.hostedPage(key) : Answering.absolute(address, siteAddress),
                    address == null,
                    filters.stream().map(Filter::key).toList(),
                    design.filterPlaces().box().shown()
                            && filters.stream()
                                    .anyMatch(filter -> filter.shown().box()),
                    design.filterPlaces(),
                    design.page().told().inAddress(),
                    BoxFace.of(design.box()),
                    design.live());
        }
    }

    /** The path of the results page that is hosted here. */
    public static String hostedPage(SearchKey key) {
        return "/s/" + key;
    }

    /**
     * The box that visitors type into.
     *
     * @param wide what it is on wide pages
     * @param narrow on narrow ones
     * @param narrowUpTo the width of the page up to which it counts as narrow, in px
     * @param chooses whether a collection or a category can be chosen in it; by the filter of the key {@code in}
     */
    public record BoxFace(
            ArrangementFace wide, ArrangementFace narrow, int narrowUpTo, boolean chooses, SearchBox.Leads leads) {
        public static BoxFace of(SearchBox box) {
            return new BoxFace(
                    ArrangementFace.of(box.wide()),
                    ArrangementFace.of(Objects.requireNonNullElse(box.narrow(), box.wide())),
                    box.narrowUpTo(),
                    box.chooser() != null,
                    box.leads());
        }
    }

    /** @param sign on the button: the path of an SVG of 24 by 24 */
    public record ArrangementFace(
            Opening opening,
            boolean heading,
            boolean label,
            boolean placeholder,
            BoxButton.Shows shows,
            BoxButton.Side side,
            String sign,
            int signSize,
            BoxArrangement.Clear clear) {
        public static ArrangementFace of(BoxArrangement box) {
            BoxButton button = box.button();
            return new ArrangementFace(
                    box.opening(),
                    box.heading(),
                    box.label(),
                    box.placeholder(),
                    button.shows(),
                    button.side(),
                    Signs.pathOf(button.sign()),
                    button.size(),
                    box.clear());
        }
    }
}
