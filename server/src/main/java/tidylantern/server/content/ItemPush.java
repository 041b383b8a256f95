package tidylantern.server.content;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
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
import tidylantern.server.platform.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes items as JSON Lines into a collection: one item a line, known by its {@code id}. Lines that will not do are
 * refused one by one with their reason; the rest is kept, in one transaction, before anything is answered.
 */
@Component
class ItemPush {
    private static final Logger LOG = LoggerFactory.getLogger(ItemPush.class);
    private static final int BATCH = 500;
    private static final int MOST_REFUSALS_TOLD = 1_000;
    private static final int MOST_FIELDS = 200;
    private static final int TITLE_KEPT = 300;
    private static final String ID = "id";
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final ContentStore store;
    private final SiteContents contents;
    private final SiteIndexes indexes;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final JsonMapper json;

    ItemPush(ContentStore store, SiteContents contents, SiteIndexes indexes, TransactionTemplate transaction, Clock clock, JsonMapper json) {
        this.store = store;
        this.contents = contents;
        this.indexes = indexes;
        this.transaction = transaction;
        this.clock = clock;
        // Numbers keep their digits, and keys a fixed order, so that what did not change reads the same.
        this.json = json.rebuild().enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();
    }

    /**
     * One line that was not taken.
     *
     * @param line 1 for the first of the body
     * @param id of the item, where it could be read
     * @param property the property at fault, where it is one
     */
    record RefusedLine(int line, @Nullable String id, @Nullable String property, String reason) {}

    /** A field that this push was the first to bring, with the kind guessed for it. */
    record NewField(String property, FieldKey key, FieldKind kind, String label) {}

    /**
     * What became of the lines.
     *
     * @param unchanged items that said the same before
     * @param refusals the first thousand of those refused
     */
    record Report(int added, int changed, int unchanged, int refused, List<RefusedLine> refusals, List<NewField> newFields) {}

    private record Parsed(int line, ItemId id, Map<String, @Nullable Object> properties) {}

    /**
     * @throws Refusal if there is no such site or collection, or the body breaks off; nothing of it is kept then
     */
    Report push(String site, String collectionKey, InputStream body) {
        contents.collection(site, collectionKey);
        Path arrived = arrived(body);
        try (InputStream lines = Files.newInputStream(arrived)) {
            return take(site, collectionKey, new JsonLines(lines));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading what arrived", failure);
        } finally {
            delete(arrived);
        }
    }

    /** The whole body in a file, so that a slow or broken sender keeps nobody waiting and leaves nothing half-written. */
    private Path arrived(InputStream body) {
        Path file = null;
        try {
            file = Files.createTempFile("push-", ".jsonl");
            Files.copy(body, file, StandardCopyOption.REPLACE_EXISTING);
            return file;
        } catch (IOException brokenOff) {
            if (file != null) {
                delete(file);
            }
            throw Refusal.bad(null, "The body broke off or could not be stored (%s). Nothing of it was kept; send it again.".formatted(brokenOff.getMessage()));
        }
    }

    private static void delete(Path file) {
        try {
            Files.delete(file);
        } catch (IOException failure) {
            LOG.warn("A temporary file was left behind: {}", file, failure);
        }
    }

    private Report take(String site, String collectionKey, JsonLines lines) {
        synchronized (indexes.turn(site)) {
            Run run;
            try {
                run = Objects.requireNonNull(transaction.execute(status -> {
                    Run begun = new Run(site, new CollectionKey(collectionKey));
                    begun.take(lines);
                    return begun;
                }));
            } finally {
                contents.forget(site);
            }
            if (run.added + run.changed > 0) {
                store.force();
                indexes.followOrLater(site);
            }
            return new Report(run.added, run.changed, run.unchanged, run.refused, List.copyOf(run.refusals), List.copyOf(run.newFields));
        }
    }

    /** One push under way. */
    private final class Run {
        private final String site;
        private final CollectionKey key;
        private Collection collection;
        private final Map<String, Integer> lineById = new HashMap<>();
        private final List<RefusedLine> refusals = new ArrayList<>();
        private final List<NewField> newFields = new ArrayList<>();
        private long change;
        private int added;
        private int changed;
        private int unchanged;
        private int refused;

