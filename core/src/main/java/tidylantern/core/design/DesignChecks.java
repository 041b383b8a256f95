package tidylantern.core.design;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.box.BoxDress;
import tidylantern.core.design.box.BoxPainting;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.MentionPart;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.look.LookChecks;
import tidylantern.core.design.look.WornLook;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.design.text.DesignLabels;

/**
 * What is open in a design, held against the content it is for. Nothing here stops a draft from being kept; a remark
 * that {@link Remark#stops} stops its publication.
 */
public final class DesignChecks {
    private final SearchDesign design;
    private final SiteContent content;
    private final List<Collection> reached;
    private final List<Remark> remarks = new ArrayList<>();

    private DesignChecks(SearchDesign design, SiteContent content) {
        this.design = design;
        this.content = content;
        this.reached = content.collections().stream()
                .filter(one -> design.searched().contains(one.key()))
                .toList();
    }

    /** The steps of a search that a remark can belong to. */
    public enum Step {
        REACH,
        WORDS,
        FILTERS,
        ORDER,
        CARDS,
        BOX,
        LIVE,
        PAGE,
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
        DesignChecks checks = new DesignChecks(design, content);
        checks.reach();
        checks.words();
        design.filters().stream().flatMap(Filter::inUse).forEach(checks::filter);
        design.order().all().distinct().forEach(checks::orderKey);
        checks.remarks.addAll(TierChecks.remarks(design));
        design.tiers().forEach(tier -> tier.holders().forEach(holders -> checks.tierRule(tier, holders.rule())));
        design.cards().forEach(checks::card);
        checks.labels();
        checks.chooser();
        checks.live();
        checks.page();
        return checks.remarks;
    }

    /** What stops the publication of a design; none where nothing does. */
    public static Optional<Remark> firstStop(SearchDesign design, SiteContent content) {
        return of(design, content).stream().filter(Remark::stops).findFirst();
    }

    private void labels() {
        Set<String> known = DesignLabels.of(design).stream()
                .map(DesignLabels.UsualLabel::label)
                .collect(Collectors.toSet());
        design.texts().labels().stream()
                .filter(label -> !known.contains(label.label()))
                .forEach(label -> remark(
                        Step.CARDS,
                        "\"%s\" words the label %s in %s, and there is none any more. Take the wording away.",
                        label.wording(),
                        label.label(),
                        label.language().called()));
    }

    private void chooser() {
        Chooser chooser = design.box().chooser();
        if (chooser == null) {
            return;
        }
        if (chooser.field().equals(FieldKey.COLLECTION)) {
            if (design.searched().size() < 2) {
                remark(Step.BOX, "Only one collection is searched, so there is nothing to choose among in the box.");
            }
        } else if (content.kind(chooser.field()) != FieldKind.CATEGORY) {
            remark(
                    Step.BOX,
                    "What can be chosen in the box is \"%s\", and no collection has a category of that name. Choose"
                            + " another, or nothing.",
                    chooser.field());
        } else if (noneReachedHas(chooser.field())) {
            remark(
                    Step.BOX,
                    "What can be chosen in the box is \"%s\", which no searched collection has.",
                    chooser.field());
        }
    }

    private void live() {
        LiveList live = design.live();
        Integer from = live.asking().from();
        if (from != null && from < design.words().fewestLetters()) {
            remark(
                    Step.LIVE,
                    "Live results begin at %d letters, and words are looked for from %d on: until then the starting list"
                            + " stands there.",
                    from,
                    design.words().fewestLetters());
        }
        if (live.first() != null && live.first() >= live.most()) {
            remark(Step.LIVE, "All of the %d live results show at first, so 'more' never does.", live.most());
        }
    }

    private void page() {
        ResultsPage page = design.page();
        if (page.start().with() == StartingList.With.FEATURED && design.tiers().isEmpty()) {
            remark(
                    Step.PAGE,
                    "Featured items are shown before anything is typed, and there is no featured tier. Everything is"
                            + " shown instead.");
        }
        if (page.start().with() == StartingList.With.CATEGORY) {
            ofCategories(page.start().filter(), "The list begins with one category");
        }
        if (page.layout().opensPictures() && page.layout().tags() != null) {
            ofCategories(page.layout().tags(), "Tags stand below large pictures");
        }
        if (page.shows().popular() != null) {
            ofCategories(page.shows().popular().filter(), "Popular categories are shown");
        }
    }

    /** What narrows by a value needs a filter of categories that is in use. */
    private void ofCategories(@Nullable String key, String what) {
        Filter filter = design.filtersInUse().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElse(null);
        if (filter == null) {
            remark(Step.PAGE, "%s, of the filter \"%s\", and there is no such filter. Choose another.", what, key);
        } else if (!(filter.source() instanceof CategorySource categories)
                || content.kind(categories.field()) != FieldKind.CATEGORY) {
            remark(
                    Step.PAGE,
                    "%s, of the filter \"%s\", which is none of one field's categories. Choose another.",
                    what,
                    key);
        }
    }

