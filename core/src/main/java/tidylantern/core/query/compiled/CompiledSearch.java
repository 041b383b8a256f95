package tidylantern.core.query.compiled;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.search.Query;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.WordForms;

/**
 * A design over the content of its site, made ready once for all queries: its reach, its words taken apart, its filters
 * and tiers with the kinds that their fields have, what its cards read. It never changes; whoever changes the design,
 * or the collections, fields, placements or places of the site, compiles anew.
 */
public final class CompiledSearch {
    private final SiteContent content;
    private final SearchDesign design;
    private final Set<String> languages;
    private final Query reach;
    private final Vocabulary vocabulary;
    private final PinnedQueries pins;
    private final TierRules tiers;
    private final List<FieldKey> placeFields;
    private final List<FieldKey> prose;
    private final List<FilterPlan> filters;
    private final Map<Place, CardReading> cards = new EnumMap<>(Place.class);

    private CompiledSearch(SiteContent content, SearchDesign design, Set<String> languages, Vocabulary vocabulary) {
        this.content = content;
        this.design = design;
        this.languages = languages;
        this.vocabulary = vocabulary;
        reach = ReachQuery.of(design.reach());
        pins = PinnedQueries.of(design.pins(), vocabulary, languages);
        tiers = TierRules.of(design, content);
        placeFields = placeFields(design, content);
        prose = design.words().searched().stream()
                .map(FieldWeight::field)
                .filter(field -> content.kind(field) != FieldKind.CODE)
                .toList();
        List<Filter> inUse = design.filtersInUse();
        List<FilterPlan> plans = new ArrayList<>();
        inUse.forEach(filter -> plans.add(FilterPlan.of(filter, this)));
        filters = List.copyOf(plans);
        for (Place place : Place.values()) {
            cards.put(place, CardReading.of(this, place));
        }
    }

    /** Takes a design apart for what its site holds. */
    public static CompiledSearch of(SiteContent content, SearchDesign design) {
        Set<String> languages = content.languages(design.searched());
        return new CompiledSearch(content, design, languages, new Vocabulary(design.words(), languages));
    }

    /** The same search with other decisions; what they leave alone is not made anew. */
    public CompiledSearch with(SearchDesign other) {
        Set<String> spoken = content.languages(other.searched());
        return new CompiledSearch(
                content,
                other,
                spoken,
                spoken.equals(languages) && Vocabulary.same(other.words(), design.words())
                        ? vocabulary
                        : new Vocabulary(other.words(), spoken));
    }

    public SiteContent content() {
        return content;
    }

    public SearchDesign design() {
        return design;
    }

    /** The owner's synonyms that a query brings into play. */
    public Set<Synonym> synonymsIn(String text) {
        return vocabulary.replaceable(WordForms.allWordsOf(text, languages)).stream()
                .map(Vocabulary.Replaceable::synonym)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** Of the collections that are searched. */
    public Set<String> languages() {
        return languages;
    }

    /** The items that may be found at all. */
    public Query reach() {
        return reach;
    }

    /** The same as a state of the index is asked for it; what is reckoned within a reach is kept by this. */
    public Query reachIn(IndexState state) throws IOException {
        return state.kept(this, Query.class, Query.class, () -> state.searcher().rewrite(reach));
    }

    public Vocabulary vocabulary() {
        return vocabulary;
    }

    public PinnedQueries pins() {
        return pins;
    }

    public TierRules tiers() {
        return tiers;
    }

    /** The fields of places among those searched, in the order of the content. */
    public List<FieldKey> placeFields() {
        return placeFields;
    }

    /** The searched fields that hold words. */
    public List<FieldKey> prose() {
        return prose;
    }

    /** Those in use, in the order in which visitors see them. */
    public List<FilterPlan> filters() {
        return filters;
    }

    /** What the cards of a place show. */
    public CardReading cards(Place place) {
        return Objects.requireNonNull(cards.get(place));
    }

    private static List<FieldKey> placeFields(SearchDesign design, SiteContent content) {
        return content.collections().stream()
                .filter(collection -> design.searched().contains(collection.key()))
                .flatMap(collection -> collection.fields().stream())
                .filter(field -> field.kind() == FieldKind.PLACE)
                .map(Field::key)
                .distinct()
                .toList();
    }
}
