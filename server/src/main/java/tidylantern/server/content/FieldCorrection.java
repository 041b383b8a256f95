package tidylantern.server.content;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.SiteContent;
import tidylantern.core.health.Finding;
import tidylantern.core.index.SiteIndex;
import tidylantern.server.history.History;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tools.jackson.databind.json.JsonMapper;

/**
 * Corrects what was guessed or brought: a field's kind, label and unit, two spellings of a value, a collection's label
 * and language. The items are read anew.
 */
@Component
class FieldCorrection {
    private static final int BATCH = 500;

    private final ContentStore store;
    private final CollectionStore collectionStore;
    private final SiteContents contents;
    private final SiteWriter writer;
    private final Corrections corrections;
    private final JsonMapper json;
    private final History history;
    private final CorrectionHistory changes;

    FieldCorrection(
            ContentStore store,
            CollectionStore collectionStore,
            SiteContents contents,
            SiteWriter writer,
            Corrections corrections,
            JsonMapper json,
            History history) {
        this.store = store;
        this.collectionStore = collectionStore;
        this.contents = contents;
        this.writer = writer;
        this.corrections = corrections;
        this.json = json;
        this.history = history;
        this.changes = new CorrectionHistory(this, collectionStore, contents);
        history.learn(changes.collections);
        history.learn(changes.fields);
        history.learn(changes.merges);
    }

    /** A correction, within its transaction; what it notes is told as that owner's. */
    private interface Change {
        void go(Corrections.Run run, String by);
    }

    void putCollection(SiteKey site, String collection, String label, String language) {
        inTurn(site, new CollectionKey(collection), null, (run, by) -> {
            CorrectionHistory.CollectionSaid before = changes.collections.now(site, collection);
            if (contents.put(site, collection, label, language)) {
                store.touch(site, new CollectionKey(collection), store.nextChange(site));
            }
            history.note(changes.collections, site, collection, before, changes.collections.now(site, collection), by);
        });
    }

    /**
     * One that is not there yet is made, of the property of that name, so that its kind stands before anything is
     * pushed.
     *
     * @param unit null for none
     * @throws Refusal if another collection has the key with another kind, or an item's value does not fit the new
     *     kind; nothing is changed then
     */
    void correct(
            SiteKey site, String collectionKey, String fieldKey, FieldKind kind, String label, @Nullable String unit) {
        if (label.isBlank() || label.strip().length() > 80) {
            throw Refusal.bad("label", "Give the field a label of 1 to 80 characters.");
        }
        CollectionKey of = contents.collection(site, collectionKey).key();
        FieldKey key = new FieldKey(fieldKey);
        CorrectionHistory.FieldOf subject = new CorrectionHistory.FieldOf(of, key);
        inTurn(site, of, key, (run, by) -> {
            Collection collection = contents.collection(site, collectionKey);
            Field before = collection.field(key);
            if (before == null) {
                Field made = new Field(key, kind, fieldKey, label.strip(), unit, Map.of());
                mustAgree(contents.of(site), collection, made);
                collectionStore.addField(site, collection.key(), made);
                history.note(changes.fields, site, subject, null, CorrectionHistory.FieldSaid.of(made), by);
                return;
            }
            Field after = new Field(before.key(), kind, before.property(), label.strip(), unit, before.merged());
            if (before.kind() != kind) {
                mustAgree(contents.of(site), collection, after);
                List<String> holders = holders(site, collection, before, run);
                mustFit(site, collection, after, holders, run);
                store.touch(site, collection.key(), holders, store.nextChange(site));
            }
            collectionStore.changeField(site, collection.key(), after);
            history.note(
                    changes.fields,
                    site,
                    subject,
                    CorrectionHistory.FieldSaid.of(before),
                    CorrectionHistory.FieldSaid.of(after),
                    by);
        });
    }

    /** Puts all merges of a field in place of those there are. */
    void putMerges(SiteKey site, String collectionKey, String fieldKey, List<Finding.Merge> merges) {
        change(site, collectionKey, fieldKey, merged -> {
            merged.clear();
            merges.forEach(one -> merged.put(one.from(), one.into()));
        });
    }

    /**
     * Lets items with one category value count under another, with all below it, now and whenever they come in again.
     *
     * @throws Refusal if the field holds no categories, or a value would be merged into itself
     */
    void merge(SiteKey site, String collectionKey, String fieldKey, CategoryPath from, CategoryPath into) {
        change(site, collectionKey, fieldKey, merged -> {
            if (from.equals(into) || into.fromTheTop().contains(from)) {
                throw Refusal.bad(
                        "into", "“%s” cannot be merged into “%s”. Choose another value.".formatted(from, into));
            }
            CategoryPath end = merged.getOrDefault(into, into);
            if (end.equals(from)) {
                // The owner turns an earlier merge round.
                merged.remove(into);
                end = into;
            }
            CategoryPath last = end;
            merged.replaceAll((one, other) -> other.equals(from) ? last : other);
            merged.put(from, last);
        });
    }

