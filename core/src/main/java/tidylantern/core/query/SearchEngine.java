package tidylantern.core.query;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.ItemsInReach;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.filter.FilterFigures;
import tidylantern.core.query.filter.MostChosen;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.filter.Popularity;
import tidylantern.core.query.filter.QueryFilter;
import tidylantern.core.query.filter.SidewaysCounts;
import tidylantern.core.query.help.Completions;
import tidylantern.core.query.help.DidYouMean;
import tidylantern.core.query.help.PopularValues;
import tidylantern.core.query.help.Related;
import tidylantern.core.query.help.SeeAlso;
import tidylantern.core.query.help.WithoutOne;
import tidylantern.core.query.order.GroupedTop;
import tidylantern.core.query.order.LiveGroups;
import tidylantern.core.query.order.Nearest;
import tidylantern.core.query.order.Ordering;
import tidylantern.core.query.order.PlacesInResults;
import tidylantern.core.query.order.StartingItems;
import tidylantern.core.query.order.TierHolders;
import tidylantern.core.query.why.Explainer;
import tidylantern.core.query.why.Explanation;
import tidylantern.core.query.words.IndexWords;
import tidylantern.core.query.words.ReadQuery;
import tidylantern.core.query.words.VisitorQuery;

/**
 * Answers queries over one site. Threads may share it; an answer is reckoned on the thread that asks, which should be
 * one of a few (it is work for a processor, not waiting).
 */
public final class SearchEngine {
    /** Enough for two lines of the widest box; a narrower one shows as much as there is room for. */
    private static final Words.Excerpt LIVE_EXCERPT = new Words.Excerpt(36, 2);

    private static final Set<FieldKey> NAMING =
            Set.of(FieldKey.TITLE, FieldKey.HEADINGS, FieldKey.SUMMARY, FieldKey.BODY, FieldKey.ADDRESS);

    /** Nobody waits longer for an answer; those that take so long keep others from theirs. */
    private static final Duration LONGEST = Duration.ofSeconds(3);

    private final SiteIndex index;
    private final Gazetteer gazetteer;
    private final Clock clock;
    private final Duration longest;

    /** Knows no other places than those of items and the owner's own. */
    public SearchEngine(SiteIndex index) {
        this(index, Gazetteer.empty(), Clock.systemUTC());
    }

    /**
     * @param gazetteer places that visitors may name beside those of items and the owner's own
     * @param clock tells the day where no visitor's query does
     */
    public SearchEngine(SiteIndex index, Gazetteer gazetteer, Clock clock) {
        this(index, gazetteer, clock, LONGEST);
    }

    SearchEngine(SiteIndex index, Gazetteer gazetteer, Clock clock, Duration longest) {
        this.index = index;
        this.gazetteer = gazetteer;
        this.clock = clock;
        this.longest = longest;
    }

    /** The day that it is at a site. */
    public LocalDate today(SiteContent content) {
        return LocalDate.now(clock.withZone(content.zone()));
    }

    /**
     * A search over the items of a state; what is reckoned once for a state is no part of it, since others wait for
     * that too.
     */
    @FunctionalInterface
    private interface Searching<T> {
        T with(IndexSearcher searcher) throws IOException;
    }

    /** @throws TookTooLong if the search was not done in time */
    private <T> T inTime(IndexSearcher state, Searching<T> searching) throws IOException {
        IndexSearcher own = SiteIndex.searcher(state.getIndexReader());
        long end = System.nanoTime() + longest.toNanos();
        own.setTimeout(() -> System.nanoTime() - end > 0);
        T found = searching.with(own);
        if (own.timedOut()) {
            throw new TookTooLong();
        }
        return found;
    }