        Run(String site, CollectionKey key) {
            this.site = site;
            this.key = key;
            this.collection = contents.collection(site, key.value());
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
                    }
                }
                keep(batch);
            } catch (IOException failure) {
                throw new UncheckedIOException("reading what arrived", failure);
            }
        }

        private @Nullable Parsed parse(JsonLines.Line line) {
            String text = line.text();
            if (text == null) {
                refuse(line.number(), null, null, String.valueOf(line.fault()));
                return null;
            }
            if (!text.stripLeading().startsWith("{")) {
                refuse(line.number(), null, null, "a line is one JSON object, in braces, not %s".formatted(text.stripLeading().startsWith("[") ? "a list" : "\"" + shortened(text.strip()) + "\""));
                return null;
            }
            Map<String, @Nullable Object> properties;
            try {
                properties = json.readValue(text, OBJECT);
            } catch (JacksonException wrong) {
                refuse(line.number(), null, null, "this is broken JSON: " + wrong.getOriginalMessage());
                return null;
            }
            Object given = properties.remove(ID);
            if (!(given instanceof String || given instanceof Integer || given instanceof Long) || given.toString().isBlank()) {
                refuse(line.number(), null, ID, "the item has no id; give each a text or whole number of its own under \"id\"");
                return null;
            }
            ItemId id;
            try {
                id = new ItemId(given.toString());
            } catch (IllegalArgumentException wrong) {
                refuse(line.number(), null, ID, String.valueOf(wrong.getMessage()));
                return null;
            }
            Integer before = lineById.putIfAbsent(id.value(), line.number());
            if (before != null) {
                refuse(line.number(), id.value(), ID, "line %d has the id \"%s\" already; give each item one of its own".formatted(before, id));
                return null;
            }
            return new Parsed(line.number(), id, properties);
        }

        private void keep(List<Parsed> batch) {
            meetNewProperties(batch);
            ItemReader reader = new ItemReader(collection);
            List<ContentStore.StoredItem> kept = new ArrayList<>();
            for (Parsed parsed : batch) {
                try {
                    Item item = reader.read(parsed.id(), parsed.properties());
                    String properties = json.writeValueAsString(parsed.properties());
                    String old = store.properties(site, key, parsed.id().value()).orElse(null);
                    if (properties.equals(old)) {
                        unchanged++;
                        continue;
                    }
                    String title = item.title();
                    kept.add(new ContentStore.StoredItem(key.value(), parsed.id().value(), properties,
                            title.substring(0, Math.min(title.length(), TITLE_KEPT)), item.address(), change(), OffsetDateTime.now(clock)));
                    if (old == null) {
                        added++;
                    } else {
                        changed++;
                    }
                } catch (ItemRefused wrong) {
                    refuse(parsed.line(), parsed.id().value(), wrong.property(), String.valueOf(wrong.getMessage()));
                }
            }
            if (!kept.isEmpty()) {
                store.put(site, kept);
            }
        }

        private long change() {
            if (change == 0) {
                change = store.nextChange(site);
            }
            return change;
        }

        /** Makes fields of the properties that were never seen before, guessing their kinds from this batch. */
        private void meetNewProperties(List<Parsed> batch) {
            Map<String, List<Object>> samples = new LinkedHashMap<>();
            Set<String> known = collection.byProperty().keySet();
            for (Parsed parsed : batch) {
                parsed.properties().forEach((property, value) -> {
                    if (value != null && !known.contains(property)) {
                        samples.computeIfAbsent(property, name -> new ArrayList<>()).add(value);
                    }
                });
            }
            for (Map.Entry<String, List<Object>> sample : samples.entrySet()) {
                if (collection.fields().size() >= MOST_FIELDS) {
                    refuse(batch.getFirst().line(), null, sample.getKey(),
                            "a collection has at most %d fields, so \"%s\" was passed over".formatted(MOST_FIELDS, shortened(sample.getKey())));
                    return;
                }
                if (!FieldKey.fits(sample.getKey())) {
                    refuse(batch.getFirst().line(), null, sample.getKey(), "\"%s\" cannot name a field, so it was passed over: start with a letter, then up to 63 letters, digits, - or _"
                            .formatted(shortened(sample.getKey())));
                    continue;
                }
                Field field = field(sample.getKey(), KindGuess.of(sample.getKey(), sample.getValue()));
                store.addField(site, key, field);
                List<Field> fields = new ArrayList<>(collection.fields());
                fields.add(field);
                collection = new Collection(collection.key(), collection.label(), collection.language(), fields);
                newFields.add(new NewField(field.property(), field.key(), field.kind(), field.label()));
            }
        }

        /** A key has one kind in a site: where another collection has it with another kind, the field gets a key of its own. */
        private Field field(String property, FieldKind kind) {
            SiteContent content = contents.of(site);
            Set<FieldKey> taken = new LinkedHashSet<>(collection.fields().stream().map(Field::key).toList());
            FieldKey wanted = new FieldKey(property);
            FieldKind elsewhere = content.kind(wanted);
            if (!taken.contains(wanted) && (elsewhere == null || elsewhere == kind)) {
                return new Field(wanted, kind, property, Field.labelFrom(property));
            }
            String own = property.substring(0, Math.min(property.length(), 20)) + "-" + key;
            FieldKey ownKey = new FieldKey(own);
            for (int n = 2; taken.contains(ownKey) || (content.kind(ownKey) != null && content.kind(ownKey) != kind); n++) {
                ownKey = new FieldKey(own + "-" + n);
            }
            return new Field(ownKey, kind, property, Field.labelFrom(property) + " (" + collection.label() + ")");
        }

        private void refuse(int line, @Nullable String id, @Nullable String property, String reason) {
            refused++;
            if (refusals.size() < MOST_REFUSALS_TOLD) {
                refusals.add(new RefusedLine(line, id, property == null ? null : shortened(property), reason));
            }
        }

        private static String shortened(String name) {
            return name.length() <= 80 ? name : name.substring(0, 80) + "…";
        }
    }
}
