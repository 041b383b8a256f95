package tidylantern.core.query;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopFieldCollector;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import org.apache.lucene.util.SloppyMath;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.Position;

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

    /**
     * One page of results, in the design's order or the visitor's; ties by the item's id, so that pages never repeat or
     * lose an item.
     *
     * @throws TookTooLong if it would take so long that nobody waits for it; so do {@link #values} and {@link #live}
     */
    public Answer answer(SiteContent content, SearchDesign design, VisitorQuery query) {
        return answer(content, design, query, Popularity.UNKNOWN);
    }

    /**
     * The same for a search of which it is known what visitors chose.
     *
     * @param popularity what is popular, where the page shows that
     */
    public Answer answer(SiteContent content, SearchDesign design, VisitorQuery query, Popularity popularity) {
        try {
            return index.read(searcher -> answer(searcher, content, design, query, popularity));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /**
     * Reckons what a new state of the index needs for answers under some designs (numbers of category values, ends of
     * ranges, who holds a tier), so that no visitor waits for it.
     *
     * @param next a state that nobody asks yet
     */
    public void prepare(IndexSearcher next, SiteContent content, List<SearchDesign> designs) {
        VisitorQuery startingList = VisitorQuery.plain("", today(content));
        try {
            for (SearchDesign design : designs) {
                answer(next, content, design, startingList, Popularity.UNKNOWN);
            }
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    private Answer answer(
            IndexSearcher searcher, SiteContent content, SearchDesign design, VisitorQuery query, Popularity popularity)
            throws IOException {
        Asked asked = Asked.of(searcher, content, design, query, gazetteer);
        ReadQuery read = asked.read();
        Ordering ordering = asked.ordering();
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
                                        new Sideways(
                                                best,
                                                asked.narrowing(),
                                                asked.narrowing().filters(),
                                                among)));
        int total = nearest != null ? Nearest.inReach(asked) : Math.toIntExact(top.totalHits.value());
        Chosen chosen = Chosen.of(searcher, popularity);
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
        Cards cards =
                new Cards(asked, ordering, excerpts, design.page().layout().place());
        List<Hit> hits = cards.of(onPage.results());
        List<Item> items = List.copyOf(cards.items());
        boolean offersRelated = total == 0 && design.page().shows().nothing().related();
        List<Hit> related = offersRelated ? cards.beside(Related.of(asked, ordering)) : List.of();
        List<FilterAnswer> filters = asked.narrowing().answers();
        String didYouMean = new DidYouMean(asked).of(total);
        Shown shown = new Shown(design, total, filters, among == null ? Set.of() : among.keys());
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
                total > 0 ? List.of() : WithoutOne.of(asked),
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
            SiteContent content, SearchDesign design, VisitorQuery query, String filter, String below, String named) {
        try {
            return index.read(searcher -> {
                Asked asked = Asked.of(searcher, content, design, query, gazetteer);
                OneFilter one = asked.narrowing().filter(filter);
                if (one == null) {
                    return List.of();
                }
                inTime(
                        searcher,
                        own -> own.search(
                                asked.read().lucene(),
                                new Sideways(
                                        top(searcher, Sort.INDEXORDER, 1), asked.narrowing(), List.of(one), null)));
                return one.more(below, named);
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** What each filter of a design in use does today, in their order. */
    public List<FilterFigures> figures(SiteContent content, SearchDesign design) {
        try {
            return index.read(searcher -> {
                List<FilterFigures> figures = new ArrayList<>();
                VisitorQuery everything = VisitorQuery.plain("", today(content));
                for (OneFilter one : Asked.of(searcher, content, design, everything, gazetteer)
                        .narrowing()
                        .filters()) {
                    BooleanQuery.Builder any = new BooleanQuery.Builder();
                    one.filter()
                            .fields()
                            .forEach(field -> any.add(
                                    new TermQuery(new Term(IndexFields.HAS, field.value())),
                                    BooleanClause.Occur.SHOULD));
                    int items = searcher.count(new BooleanQuery.Builder()
                            .add(ReachQuery.of(design.reach()), BooleanClause.Occur.FILTER)
                            .add(any.build(), BooleanClause.Occur.FILTER)
                            .build());
                    figures.add(new FilterFigures(
                            one.filter().key(), one.onOffer(), one.nearlyUnique(), items, one.leftOut()));
                }
                return figures;
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** How many items that a design reaches hold each of its tiers on a day, by the tiers' keys. */
    public Map<String, Integer> holders(SiteContent content, SearchDesign design, LocalDate day) {
        try {
            return index.read(searcher -> {
                TierHolders holders = TierHolders.of(searcher, design, content, day);
                Map<String, Integer> held = new HashMap<>();
                for (int tier = 0; tier < holders.tiers().size(); tier++) {
                    held.put(
                            holders.tiers().get(tier).key(),
                            holders.found(searcher, ReachQuery.of(design.reach()), tier).length);
                }
                return held;
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    private static TopFieldCollectorManager top(IndexSearcher searcher, Sort order, long wanted) {
        int most = Math.max(1, searcher.getIndexReader().maxDoc());
        return new TopFieldCollectorManager(order, (int) Math.min(wanted, most), null, Integer.MAX_VALUE);
    }

    /** The short list: the same items in the same order as {@link #answer}, by collection where the design says so. */
    public LiveAnswer live(SiteContent content, SearchDesign design, VisitorQuery query) {
        try {
            return index.read(searcher -> {
                Asked asked = Asked.whileTyping(searcher, content, design, query, gazetteer);
                Ordering ordering = asked.liveOrdering();
                Cards cards = new Cards(
                        asked, ordering, new Excerpts(asked.read().matches(), LIVE_EXCERPT, true), Place.LIVE);
                List<LiveAnswer.Group> shown = design.live().grouped()
                        ? byCollection(asked, ordering, cards)
                        : inOneList(asked, ordering, cards);
                int total = shown.stream().mapToInt(LiveAnswer.Group::total).sum();
                LiveList.Above above = design.live().above();
                return new LiveAnswer(
                        query.text().strip(),
                        asked.read().startingList(),
                        total,
                        shown.stream().filter(group -> !group.hits().isEmpty()).toList(),
                        above.completions() ? new Completions(asked).of() : List.of(),
                        total == 0 && above.didYouMean() ? new DidYouMean(asked).of(0) : null);
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** Where what {@link #answer} finds is, on all its pages together. */
    public FoundAddresses addresses(SiteContent content, SearchDesign design, VisitorQuery query) {
        try {
            return index.read(searcher -> {
                Asked asked = Asked.of(searcher, content, design, query, gazetteer);
                Ordering ordering = asked.ordering();
                TopFieldCollectorManager best = top(searcher, ordering.sort(), FoundAddresses.MOST);
                TopFieldDocs found = inTime(searcher, own -> own.search(asked.found(), best));
                int total = Math.toIntExact(found.totalHits.value());
                StoredFields stored = searcher.storedFields();
                List<String> addresses = new ArrayList<>();
                for (ScoreDoc document : ordering.merged(found.scoreDocs, total, asked.found())) {
                    String address = IndexFields.item(stored, document.doc, Set.of(FieldKey.ADDRESS))
                            .address();
                    if (address != null) {
                        addresses.add(address);
                    }
                }
                boolean whole =
                        asked.read().startingList() && !asked.narrowing().isSet();
                return new FoundAddresses(total, whole, addresses);
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    private List<LiveAnswer.Group> inOneList(Asked asked, Ordering ordering, Cards cards) throws IOException {
        int most = asked.design().live().most();
        TopFieldCollectorManager best = top(asked.searcher(), ordering.sort(), most);
        TopFieldDocs found = inTime(asked.searcher(), own -> own.search(asked.found(), best));
        int total = Math.toIntExact(found.totalHits.value());
        List<ScoreDoc> inOrder = ordering.merged(found.scoreDocs, total, asked.found());
        return List.of(
                new LiveAnswer.Group(null, "", total, cards.of(inOrder.subList(0, Math.min(most, inOrder.size())))));
    }

    private List<LiveAnswer.Group> byCollection(Asked asked, Ordering ordering, Cards cards) throws IOException {
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
    public Ranking ranking(
            SiteContent content, SearchDesign design, String text, int most, Set<ItemRef> asked, boolean suggestion) {
        VisitorQuery query = VisitorQuery.plain(text, today(content));
        try {
            return index.read(searcher -> {
                Asked all = Asked.of(searcher, content, design, query, gazetteer);
                ReadQuery read = all.read();
                Ordering ordering = all.orderingOfAll();
                TopFieldDocs top = searcher.search(read.lucene(), top(searcher, ordering.sort(), most));
                int total = Math.toIntExact(top.totalHits.value());
                List<ItemRef> first = new ArrayList<>();
                for (ScoreDoc document : ordering.merged(top.scoreDocs, total, read.lucene())) {
                    first.add(Ordering.reference(document));
                }
                Map<ItemRef, Integer> places = new HashMap<>();
                Places beyond = new Places(searcher);
                for (ItemRef ref : asked) {
                    int place = first.indexOf(ref) + 1;
                    int document = place > 0 || total <= first.size() ? -1 : beyond.document(ref);
                    Integer found = place > 0
                            ? (Integer) place
                            : document < 0 ? null : beyond.place(read.lucene(), ordering, ref);
                    if (found != null) {
                        places.put(ref, found);
                    }
                }
                return new Ranking(total, first, places, !suggestion ? null : new DidYouMean(all).of(total));
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** Another number whenever items came, went or changed, so that what was reckoned before may not hold any more. */
    public long contentState() {
        try {
            return index.read(searcher -> ((DirectoryReader) searcher.getIndexReader()).getVersion());
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** The titles of items; those that are gone are missing. */
    public Map<ItemRef, String> titles(java.util.Collection<ItemRef> refs) {
        try {
            return index.read(searcher -> {
                Map<ItemRef, String> titles = new HashMap<>();
                Places places = new Places(searcher);
                for (ItemRef ref : refs) {
                    int document = places.document(ref);
                    if (document >= 0) {
                        // An item without a title is named by what else it says.
                        titles.put(
                                ref,
                                IndexFields.item(searcher.storedFields(), document, NAMING)
                                        .title());
                    }
                }
                return titles;
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** The owner's synonyms that a query brings into play. */
    public static Set<Synonym> synonymsIn(SiteContent content, SearchDesign design, String text) {
        Set<String> languages = content.languages(design.searched());
        return Vocabulary.of(design.words(), languages).replaceable(WordForms.allWordsOf(text, languages)).stream()
                .map(Vocabulary.Replaceable::synonym)
                .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
    }

    /** Why a query finds an item where it does, or why it does not. */
    public Explanation explain(SiteContent content, SearchDesign design, VisitorQuery query, ItemRef item) {
        try {
            return index.read(searcher -> new Explainer(searcher, content, query, item, gazetteer).explain(design));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    /** Makes hits of what was found, for one query. */
    private static final class Cards {
        private final StoredFields stored;
        private final SiteContent content;
        private final Asked asked;
        private final Ordering ordering;
        private final @Nullable FieldKey places;
        private final @Nullable Position from;
        private final Excerpts excerpts;
        private final List<FieldKey> prose;
        private final Set<FieldKey> wanted;
        /** By collection, the fields that its card shows. */
        private final Map<CollectionKey, Set<FieldKey>> shown = new HashMap<>();
        /** By collection, how many lines of text stand on its card. */
        private final Map<CollectionKey, Integer> lines = new HashMap<>();

        private final List<Item> items = new ArrayList<>();
        private final Map<String, Stemming> stemmings = new HashMap<>();

        Cards(Asked asked, Ordering ordering, Excerpts excerpts, Place place) throws IOException {
            SearchDesign design = asked.design();
            this.asked = asked;
            for (CollectionKey collection : design.searched()) {
                Card card = design.card(place, collection);
                shown.put(collection, card.fields());
                lines.put(collection, card.excerptLines());
            }
            Filter tags = place == Place.WALL ? design.tagFilter() : null;
            if (tags != null) {
                shown.replaceAll((collection, fields) ->
                        Stream.concat(fields.stream(), Stream.of(tags.field())).collect(Collectors.toSet()));
            }
            this.ordering = ordering;
            this.stored = asked.searcher().storedFields();
            this.content = asked.content();
            this.places =
                    Located.placeFields(design, content).stream().findFirst().orElse(null);
            this.from = asked.located().position();
            this.excerpts = excerpts;
            this.prose = design.words().searched().stream()
                    .sorted(Comparator.comparingDouble(FieldWeight::weight)
                            .reversed()
                            .thenComparing(FieldWeight::field))
                    .map(FieldWeight::field)
                    .filter(field -> content.kind(field) == FieldKind.TEXT)
                    .toList();
            this.wanted = new HashSet<>(List.of(FieldKey.TITLE, FieldKey.IMAGE, FieldKey.ADDRESS));
            if (lines.values().stream().anyMatch(some -> some > 0)) {
                wanted.addAll(prose);
                wanted.addAll(List.of(FieldKey.HEADINGS, FieldKey.SUMMARY, FieldKey.BODY));
            }
            if (design.words().help().seeAlso() && !asked.read().startingList()) {
                content.collections().stream()
                        .flatMap(collection -> collection.fields().stream())
                        .filter(field -> field.kind() == FieldKind.CATEGORY)
                        .forEach(field -> wanted.add(field.key()));
            }
            if (places != null && from != null) {
                wanted.add(places);
            }
            shown.values().forEach(wanted::addAll);
        }

        /** The items of the hits made so far, with the fields that are needed of them. */
        List<Item> items() {
            return items;
        }

        List<Hit> of(List<ScoreDoc> documents) throws IOException {
            if (ordering.scoreAt() < 0 && !asked.read().startingList()) {
                // Something else decides the order; what the words gave is reckoned for these few alone.
                TopFieldCollector.populateScores(
                        documents.toArray(ScoreDoc[]::new),
                        asked.searcher(),
                        asked.read().lucene());
            }
            return made(documents);
        }

        /** The same for items that the query does not find, which its words give nothing. */
        List<Hit> beside(List<ScoreDoc> documents) throws IOException {
            documents.forEach(document -> document.score = 0);
            return made(documents);
        }

        private List<Hit> made(List<ScoreDoc> documents) throws IOException {
            List<Hit> hits = new ArrayList<>(documents.size());
            int score = ordering.scoreAt();
            for (int at = 0; at < documents.size(); at++) {
                ScoreDoc document = documents.get(at);
                Item item = IndexFields.item(stored, document.doc, wanted);
                items.add(item);
                Stemming stemming =
                        stemmings.computeIfAbsent(language(item.ref().collection()), Stemming::new);
                double gave = asked.read().startingList()
                        ? 0
                        : score < 0 ? document.score : ((Number) ((FieldDoc) document).fields[score]).doubleValue();
                hits.add(new Hit(
                        item.ref(),
                        label(item.ref().collection()),
                        item.address(),
                        excerpts.whole(item.title(), stemming),
                        excerpt(item, stemming),
                        item.values().get(FieldKey.IMAGE) instanceof FieldValue.Image image ? image : null,
                        values(item),
                        gave,
                        metres(item),
                        ordering.holders().of(asked.searcher(), document.doc),
                        ordering.standing(
                                (FieldDoc) document, neighbour(documents, at), ordering.takesTurns(document.doc))));
            }
            return hits;
        }

        private MarkedText excerpt(Item item, Stemming stemming) {
            int room = lines.getOrDefault(item.ref().collection(), 0);
            return room == 0 ? MarkedText.EMPTY : excerpts.excerpt(item, prose, stemming, room);
        }

        /**
         * The result that tells why one stands there: the one before it that no pin puts where it is; the one after it
         * for the first, and for the first behind the lifted ones, of which everybody knows that they come first.
         */
        private @Nullable FieldDoc neighbour(List<ScoreDoc> documents, int at) {
            for (int before = at - 1; before >= 0; before--) {
                if (!ordering.isPinned(documents.get(before).doc)) {
                    if (ordering.isLifted(documents.get(before).doc) == ordering.isLifted(documents.get(at).doc)
                            || at + 1 >= documents.size()) {
                        return (FieldDoc) documents.get(before);
                    }
                    break;
                }
            }
            return at + 1 < documents.size() ? (FieldDoc) documents.get(at + 1) : null;
        }

        private Map<FieldKey, FieldValue> values(Item item) {
            Map<FieldKey, FieldValue> values = new HashMap<>(item.values());
            values.keySet().retainAll(shown.getOrDefault(item.ref().collection(), Set.of()));
            return Map.copyOf(values);
        }

        private @Nullable Double metres(Item item) {
            return from != null && places != null && item.values().get(places) instanceof FieldValue.Place place
                    ? (Double) SloppyMath.haversinMeters(
                            from.latitude(), from.longitude(), place.latitude(), place.longitude())
                    : null;
        }

        String label(CollectionKey key) {
            Collection collection = content.collection(key);
            return collection == null ? key.value() : collection.label();
        }

        private String language(CollectionKey key) {
            Collection collection = content.collection(key);
            return collection == null ? "und" : collection.language();
        }
    }
}
