package tidylantern.core.index;

import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.index.ConcurrentMergeScheduler;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.MergePolicy;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.index.TieredMergePolicy;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.SearcherFactory;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.search.similarities.BM25Similarity;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.InfoStream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;

/**
 * The index of one site. One thread writes at a time; any number read meanwhile, each from the state it took.
 *
 * <p>The index follows a truth kept elsewhere: every batch comes with the number of the last change in it, and
 * {@link #lastChange} tells after a restart from where to go on.
 */
public final class SiteIndex implements Closeable {
    /** BM25 with the usual constants (Robertson and Zaragoza 2009); the query package reckons with the same. */
    public static final float K1 = 1.2f;

    public static final float B = 0.75f;
    /** So many parts of one size may stand beside one another once nothing is written: half of what Lucene takes. */
    private static final double SETTLED_PARTS = 4;
    /** So many documents are put together into one part: that is written within a second, whatever changed of it. */
    private static final int MOST_IN_ONE_PART = 10_000;
    /** As Lucene has it: with fewer a large push would write most of an index several times. */
    private static final double PARTS_WHILE_WRITTEN = new TieredMergePolicy().getSegmentsPerTier();

    /** Of what was added and is no part of the index yet. Lucene's own 16 make twice as many parts to merge. */
    private static final double MB_BEFORE_A_PART = 32;

    /**
     * So long whoever changed something waits for small parts to be put together before it is shown. Lucene's own half
     * second is used up wherever merges give way to visitors, and nothing but one part more is lost.
     */
    private static final long MOST_MS_FOR_FEWER_PARTS = 50;

    private static final String LAST_CHANGE = "last-change";
    private static final String SHAPE = "shape";
    /**
     * Begins the name under which the reason for one item is kept beside the number of the last change, and committed
     * with it.
     */
    private static final String PASSED_OVER = "passed-over:";

    private static final int MOST_PASSED_OVER = 10_000;
    private static final int LONGEST_REASON = 400;
    private static final Analyzer NO_WORDS = WordForms.analyzer("und");
    /**
     * Raised whenever {@link IndexFields} lays items out in another way: an older index is then thrown away and made
     * anew.
     */
    private static final String CURRENT_SHAPE = "8";

    private final Directory directory;
    private final TieredMergePolicy merging = new TieredMergePolicy();
    private final ConcurrentMergeScheduler merges = new MergesGivingWay();
    private final IndexWriter writer;
    private final SearcherManager searchers;
    private final Map<String, Analyzer> analyzers = new ConcurrentHashMap<>();
    private final Map<ItemRef, String> passedOver = new ConcurrentHashMap<>();
    private final IndexParts parts = new IndexParts();
    private volatile Consumer<IndexState> beforeShown = next -> {};
    private volatile long lastChange;
    private volatile boolean uncommitted;

    private SiteIndex(Directory directory, boolean anew) throws IOException {
        this.directory = directory;
        IndexWriterConfig config = new IndexWriterConfig(WordForms.analyzer("und"));
        config.setSimilarity(similarity());
        config.setInfoStream(InfoStream.NO_OUTPUT);
        config.setOpenMode(anew ? IndexWriterConfig.OpenMode.CREATE : IndexWriterConfig.OpenMode.CREATE_OR_APPEND);
        config.setCommitOnClose(false);
        config.setMergePolicy(merging);
        config.setRAMBufferSizeMB(MB_BEFORE_A_PART);
        config.setMaxFullFlushMergeWaitMillis(MOST_MS_FOR_FEWER_PARTS);
        config.setMergeScheduler(merges);
        writer = new IndexWriter(directory, config);
        Iterable<Map.Entry<String, String>> said = writer.getLiveCommitData();
        lastChange = changeIn(said);
        passedOver.putAll(passedOverIn(said));
        searchers = new SearcherManager(writer, new SearcherFactory() {
            @Override
            public IndexSearcher newSearcher(IndexReader reader, IndexReader previous) {
                StateSearcher next = new StateSearcher(reader);
                beforeShown.accept(next.state);
                return next;
            }
        });
    }

