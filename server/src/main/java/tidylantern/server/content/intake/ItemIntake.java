package tidylantern.server.content.intake;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.index.GivingWay;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.server.content.CollectionStore;
import tidylantern.server.content.ContentStore;
import tidylantern.server.content.RestingItems;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteWriter;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.Settings;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes items as JSON Lines into a collection: one item a line, known by its {@code id}. What will not do is refused
 * line by line with its reason; the rest is kept, in one transaction, before anything is answered. The one way by which
 * items come in, pushed or synced.
 *
 * <p>A line may say three things about itself, by names that no field can have: {@code "_delete": true} takes the item
 * away, {@code "_same": true} says that it is as it was, and {@code "_at"} tells where it stands at its source.
 */
@Component
public class ItemIntake {
    /** So many refusals, and so many of each kind of change, are told one by one. */
    public static final int MOST_TOLD = 1_000;

    public static final String DELETE = "_delete";
    public static final String SAME = "_same";
    public static final String AT = "_at";
    private static final int BATCH = 500;
    private static final int TITLE_KEPT = 300;
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final ContentStore store;
    private final CollectionStore collectionStore;
    private final SiteContents contents;
    private final SiteWriter writer;
    private final RestingItems resting;
    private final Clock clock;
    private final DiskRoom room;
    private final Path spool;
    private final JsonMapper json;

    ItemIntake(
            ContentStore store,
            CollectionStore collectionStore,
            SiteContents contents,
            SiteWriter writer,
            RestingItems resting,
            Clock clock,
            DiskRoom room,
            Settings settings,
            JsonMapper json) {
        this.room = room;
        this.spool = settings.data().resolve("intake");
        NamedIds.tidy(spool);
        this.store = store;
        this.collectionStore = collectionStore;
        this.contents = contents;
        this.writer = writer;
        this.resting = resting;
        this.clock = clock;
        // Numbers keep their digits, and keys a fixed order, so that what did not change reads the same.
        this.json = json.rebuild()
                .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .build();
    }

    /**
     * How lines are taken.
     *
     * @param partial properties that a line does not name stay as they were; one that is null is taken away
     * @param everything what is not named is removed: of the collection, or of what the source brought, if it is one
     * @param mayRemoveMany whether that may be more than a third of the collection
     * @param source that the items come from; null for a push
     * @param fields what the source says about the kinds of its properties; empty to guess them
     * @param by who removes what is removed, as the history names them
     */
    public record Manner(
            boolean partial,
            boolean everything,
            boolean mayRemoveMany,
            @Nullable SourceId source,
            List<MappedField> fields,
            String by) {}

    /** Watches over a long intake. */
    public interface Watch {
        /** For those who cannot wait for more than the end. */
        Watch NONE = of(taken -> {}, () -> false);

        /** Called now and then with the number of lines taken so far. */
        void taken(int lines);

        /** Whether to give up; nothing is kept then. */
        boolean stopped();

        static Watch of(IntConsumer taken, BooleanSupplier stopped) {
            return new Watch() {
                @Override
                public void taken(int lines) {
                    taken.accept(lines);
                }

                @Override
                public boolean stopped() {
                    return stopped.getAsBoolean();
                }
            };
        }
    }

    /** So much would be removed that somebody should say yes first. Nothing was changed. */
    public static final class RemovesMany extends RuntimeException {
        private final int removed;
        private final int of;

        RemovesMany(int removed, int of) {
            super("%,d of the %,d items of the collection would be removed".formatted(removed, of));
            this.removed = removed;
            this.of = of;
        }

        public int removed() {
            return removed;
        }

        public int of() {
            return of;
        }
    }

    /** The watch said to stop. Nothing was changed. */
    public static final class Stopped extends RuntimeException {
        Stopped() {
            super("stopped; nothing was changed");
        }
    }

    /** Where lines are read from. */
    @FunctionalInterface
    public interface Lines {
        InputStream open() throws IOException;
    }