    /** Colours that cannot be read, or not be seen, in what a search wears; each once, where it is worst. */
    public static List<Remark> of(WornLook look) {
        return LookChecks.failing(look).stream()
                .map(contrast -> new Remark(
                        Step.CARDS,
                        "In the look's %s colours, \"%s\" on \"%s\" has a contrast of %.2f, where %.1f is needed.%s"
                                .formatted(
                                        contrast.shade(),
                                        contrast.front().called(),
                                        contrast.behind().called(),
                                        Math.floor(contrast.ratio() * 100) / 100,
                                        contrast.wanted(),
                                        contrast.nearest() == null
                                                ? ""
                                                : " %s is the nearest colour that has it."
                                                        .formatted(contrast.nearest())),
                        false))
                .toList();
    }

    /** A gradient of the box on which nothing can be read from end to end, in a shade that some visitor can meet. */
    public static List<Remark> of(BoxDress dress, WornLook look) {
        return LookChecks.worn(look.scheme()).stream()
                .filter(shade -> Arrays.stream(BoxDress.State.values())
                        .anyMatch(state -> !BoxPainting.of(dress, state, look.palette(shade))
                                .isReadable()))
                .map(shade -> new Remark(
                        Step.BOX,
                        ("On %s pages no colour of words can be read on both ends of the box's gradient."
                                        + " Make both darker, or both lighter.")
                                .formatted(shade),
                        false))
                .toList();
    }

    private static String where(Card card) {
        return switch (card.place()) {
            case LIST -> "the list";
            case GRID -> "results side by side";
            case WALL -> "the wall of pictures";
            case LIVE -> "live results";
        };
    }

    private void card(Card card) {
        if (card.collection() != null && !design.searched().contains(card.collection())) {
            remark(
                    Step.CARDS,
                    "The card of \"%s\" is never drawn, since that collection is not searched. Take it away, or switch"
                            + " the collection on.",
                    card.collection());
            return;
        }
        boolean sold = design.tiers().stream().anyMatch(tier -> tier.disclosure() != null);
        boolean says = card.leaves()
                .anyMatch(part -> part instanceof MentionPart mention && mention.what() == MentionPart.What.DISCLOSURE);
        if (sold && !says) {
            remark(
                    Step.CARDS,
                    "A tier is paid for, and a card for %s does not say so. Add the part for a paid placement.",
                    where(card));
        }
        card.fields().stream()
                .sorted()
                .filter(field -> content.kind(field) == null)
                .forEach(field -> remark(
                        Step.CARDS,
                        "No collection has the field \"%s\" any more, which a card for %s shows. Take it off.",
                        field,
                        where(card)));
    }

    private void remark(Step step, String pattern, @Nullable Object... values) {
        remarks.add(new Remark(step, pattern.formatted(values), false));
    }

    private boolean noneReachedHas(FieldKey field) {
        return !reached.isEmpty() && reached.stream().allMatch(one -> one.field(field) == null);
    }

    private void reach() {
        if (design.searched().isEmpty()) {
            remarks.add(
                    new Remark(Step.REACH, "No collection is searched, so nothing can be found. Switch one on.", true));
        }
        for (Reach.Searched one : design.reach().collections()) {
            Collection collection = content.collection(one.collection());
            if (collection == null) {
                remark(
                        Step.REACH,
                        "The collection \"%s\" is gone from the site. Switch it off, or bring it back.",
                        one.collection());
            } else {
                Stream.concat(one.only().stream(), one.leaveOut().stream())
                        .forEach(rule -> reachRule(rule, collection));
            }
        }
    }

    private void reachRule(ReachRule rule, Collection collection) {
        FieldKey key = rule.author() != null ? FieldKey.AUTHOR : rule.field();
        Field field = key == null ? null : collection.field(key);
        if (key != null && field == null) {
            remark(
                    Step.REACH,
                    "%s has no field \"%s\", so the rule \"%s\" takes nothing. Take it away.",
                    collection.label(),
                    key,
                    rule);
        } else if (rule.field() != null && field != null && field.kind() != FieldKind.CATEGORY) {
            remark(
                    Step.REACH,
                    "The field \"%s\" of %s is of kind %s, and rules go by category."
                            + " Take \"%s\" away, or correct the kind.",
                    key,
                    collection.label(),
                    field.kind(),
                    rule);
        }
    }

