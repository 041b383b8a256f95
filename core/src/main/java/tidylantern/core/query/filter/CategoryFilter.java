package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.Several;
import tidylantern.core.design.filter.ValueLooks;
import tidylantern.core.design.filter.WithoutResults;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.FilterPlan;
import tidylantern.core.query.words.VisitorQuery;

/**
 * Values of a category field; a value stands for itself and all below it, unless the owner says otherwise of
 * hand-picked ones.
 */
public final class CategoryFilter implements QueryFilter {
    /** Fewer values cannot tell whether each is nearly one item's own; common practice. */
    private static final int FEWEST_TO_TELL = 20;
    /** Beyond this part of values that stand in one item alone, narrowing leads to that item; our own figure. */
    private static final double MOST_ALONE = 0.8;

    private final QueryFilter.Setting in;
    private final Query reach;
    private final FilterPlan plan;
    private final CategorySource source;
    private final OfferedValues offered;
    private final CategoryNumbers numbers;
    private final CategoryNumbers.Reading reading;
    /** As large as the field has values, so not there before anything is to be counted. */
    private @Nullable CategoryTally counting;

    private @Nullable CategoryTally countingFound;
    private final List<String> values;

    CategoryFilter(FilterPlan plan, CategorySource source, List<String> given, QueryFilter.Setting in)
            throws IOException {
        this(plan, source, in, ignored -> given);
    }

    private CategoryFilter(
            FilterPlan plan,
            CategorySource designed,
            QueryFilter.Setting in,
            Function<CategoryFilter, List<String>> given)
            throws IOException {
        this.in = in;
        this.plan = plan;
        reach = in.search().reachIn(in.state());
        numbers = CategoryNumbers.of(in.state(), designed.field());
        Rules rules = in.state().kept(in.search(), plan, Rules.class, () -> Rules.of(designed, numbers));
        source = rules.source();
        offered = source.offered();
        reading = rules.reading();
        values = given.apply(this).stream()
                .flatMap(value -> Rules.today(value, numbers))
                .map(offered::standsFor)
                .distinct()
                .filter(value -> numbers.has(value) && offered.offers(value))
                .limit(source.control().onlyOne() ? 1 : VisitorQuery.MOST_VALUES)
                .toList();
    }

    /** With every value on offer ticked; of a tree those at the top, which stand for all below. */
    static CategoryFilter ofAll(FilterPlan plan, CategorySource source, QueryFilter.Setting in) throws IOException {
        OfferedValues offered = source.offered();
        return new CategoryFilter(
                plan,
                source,
                in,
                made -> offered.picked() != null
                        ? offered.picked()
                        : IntStream.of(
                                        offered.tree()
                                                ? made.numbers.below(-1)
                                                : made.numbers.numbers().toArray())
                                .mapToObj(made.numbers::key)
                                .sorted()
                                .toList());
    }

    /** The owner's rules of the values as they hold for the values that there are in a state of the index. */
    private record Rules(CategorySource source, CategoryNumbers.Reading reading) {
        static Rules of(CategorySource designed, CategoryNumbers numbers) {
            OfferedValues offered = today(designed.offered(), numbers);
            CategorySource source = new CategorySource(
                    designed.field(),
                    designed.control(),
                    designed.several(),
                    offered,
                    new ValueLooks(
                            today(designed.looks().labels(), numbers),
                            today(designed.looks().pictures(), numbers)),
                    designed.list(),
                    designed.neutral(),
                    designed.start(),
                    designed.allAtStart());
            return new Rules(
                    source,
                    new CategoryNumbers.Reading(offered.merged(), offered.picked() != null && !offered.withBelow()));
        }

        /** A design may name values by the keys that they had before signs counted in them. */
        private static OfferedValues today(OfferedValues designed, CategoryNumbers numbers) {
            Map<String, String> merged = today(designed.merged(), numbers).entrySet().stream()
                    .map(one -> Map.entry(
                            one.getKey(),
                            today(one.getValue(), numbers).findFirst().orElseThrow()))
                    // A value that no item has any more cannot take others in: they are themselves again until it comes
                    // back.
                    .filter(one -> !one.getKey().equals(one.getValue()) && numbers.has(one.getValue()))
                    .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
            return new OfferedValues(
                    today(designed.except(), numbers),
                    designed.picked() == null ? null : today(designed.picked(), numbers),
                    designed.withBelow(),
                    merged,
                    designed.tree(),
                    designed.depth());
        }

        /** What a key stands for; one that no item has stands for itself. */
        static Stream<String> today(String key, CategoryNumbers numbers) {
            List<String> keys = numbers.today(key);
            return keys.isEmpty() ? Stream.of(key) : keys.stream();
        }

