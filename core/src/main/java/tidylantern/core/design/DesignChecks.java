package tidylantern.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;

/**
 * What is open in a design, held against the content it is for. Nothing here stops a draft from being kept; a remark
 * that {@link Remark#stops} stops its publication.
 */
public final class DesignChecks {
    private DesignChecks() {}

    /** The steps of a search that a remark can belong to. */
    public enum Step {
        REACH,
        WORDS,
        FILTERS,
        ORDER,
        GO_LIVE;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    /** @param stops whether the design cannot be published while this stands */
    public record Remark(Step step, String text, boolean stops) {}

    /** In the order of the steps. */
    public static List<Remark> of(SearchDesign design, SiteContent content) {
        List<Remark> remarks = new ArrayList<>();
        Set<CollectionKey> searched = design.searched();
        if (searched.isEmpty()) {
            remarks.add(
                    new Remark(Step.REACH, "No collection is searched, so nothing can be found. Switch one on.", true));
        }
        for (Reach.Searched one : design.reach().collections()) {
            Collection collection = content.collection(one.collection());
            if (collection == null) {
                remarks.add(new Remark(
                        Step.REACH,
                        "The collection \"%s\" is gone from the site. Switch it off, or bring it back."
                                .formatted(one.collection()),
                        false));
            } else {
                rules(remarks, one, collection);
            }
        }
        List<FieldWeight> weights = design.words().searched();
        if (weights.isEmpty()) {
            remarks.add(
                    new Remark(Step.WORDS, "No field is searched, so no word can be found. Give one a weight.", true));
        }
        List<Collection> reached = content.collections().stream()
                .filter(c -> searched.contains(c.key()))
                .toList();
        for (FieldWeight weight : weights) {
            FieldKind kind = content.kind(weight.field());
            if (kind == null) {
                remarks.add(new Remark(
                        Step.WORDS,
                        "No collection has the field \"%s\". Take its weight away.".formatted(weight.field()),
                        false));
            } else if (!searchable(kind)) {
                remarks.add(new Remark(
                        Step.WORDS,
                        "The field \"%s\" holds no words (it is of kind %s), so its weight does nothing."
                                .formatted(weight.field(), kind),
                        false));
            } else if (!reached.isEmpty() && reached.stream().allMatch(c -> c.field(weight.field()) == null)) {
                remarks.add(new Remark(
                        Step.WORDS,
                        "No searched collection has the field \"%s\", so its weight does nothing."
                                .formatted(weight.field()),
                        false));
            }
        }
        for (Filter filter : design.filtersInUse()) {
            if (filter.joined() != null) {
                filter.joined()
                        .parts()
                        .forEach(part -> field(
                                remarks,
                                part,
                                content,
                                reached,
                                "the part \"%s\" of the filter \"%s\"".formatted(part.label(), filter.label())));
                filter.joined().parts().stream()
                        .filter(part ->
                                content.kind(part.field()) != null && !Control.joinable(content.kind(part.field())))
                        .forEach(part -> remarks.add(new Remark(
                                Step.FILTERS,
                                "The field \"%s\" is of kind %s by now, whose values cannot stand among those of other fields. Take \"%s\" apart."
                                        .formatted(part.field(), content.kind(part.field()), filter.label()),
                                false)));
            } else {
                field(remarks, filter, content, reached, "the filter \"%s\"".formatted(filter.label()));
            }
            if (!filter.shown().collections().isEmpty()
                    && filter.shown().collections().stream().noneMatch(searched::contains)) {
                remarks.add(new Remark(
                        Step.FILTERS,
                        "The filter \"%s\" waits for results of collections that are not searched, so nobody sees it."
                                .formatted(filter.label()),
                        false));
            }
        }
        design.order().all().distinct().forEach(key -> {
            FieldKind kind = key.field() == null ? null : content.kind(key.field());
            if (key.field() != null && kind == null) {
                remarks.add(new Remark(
                        Step.ORDER,
                        "No collection has the field \"%s\", so it orders nothing. Take it out of the order."
                                .formatted(key.field()),
                        false));
            } else if (key.field() != null && !key.fits(kind)) {
                remarks.add(new Remark(
                        Step.ORDER,
                        "The field \"%s\" is of kind %s by now, so it orders nothing as \"%s\". Take it out of the order, or correct the kind."
                                .formatted(key.field(), kind, key),
                        false));
            } else if (key.by() == OrderKey.By.DISTANCE
                    && reached.stream()
                            .flatMap(c -> c.fields().stream())
                            .noneMatch(field -> field.kind() == FieldKind.PLACE)) {
                remarks.add(new Remark(
                        Step.ORDER, "No searched collection has a place, so distance orders nothing.", false));
            }
        });
        remarks.addAll(TierChecks.remarks(design));
        design.tiers().forEach(tier -> tier.holders().forEach(holders -> {
            FieldKey key = holders.rule().author() != null
                    ? FieldKey.AUTHOR
                    : holders.rule().field();
            FieldKind kind = key == null ? null : content.kind(key);
            if (key != null && kind == null) {
                remarks.add(new Remark(
                        Step.ORDER,
                        "No collection has the field \"%s\", so nothing holds \"%s\" by it. Take the rule away."
                                .formatted(key, tier.name()),
                        false));
            } else if (holders.rule().field() != null && kind != FieldKind.CATEGORY && kind != FieldKind.YES_NO) {
                remarks.add(new Remark(
                        Step.ORDER,
                        "The field \"%s\" is of kind %s, and tiers go by categories and by yes or no. Take the rule of \"%s\" away, or correct the kind."
                                .formatted(key, kind, tier.name()),
                        false));
            }
        }));
        return remarks;
    }