    private void words() {
        List<FieldWeight> weights = design.words().searched();
        if (weights.isEmpty()) {
            remarks.add(
                    new Remark(Step.WORDS, "No field is searched, so no word can be found. Give one a weight.", true));
        }
        for (FieldWeight weight : weights) {
            FieldKey field = weight.field();
            FieldKind kind = content.kind(field);
            if (kind == null) {
                remark(Step.WORDS, "No collection has the field \"%s\". Take its weight away.", field);
            } else if (!searchable(kind)) {
                remark(
                        Step.WORDS,
                        "The field \"%s\" holds no words (it is of kind %s), so its weight does nothing.",
                        field,
                        kind);
            } else if (noneReachedHas(field)) {
                remark(Step.WORDS, "No searched collection has the field \"%s\", so its weight does nothing.", field);
            }
        }
    }

    private void filter(Filter filter) {
        if (filter.source() instanceof JointSource joint) {
            joint.parts()
                    .forEach(part -> filterField(
                            part, "the part \"%s\" of the filter \"%s\"".formatted(part.label(), filter.label())));
            joint.parts().forEach(part -> joinedPart(part, filter));
        } else {
            filterField(filter, "the filter \"%s\"".formatted(filter.label()));
        }
        List<CollectionKey> with = filter.shown().collections();
        if (!with.isEmpty() && with.stream().noneMatch(design.searched()::contains)) {
            remark(
                    Step.FILTERS,
                    "The filter \"%s\" waits for results of collections that are not searched, so nobody sees it.",
                    filter.label());
        }
    }

    private void joinedPart(Filter part, Filter joint) {
        FieldKey field = part.fields().getFirst();
        FieldKind kind = content.kind(field);
        if (kind != null && !FilterSource.canBeJoined(kind)) {
            remark(
                    Step.FILTERS,
                    "The field \"%s\" is of kind %s by now, whose values cannot stand among those of other fields."
                            + " Take \"%s\" apart.",
                    field,
                    kind,
                    joint.label());
        }
    }

    private void filterField(Filter filter, String who) {
        FieldKey field = filter.fields().getFirst();
        FieldKind kind = content.kind(field);
        if (kind == null) {
            remark(Step.FILTERS, "No collection has the field \"%s\", so %s offers nothing. Take it away.", field, who);
        } else if (Control.fitting(kind).isEmpty()) {
            remark(
                    Step.FILTERS,
                    "The field \"%s\" is of kind %s by now, by which nobody can narrow."
                            + " Correct the kind, or take %s away.",
                    field,
                    kind,
                    who);
        } else if (noneReachedHas(field)) {
            remark(Step.FILTERS, "No searched collection has the field \"%s\", so %s offers nothing.", field, who);
        } else if (!FilterSource.fits(filter.source(), kind)) {
            remark(
                    Step.FILTERS,
                    "The field \"%s\" is of kind %s by now, so %s shows as %s and not as %s.",
                    field,
                    kind,
                    who,
                    filter.over(kind).source().control(),
                    filter.source().control());
        }
    }

    private void orderKey(OrderKey key) {
        FieldKind kind = key.field() == null ? null : content.kind(key.field());
        if (key.field() != null && kind == null) {
            remark(
                    Step.ORDER,
                    "No collection has the field \"%s\", so it orders nothing. Take it out of the order.",
                    key.field());
        } else if (key.field() != null && !key.fits(kind)) {
            remark(
                    Step.ORDER,
                    "The field \"%s\" is of kind %s by now, so it orders nothing as \"%s\"."
                            + " Take it out of the order, or correct the kind.",
                    key.field(),
                    kind,
                    key);
        } else if (key.by() == OrderKey.By.DISTANCE && noneReachedHasAPlace()) {
            remark(Step.ORDER, "No searched collection has a place, so distance orders nothing.");
        }
    }

    private boolean noneReachedHasAPlace() {
        return reached.stream()
                .flatMap(one -> one.fields().stream())
                .noneMatch(field -> field.kind() == FieldKind.PLACE);
    }

    private void tierRule(Tier tier, ReachRule rule) {
        FieldKey key = rule.author() != null ? FieldKey.AUTHOR : rule.field();
        FieldKind kind = key == null ? null : content.kind(key);
        if (key != null && kind == null) {
            remark(
                    Step.ORDER,
                    "No collection has the field \"%s\", so nothing holds \"%s\" by it. Take the rule away.",
                    key,
                    tier.name());
        } else if (rule.field() != null && kind != FieldKind.CATEGORY && kind != FieldKind.YES_NO) {
            remark(
                    Step.ORDER,
                    "The field \"%s\" is of kind %s, and tiers go by categories and by yes or no."
                            + " Take the rule of \"%s\" away, or correct the kind.",
                    key,
                    kind,
                    tier.name());
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
