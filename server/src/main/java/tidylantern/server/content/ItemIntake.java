package tidylantern.server.content;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
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
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.KindGuess;
import tidylantern.core.content.SiteContent;
import tidylantern.core.mapping.Mapping;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.JsonProblems;
import tools.jackson.core.JacksonException;
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
    private static final int MOST_FIELDS = 200;
    private static final int TITLE_KEPT = 300;
    /** Kinds that a text may fail to be; the others take any text that is short enough. */
    private static final Set<FieldKind> GIVING_WAY = Set.of(
            FieldKind.LINK,
            FieldKind.IMAGE,
            FieldKind.NUMBER,
            FieldKind.MONEY,
            FieldKind.DATE,
            FieldKind.PLACE,
            FieldKind.YES_NO);

    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final ContentStore store;
    private final SiteContents contents;
    private final SiteWriter writer;
    private final RestingItems resting;
    private final Clock clock;
    private final DiskRoom room;
    private final JsonMapper json;

    ItemIntake(
            ContentStore store,
            SiteContents contents,
            SiteWriter writer,
            RestingItems resting,
            Clock clock,
            DiskRoom room,
            JsonMapper json) {
        this.room = room;
        this.store = store;
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
            @Nullable Long source,
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
    public IntakeReport take(String site, String collectionKey, Lines lines, Manner manner, Watch watch) {
        contents.collection(site, collectionKey);
        try (InputStream body = lines.open()) {
            return take(site, collectionKey, new JsonLines(body), manner, watch);
        } catch (IOException failure) {
            throw new UncheckedIOException("reading what arrived", failure);
        }
    }

    private IntakeReport take(String site, String collectionKey, JsonLines lines, Manner manner, Watch watch) {
        return writer.change(site, () -> {
            Run run = new Run(site, new CollectionKey(collectionKey), manner, watch);
            run.take(lines);
            return run.report();
        });
    }

    private record Parsed(
            int line, @Nullable String at, ItemId id, boolean delete, Map<String, @Nullable Object> properties) {}

    /** One intake under way. */
    private final class Run {
        private final String site;
        private final CollectionKey key;
        private final Manner manner;
        private final Watch watch;
        private final Map<String, MappedField> declared;
        private final int before;
        private Collection collection;
        private ItemReader reader;
        private final Map<String, Integer> lineById = new HashMap<>();
        private final List<IntakeReport.Refused> refusals = new ArrayList<>();
        private final List<IntakeReport.Change> changes = new ArrayList<>();
        private final List<IntakeReport.NewField> newFields = new ArrayList<>();
        private final Map<IntakeReport.What, Integer> told = new EnumMap<>(IntakeReport.What.class);
        private final Map<String, String> passedOver = new LinkedHashMap<>();
        private final List<IntakeReport.GaveWay> gaveWay = new ArrayList<>();
        private long change;
        private int added;
        private int changed;
        private int unchanged;
        private int removed;
        private int refused;
        /**
         * Lines of which nobody can tell the item. While there are some, what was not named may have been meant by
         * them.
         */
        private int nameless;

        Run(String site, CollectionKey key, Manner manner, Watch watch) {
            this.site = site;
            this.key = key;
            this.manner = manner;
            this.watch = watch;
            this.declared = manner.fields().stream().collect(Collectors.toMap(MappedField::property, field -> field));
            this.collection = contents.collection(site, key.value());
            this.reader = new ItemReader(collection);
            this.before = store.count(site, key);
        }

        IntakeReport report() {
            return new IntakeReport(
                    added,
                    changed,
                    unchanged,
                    removed,
                    refused,
                    List.copyOf(refusals),
                    List.copyOf(changes),
                    List.copyOf(newFields),
                    passedOver.entrySet().stream()
                            .map(one -> new IntakeReport.PassedOver(one.getKey(), one.getValue()))
                            .toList(),
                    List.copyOf(gaveWay),
                    notRemoved());
        }

        private @Nullable String notRemoved() {
            return manner.everything() && nameless > 0
                    ? "%s not be told which item %s, so nothing was removed. Correct %s and send everything again."
                            .formatted(
                                    nameless == 1
                                            ? "Of one line it could"
                                            : "Of %,d lines it could".formatted(nameless),
                                    nameless == 1 ? "it is of" : "they are of",
                                    nameless == 1 ? "it" : "them")
                    : null;
        }

        void take(JsonLines lines) {
            try {
                List<Parsed> batch = new ArrayList<>(BATCH);
                for (JsonLines.Line line = lines.next(); line != null; line = lines.next()) {
                    Parsed parsed = parse(line);
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
                if (removed > 0) {
                    resting.note(site, removal(), manner.by());
                }
            } catch (IOException failure) {
                throw new UncheckedIOException("reading what arrived", failure);
            }
        }

        private @Nullable Parsed parse(JsonLines.Line line) {
            String text = line.text();
            if (text == null) {
                refuse(line.number(), null, null, null, String.valueOf(line.fault()));
                return null;
            }
            if (!text.stripLeading().startsWith("{")) {
                refuse(
                        line.number(),
                        null,
                        null,
                        null,
                        "a line is one JSON object, in braces, not %s"
                                .formatted(
                                        text.stripLeading().startsWith("[")
                                                ? "a list"
                                                : "\"" + shortened(text.strip()) + "\""));
                return null;
            }
            Map<String, @Nullable Object> properties;
            try {
                properties = json.readValue(text, OBJECT);
            } catch (JacksonException wrong) {
                refuse(line.number(), null, null, null, "this is no JSON: " + JsonProblems.where(wrong));
                return null;
            }
            String at = properties.remove(AT) instanceof String place ? place : null;
            boolean delete = Boolean.TRUE.equals(properties.remove(DELETE));
            boolean same = Boolean.TRUE.equals(properties.remove(SAME));
            Object given = properties.remove(Mapping.ID);
            if (!(given instanceof String || given instanceof Integer || given instanceof Long)
                    || given.toString().isBlank()) {
                refuse(
                        line.number(),
                        at,
                        null,
                        Mapping.ID,
                        "the item has no id; give each a text or whole number of its own under \"id\"");
                return null;
            }
            ItemId id;
            try {
                id = new ItemId(given.toString());
            } catch (IllegalArgumentException wrong) {
                refuse(line.number(), at, null, Mapping.ID, String.valueOf(wrong.getMessage()));
                return null;
            }
            Integer earlier = lineById.putIfAbsent(id.value(), line.number());
            if (earlier != null) {
                refuse(
                        line.number(),
                        at,
                        id.value(),
                        Mapping.ID,
                        at == null
                                ? "line %d has the id \"%s\" already; give each item one of its own"
                                        .formatted(earlier, id)
                                : "the id \"%s\" came before; give each item one of its own, or choose another column for it"
                                        .formatted(id));
                return null;
            }
            if (same) {
                unchanged++;
                return null;
            }
            return new Parsed(line.number(), at, id, delete, properties);
        }

        private void keep(List<Parsed> batch) {
            if (watch.stopped()) {
                throw new Stopped();
            }
            room.require(0);
            meetNewProperties(batch);
            reader = new ItemReader(collection);
            List<ContentStore.StoredItem> kept = new ArrayList<>();
            List<String> arrived = new ArrayList<>();
            List<String> gone = new ArrayList<>();
            List<String> claimed = new ArrayList<>();
            for (Parsed parsed : batch) {
                String id = parsed.id().value();
                ContentStore.Said before = store.said(site, key, id).orElse(null);
                String old = before == null ? null : before.properties();
                if (parsed.delete()) {
                    if (old == null) {
                        unchanged++;
                    } else {
                        gone.add(id);
                        tell(
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
                    Item item = read(parsed.id(), said);
                    String properties = json.writeValueAsString(said);
                    if (before != null && properties.equals(old)) {
                        unchanged++;
                        if (manner.source() != null && !manner.source().equals(before.sourceId())) {
                            claimed.add(id);
                        }
                        continue;
                    }
                    String title = item.title();
                    kept.add(new ContentStore.StoredItem(
                            key.value(),
                            id,
                            properties,
                            title.substring(0, Math.min(title.length(), TITLE_KEPT)),
                            item.address(),
                            change(),
                            OffsetDateTime.now(clock),
                            manner.source()));
                    if (old == null) {
                        added++;
                        arrived.add(id);
                        tell(IntakeReport.What.ADDED, id, title, null);
                    } else {
                        changed++;
                        tell(IntakeReport.What.CHANGED, id, title, differing(old, said));
                    }
                } catch (ItemRefused wrong) {
                    refuse(parsed.line(), parsed.at(), id, wrong.property(), String.valueOf(wrong.getMessage()));
                }
            }
            if (!kept.isEmpty()) {
                store.put(site, kept);
            }
            if (!arrived.isEmpty()) {
                store.notRemoved(site, key, arrived);
            }
            if (!claimed.isEmpty()) {
                store.claim(site, key, claimed, Objects.requireNonNull(manner.source()));
            }
            remove(gone);
        }

        /** What was guessed gives way to what comes; what somebody said of a field refuses it. */
        private Item read(ItemId id, Map<String, @Nullable Object> said) throws ItemRefused {
            while (true) {
                try {
                    return reader.read(id, said);
                } catch (ItemRefused unfit) {
                    Field field = collection.byProperty().get(String.valueOf(unfit.property()));
                    if (field == null
                            || !field.guessed()
                            || !GIVING_WAY.contains(field.kind())
                            || !isText(said.get(field.property()))
                            || !guessedEverywhere(field)) {
                        throw unfit;
                    }
                    giveWay(field, String.valueOf(unfit.getMessage()));
                }
            }
        }

        private static boolean isText(@Nullable Object value) {
            return value instanceof String
                    || (value instanceof List<?> list && list.stream().allMatch(String.class::isInstance));
        }

        /** A key has one kind in a site, so it gives way in all collections or in none. */
        private boolean guessedEverywhere(Field field) {
            return contents.of(site).collections().stream()
                    .map(other -> other.field(field.key()))
                    .filter(Objects::nonNull)
                    .allMatch(Field::guessed);
        }

        private void giveWay(Field field, String reason) {
            for (Collection other : contents.of(site).collections()) {
                Field there = other.key().equals(key) ? field : other.field(field.key());
                if (there != null) {
                    store.changeField(site, other.key(), there.ofKind(FieldKind.TEXT, true));
                    // The index holds it as what it was.
                    store.touch(site, other.key(), change());
                }
            }
            List<Field> fields = new ArrayList<>(collection.fields());
            fields.replaceAll(one -> one.key().equals(field.key()) ? field.ofKind(FieldKind.TEXT, true) : one);
            collection = new Collection(collection.key(), collection.label(), collection.language(), fields);
            reader = new ItemReader(collection);
            newFields.replaceAll(one -> one.key().equals(field.key())
                    ? new IntakeReport.NewField(one.property(), one.key(), FieldKind.TEXT, one.label())
                    : one);
            gaveWay.add(new IntakeReport.GaveWay(field.key(), field.kind(), FieldKind.TEXT, reason));
        }

        private Map<String, @Nullable Object> merged(String old, Map<String, @Nullable Object> said) {
            Map<String, @Nullable Object> merged = json.readValue(old, OBJECT);
            merged.putAll(said);
            return merged;
        }

        /** Which properties say something else than before, by name. */
        private @Nullable String differing(String old, Map<String, @Nullable Object> said) {
            if (told.getOrDefault(IntakeReport.What.CHANGED, 0) >= MOST_TOLD) {
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
            if (!manner.everything() || nameless > 0) {
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
                rest.forEach(item -> tell(IntakeReport.What.REMOVED, item.itemId(), item.title(), "no longer named"));
                remove(rest.stream().map(ContentStore.Titled::itemId).toList());
            }
        }

        /** A collection may be larger than what is sent; it is gone through in its order, a batch at a time. */
        private List<ContentStore.Titled> titlesAfter(String last) {
            return store.titlesAfter(site, key, manner.source(), last, BATCH);
        }

        private List<ContentStore.Titled> notNamed(List<ContentStore.Titled> some) {
            return some.stream()
                    .filter(item -> !lineById.containsKey(item.itemId()))
                    .toList();
        }

        private void remove(List<String> gone) {
            if (!gone.isEmpty()) {
                resting.remove(site, removal(), gone);
                removed += gone.size();
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

        /**
         * Makes fields of the properties that were never seen before, of the kinds declared, or else guessed from this
         * batch.
         */
        private void meetNewProperties(List<Parsed> batch) {
            Map<String, List<Object>> samples = new LinkedHashMap<>();
            Set<String> known = collection.byProperty().keySet();
            for (Parsed parsed : batch) {
                parsed.properties().forEach((property, value) -> {
                    if (value != null && !known.contains(property)) {
                        samples.computeIfAbsent(property, name -> new ArrayList<>())
                                .add(value);
                    }
                });
            }
            for (Map.Entry<String, List<Object>> sample : samples.entrySet()) {
                String property = sample.getKey();
                if (collection.fields().size() >= MOST_FIELDS) {
                    passedOver.putIfAbsent(
                            shortened(property), "a collection has at most %d fields".formatted(MOST_FIELDS));
                    continue;
                }
                if (!FieldKey.fits(property)) {
                    passedOver.putIfAbsent(
                            shortened(property),
                            "the name of a field starts with a letter, then has up to 63 letters, digits, - or _");
                    continue;
                }
                MappedField said = declared.get(property);
                Field field = said == null
                        ? field(property, KindGuess.of(property, sample.getValue()), Field.labelFrom(property), null)
                                .guess()
                        : field(property, said.kind(), said.label(), said.unit());
                store.addField(site, key, field);
                List<Field> fields = new ArrayList<>(collection.fields());
                fields.add(field);
                collection = new Collection(collection.key(), collection.label(), collection.language(), fields);
                newFields.add(new IntakeReport.NewField(field.property(), field.key(), field.kind(), field.label()));
            }
        }

        /**
         * A key has one kind in a site: where another collection has it with another kind, the field gets a key of its
         * own.
         */
        private Field field(String property, FieldKind kind, String label, @Nullable String unit) {
            SiteContent content = contents.of(site);
            Set<FieldKey> taken = new LinkedHashSet<>(
                    collection.fields().stream().map(Field::key).toList());
            FieldKey wanted = new FieldKey(property);
            FieldKind elsewhere = content.kind(wanted);
            if (!taken.contains(wanted) && (elsewhere == null || elsewhere == kind)) {
                return new Field(wanted, kind, property, label, unit, Map.of());
            }
            String own = property.substring(0, Math.min(property.length(), 20)) + "-" + key;
            FieldKey ownKey = new FieldKey(own);
            for (int n = 2;
                    taken.contains(ownKey) || (content.kind(ownKey) != null && content.kind(ownKey) != kind);
                    n++) {
                ownKey = new FieldKey(own + "-" + n);
            }
            return new Field(ownKey, kind, property, label + " (" + collection.label() + ")", unit, Map.of());
        }

        private void tell(IntakeReport.What what, String id, String title, @Nullable String reason) {
            if (told.merge(what, 1, Integer::sum) <= MOST_TOLD) {
                changes.add(
                        new IntakeReport.Change(what, id, title.substring(0, Math.min(title.length(), 120)), reason));
            }
        }

        private void refuse(
                int line, @Nullable String at, @Nullable String id, @Nullable String property, String reason) {
            refused++;
            nameless += id == null ? 1 : 0;
            if (refusals.size() < MOST_TOLD) {
                refusals.add(
                        new IntakeReport.Refused(line, at, id, property == null ? null : shortened(property), reason));
            }
        }

        private static String shortened(String name) {
            return name.length() <= 80 ? name : name.substring(0, 80) + "…";
        }
    }
}