    /**
     * @param lines JSON Lines
     * @throws tidylantern.server.platform.Refusal if there is no such site or collection
     * @throws RemovesMany if more than a third would go and the manner does not allow it
     * @throws Stopped if the watch says so
     * @throws tidylantern.server.platform.Refusal with status 507 too, if the disk has no more room than its reserve
     */
    public IntakeReport take(SiteKey site, String collectionKey, Lines lines, Manner manner, Watch watch) {
        contents.collection(site, collectionKey);
        return GivingWay.alone(() -> {
            try (InputStream body = lines.open()) {
                return take(site, collectionKey, new JsonLines(body), manner, watch);
            } catch (IOException failure) {
                throw new UncheckedIOException("reading what arrived", failure);
            }
        });
    }

    private IntakeReport take(SiteKey site, String collectionKey, JsonLines lines, Manner manner, Watch watch) {
        return writer.change(site, () -> {
            // Whatever became of an item, a line named it.
            try (NamedIds named = new NamedIds(spool)) {
                Run run = new Run(site, new CollectionKey(collectionKey), named, manner, watch);
                run.take(lines);
                return run.report();
            }
        });
    }

    /** One intake under way. */
    private final class Run {
        private final SiteKey site;
        private final CollectionKey key;
        private final Manner manner;
        private final Watch watch;
        /**
         * How many items there were, where those that are not named go; 0 elsewhere, since counting walks over all of
         * them, and a push of one item must not.
         */
        private final int before;

        private final IntakeNotes notes = new IntakeNotes();
        private final NamedIds named;
        private final LineParser parser;
        private final IntakeFields fields;
        private long change;

        Run(SiteKey site, CollectionKey key, NamedIds named, Manner manner, Watch watch) {
            this.site = site;
            this.named = named;
            this.parser = new LineParser(json, named, notes);
            this.key = key;
            this.manner = manner;
            this.watch = watch;
            this.before = manner.everything() ? store.count(site, key) : 0;
            this.fields = new IntakeFields(collectionStore, contents, site, key, manner.fields(), notes, this::change);
        }

        IntakeReport report() {
            return notes.report(manner.everything());
        }

        void take(JsonLines lines) {
            try {
                List<IncomingItem> batch = new ArrayList<>(BATCH);
                for (JsonLines.Line line = lines.next(); line != null; line = lines.next()) {
                    IncomingItem parsed = parser.parse(line);
                    if (parsed != null) {
                        batch.add(parsed);
                    }
                    if (batch.size() == BATCH) {
                        keep(batch);
                        batch.clear();
                        watch.taken(line.number());
                    }
                }
                keep(batch);
                removeTheRest();
                if (notes.howMany(IntakeReport.What.REMOVED) > 0) {
                    resting.note(site, removal(), manner.by());
                }
            } catch (IOException failure) {
                throw new UncheckedIOException("reading what arrived", failure);
            }
        }

        private void keep(List<IncomingItem> batch) {
            if (watch.stopped()) {
                throw new Stopped();
            }
            room.require(0);
            fields.meet(batch);
            Map<String, ContentStore.Said> there = store.said(
                    site, key, batch.stream().map(item -> item.id().value()).toList());
            List<ContentStore.StoredItem> arrived = new ArrayList<>();
            List<ContentStore.StoredItem> changed = new ArrayList<>();
            List<String> gone = new ArrayList<>();
            List<String> claimed = new ArrayList<>();
            for (IncomingItem parsed : batch) {
                String id = parsed.id().value();
                ContentStore.Said before = there.get(id);
                String old = before == null ? null : before.properties();
                if (parsed.delete()) {
                    if (old == null) {
                        notes.isAsItWas();
                    } else {
                        gone.add(id);
                        notes.tell(
                                IntakeReport.What.REMOVED,
                                id,
                                store.item(site, key, id)
                                        .map(ContentStore.StoredItem::title)
                                        .orElse(id),
                                "named as deleted");
                    }
                    continue;
                }
                try {
                    Map<String, @Nullable Object> said =
                            manner.partial() && old != null ? merged(old, parsed.properties()) : parsed.properties();
                    said.values().removeIf(Objects::isNull);
                    Item item = fields.read(parsed.id(), said);
                    String properties = json.writeValueAsString(said);
                    if (before != null && properties.equals(old)) {
                        notes.isAsItWas();
                        if (manner.source() != null && !manner.source().equals(before.source())) {
                            claimed.add(id);
                        }
                        continue;
                    }
                    String title = item.title();
                    ContentStore.StoredItem kept = new ContentStore.StoredItem(
                            key.value(),
                            id,
                            properties,
                            title.substring(0, Math.min(title.length(), TITLE_KEPT)),
                            item.address(),
                            change(),
                            OffsetDateTime.now(clock),
                            manner.source() == null ? null : manner.source().value());
                    if (old == null) {
                        arrived.add(kept);
                        notes.tell(IntakeReport.What.ADDED, id, title, null);
                    } else {
                        changed.add(kept);
                        notes.tell(IntakeReport.What.CHANGED, id, title, differing(old, said));
                    }
                } catch (ItemRefused wrong) {
                    notes.refuse(parsed.line(), parsed.at(), id, wrong.property(), String.valueOf(wrong.getMessage()));
                }
            }
            if (!arrived.isEmpty()) {
                store.add(site, arrived);
                store.notRemoved(
                        site,
                        key,
                        arrived.stream().map(ContentStore.StoredItem::itemId).toList());
            }
            if (!changed.isEmpty()) {
                store.replace(site, changed);
            }
            if (!claimed.isEmpty()) {
                store.claim(site, key, claimed, Objects.requireNonNull(manner.source()));
            }
            remove(gone);
        }