    private <T> T read(SiteIndex.Reading<T> reading) {
        try {
            return index.read(reading);
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /**
     * One page of results, in the design's order or the visitor's; ties by the item's id, so that pages never repeat or
     * lose an item.
     *
     * @throws TookTooLong if it would take so long that nobody waits for it; so do {@link #values} and {@link #live}
     */
    public Answer answer(CompiledSearch search, VisitorQuery query) {
        return answer(search, query, Popularity.UNKNOWN);
    }

    /**
     * The same for a search of which it is known what visitors chose.
     *
     * @param popularity what is popular, where the page shows that
     */
    public Answer answer(CompiledSearch search, VisitorQuery query, Popularity popularity) {
        return read(state -> answer(state, search, query, popularity));
    }

    /**
     * Reckons what a state of the index needs for the answers of a search (numbers of category values, ends of ranges,
     * who holds a tier), so that no visitor waits for it.
     *
     * @param next a state that nobody asks yet
     */
    public void prepare(IndexState next, CompiledSearch search) {
        try {
            NarrowedQuery start =
                    NarrowedQuery.of(next, search, VisitorQuery.plain("", today(search.content())), gazetteer);
            for (QueryFilter filter : start.narrowing().filters()) {
                filter.prepare();
            }
            IndexWords words = new IndexWords(next);
            for (FieldKey field : search.prose()) {
                words.prepare(field);
            }
            TierHolders.of(next, search.tiers(), start.query().today());
            ItemsInReach.of(next, search.reachIn(next));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** The same for the state that is asked now, before a search is asked of it for the first time. */
    public void prepare(CompiledSearch search) {
        read(state -> {
            prepare(state, search);
            return search;
        });
    }

    private Answer answer(IndexState state, CompiledSearch search, VisitorQuery query, Popularity popularity)
            throws IOException {
        IndexSearcher searcher = state.searcher();
        SearchDesign design = search.design();
        NarrowedQuery asked = NarrowedQuery.of(state, search, query, gazetteer);
        ReadQuery read = asked.read();
        Ordering ordering = Ordering.of(asked);
        int perPage = design.page().perPage();
        int wanted = design.page().reachable((int) Math.min((long) query.page() * perPage, Integer.MAX_VALUE));
        TopFieldCollectorManager best = top(searcher, ordering.sort(), wanted);
        // Which collections the results are of takes a look at each of them, so only where a filter asks for it.
        CollectionsAmong among = design.filtersInUse().stream()
                        .allMatch(filter -> filter.shown().collections().isEmpty())
                ? null
                : new CollectionsAmong();
        // Filters count over everything that is found, so that nothing is spared by looking at a part of it.
        Query nearest =
                asked.narrowing().filters().isEmpty() ? Nearest.among(asked, ordering, read.lucene(), wanted) : null;
        TopFieldDocs top = inTime(
                searcher,
                own -> nearest != null
                        ? own.search(nearest, best)
                        : asked.narrowing().filters().isEmpty()
                                ? own.search(read.lucene(), best)
                                : own.search(
                                        read.lucene(),
                                        new SidewaysCounts(
                                                best,
                                                asked.narrowing(),
                                                asked.narrowing().filters(),
                                                among)));
        int total = nearest != null
                ? ItemsInReach.of(state, search.reachIn(state))
                : Math.toIntExact(top.totalHits.value());
        MostChosen chosen = MostChosen.of(state, popularity);
        StartingItems start = StartingItems.of(asked, ordering, chosen);
        PageOfResults onPage =
                switch (start.with()) {
                    case EVERYTHING ->
                        PageOfResults.of(ordering.merged(top.scoreDocs, total, asked.found()), total, query, design);
                    case NOTHING -> PageOfResults.EMPTY;
                    // Numbers beside filters stay those of everything: whoever narrows looks through all of it.
                    case FEATURED, POPULAR, CATEGORY -> {
                        TopFieldDocs some = searcher.search(
                                Objects.requireNonNull(start.among()),
                                start.with() == StartingList.With.POPULAR
                                        ? top(
                                                searcher,
                                                ordering.sort(),
                                                chosen.times().size())
                                        : best);
                        int all = Math.toIntExact(some.totalHits.value());
                        yield PageOfResults.of(
                                start.inOrder(some.scoreDocs, all, ordering, chosen), all, query, design);
                    }
                };
        Excerpts excerpts = new Excerpts(read.matches(), design.words().excerpt(), false);
        HitCards cards =
                new HitCards(asked, ordering, excerpts, design.page().layout().place());
        List<Hit> hits = cards.of(onPage.results());
        List<Item> items = List.copyOf(cards.items());
        ResultsPage.NothingFound offered = design.page().shows().nothing();
        boolean offersRelated = total == 0 && offered.related();
        List<Hit> related = offersRelated ? cards.beside(Related.of(asked, ordering)) : List.of();
        List<FilterAnswer> filters = asked.narrowing().answers();
        String didYouMean = new DidYouMean(asked).of(total);
        VisibleFilters shown = new VisibleFilters(design, total, filters, among == null ? Set.of() : among.keys());
        return new Answer(
                query.text().strip(),
                read.startingList(),
                start.with(),
                start.label(),
                read.startingList() && ordering.newestFirst(asked.found()),
                onPage.total(),
                onPage.page(),
                onPage.pages(),
                perPage,
                hits,
                didYouMean,
                new SeeAlso(asked, didYouMean).of(items),
                total > 0 || !offered.withoutOne() ? List.of() : WithoutOne.of(asked),
                related,
                PopularValues.of(asked, chosen, total),
                filters,
                shown.keys());
    }

    /**
     * Some values of one filter with their numbers, as {@link #answer} would give them: what lies right below a value
     * of a large tree, or values by letters of their names.
     *
     * @param below key of the value that is opened; empty to look by name
     * @return all of them; none where the design has no such filter, or it is none of categories
     */
    public List<FilterAnswer.Offered> values(
            CompiledSearch search, VisitorQuery query, String filter, String below, String named) {
        return read(state -> {
            NarrowedQuery asked = NarrowedQuery.of(state, search, query, gazetteer);
            QueryFilter one = asked.narrowing().filter(filter);
            if (one == null) {
                return List.of();
            }
            inTime(
                    state.searcher(),
                    own -> own.search(
                            asked.read().lucene(),
                            new SidewaysCounts(
                                    top(state.searcher(), Sort.INDEXORDER, 1), asked.narrowing(), List.of(one), null)));
            return one.more(below, named);
        });
    }

    /** What each filter of a design in use does today, in their order. */
    public List<FilterFigures> figures(CompiledSearch search) {
        return read(state -> {
            List<FilterFigures> figures = new ArrayList<>();
            VisitorQuery everything = VisitorQuery.plain("", today(search.content()));
            for (QueryFilter one : NarrowedQuery.of(state, search, everything, gazetteer)
                    .narrowing()
                    .filters()) {
                BooleanQuery.Builder any = new BooleanQuery.Builder();
                one.filter()
                        .fields()
                        .forEach(field -> any.add(
                                new TermQuery(new Term(IndexFields.HAS, field.value())), BooleanClause.Occur.SHOULD));
                int items = state.searcher()
                        .count(new BooleanQuery.Builder()
                                .add(search.reach(), BooleanClause.Occur.FILTER)
                                .add(any.build(), BooleanClause.Occur.FILTER)
                                .build());
                figures.add(
                        new FilterFigures(one.filter().key(), one.onOffer(), one.nearlyUnique(), items, one.leftOut()));
            }
            return figures;
        });
    }

    /** How many items that a design reaches hold each of its tiers on a day, by the tiers' keys. */
    public Map<String, Integer> holders(CompiledSearch search, LocalDate day) {
        return read(state -> {
            TierHolders holders = TierHolders.of(state, search.tiers(), day);
            Map<String, Integer> held = new HashMap<>();
            for (int tier = 0; tier < holders.tiers().size(); tier++) {
                held.put(holders.tiers().get(tier).key(), holders.found(state.searcher(), search.reach(), tier).length);
            }
            return held;
        });
    }

    private static TopFieldCollectorManager top(IndexSearcher searcher, Sort order, long wanted) {
        int most = Math.max(1, searcher.getIndexReader().maxDoc());
        return new TopFieldCollectorManager(order, (int) Math.min(wanted, most), null, Integer.MAX_VALUE);
    }

    /** The short list: the same items in the same order as {@link #answer}, by collection where the design says so. */
    public LiveAnswer live(CompiledSearch search, VisitorQuery query) {
        return read(state -> {
            NarrowedQuery asked = NarrowedQuery.whileTyping(state, search, query, gazetteer);
            Ordering ordering = Ordering.live(asked);
            HitCards cards =
                    new HitCards(asked, ordering, new Excerpts(asked.read().matches(), LIVE_EXCERPT, true), Place.LIVE);
            List<LiveAnswer.Group> shown = search.design().live().grouped()
                    ? byCollection(asked, ordering, cards)
                    : inOneList(asked, ordering, cards);
            int total = shown.stream().mapToInt(LiveAnswer.Group::total).sum();
            LiveList.Above above = search.design().live().above();
            return new LiveAnswer(
                    query.text().strip(),
                    asked.read().startingList(),
                    total,
                    shown.stream().filter(group -> !group.hits().isEmpty()).toList(),
                    above.completions() ? new Completions(asked).of() : List.of(),
                    total == 0 && above.didYouMean() ? new DidYouMean(asked).of(0) : null);
        });
    }

    /** Where what {@link #answer} finds is, on all its pages together. */
    public FoundAddresses addresses(CompiledSearch search, VisitorQuery query) {
        return read(state -> {
            NarrowedQuery asked = NarrowedQuery.of(state, search, query, gazetteer);
            Ordering ordering = Ordering.of(asked);
            TopFieldCollectorManager best = top(state.searcher(), ordering.sort(), FoundAddresses.MOST);
            TopFieldDocs found = inTime(state.searcher(), own -> own.search(asked.found(), best));
            int total = Math.toIntExact(found.totalHits.value());
            StoredFields stored = state.searcher().storedFields();
            List<String> addresses = new ArrayList<>();
            for (ScoreDoc document : ordering.merged(found.scoreDocs, total, asked.found())) {
                String address = IndexFields.item(stored, document.doc, Set.of(FieldKey.ADDRESS))
                        .address();
                if (address != null) {
                    addresses.add(address);
                }
            }
            boolean whole = asked.read().startingList() && !asked.narrowing().isSet();
            return new FoundAddresses(total, whole, addresses);
        });
    }

    private List<LiveAnswer.Group> inOneList(NarrowedQuery asked, Ordering ordering, HitCards cards)
            throws IOException {
        int most = asked.design().live().most();
        TopFieldCollectorManager best = top(asked.searcher(), ordering.sort(), most);
        TopFieldDocs found = inTime(asked.searcher(), own -> own.search(asked.found(), best));
        int total = Math.toIntExact(found.totalHits.value());
        List<ScoreDoc> inOrder = ordering.merged(found.scoreDocs, total, asked.found());
        return List.of(
                new LiveAnswer.Group(null, "", total, cards.of(inOrder.subList(0, Math.min(most, inOrder.size())))));
    }

    private List<LiveAnswer.Group> byCollection(NarrowedQuery asked, Ordering ordering, HitCards cards)
            throws IOException {
        LiveList live = asked.design().live();
        int ofOne = asked.design().searched().size() == 1 ? live.most() : live.mostOfOne();
        Map<String, TopFieldDocs> found =
                inTime(asked.searcher(), own -> own.search(asked.found(), new GroupedTop(ordering.sort(), ofOne)));
        List<LiveGroups.Group> groups = LiveGroups.inOrder(found, ordering, asked.searcher(), asked.found(), ofOne);
        List<LiveAnswer.Group> shown = new ArrayList<>();
        int left = live.most();
        int groupsLeft = groups.size();
        for (LiveGroups.Group group : groups) {
            // Every collection that has something keeps room for one, so that none goes unseen.
            int keptForOthers = Math.min(Math.max(0, left - 1), groupsLeft - 1);
            int room = Math.min(group.results().size(), left - keptForOthers);
            CollectionKey key = new CollectionKey(group.collection());
            groupsLeft--;
            left -= room;
            shown.add(new LiveAnswer.Group(
                    key,
                    cards.label(key),
                    group.total(),
                    cards.of(group.results().subList(0, room))));
        }
        return shown;
    }

    /**
     * The order of a query's results, and the places of some items among them.
     *
     * @param most how many of the first results are named
     * @param suggestion whether it matters what visitors are asked, which is much work where little is found
     */
    public Ranking ranking(CompiledSearch search, String text, int most, Set<ItemRef> asked, boolean suggestion) {
        VisitorQuery query = VisitorQuery.plain(text, today(search.content()));
        return read(state -> {
            NarrowedQuery all = NarrowedQuery.of(state, search, query, gazetteer);
            ReadQuery read = all.read();
            Ordering ordering = Ordering.ofAll(all);
            TopFieldDocs top = state.searcher().search(read.lucene(), top(state.searcher(), ordering.sort(), most));
            int total = Math.toIntExact(top.totalHits.value());
            List<ItemRef> first = new ArrayList<>();
            for (ScoreDoc document : ordering.merged(top.scoreDocs, total, read.lucene())) {
                first.add(Ordering.reference(document));
            }
            Map<ItemRef, Integer> places = new HashMap<>();
            PlacesInResults beyond = new PlacesInResults(state.searcher());
            for (ItemRef ref : asked) {
                int place = first.indexOf(ref) + 1;
                int document = place > 0 || total <= first.size() ? -1 : beyond.document(ref);
                Integer found =
                        place > 0 ? (Integer) place : document < 0 ? null : beyond.place(read.lucene(), ordering, ref);
                if (found != null) {
                    places.put(ref, found);
                }
            }
            return new Ranking(total, first, places, !suggestion ? null : new DidYouMean(all).of(total));
        });
    }

    /** Another number whenever items came, went or changed, so that what was reckoned before may not hold any more. */
    public long contentState() {
        return read(state -> ((DirectoryReader) state.searcher().getIndexReader()).getVersion());
    }

    /** The titles of items; those that are gone are missing. */
    public Map<ItemRef, String> titles(java.util.Collection<ItemRef> refs) {
        return read(state -> {
            Map<ItemRef, String> titles = new HashMap<>();
            PlacesInResults places = new PlacesInResults(state.searcher());
            for (ItemRef ref : refs) {
                int document = places.document(ref);
                if (document >= 0) {
                    // An item without a title is named by what else it says.
                    titles.put(
                            ref,
                            IndexFields.item(state.searcher().storedFields(), document, NAMING)
                                    .title());
                }
            }
            return titles;
        });
    }

    /** Why a query finds an item where it does, or why it does not. */
    public Explanation explain(CompiledSearch search, VisitorQuery query, ItemRef item) {
        return read(state -> new Explainer(state, search, query, item, gazetteer).explain());
    }
}