    /**
     * What is to be done with each new state of the index before anybody can ask it; whoever asks meanwhile is answered
     * from the state before.
     *
     * @param work must not fail, or the state is not shown
     */
    public void beforeShown(Consumer<IndexState> work) {
        beforeShown = work;
    }

    private static final class MergesGivingWay extends ConcurrentMergeScheduler {
        @Override
        protected synchronized MergeThread getMergeThread(MergeSource source, MergePolicy.OneMerge merge)
                throws IOException {
            return GivingWay.having(super.getMergeThread(source, merge));
        }
    }

    /** What reads a state knows it, so that both go when nobody reads it any more. */
    private final class StateSearcher extends IndexSearcher {
        private final IndexState state = new IndexState(this, parts);

        StateSearcher(IndexReader reader) {
            super(reader);
            setSimilarity(similarity());
        }
    }

    /** Reads a state that somebody has taken, scoring as this index does. */
    public static IndexSearcher searcher(IndexReader reader) {
        IndexSearcher searcher = new IndexSearcher(reader);
        searcher.setSimilarity(similarity());
        return searcher;
    }

    /**
     * Opens the index in a folder, which is made if it is missing. One that is damaged or laid out by another version
     * is emptied; its {@link #lastChange} is then 0.
     *
     * @throws IOException if the folder cannot be written
     */
    public static SiteIndex open(Path folder) throws IOException {
        Directory directory = FSDirectory.open(folder);
        try {
            boolean anew = !usable(directory);
            if (anew) {
                // Lucene reads what is there even to overwrite it, and would stumble over the damage again.
                for (String file : directory.listAll()) {
                    directory.deleteFile(file);
                }
            }
            return new SiteIndex(directory, anew);
        } catch (IOException | RuntimeException failure) {
            directory.close();
            throw failure;
        }
    }

    /**
     * Lengths count the stems too, as the average length does that Lucene reckons from the same words: counted on one
     * side only, every text would look half as long as the average.
     */
    private static BM25Similarity similarity() {
        return new BM25Similarity(K1, B, false);
    }

    private static boolean usable(Directory directory) {
        try {
            if (!DirectoryReader.indexExists(directory)) {
                return false;
            }
            try (DirectoryReader reader = DirectoryReader.open(directory)) {
                for (var leaf : reader.leaves()) {
                    leaf.reader().checkIntegrity();
                }
                return CURRENT_SHAPE.equals(
                        reader.getIndexCommit().getUserData().get(SHAPE));
            }
        } catch (IOException | RuntimeException damaged) {
            // Not lost: what the index says can be read again from the database, and will be.
            return false;
        }
    }

    private static long changeIn(@Nullable Iterable<Map.Entry<String, String>> commitData) {
        if (commitData != null) {
            for (Map.Entry<String, String> entry : commitData) {
                if (entry.getKey().equals(LAST_CHANGE)) {
                    return Long.parseLong(entry.getValue());
                }
            }
        }
        return 0;
    }

    private static Map<ItemRef, String> passedOverIn(@Nullable Iterable<Map.Entry<String, String>> commitData) {
        Map<ItemRef, String> items = new HashMap<>();
        if (commitData != null) {
            for (Map.Entry<String, String> entry : commitData) {
                if (entry.getKey().startsWith(PASSED_OVER)) {
                    items.put(ItemRef.parse(entry.getKey().substring(PASSED_OVER.length())), entry.getValue());
                }
            }
        }
        return items;
    }

    /** The number of the last change that the index has seen; 0 for an empty one. */
    public long lastChange() {
        return lastChange;
    }

    /** Whether something was applied since the last {@link #commit}. */
    public boolean uncommitted() {
        return uncommitted;
    }