        private Map<String, @Nullable Object> merged(String old, Map<String, @Nullable Object> said) {
            Map<String, @Nullable Object> merged = json.readValue(old, OBJECT);
            merged.putAll(said);
            return merged;
        }

        /** Which properties say something else than before, by name. */
        private @Nullable String differing(String old, Map<String, @Nullable Object> said) {
            if (notes.howMany(IntakeReport.What.CHANGED) >= MOST_TOLD) {
                return null;
            }
            // Written and read again, so that equal numbers are equal however they came to be.
            Map<String, @Nullable Object> before = new TreeMap<>(json.readValue(old, OBJECT));
            Map<String, @Nullable Object> after = json.readValue(json.writeValueAsString(said), OBJECT);
            Set<String> names = new TreeSet<>(before.keySet());
            names.addAll(after.keySet());
            return names.stream()
                    .filter(name -> !Objects.equals(before.get(name), after.get(name)))
                    .collect(Collectors.joining(", "));
        }

        /** What a source that names everything did not name. What was refused was named, and stays as it was. */
        private void removeTheRest() {
            if (!manner.everything() || notes.nameless() > 0) {
                return;
            }
            int gone = 0;
            for (List<ContentStore.Titled> some = titlesAfter("");
                    !some.isEmpty();
                    some = titlesAfter(some.getLast().itemId())) {
                gone += notNamed(some).size();
            }
            if (!manner.mayRemoveMany() && gone * 3L > before) {
                throw new RemovesMany(gone, before);
            }
            if (gone == 0) {
                return;
            }
            for (List<ContentStore.Titled> some = titlesAfter("");
                    !some.isEmpty();
                    some = titlesAfter(some.getLast().itemId())) {
                List<ContentStore.Titled> rest = notNamed(some);
                rest.forEach(
                        item -> notes.tell(IntakeReport.What.REMOVED, item.itemId(), item.title(), "no longer named"));
                remove(rest.stream().map(ContentStore.Titled::itemId).toList());
            }
        }

        /** A collection may be larger than what is sent; it is gone through in its order, a batch at a time. */
        private List<ContentStore.Titled> titlesAfter(String last) {
            return store.titlesAfter(site, key, manner.source(), last, BATCH);
        }

        private List<ContentStore.Titled> notNamed(List<ContentStore.Titled> some) {
            return some.stream().filter(item -> !named.contains(item.itemId())).toList();
        }

        private void remove(List<String> gone) {
            if (!gone.isEmpty()) {
                resting.remove(site, removal(), gone);
            }
        }

        private RestingItems.Removal removal() {
            return new RestingItems.Removal(key, change());
        }

        private long change() {
            if (change == 0) {
                change = store.nextChange(site);
            }
            return change;
        }
    }
}
