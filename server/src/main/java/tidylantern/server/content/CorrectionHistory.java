package tidylantern.server.content;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.health.Finding;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.Told;
import tidylantern.server.key.SiteKey;

/** How collections, fields and merged values are before and after they are corrected. */
final class CorrectionHistory {
    final CollectionChanges collections = new CollectionChanges();
    final FieldChanges fields = new FieldChanges();
    final MergeChanges merges = new MergeChanges();
    private final FieldCorrection correction;
    private final CollectionStore store;
    private final SiteContents contents;

    CorrectionHistory(FieldCorrection correction, CollectionStore store, SiteContents contents) {
        this.correction = correction;
        this.store = store;
        this.contents = contents;
    }

    record CollectionSaid(String label, String language) {}

    final class CollectionChanges extends Changeable<String, CollectionSaid> {
        CollectionChanges() {
            super("collection", String.class, CollectionSaid.class);
        }

        @Override
        protected @Nullable CollectionSaid now(SiteKey site, String key) {
            return store.collections(site).stream()
                    .filter(one -> one.collectionKey().equals(key))
                    .map(one -> new CollectionSaid(one.label(), one.language()))
                    .findFirst()
                    .orElse(null);
        }

        @Override
        protected void putBack(SiteKey site, String key, CollectionSaid said) {
            correction.putCollection(site, key, said.label(), said.language());
        }

        @Override
        protected String told(
                SiteKey site, String key, @Nullable CollectionSaid before, @Nullable CollectionSaid after) {
            CollectionSaid now = Objects.requireNonNull(after);
            if (before == null) {
                return "The collection “%s” added".formatted(now.label());
            }
            return new Told("The collection “%s”".formatted(now.label()))
                    .became("label", before.label(), now.label())
                    .became("language", before.language(), now.language())
                    .toString();
        }
    }

    record FieldOf(CollectionKey collection, FieldKey field) {}

    record FieldSaid(FieldKind kind, String label, @Nullable String unit) {
        static FieldSaid of(Field field) {
            return new FieldSaid(field.kind(), field.label(), field.unit());
        }
    }

    /** A field as it is stored; null where it is gone. */
    private @Nullable Field stored(SiteKey site, FieldOf of) {
        return store.fields(site).getOrDefault(of.collection().value(), List.of()).stream()
                .filter(field -> field.key().equals(of.field()))
                .findFirst()
                .orElse(null);
    }

    private String labelOf(SiteKey site, CollectionKey key) {
        Collection collection = contents.of(site).collection(key);
        return collection == null ? key.value() : collection.label();
    }

    final class FieldChanges extends Changeable<FieldOf, FieldSaid> {
        FieldChanges() {
            super("field", FieldOf.class, FieldSaid.class);
        }

        @Override
        protected @Nullable FieldSaid now(SiteKey site, FieldOf of) {
            Field field = stored(site, of);
            return field == null ? null : FieldSaid.of(field);
        }

        @Override
        protected void putBack(SiteKey site, FieldOf of, FieldSaid said) {
            correction.correct(
                    site, of.collection().value(), of.field().value(), said.kind(), said.label(), said.unit());
        }

        @Override
        protected String told(SiteKey site, FieldOf of, @Nullable FieldSaid before, @Nullable FieldSaid after) {
            FieldSaid now = Objects.requireNonNull(after);
            String field = "The field “%s” of %s".formatted(now.label(), labelOf(site, of.collection()));
            if (before == null) {
                return field + " added";
            }
            return new Told(field)
                    .became("kind", before.kind().toString(), now.kind().toString())
                    .became("label", before.label(), now.label())
                    .became("unit", before.unit(), now.unit())
                    .toString();
        }
    }

    /** Which values of a field count under which others, by the first. */
    record Merges(List<Finding.Merge> merges) {
        static Merges of(Map<CategoryPath, CategoryPath> merged) {
            return new Merges(merged.entrySet().stream()
                    .map(one -> new Finding.Merge(one.getKey(), one.getValue()))
                    .sorted(Comparator.comparing(one -> one.from().toString()))
                    .toList());
        }
    }

    final class MergeChanges extends Changeable<FieldOf, Merges> {
        MergeChanges() {
            super("merge", FieldOf.class, Merges.class);
        }

        @Override
        protected @Nullable Merges now(SiteKey site, FieldOf of) {
            Field field = stored(site, of);
            return field == null ? null : Merges.of(field.merged());
        }

        @Override
        protected void putBack(SiteKey site, FieldOf of, Merges state) {
            correction.putMerges(site, of.collection().value(), of.field().value(), state.merges());
        }

        @Override
        protected String told(SiteKey site, FieldOf of, @Nullable Merges before, @Nullable Merges after) {
            return new Told("Values of %s that count under others".formatted(labelOf(site, of.collection())))
                    .changed("merges", said(before), said(after))
                    .toString();
        }

        private static List<String> said(@Nullable Merges merges) {
            return Objects.requireNonNull(merges).merges().stream()
                    .map(one -> "%s → %s".formatted(one.from(), one.into()))
                    .toList();
        }
    }
}