        private static List<String> today(List<String> keys, CategoryNumbers numbers) {
            return keys.stream().flatMap(key -> today(key, numbers)).toList();
        }

        private static Map<String, String> today(Map<String, String> byKey, CategoryNumbers numbers) {
            return byKey.entrySet().stream()
                    .flatMap(one -> today(one.getKey(), numbers).map(key -> Map.entry(key, one.getValue())))
                    .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one));
        }
    }

    @Override
    public Filter filter() {
        return plan.filter();
    }

    @Override
    public List<String> values() {
        return values;
    }

    @Override
    public List<String> said() {
        return values.stream()
                .map(value -> source.looks()
                        .labels()
                        .getOrDefault(
                                value, numbers.names(numbers.number(value)).getLast()))
                .toList();
    }

    @Override
    public boolean keepsOwn() {
        return source.several() == Several.ALL && !source.control().onlyOne();
    }

    @Override
    public @Nullable Query passed() {
        if (values.isEmpty()) {
            return null;
        }
        if (reading.themselves()) {
            return new FilterQuery(this);
        }
        BooleanQuery.Builder passed = new BooleanQuery.Builder();
        for (String value : values) {
            // Also what counts as it, or as something below it.
            List<BytesRef> terms = Stream.concat(
                            Stream.of(value),
                            reading.merged().entrySet().stream()
                                    .filter(one -> CategoryNumbers.withThoseAbove(one.getValue())
                                            .anyMatch(value::equals))
                                    .map(Map.Entry::getKey))
                    .map(BytesRef::new)
                    .toList();
            passed.add(
                    terms.size() == 1
                            ? new TermQuery(new Term(IndexFields.values(source.field()), terms.getFirst()))
                            : new TermInSetQuery(IndexFields.values(source.field()), terms),
                    keepsOwn() ? Occur.FILTER : Occur.SHOULD);
        }
        return passed.build();
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        Map<Integer, Integer> places = new HashMap<>();
        BitSet wanted = new BitSet();
        for (String value : values) {
            wanted.set(numbers.number(value));
            places.put(numbers.number(value), places.size());
        }
        CategoryNumbers.Paths read = numbers.paths(reading);
        int[][] ofPaths = read.of(leaf);
        int[] numberOf = read.numbers(leaf);
        SortedSetDocValues paths = DocValues.getSortedSet(leaf.reader(), IndexFields.paths(source.field()));
        boolean all = keepsOwn();
        BitSet met = new BitSet();
        return document -> {
            if (!paths.advanceExact(document)) {
                return false;
            }
            if (all) {
                met.clear();
            }
            for (int left = paths.docValueCount(); left > 0; left--) {
                for (int own : ofPaths[(int) paths.nextOrd()]) {
                    int number = numberOf[own];
                    if (wanted.get(number)) {
                        if (!all) {
                            return true;
                        }
                        met.set(Objects.requireNonNull(places.get(number)));
                    }
                }
            }
            return all && met.cardinality() == places.size();
        };
    }

    @Override
    public CategoryTally counting() throws IOException {
        if (counting == null) {
            counting = CategoryTally.of(numbers, source.field(), reading);
        }
        return counting;
    }

    @Override
    public @Nullable CategoryTally countingFound() throws IOException {
        // Where the own ticks are kept in for the counts, these are those of the items found.
        if (countingFound == null && source.list().withoutResults() == WithoutResults.FOUND && !keepsOwn()) {
            countingFound = CategoryTally.of(numbers, source.field(), reading);
        }
        return countingFound;
    }

    @Override
    public void prepare() throws IOException {
        numbers.paths(reading);
        numbers.inReach(reach, reading);
        numbers.placesByName(in.language());
    }

    @Override
    public FilterAnswer answer() throws IOException {
        FilterValues.Offer offer = counted().offered();
        return FilterAnswer.of(plan.filter(), offer.values(), offer.further());
    }

    @Override
    public List<FilterAnswer.Offered> more(String below, String named) throws IOException {
        return below.isEmpty() ? counted().named(named) : counted().below(below);
    }

    /** After everything has been counted. */
    private FilterValues counted() throws IOException {
        CategoryTally found = countingFound();
        return new FilterValues(
                source,
                numbers,
                counting().counts(),
                found == null ? counting().counts() : found.counts(),
                numbers.inReach(reach, reading),
                numbers.placesByName(in.language()),
                values,
                in.language());
    }

    @Override
    public @Nullable CategoryFilter withOnly(String value) throws IOException {
        CategoryFilter set = new CategoryFilter(plan, source, List.of(value), in);
        return set.values.isEmpty() ? null : set;
    }

    @Override
    public List<FilterAnswer.Offered> inReach() throws IOException {
        int[] inReach = numbers.inReach(reach, reading);
        int[] places = numbers.placesByName(in.language());
        return new FilterValues(source, numbers, inReach, inReach, inReach, places, List.of(), in.language())
                .offered()
                .values();
    }

    @Override
    public Map<String, Long> timesChosen(MostChosen chosen) throws IOException {
        CategoryNumbers.Paths read = numbers.paths(reading);
        Map<String, Long> times = new HashMap<>();
        new DocumentCounting() {
            private int[][] here = {};
            private int[] numberOf = {};
            private @Nullable SortedSetDocValues paths;
            private int base;

            @Override
            public void open(LeafReaderContext leaf) throws IOException {
                here = read.of(leaf);
                numberOf = read.numbers(leaf);
                paths = DocValues.getSortedSet(leaf.reader(), IndexFields.paths(source.field()));
                base = leaf.docBase;
            }

            @Override
            public void count(int document) throws IOException {
                if (paths == null || !paths.advanceExact(document)) {
                    return;
                }
                long ofItem = chosen.times().getOrDefault(base + document, 0L);
                Set<Integer> values = new HashSet<>();
                for (int left = paths.docValueCount(); left > 0; left--) {
                    IntStream.of(here[(int) paths.nextOrd()]).forEach(own -> values.add(numberOf[own]));
                }
                values.forEach(value -> times.merge(numbers.key(value), ofItem, Long::sum));
            }
        }.addAll(in.state().searcher(), chosen.documents());
        return times;
    }

    @Override
    public int onOffer() throws IOException {
        return (int) offered(numbers.inReach(reach, reading)).count();
    }

    @Override
    public boolean nearlyUnique() throws IOException {
        int[] inReach = numbers.inReach(reach, reading);
        BitSet below = new BitSet();
        IntStream.range(0, numbers.size())
                .forEach(number -> IntStream.of(numbers.below(number)).forEach(below::set));
        int[] atTop = offered(inReach).filter(number -> !below.get(number)).toArray();
        long alone = IntStream.of(atTop).filter(number -> inReach[number] == 1).count();
        return atTop.length >= FEWEST_TO_TELL && alone > MOST_ALONE * atTop.length;
    }

    private IntStream offered(int[] inReach) {
        return IntStream.range(0, numbers.size())
                .filter(number -> inReach[number] > 0 && offered.offers(numbers.key(number)));
    }

    @Override
    public FilterFigures.LeftOut leftOut() throws IOException {
        int[] inReach = numbers.inReach(reach, CategoryNumbers.Reading.PLAIN);
        BitSet off = new BitSet();
        IntStream.range(0, numbers.size())
                .filter(number -> inReach[number] > 0 && !isCovered(numbers.key(number)))
                .forEach(off::set);
        CategoryNumbers.Paths read = numbers.paths(CategoryNumbers.Reading.PLAIN);
        int[] items = {0};
        if (!off.isEmpty()) {
            new DocumentCounting() {
                private int[][] here = {};
                private int[] numberOf = {};
                private @Nullable SortedSetDocValues paths;

                @Override
                public void open(LeafReaderContext leaf) throws IOException {
                    here = read.of(leaf);
                    numberOf = read.numbers(leaf);
                    paths = DocValues.getSortedSet(leaf.reader(), IndexFields.paths(source.field()));
                }

                @Override
                public void count(int document) throws IOException {
                    if (paths != null && paths.advanceExact(document)) {
                        boolean holds = false;
                        for (int left = paths.docValueCount(); left > 0; left--) {
                            int[] path = here[(int) paths.nextOrd()];
                            holds |= off.get(numberOf[path[path.length - 1]]);
                        }
                        items[0] += holds ? 1 : 0;
                    }
                }
            }.addAll(in.state().searcher(), reach);
        }
        return new FilterFigures.LeftOut(
                off.cardinality(),
                items[0],
                off.stream()
                        .mapToObj(number -> String.join(" › ", numbers.names(number)))
                        .sorted()
                        .limit(FilterFigures.MOST_LISTED)
                        .toList());
    }

    /** Whether an item with the value can be found by ticking something: it, what it counts as, or one above it. */
    private boolean isCovered(String value) {
        String stands = offered.standsFor(value);
        return offered.picked() == null
                ? !offered.excepts(stands)
                : (offered.withBelow() ? CategoryNumbers.withThoseAbove(stands) : Stream.of(stands))
                        .anyMatch(offered.picked()::contains);
    }
}