    private static void field(
            List<Remark> remarks, Filter filter, SiteContent content, List<Collection> reached, String who) {
        FieldKind kind = content.kind(filter.field());
        if (Control.fitting(kind).isEmpty()) {
            remarks.add(new Remark(
                    Step.FILTERS,
                    kind == null
                            ? "No collection has the field \"%s\", so %s offers nothing. Take it away."
                                    .formatted(filter.field(), who)
                            : "The field \"%s\" is of kind %s by now, by which nobody can narrow. Correct the kind, or take %s away."
                                    .formatted(filter.field(), kind, who),
                    false));
        } else if (!reached.isEmpty() && reached.stream().allMatch(c -> c.field(filter.field()) == null)) {
            remarks.add(new Remark(
                    Step.FILTERS,
                    "No searched collection has the field \"%s\", so %s offers nothing.".formatted(filter.field(), who),
                    false));
        } else if (filter.control() != null && filter.control() != filter.controlFor(kind)) {
            remarks.add(new Remark(
                    Step.FILTERS,
                    "The field \"%s\" is of kind %s by now, so %s shows as %s and not as %s."
                            .formatted(filter.field(), kind, who, filter.controlFor(kind), filter.control()),
                    false));
        }
    }

    private static void rules(List<Remark> remarks, Reach.Searched searched, Collection collection) {
        for (ReachRule rule : Stream.concat(searched.only().stream(), searched.leaveOut().stream())
                .toList()) {
            FieldKey key = rule.author() != null ? FieldKey.AUTHOR : rule.field();
            Field field = key == null ? null : collection.field(key);
            if (key != null && field == null) {
                remarks.add(new Remark(
                        Step.REACH,
                        "%s has no field \"%s\", so the rule \"%s\" takes nothing. Take it away."
                                .formatted(collection.label(), key, rule),
                        false));
            } else if (rule.field() != null && field != null && field.kind() != FieldKind.CATEGORY) {
                remarks.add(new Remark(
                        Step.REACH,
                        "The field \"%s\" of %s is of kind %s, and rules go by category. Take \"%s\" away, or correct the kind."
                                .formatted(key, collection.label(), field.kind(), rule),
                        false));
            }
        }
    }

    /** Whether words can be looked for in a field of this kind. */
    public static boolean searchable(FieldKind kind) {
        return switch (kind) {
            case TEXT, CATEGORY, CODE, IMAGE, PLACE -> true;
            case NUMBER, MONEY, DATE, YES_NO, LINK -> false;
        };
    }
}