    /**
     * One item as it now is.
     *
     * @param item with what its owner wrote in place of what the source says
     * @param language of its collection
     * @param changed when its source last said something else
     */
    public record Changed(Item item, String language, OwnerMark mark, Instant changed) {
        public Changed(Item item, String language) {
            this(item, language, OwnerMark.NONE, Instant.EPOCH);
        }
    }

    /**
     * Whether an item could be taken over, without doing so.
     *
     * @throws IllegalArgumentException if not; it names the field at fault
     */
    public static void check(Changed one) {
        IndexFields.document(one, NO_WORDS);
    }

    /**
     * Takes over items that belong to a larger change, without showing them yet or moving {@link #lastChange}; the last
     * of the batches goes through {@link #apply}. Showing costs more than adding, so it is done once.
     *
     * <p>An item that cannot be laid into the index, whatever the reason, is {@linkplain #passOver passed over}, and
     * everything after it goes on: one item must not keep a whole site from its searches.
     *
     * @return why, for those that were passed over
     * @throws IOException if the index itself cannot be written
     */
    public synchronized Map<ItemRef, String> add(Collection<Changed> changed) throws IOException {
        // Taking words apart is most of the work, and every processor can do a part of it: items of a batch are
        // different ones, and the order of documents in the index decides nothing.
        Map<ItemRef, String> unfit = new ConcurrentHashMap<>();
        try {
            GivingWay.onAllProcessors(() -> {
                changed.parallelStream().forEach(one -> add(one, unfit));
                return unfit;
            });
        } catch (UncheckedIOException failure) {
            throw failure.getCause();
        }
        for (Map.Entry<ItemRef, String> one : unfit.entrySet()) {
            passOver(one.getKey(), one.getValue());
        }
        return unfit;
    }

    private void add(Changed one, Map<ItemRef, String> unfit) {
        Analyzer analyzer = analyzers.computeIfAbsent(one.language(), WordForms::analyzer);
        try {
            writer.updateDocument(refTerm(one.item().ref()), IndexFields.document(one, analyzer));
            passedOver.remove(one.item().ref());
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        } catch (RuntimeException failure) {
            if (!writer.isOpen()) {
                // No fault of the item's: the whole index is broken, and every item would be to blame.
                throw failure;
            }
            unfit.put(one.item().ref(), String.valueOf(failure.getMessage()));
        }
    }

    /** Like {@link #add}, for items that are gone. */
    public synchronized void remove(Collection<ItemRef> removed) throws IOException {
        for (ItemRef ref : removed) {
            writer.deleteDocuments(refTerm(ref));
            passedOver.remove(ref);
        }
    }

    /**
     * Leaves an item out that cannot be shown as it now is; what the index said of it before goes, since it is no
     * longer true. It is kept in mind, over restarts too, until the item changes or goes.
     */
    public synchronized void passOver(ItemRef item, String reason) throws IOException {
        writer.deleteDocuments(refTerm(item));
        if (passedOver.size() < MOST_PASSED_OVER) {
            passedOver.put(item, reason.substring(0, Math.min(reason.length(), LONGEST_REASON)));
        }
        uncommitted = true;
    }

    /** Items that could not be laid into the index, at most {@value #MOST_PASSED_OVER}, and why. */
    public Map<ItemRef, String> passedOver() {
        return Map.copyOf(passedOver);
    }

    /** Whether it can still be written; no longer after the disk failed it. It can be read all the same. */
    public boolean writable() {
        return writer.isOpen();
    }

    /**
     * Takes over a batch of changes and shows them to the searches that begin afterwards.
     *
     * @param change the number of the last change in the batch; never lower than before
     */
    public synchronized void apply(Collection<Changed> changed, Collection<ItemRef> removed, long change)
            throws IOException {
        add(changed);
        remove(removed);
        lastChange = Math.max(lastChange, change);
        uncommitted = true;
        searchers.maybeRefreshBlocking();
    }

