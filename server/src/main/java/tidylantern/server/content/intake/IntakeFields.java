package tidylantern.server.content.intake;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.LongSupplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
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
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.server.content.CollectionStore;
import tidylantern.server.content.SiteContents;
import tidylantern.server.key.SiteKey;

/** The fields of a collection while items come in: what is new becomes one, and what was guessed gives way. */
final class IntakeFields {
    private static final int MOST_FIELDS = 200;
    /** Kinds that a text may fail to be; the others take any text that is short enough. */
    private static final Set<FieldKind> GIVING_WAY = Set.of(
            FieldKind.LINK,
            FieldKind.IMAGE,
            FieldKind.NUMBER,
            FieldKind.MONEY,
            FieldKind.DATE,
            FieldKind.PLACE,
            FieldKind.YES_NO);

    private final CollectionStore store;
    private final SiteContents contents;
    private final SiteKey site;
    private final CollectionKey key;
    private final Map<String, MappedField> declared;
    private final IntakeNotes notes;
    private final LongSupplier change;
    private Collection collection;
    private ItemReader reader;

    /**
     * @param declared what a source says about the kinds of its properties
     * @param change gives the number of the change that all of the intake is
     */
    IntakeFields(
            CollectionStore store,
            SiteContents contents,
            SiteKey site,
            CollectionKey key,
            List<MappedField> declared,
            IntakeNotes notes,
            LongSupplier change) {
        this.store = store;
        this.contents = contents;
        this.site = site;
        this.key = key;
        this.declared = declared.stream().collect(Collectors.toMap(MappedField::property, field -> field));
        this.notes = notes;
        this.change = change;
        collection = contents.collection(site, key.value());
        reader = new ItemReader(collection);
    }

    /** What was guessed gives way to what comes; what somebody said of a field refuses it. */
    Item read(ItemId id, Map<String, @Nullable Object> said) throws ItemRefused {
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
                contents.countAsChanged(site, other.key(), change.getAsLong());
            }
        }
        List<Field> fields = new ArrayList<>(collection.fields());
        fields.replaceAll(one -> one.key().equals(field.key()) ? field.ofKind(FieldKind.TEXT, true) : one);
        collection = new Collection(collection.key(), collection.label(), collection.language(), fields);
        reader = new ItemReader(collection);
        notes.gaveWay(field, reason);
    }

    /**
     * Makes fields of the properties that were never seen before, of the kinds declared, or else guessed from this
     * batch.
     */
    void meet(List<IncomingItem> batch) {
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        Set<String> known = collection.byProperty().keySet();
        for (IncomingItem parsed : batch) {
            parsed.properties().forEach((property, value) -> {
                if (value != null && !known.contains(property)) {
                    samples.computeIfAbsent(property, name -> new ArrayList<>()).add(value);
                }
            });
        }
        for (Map.Entry<String, List<Object>> sample : samples.entrySet()) {
            String property = sample.getKey();
            if (collection.fields().size() >= MOST_FIELDS) {
                notes.passOver(property, "a collection has at most %d fields".formatted(MOST_FIELDS));
                continue;
            }
            if (!FieldKey.fits(property)) {
                notes.passOver(
                        property,
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
            notes.made(new IntakeReport.NewField(field.property(), field.key(), field.kind(), field.label()));
        }
        reader = new ItemReader(collection);
    }

    /**
     * A key has one kind in a site: where another collection has it with another kind, the field gets a key of its own.
     */
    private Field field(String property, FieldKind kind, String label, @Nullable String unit) {
        SiteContent content = contents.of(site);
        Set<FieldKey> taken =
                new LinkedHashSet<>(collection.fields().stream().map(Field::key).toList());
        FieldKey wanted = new FieldKey(property);
        @Nullable FieldKind elsewhere = content.kind(wanted);
        if (!taken.contains(wanted) && (elsewhere == null || elsewhere == kind)) {
            return new Field(wanted, kind, property, label, unit, Map.of());
        }
        String own = property.substring(0, Math.min(property.length(), 20)) + "-" + key;
        FieldKey ownKey = new FieldKey(own);
        for (int n = 2; taken.contains(ownKey) || (content.kind(ownKey) != null && content.kind(ownKey) != kind); n++) {
            ownKey = new FieldKey(own + "-" + n);
        }
        return new Field(ownKey, kind, property, label + " (" + collection.label() + ")", unit, Map.of());
    }
}
