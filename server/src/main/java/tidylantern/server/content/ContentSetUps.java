package tidylantern.server.content;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.content.Placement;
import tidylantern.core.health.Finding;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/**
 * What a site decides about its content, without the items: collections, their fields, and what owners added to items.
 */
@Component
public class ContentSetUps {
    private final ContentStore store;
    private final CollectionStore collectionStore;
    private final PlacementStore placements;
    private final OwnPlaceStore places;
    private final SiteContents contents;

    ContentSetUps(
            ContentStore store,
            CollectionStore collectionStore,
            PlacementStore placements,
            OwnPlaceStore places,
            SiteContents contents) {
        this.store = store;
        this.collectionStore = collectionStore;
        this.placements = placements;
        this.places = places;
        this.contents = contents;
    }

    /**
     * @param marks in the order of the ids
     * @param placements by tier and place
     */
    public record CollectionSetUp(
            CollectionKey key,
            String label,
            String language,
            List<FieldSetUp> fields,
            List<MarkSetUp> marks,
            List<PlacementSetUp> placements) {
        public CollectionSetUp {
            fields = List.copyOf(Objects.requireNonNullElse(fields, List.of()));
            marks = List.copyOf(Objects.requireNonNullElse(marks, List.of()));
            placements = List.copyOf(Objects.requireNonNullElse(placements, List.of()));
        }
    }

    /** @param merged values that count under others */
    public record FieldSetUp(
            FieldKey key,
            FieldKind kind,
            String property,
            String label,
            @Nullable String unit,
            List<Finding.Merge> merged) {
        public FieldSetUp {
            merged = List.copyOf(Objects.requireNonNullElse(merged, List.of()));
        }

        private static FieldSetUp of(Field field) {
            return new FieldSetUp(
                    field.key(),
                    field.kind(),
                    field.property(),
                    field.label(),
                    field.unit(),
                    field.merged().entrySet().stream()
                            .map(merge -> new Finding.Merge(merge.getKey(), merge.getValue()))
                            .sorted(java.util.Comparator.comparing(
                                    merge -> merge.from().key()))
                            .toList());
        }

        private Field field() {
            Map<CategoryPath, CategoryPath> into = new HashMap<>();
            merged.forEach(merge -> into.put(merge.from(), merge.into()));
            return new Field(key, kind, property, label, unit, into);
        }
    }

    public record MarkSetUp(ItemId id, OwnerMark mark) {}

    /** That an item of the collection holds a featured tier. */
    public record PlacementSetUp(
            ItemId id,
            String tier,
            @Nullable Integer place,
            @Nullable LocalDate from,
            @Nullable LocalDate until) {}

    /** In the owner's order. */
    public List<CollectionSetUp> of(SiteKey site) {
        return contents.of(site).collections().stream()
                .map(collection -> new CollectionSetUp(
                        collection.key(),
                        collection.label(),
                        collection.language(),
                        collection.fields().stream().map(FieldSetUp::of).toList(),
                        store.marks(site, collection.key().value()).entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .map(mark -> new MarkSetUp(new ItemId(mark.getKey()), mark.getValue()))
                                .toList(),
                        contents.of(site).placements().stream()
                                .filter(one -> one.item().collection().equals(collection.key()))
                                .map(one -> new PlacementSetUp(
                                        one.item().id(), one.tier(), one.place(), one.from(), one.until()))
                                .toList()))
                .toList();
    }

    /** The owner's own names of places, by name. */
    public List<OwnPlace> places(SiteKey site) {
        return contents.of(site).ownPlaces();
    }

    /**
     * Makes the collections of a site that has none yet, and its own names of places; to be called within a
     * transaction.
     *
     * @throws Refusal naming what is wrong
     */
    public void put(SiteKey site, List<CollectionSetUp> collections, List<OwnPlace> ownPlaces) {
        ownPlaces.forEach(place -> places.add(site, place));
        Map<FieldKey, FieldKind> kinds = new HashMap<>();
        for (int c = 0; c < collections.size(); c++) {
            CollectionSetUp collection = collections.get(c);
            String at = "collections[%d]".formatted(c);
            if (collection.key() == null || collection.label() == null || collection.language() == null) {
                throw Refusal.bad(at, "A collection needs a key, a label and a language.");
            }
            contents.put(site, collection.key().value(), collection.label(), collection.language());
            for (FieldSetUp given : collection.fields()) {
                if (given.key() == null || given.kind() == null || given.property() == null || given.label() == null) {
                    throw Refusal.bad(at + ".fields", "A field needs a key, a kind, a property and a label.");
                }
                FieldKind before = kinds.putIfAbsent(given.key(), given.kind());
                if (before != null && before != given.kind()) {
                    throw Refusal.bad(
                            at + ".fields",
                            "The field \"%s\" is %s here and %s elsewhere; a field's key has one kind in a site."
                                    .formatted(given.key(), given.kind(), before));
                }
                collectionStore.addField(site, collection.key(), given.field());
                collectionStore.putMerged(site, collection.key(), given.field());
            }
            collection
                    .marks()
                    .forEach(mark -> store.putMark(site, new ItemRef(collection.key(), mark.id()), mark.mark()));
            collection
                    .placements()
                    .forEach(one -> placements.put(
                            site,
                            new Placement(
                                    new ItemRef(collection.key(), one.id()),
                                    one.tier(),
                                    one.place(),
                                    one.from(),
                                    one.until())));
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                contents.forget(site);
            }
        });
        contents.forget(site);
    }
}