    /** Takes a merge back. */
    void part(SiteKey site, String collectionKey, String fieldKey, CategoryPath from) {
        change(site, collectionKey, fieldKey, merged -> {
            if (merged.remove(from) == null) {
                throw Refusal.notFound("“%s” is not merged into another value.".formatted(from));
            }
        });
    }

    private void change(
            SiteKey site, String collectionKey, String fieldKey, Consumer<Map<CategoryPath, CategoryPath>> change) {
        Field changed = contents.field(site, collectionKey, fieldKey);
        inTurn(site, new CollectionKey(collectionKey), changed.key(), (run, by) -> {
            Collection collection = contents.collection(site, collectionKey);
            Field field = contents.field(site, collectionKey, fieldKey);
            if (field.kind() != FieldKind.CATEGORY) {
                throw Refusal.bad(
                        "field",
                        "Only values of categories can be merged; \"%s\" is of kind %s."
                                .formatted(field.label(), field.kind()));
            }
            Map<CategoryPath, CategoryPath> merged = new HashMap<>(field.merged());
            change.accept(merged);
            collectionStore.putMerged(
                    site,
                    collection.key(),
                    new Field(
                            field.key(),
                            field.kind(),
                            field.property(),
                            field.label(),
                            field.unit(),
                            merged,
                            field.guessed()));
            store.touch(site, collection.key(), holders(site, collection, field, run), store.nextChange(site));
            history.note(
                    changes.merges,
                    site,
                    new CorrectionHistory.FieldOf(collection.key(), field.key()),
                    CorrectionHistory.Merges.of(field.merged()),
                    CorrectionHistory.Merges.of(merged),
                    by);
        });
    }

    private void inTurn(SiteKey site, CollectionKey collection, @Nullable FieldKey field, Change change) {
        // It goes on in another thread, where nobody is signed in.
        String by = History.actor();
        corrections.run(site, collection, field, run -> {
            writer.change(site, () -> change.go(run, by), run::isKept);
        });
    }

    /** The ids of the items that have a value of a field, which alone change with it. */
    private List<String> holders(SiteKey site, Collection collection, Field field, Corrections.Run run) {
        String property = json.writeValueAsString(field.property());
        List<String> holders = new ArrayList<>();
        run.looksAt(contents.counts(site).getOrDefault(collection.key().value(), 0));
        String last = "";
        for (List<ContentStore.StoredItem> items = store.itemsAfter(site, collection.key(), last, BATCH);
                !items.isEmpty();
                items = store.itemsAfter(site, collection.key(), last, BATCH)) {
            items.stream()
                    .filter(item -> item.properties().contains(property))
                    .map(ContentStore.StoredItem::itemId)
                    .forEach(holders::add);
            last = items.getLast().itemId();
            run.looked(items.size());
        }
        return holders;
    }

    private static void mustAgree(SiteContent content, Collection of, Field after) {
        for (Collection other : content.collections()) {
            Field there = other.field(after.key());
            if (!other.key().equals(of.key()) && there != null && there.kind() != after.kind()) {
                throw Refusal.conflict("The field \"%s\" is %s in \"%s\" too, and a field's key has one kind in a site."
                        .formatted(after.key(), there.kind(), other.label()));
            }
        }
    }

    private void mustFit(SiteKey site, Collection collection, Field after, List<String> holders, Corrections.Run run) {
        List<Field> fields = new ArrayList<>(collection.fields());
        fields.replaceAll(field -> field.key().equals(after.key()) ? after : field);
        StoredItemReader reader = new StoredItemReader(
                new Collection(collection.key(), collection.label(), collection.language(), fields), json);
        int wrong = 0;
        String first = null;
        run.looksAt(holders.size());
        for (String id : holders) {
            ContentStore.StoredItem item =
                    store.item(site, collection.key(), id).orElseThrow();
            try {
                SiteIndex.check(new SiteIndex.Changed(reader.read(item), collection.language()));
            } catch (ItemRefused | IllegalArgumentException refused) {
                wrong++;
                first = first == null ? "%s: %s".formatted(item.itemId(), refused.getMessage()) : first;
            }
            run.looked(1);
        }
        if (wrong > 0) {
            throw Refusal.conflict(
                    "%d items do not fit the kind %s, the first being %s. Correct them at their source first."
                            .formatted(wrong, after.kind(), first));
        }
    }
}