    /**
     * Puts the parts of the index together into fewer, those of a few thousand items into one; to be called when
     * nothing is written for now. Every word of a query is looked up in each part, and the words near a mistyped one
     * are walked for in each. Returns once that is done, which takes as long as writing so much of the index anew;
     * whoever asks or writes meanwhile is not held up. {@link #showSettled} has it asked.
     */
    public void settle() throws IOException {
        if (writer.getDocStats().maxDoc <= MOST_IN_ONE_PART) {
            writer.forceMerge(1);
        } else {
            merging.setSegmentsPerTier(SETTLED_PARTS);
            try {
                writer.maybeMerge();
                merges.sync();
            } finally {
                merging.setSegmentsPerTier(PARTS_WHILE_WRITTEN);
            }
        }
        // The files that were put together go with the next commit.
        uncommitted = true;
    }

    /** Shows what was {@linkplain #settle settled} to the searches that begin afterwards. */
    public synchronized void showSettled() throws IOException {
        searchers.maybeRefreshBlocking();
    }

    /** Forgets the items of all other collections, and shows that. Costs next to nothing where there are none. */
    public synchronized void keepOnly(Collection<CollectionKey> collections) throws IOException {
        Set<String> known = collections.stream().map(CollectionKey::value).collect(Collectors.toSet());
        List<Term> gone = read(state -> {
            List<Term> others = new ArrayList<>();
            Terms terms = MultiTerms.getTerms(state.searcher().getIndexReader(), IndexFields.COLLECTION);
            TermsEnum each = terms == null ? TermsEnum.EMPTY : terms.iterator();
            for (BytesRef term = each.next(); term != null; term = each.next()) {
                if (!known.contains(term.utf8ToString())) {
                    others.add(new Term(IndexFields.COLLECTION, BytesRef.deepCopyOf(term)));
                }
            }
            return others;
        });
        passedOver.keySet().removeIf(item -> !known.contains(item.collection().value()));
        if (!gone.isEmpty()) {
            writer.deleteDocuments(gone.toArray(Term[]::new));
            uncommitted = true;
            searchers.maybeRefreshBlocking();
        }
    }

    /** Forgets everything, to begin again from change 0. */
    public synchronized void clear() throws IOException {
        writer.deleteAll();
        passedOver.clear();
        lastChange = 0;
        uncommitted = true;
        searchers.maybeRefreshBlocking();
    }

    /** Like {@link #clear}, but whoever asks is answered from what was there until something is applied. */
    public synchronized void beginAnew() throws IOException {
        writer.deleteAll();
        passedOver.clear();
        lastChange = 0;
        uncommitted = true;
    }

    /**
     * Writes what was applied to disk. Until then a crash loses it from the index, to be read again from the database.
     */
    public synchronized void commit() throws IOException {
        if (!uncommitted) {
            return;
        }
        Map<String, String> said = new HashMap<>(Map.of(LAST_CHANGE, Long.toString(lastChange), SHAPE, CURRENT_SHAPE));
        passedOver.forEach((item, reason) -> said.put(PASSED_OVER + item, reason));
        writer.setLiveCommitData(said.entrySet());
        writer.commit();
        uncommitted = false;
    }

    /** Something that reads the index. */
    @FunctionalInterface
    public interface Reading<T> {
        T from(IndexState state) throws IOException;
    }

    /** Reads from the newest state, which stays the same for as long as the reading takes. */
    public <T> T read(Reading<T> reading) throws IOException {
        IndexSearcher searcher = searchers.acquire();
        try {
            return reading.from(((StateSearcher) searcher).state);
        } finally {
            searchers.release(searcher);
        }
    }

    /** How many items there are. */
    public int size() throws IOException {
        return read(state -> state.searcher().getIndexReader().numDocs());
    }

    private static Term refTerm(ItemRef ref) {
        return new Term(IndexFields.REF, ref.toString());
    }

    @Override
    public synchronized void close() throws IOException {
        if (writer.isOpen()) {
            commit();
        }
        searchers.close();
        writer.close();
        directory.close();
    }
}
