package tidylantern.core.design;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterPlaces;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.text.VisitorTexts;

/**
 * One visitor search as its owner designs it. The same value is the draft, a published version, an export.
 *
 * @param version of the document's shape; this product writes {@link #CURRENT_VERSION}
 * @param name what the owner calls the search, 1 to {@value #LONGEST_NAME} characters
 * @param filters in the order in which visitors see them; of those that are joined, what is in use:
 *     {@link #filtersInUse}
 */
public record SearchDesign(
        int version,
        String name,
        Reach reach,
        Words words,
        List<Filter> filters,
        FilterPlaces filterPlaces,
        Ranking ranking,
        VisitorPlaces places,
        Appearance appearance) {
    public static final int CURRENT_VERSION = 3;
    public static final int LONGEST_NAME = 80;
    public static final int MOST_FILTERS = 50;

    public SearchDesign {
        DesignFault.unless(
                version == CURRENT_VERSION,
                "version",
                "version %d is not one this product reads; %d is",
                version,
                CURRENT_VERSION);
        name = name.strip();
        DesignFault.unless(
                !name.isEmpty() && name.length() <= LONGEST_NAME,
                "name",
                "a search needs a name of 1 to %d characters",
                LONGEST_NAME);
        filters = List.copyOf(filters);
        List<String> keys =
                filters.stream().flatMap(Filter::withParts).map(Filter::key).toList();
        DesignFault.unless(
                keys.size() <= MOST_FILTERS,
                "filters",
                "%d filters are too many; %d are the most",
                keys.size(),
                MOST_FILTERS);
        for (int i = 0; i < filters.size(); i++) {
            String after = filters.get(i).shown().after();
            DesignFault.unless(
                    after == null || keys.contains(after),
                    "filters[" + i + "].shown.after",
                    "\"%s\" waits for \"%s\", and there is no such filter",
                    filters.get(i).key(),
                    after);
        }
        DesignFault.ifTwice(keys, "filters", "the key");
        Chooser chooser = places.box().chooser();
        DesignFault.unless(
                chooser == null || !keys.contains(Chooser.KEY),
                "places.box.chooser",
                "a filter is called \"%s\" in addresses, and so is what is chosen in the box; call the filter otherwise",
                Chooser.KEY);
    }

    /**
     * A first design for a site: every collection searched, titles before summaries before texts, and what names an
     * item well (codes, keywords, the categories it stands in) counting too.
     */
    public static SearchDesign firstFor(String name, SiteContent content) {
        Reach reach = new Reach(content.collections().stream()
                .map(c -> Reach.Searched.all(c.key()))
                .toList());
        List<FieldWeight> weights = content.collections().stream()
                .flatMap(c -> c.fields().stream())
                .filter(field -> firstWeight(field.key(), field.kind()) > 0)
                .map(field -> new FieldWeight(field.key(), firstWeight(field.key(), field.kind())))
                .distinct()
                .toList();
        return usual(name).withReach(reach).withWords(Words.standard().withWeights(weights));
    }

    /** One that searches nothing yet, with everything as usual. */
    public static SearchDesign usual(String name) {
        return new SearchDesign(
                CURRENT_VERSION,
                name,
                new Reach(List.of()),
                Words.standard(),
                List.of(),
                FilterPlaces.usual(),
                Ranking.usual(),
                VisitorPlaces.usual(),
                Appearance.usual());
    }

    private static double firstWeight(FieldKey key, FieldKind kind) {
        if (kind == FieldKind.CODE) {
            return 8;
        }
        if (kind == FieldKind.CATEGORY) {
            return 2;
        }
        return switch (key.value()) {
            case "title" -> 5;
            case "summary", "headings", "keywords" -> 2;
            case "body" -> 1;
            default -> 0;
        };
    }

    public ResultOrder order() {
        return ranking.order();
    }

    public List<Tier> tiers() {
        return ranking.tiers();
    }

    public List<Pin> pins() {
        return ranking.pins();
    }

    public SearchBox box() {
        return places.box();
    }

    public LiveList live() {
        return places.live();
    }

    public ResultsPage page() {
        return places.page();
    }

    public List<Card> cards() {
        return appearance.cards();
    }

    public Look look() {
        return appearance.look();
    }

    public VisitorTexts texts() {
        return appearance.texts();
    }

    public SearchDesign withName(String changed) {
        return with(parts -> parts.name = changed);
    }

    public SearchDesign withWords(Words changed) {
        return with(parts -> parts.words = changed);
    }

    public SearchDesign withReach(Reach changed) {
        return with(parts -> parts.reach = changed);
    }

    public SearchDesign withFilters(List<Filter> changed) {
        return with(parts -> parts.filters = changed);
    }

    public SearchDesign withOrder(ResultOrder changed) {
        return with(parts -> parts.ranking = new Ranking(changed, tiers(), pins()));
    }

    public SearchDesign withTiers(List<Tier> changed) {
        return with(parts -> parts.ranking = new Ranking(order(), changed, pins()));
    }

    public SearchDesign withPins(List<Pin> changed) {
        return with(parts -> parts.ranking = new Ranking(order(), tiers(), changed));
    }

    public SearchDesign withBox(SearchBox changed) {
        return with(parts -> parts.places = new VisitorPlaces(changed, live(), page()));
    }

    public SearchDesign withLive(LiveList changed) {
        return with(parts -> parts.places = new VisitorPlaces(box(), changed, page()));
    }

    public SearchDesign withPage(ResultsPage changed) {
        return with(parts -> parts.places = new VisitorPlaces(box(), live(), changed));
    }

    public SearchDesign withCards(List<Card> changed) {
        return with(parts -> parts.appearance = new Appearance(changed, look(), texts()));
    }

    private SearchDesign with(Consumer<Parts> change) {
        Parts parts = new Parts(this);
        change.accept(parts);
        return new SearchDesign(
                version,
                parts.name,
                parts.reach,
                parts.words,
                parts.filters,
                parts.filterPlaces,
                parts.ranking,
                parts.places,
                parts.appearance);
    }

    /** The parts of one on the way to another that differs in some of them. */
    private static final class Parts {
        private String name;
        private Reach reach;
        private Words words;
        private List<Filter> filters;
        private FilterPlaces filterPlaces;
        private Ranking ranking;
        private VisitorPlaces places;
        private Appearance appearance;

        Parts(SearchDesign of) {
            name = of.name;
            reach = of.reach;
            words = of.words;
            filters = of.filters;
            filterPlaces = of.filterPlaces;
            ranking = of.ranking;
            places = of.places;
            appearance = of.appearance;
        }
    }

    /**
     * What is drawn of a collection's results in a place.
     *
     * @param collection null for those that have no card of their own
     */
    public Card card(Place place, @Nullable CollectionKey collection) {
        return Card.chosen(cards(), place, collection);
    }

    /** The tiers, the highest first: by rank, those without one last, those of one rank as they are listed. */
    public List<Tier> tiersByRank() {
        return tiers().stream()
                .sorted(Comparator.comparingInt(tier -> Objects.requireNonNullElse(tier.rank(), Integer.MAX_VALUE)))
                .toList();
    }

    /**
     * What visitors meet: joint filters, and in place of those that stand apart just now their parts; last what is
     * chosen in the box.
     */
    public List<Filter> filtersInUse() {
        Chooser chooser = box().chooser();
        return Stream.concat(
                        filters.stream().flatMap(Filter::inUse),
                        Stream.ofNullable(chooser).map(Chooser::filter))
                .toList();
    }

    /** The categories that stand below pictures that open large; null where none do. */
    public @Nullable CategorySource pictureTags() {
        return !page().layout().opensPictures()
                ? null
                : filtersInUse().stream()
                        .filter(filter -> filter.key().equals(page().layout().tags()))
                        .map(Filter::source)
                        .filter(CategorySource.class::isInstance)
                        .map(CategorySource.class::cast)
                        .findFirst()
                        .orElse(null);
    }

    /**
     * The keys under which a filter is in use: its own; that of the one it is joined in; those of its parts where they
     * stand apart.
     */
    public Set<String> inUseAs(String key) {
        return filters.stream()
                .filter(filter -> filter.withParts().anyMatch(one -> one.key().equals(key)))
                .flatMap(filter -> filter.inUse().anyMatch(one -> one.key().equals(key))
                        ? Stream.of(key)
                        : filter.inUse().map(Filter::key))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** The collections that are searched, in the owner's order. */
    public Set<CollectionKey> searched() {
        return reach.keys();
    }
}
