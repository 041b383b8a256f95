package tidylantern.server.source;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.mapping.Mapper;
import tidylantern.core.mapping.Mapping;
import tidylantern.core.place.Gazetteer;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.intake.IntakeReport;
import tidylantern.server.content.intake.ItemIntake;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.Digests;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;
import tidylantern.server.platform.SomeNames;
import tidylantern.server.site.Sites;
import tidylantern.server.source.reading.CrawlReader;
import tidylantern.server.source.reading.Reading;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.SourceSettings;
import tidylantern.server.source.reading.WebFetcher;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs sources. A sync reads its source to the end into a spool, a file of items; only then are they taken, all in one
 * transaction, so that one that fails or is stopped leaves nothing behind. One that would remove more than a third of
 * the collection keeps its spool and asks.
 */
@Component
public class Syncs implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Syncs.class);
    private static final int AT_ONCE = 8;
    private static final int AT_ONCE_OF_A_SITE = 2;
    private static final int KEPT = 50;
    private static final int MILLIS_TO_END = 10_000;

    private final SourceStore store;
    private final Sources sources;
    private final SourceReaders readers;
    private final ItemIntake intake;
    private final SiteContents contents;
    private final Sites sites;
    private final ChangeGate gate;
    private final Path spools;
    private final Clock clock;
    private final Gazetteer gazetteer;
    private final JsonMapper json;
    private final Map<SyncId, Running> running = new ConcurrentHashMap<>();
    private final SiteTurns turns = new SiteTurns(AT_ONCE, AT_ONCE_OF_A_SITE);
    private volatile boolean started;

    Syncs(
            SourceStore store,
            Sources sources,
            SourceReaders readers,
            ItemIntake intake,
            SiteContents contents,
            Sites sites,
            Settings settings,
            ChangeGate gate,
            Clock clock,
            Gazetteer gazetteer,
            JsonMapper json) {
        this.gazetteer = gazetteer;
        this.gate = gate;
        this.store = store;
        this.sources = sources;
        this.readers = readers;
        this.intake = intake;
        this.contents = contents;
        this.sites = sites;
        this.spools = settings.data().resolve("spool");
        this.clock = clock;
        this.json = json;
    }

    /** Where a sync stands. */
    public enum State {
        /** Reads its source, or takes what it read. */
        RUNNING,
        /** Would remove so much that the owner should say yes or no. */
        ASKING,
        DONE,
        FAILED,
        STOPPED;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * One run of a source.
     *
     * @param ended null while it goes on
     * @param read records read so far
     * @param known records known so far; 0 where nobody knows
     */
    public record Sync(
            SyncId id,
            SourceId source,
            State state,
            OffsetDateTime begun,
            String begunBy,
            @Nullable OffsetDateTime ended,
            int read,
            int known,
            SyncReport report) {}

    private static final class Running {
        private final SourceId source;
        private volatile boolean stop;
        private volatile @Nullable Thread thread;
        private volatile int read;
        private volatile int known;

        Running(SourceId source) {
            this.source = source;
        }
    }

    // Runs that were cut off, and those whose time has come

    @Override
    public int getPhase() {
        return 1;
    }

    @Override
    public boolean isRunning() {
        return started;
    }

    @Override
    public void start() {
        started = true;
        if (gate.objection() == null) {
            endThoseCutOff();
        }
    }

    private void endThoseCutOff() {
        for (SourceStore.StoredSync cut : store.inState(State.RUNNING.toString())) {
            end(
                    cut.sync(),
                    State.FAILED,
                    SyncReport.failed(
                            0,
                            List.of(),
                            List.of(),
                            "The service was stopped while this ran. Nothing was changed; run it again."));
        }
    }

    @Override
    public void stop() {
        started = false;
        running.values().forEach(one -> one.stop = true);
        // Whoever waits for an answer need not wait for its end.
        readers.stop();
        try {
            if (!turns.stop(MILLIS_TO_END)) {
                LOG.warn("A sync did not end in time; it will be told as cut off at the next start");
            }
        } catch (InterruptedException hurried) {
            Thread.currentThread().interrupt();
        }
    }

    @Scheduled(initialDelayString = "20s", fixedDelayString = "20s")
    void runDue() {
        if (!started || gate.objection() != null) {
            // Their time comes again.
            return;
        }
        for (Sources.Source source : sources.due()) {
            sources.ranNow(source);
            if (running.values().stream().noneMatch(one -> one.source == source.id())) {
                begin(source.id(), "schedule");
            }
        }
    }

    // What owners do

    /** Newest first. */
    List<Sync> of(SourceId source) {
        sources.get(source);
        return store.syncs(source, KEPT).stream().map(this::shown).toList();
    }

    /** @throws Refusal if there is no such sync */
    Sync get(SyncId sync) {
        return shown(stored(sync));
    }

    @Nullable Sync last(SourceId source) {
        return store.syncs(source, 1).stream().findFirst().map(this::shown).orElse(null);
    }

    private SourceStore.StoredSync stored(SyncId sync) {
        return store.sync(sync).orElseThrow(() -> Refusal.notFound("There is no sync %s.".formatted(sync)));
    }

    private Sync shown(SourceStore.StoredSync stored) {
        Running now = running.get(stored.sync());
        SyncReport report = json.readValue(stored.report(), SyncReport.class);
        return new Sync(
                stored.sync(),
                stored.source(),
                State.valueOf(stored.state().toUpperCase(Locale.ROOT)),
                stored.begun(),
                stored.begunBy(),
                stored.ended(),
                now == null ? report.read() : now.read,
                now == null ? 0 : now.known,
                report);
    }

    /** @throws Refusal if the source runs already, or asks */
    synchronized Sync begin(SourceId source, String by) {
        SiteKey site = sources.get(source).site();
        Sync last = last(source);
        if (last != null && (last.state() == State.RUNNING || last.state() == State.ASKING)) {
            throw Refusal.conflict(
                    last.state() == State.RUNNING
                            ? "This source runs already."
                            : "The last run asks whether it may remove %d items. Answer it first."
                                    .formatted(last.report().asks()));
        }
        SyncId sync = store.addSync(
                source,
                State.RUNNING.toString(),
                OffsetDateTime.now(clock),
                by,
                json.writeValueAsString(SyncReport.begun()));
        store.keepNewest(source, KEPT);
        Running now = new Running(source);
        running.put(sync, now);
        turns.add(site, () -> run(sync, now));
        return get(sync);
    }

    Sync stop(SyncId sync) {
        SourceStore.StoredSync stored = stored(sync);
        Running now = running.get(sync);
        if (now != null) {
            now.stop = true;
            Thread thread = now.thread;
            if (thread != null) {
                readers.abort(thread);
            }
        } else if (stored.state().equals(State.ASKING.toString())) {
            decline(sync);
        }
        return get(sync);
    }

    private void decline(SyncId sync) {
        SyncReport asked = get(sync).report();
        delete(spool(sync));
        end(
                sync,
                State.STOPPED,
                SyncReport.failed(
                        asked.read(), asked.refusals(), asked.notes(), "You said no, so nothing was changed."));
    }

    /**
     * @param by who says that it may remove so much
     * @throws Refusal if the sync does not ask
     */
    synchronized Sync goOn(SyncId sync, String by) {
        SourceStore.StoredSync stored = stored(sync);
        if (!stored.state().equals(State.ASKING.toString())) {
            throw new Refusal(HttpStatus.CONFLICT, null, "This sync does not ask anything.");
        }
        Sources.Source source = sources.get(stored.source());
        SyncReport asked = get(sync).report();
        store.changeSync(sync, State.RUNNING.toString(), null, stored.report());
        Running now = new Running(source.id());
        running.put(sync, now);
        turns.add(
                source.site(),
                () -> guarded(
                        sync,
                        now,
                        () -> take(
                                sync,
                                now,
                                source,
                                new Spooled(asked.read(), asked.refusals(), asked.refused(), asked.notes(), true),
                                by)));
        return get(sync);
    }

    // The run

    private void run(SyncId sync, Running now) {
        guarded(sync, now, () -> {
            Sources.Source source = sources.get(now.source);
            sources.ranNow(source);
            CrawlMemory memory = new CrawlMemory(source);
            Spooled spooled = spool(sync, now, source, memory);
            if (now.stop) {
                throw new Halted();
            }
            if (spooled.read() == 0) {
                throw new SourceProblem("Nothing was found there. Nothing was changed.");
            }
            if (take(sync, now, source, spooled, null)) {
                memory.keep();
            }
        });
    }

    @FunctionalInterface
    private interface Work {
        void go() throws SourceProblem, IOException;
    }

    /** Ends the sync in every case, with words for its owner. */
    private void guarded(SyncId sync, Running now, Work work) {
        boolean asks = false;
        now.thread = Thread.currentThread();
        try {
            if (now.stop) {
                throw new Halted();
            }
            work.go();
            asks = stored(sync).state().equals(State.ASKING.toString());
        } catch (Halted | ItemIntake.Stopped stopped) {
            end(
                    sync,
                    State.STOPPED,
                    SyncReport.failed(now.read, List.of(), List.of(), "Stopped. Nothing was changed."));
        } catch (SourceProblem problem) {
            // One that was stopped while it fetched something has been broken off there.
            end(
                    sync,
                    now.stop ? State.STOPPED : State.FAILED,
                    SyncReport.failed(
                            now.read,
                            List.of(),
                            List.of(),
                            now.stop ? "Stopped. Nothing was changed." : String.valueOf(problem.getMessage())));
        } catch (Refusal refusal) {
            end(
                    sync,
                    State.FAILED,
                    SyncReport.failed(now.read, List.of(), List.of(), String.valueOf(refusal.getMessage())));
        } catch (Throwable failure) {
            // Whatever it was, memory that ran out included: nobody waits for a run that is no more.
            LOG.error("The sync {} failed", sync, failure);
            end(
                    sync,
                    State.FAILED,
                    SyncReport.failed(
                            now.read,
                            List.of(),
                            List.of(),
                            "The service could not do this; its log has the reason. Nothing was changed. Try again."));
        } finally {
            now.thread = null;
            running.remove(sync);
            if (!asks) {
                delete(spool(sync));
            }
        }
    }

    private static final class Halted extends RuntimeException {
        Halted() {
            super("stopped");
        }
    }

    /** @param whole whether what is not in it is gone */
    private record Spooled(
            int read, List<IntakeReport.Refused> refusals, int refused, List<String> notes, boolean whole) {}

    private Spooled spool(SyncId sync, Running now, Sources.Source source, CrawlMemory memory)
            throws SourceProblem, IOException {
        Files.createDirectories(spools);
        try (BufferedWriter out = Files.newBufferedWriter(spool(sync), StandardCharsets.UTF_8)) {
            Mapper mapper = new Mapper(
                    source.given().mapping(), sites.get(source.site()).address(), gazetteer);
            Spooling spooling = new Spooling(now, out, mapper, memory);
            readers.read(source.site(), source.given().settings(), memory, spooling);
            List<String> unplaced = mapper.unplaced();
            if (!unplaced.isEmpty()) {
                spooling.note("No place is known by these names, so their items have none: %s."
                        .formatted(SomeNames.of(unplaced)));
            }
            return new Spooled(
                    spooling.read,
                    List.copyOf(spooling.refusals),
                    spooling.refused,
                    List.copyOf(spooling.notes),
                    !spooling.partly);
        } catch (UncheckedIOException full) {
            throw new SourceProblem(
                    "What was read could not be stored: "
                            + Objects.requireNonNull(full.getCause()).getMessage(),
                    full);
        }
    }

    /**
     * @param agreed who said that it may remove many items; null where nobody was asked yet
     * @return whether it was taken; otherwise it asks now
     */
    private boolean take(SyncId sync, Running now, Sources.Source source, Spooled spooled, @Nullable String agreed) {
        Sources.SourceGiven given = source.given();
        List<String> notes = new ArrayList<>(spooled.notes());
        try {
            IntakeReport taken = intake.take(
                    source.site(),
                    given.collection().value(),
                    () -> Files.newInputStream(spool(sync)),
                    new ItemIntake.Manner(
                            true,
                            given.removesMissing() && spooled.whole(),
                            agreed != null,
                            source.id(),
                            given.mapping().fields(),
                            agreed == null ? stored(sync).begunBy() : agreed),
                    ItemIntake.Watch.of(lines -> {}, () -> now.stop));
            taken.gaveWay()
                    .forEach(field -> notes.add(
                            "The field “%s” was taken for %s and is text now: %s. Set its kind under Fields to have what does not fit refused."
                                    .formatted(field.key(), field.from(), field.reason())));
            if (taken.notRemoved() != null) {
                notes.add(taken.notRemoved());
            }
            List<IntakeReport.Refused> refusals = new ArrayList<>(spooled.refusals());
            refusals.addAll(taken.refusals());
            end(
                    sync,
                    State.DONE,
                    new SyncReport(
                            spooled.read(),
                            taken.added(),
                            taken.changed(),
                            taken.unchanged(),
                            taken.removed(),
                            spooled.refused() + taken.refused(),
                            refusals.subList(0, Math.min(refusals.size(), ItemIntake.MOST_TOLD)),
                            taken.changes(),
                            taken.newFields(),
                            taken.passedOver(),
                            notes,
                            null,
                            null));
            return true;
        } catch (ItemIntake.RemovesMany many) {
            String question = "%,d of the %,d items of the collection are no longer there and would be removed."
                    .formatted(many.removed(), many.of());
            store.changeSync(
                    sync,
                    State.ASKING.toString(),
                    null,
                    json.writeValueAsString(new SyncReport(
                            spooled.read(),
                            0,
                            0,
                            0,
                            0,
                            spooled.refused(),
                            spooled.refusals(),
                            List.of(),
                            List.of(),
                            List.of(),
                            notes,
                            question,
                            many.removed())));
            return false;
        }
    }

    private void end(SyncId sync, State state, SyncReport report) {
        store.changeSync(sync, state.toString(), OffsetDateTime.now(clock), json.writeValueAsString(report));
    }

    private Path spool(SyncId sync) {
        return spools.resolve("sync-" + sync + ".jsonl");
    }

    private static void delete(Path spool) {
        try {
            Files.deleteIfExists(spool);
        } catch (IOException failure) {
            LOG.warn("A spool was left behind: {}", spool, failure);
        }
    }

    /** Writes each record as an item to the spool. */
    private final class Spooling implements Reading {
        private final Running now;
        private final BufferedWriter out;
        private final Mapper mapper;
        private final CrawlMemory memory;
        private final List<IntakeReport.Refused> refusals = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();
        private int read;
        private int refused;
        private boolean partly;

        Spooling(Running now, BufferedWriter out, Mapper mapper, CrawlMemory memory) {
            this.now = now;
            this.out = out;
            this.mapper = mapper;
            this.memory = memory;
        }

        @Override
        public void record(String at, Map<String, @Nullable Object> columns) {
            read++;
            try {
                Mapper.Mapped mapped = mapper.map(columns);
                Map<String, @Nullable Object> line = new LinkedHashMap<>();
                line.put(Mapping.ID, mapped.id().value());
                line.put(ItemIntake.AT, at);
                line.putAll(mapped.properties());
                write(line);
                memory.became(mapped.id().value());
            } catch (ItemRefused wrong) {
                memory.forgetLast();
                refuse(at, wrong.property(), String.valueOf(wrong.getMessage()));
            }
        }

        private void write(Map<String, @Nullable Object> line) {
            try {
                out.write(json.writeValueAsString(line));
                out.newLine();
            } catch (IOException full) {
                throw new UncheckedIOException(full);
            }
        }

        @Override
        public void refuse(String at, String reason) {
            refuse(at, null, reason);
        }

        @Override
        public void gone(String at, String reason) {
            tell(at, null, reason);
        }

        private void refuse(String at, @Nullable String column, String reason) {
            tell(at, column, reason);
            // Its id may not be known, and then nobody can tell which item it would have been.
            incomplete("Some records could not be read, so nothing was taken for gone.");
        }

        private void tell(String at, @Nullable String column, String reason) {
            refused++;
            if (refusals.size() < ItemIntake.MOST_TOLD) {
                refusals.add(new IntakeReport.Refused(0, at, null, column, reason));
            }
        }

        @Override
        public void asBefore(String at, String id) {
            read++;
            Map<String, @Nullable Object> line = new LinkedHashMap<>();
            line.put(Mapping.ID, id);
            line.put(ItemIntake.SAME, true);
            write(line);
        }

        @Override
        public void note(String note) {
            notes.add(note);
        }

        @Override
        public void incomplete(String why) {
            partly = true;
            if (!notes.contains(why)) {
                notes.add(why);
            }
        }

        @Override
        public void progress(int done, int known) {
            now.read = done;
            now.known = known;
        }

        @Override
        public boolean enough() {
            return now.stop;
        }
    }

    /**
     * What a crawl remembers from one run to the next: kept when all went well, and only for pages read in the same
     * way.
     */
    private final class CrawlMemory implements CrawlReader.Memory {
        private final Sources.Source source;
        private final String readAs;
        private final Map<String, SourceStore.StoredPage> before;
        private final Map<String, SourceStore.StoredPage> after = new LinkedHashMap<>();
        private Set<Long> recurring = Set.of();
        private @Nullable String last;

        CrawlMemory(Sources.Source source) {
            this.source = source;
            this.readAs = print(source);
            this.before = source.given().settings() instanceof SourceSettings.Crawl
                    ? store.pages(source.id(), readAs)
                    : Map.of();
        }

        private String print(Sources.Source of) {
            return Digests.sha256(json.writerFor(SourceSettings.class)
                            .writeValueAsString(of.given().settings())
                    + json.writeValueAsString(of.given().mapping()));
        }

        @Override
        public CrawlReader.@Nullable Remembered of(URI page) {
            SourceStore.StoredPage known = before.get(page.toString());
            boolean thereStill = known != null
                    && (known.itemId() == null
                            || contents.has(source.site(), source.given().collection(), known.itemId()));
            if (known == null || !thereStill || (known.entityTag() == null && known.lastModified() == null)) {
                return null;
            }
            return new CrawlReader.Remembered(
                    new WebFetcher.Known(known.entityTag(), known.lastModified()),
                    known.itemId(),
                    List.of(json.readValue(known.links(), String[].class)));
        }

        @Override
        public void put(URI page, WebFetcher.Fetched answer, List<URI> links) {
            last = page.toString();
            if (page.toString().length() <= 2_000) {
                after.put(
                        last,
                        new SourceStore.StoredPage(
                                last,
                                answer.entityTag(),
                                answer.lastModified(),
                                null,
                                json.writeValueAsString(
                                        links.stream().map(URI::toString).toList())));
            }
        }

        @Override
        public void same(URI page) {
            SourceStore.StoredPage known = before.get(page.toString());
            if (known != null) {
                after.put(known.address(), known);
            }
        }

        @Override
        public Set<Long> furniture() {
            return source.given().settings() instanceof SourceSettings.Crawl ? store.furniture(source.id()) : Set.of();
        }

        @Override
        public void putFurniture(Set<Long> found) {
            recurring = found;
        }

        void became(String id) {
            if (last != null) {
                after.computeIfPresent(
                        last,
                        (address, page) -> new SourceStore.StoredPage(
                                address, page.entityTag(), page.lastModified(), id, page.links()));
                last = null;
            }
        }

        void forgetLast() {
            if (last != null) {
                after.remove(last);
                last = null;
            }
        }

        void keep() {
            if (source.given().settings() instanceof SourceSettings.Crawl) {
                store.putPages(source.id(), readAs, List.copyOf(after.values()));
                store.putFurniture(source.id(), recurring);
            }
        }
    }
}
