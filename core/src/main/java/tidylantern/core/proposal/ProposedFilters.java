package tidylantern.core.proposal;

import java.math.BigDecimal;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.DaySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterHead;
import tidylantern.core.design.filter.FilterShown;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.filter.ValueList;
import tidylantern.core.design.filter.ValueOrder;
import tidylantern.core.design.filter.WithoutResults;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.filter.FilterAnswer;

/**
 * Chooses by which fields visitors narrow: those that take most away when one of their values is chosen, and that many
 * items say something in.
 */
final class ProposedFilters {
    static final int MOST = 6;
    private static final int MOST_SWITCHES = 2;
    /** What takes less away, or stands in too few items, is not worth its room. */
    private static final double LEAST_WORTH = 0.08;

    /** A value that fewer items have leads to too little; below it a filter is worth less. */
    private static final double ITEMS_OF_A_GOOD_VALUE = 4;
    /**
     * Any part of drawn numbers can be taken, so there is no value to reckon with; this and the next ones are our own
     * figures, from looking at which filters stand beside which.
     */
    private static final double WORTH_OF_A_NUMBER = 0.6;

    private static final double WORTH_OF_A_PLACE = 0.55;
    private static final double WORTH_OF_DAYS_TO_COME = 0.8;
    private static final double WORTH_OF_PAST_DAYS = 0.2;
    private static final double HALF = 0.5;
    /** A field that so many items have is shown whatever is found. */
    private static final double MOST_ITEMS = 0.6;

    private static final int FEWEST_NUMBERS = 3;
    private static final int LONG_LIST = 8;
    /** With room for a number behind it. */
    private static final int LONGEST_KEY = 36;

    private final List<CollectionSample> samples;
    private final KindOfSite kind;
    private final LocalDate today;
    private final VisitorNames names;
    private final int inReach;

    private ProposedFilters(List<CollectionSample> samples, KindOfSite kind, LocalDate today, VisitorNames names) {
        this.names = names;
        this.samples = samples;
        this.kind = kind;
        this.today = today;
        inReach = samples.stream().mapToInt(CollectionSample::items).sum();
    }

    /**
     * @param worth how much of the items it takes away, and of how many: 0 to 1
     * @param why in words for the owner
     */
    record Proposed(NarrowingField field, Filter filter, double worth, String why) {}

    /** At most {@value #MOST}, in the order in which visitors see them. */
    static List<Proposed> of(
            List<NarrowingField> fields,
            List<CollectionSample> samples,
            KindOfSite kind,
            LocalDate today,
            VisitorNames names) {
        return new ProposedFilters(samples, kind, today, names).chosen(fields);
    }

    private List<Proposed> chosen(List<NarrowingField> fields) {
        List<NarrowingField> best = fields.stream()
                .filter(field -> worth(field) >= LEAST_WORTH)
                .sorted(Comparator.comparingDouble(this::worth).reversed())
                .toList();
        List<NarrowingField> chosen = new ArrayList<>();
        int switches = 0;
        for (NarrowingField field : best) {
            boolean isSwitch = field.kind() == FieldKind.YES_NO;
            if (chosen.size() < MOST
                    && !(isSwitch && switches == MOST_SWITCHES)
                    && chosen.stream().noneMatch(other -> saysTheSame(field, other))) {
                chosen.add(field);
                switches += isSwitch ? 1 : 0;
            }
        }
        Set<String> keys = new HashSet<>();
        return chosen.stream()
                .sorted(Comparator.comparingInt(this::rank)
                        .thenComparing(Comparator.comparingDouble(this::worth).reversed()))
                .map(field -> new Proposed(field, filter(field, key(field, keys)), worth(field), why(field)))
                .toList();
    }

    private double worth(NarrowingField field) {
        double share = (double) field.items() / Math.max(1, inReach);
        return share
                * switch (field.kind()) {
                    case CATEGORY -> worthOfValues(field);
                    case NUMBER, MONEY -> measures(field) ? WORTH_OF_A_NUMBER : 0;
                    case DATE -> worthOfDays(field);
                    case YES_NO -> FieldWords.FEATURED.name(field.field()) ? 0 : worthOfAYes(field);
                    case PLACE -> WORTH_OF_A_PLACE;
                    case TEXT, CODE, IMAGE, LINK -> 0;
                };
    }

    /**
     * How much a value takes away, on average over the items that have one: a visitor who looks for an item chooses the
     * value that it has.
     */
    private static double worthOfValues(NarrowingField field) {
        if (field.nearlyUnique()) {
            return 0;
        }
        List<CategoryCount> choices = atTheTop(field);
        double chosen = choices.stream().mapToDouble(CategoryCount::count).sum();
        double left = choices.stream()
                        .mapToDouble(value -> (double) value.count() * value.count())
                        .sum()
                / Math.max(1, chosen * field.items());
        double ofAValue = chosen / Math.max(1, choices.size());
        return (1 - left) * Math.min(1, ofAValue / ITEMS_OF_A_GOOD_VALUE);
    }

    /** Of a tree the values at its top, where there are several. */
    private static List<CategoryCount> atTheTop(NarrowingField field) {
        List<CategoryCount> top = field.values().stream()
                .filter(value -> value.names().size() == 1)
                .toList();
        return top.size() > 1 ? top : field.values();
    }

    /** Whether there is anything to draw a bound between. */
    private boolean measures(NarrowingField field) {
        return !FieldWords.NAMING.name(field.field())
                && numbers(field).distinct().limit(FEWEST_NUMBERS).count() == FEWEST_NUMBERS;
    }

    private double worthOfAYes(NarrowingField field) {
        return Math.min(field.yes(), inReach - field.yes()) / (double) Math.max(1, field.items());
    }

    private double worthOfDays(NarrowingField field) {
        if (field.bounds() == null || !field.bounds().varied()) {
            return 0;
        }
        boolean isOfTrips = !field.key().equals(FieldKey.PUBLISHED) && isToCome(field);
        return isOfTrips ? WORTH_OF_DAYS_TO_COME : WORTH_OF_PAST_DAYS;
    }

    private boolean isToCome(NarrowingField field) {
        return samplesOf(field).anyMatch(sample -> sample.toCome(field.key(), today) >= HALF);
    }

    private Stream<CollectionSample> samplesOf(NarrowingField field) {
        return samples.stream().filter(sample -> sample.collection().field(field.key()) != null);
    }

    private Stream<Double> numbers(NarrowingField field) {
        return samplesOf(field).flatMap(sample -> sample.numbers(field.key()).stream());
    }

    /** Whether the values of two fields always go together, so that the second would take nothing more away. */
    private boolean saysTheSame(NarrowingField one, NarrowingField other) {
        if (one.kind() != FieldKind.CATEGORY || other.kind() != FieldKind.CATEGORY) {
            return false;
        }
        Map<FieldValue, FieldValue> there = new HashMap<>();
        Map<FieldValue, FieldValue> back = new HashMap<>();
        int met = 0;
        for (CollectionSample sample : samples) {
            for (Item item : sample.some()) {
                FieldValue said = item.values().get(one.key());
                FieldValue otherwise = item.values().get(other.key());
                if (said == null || otherwise == null) {
                    continue;
                }
                met++;
                if (!there.computeIfAbsent(said, key -> otherwise).equals(otherwise)
                        || !back.computeIfAbsent(otherwise, key -> said).equals(said)) {
                    return false;
                }
            }
        }
        return met > there.size();
    }

    /** What visitors look for first stands first; what they switch stands last. */
    private int rank(NarrowingField field) {
        return switch (field.kind()) {
            case DATE -> kind == KindOfSite.TRIPS ? 0 : 5;
            case CATEGORY -> field.isOfTags() ? 6 : 1;
            case MONEY -> 2;
            case NUMBER -> 3;
            case PLACE -> kind == KindOfSite.DIRECTORY ? 0 : 4;
            default -> 7;
        };
    }

    private static String key(NarrowingField field, Set<String> taken) {
        String wanted = field.keyInAddresses();
        String first = wanted.substring(0, Math.min(wanted.length(), LONGEST_KEY));
        String key = first;
        for (int n = 2; !taken.add(key); n++) {
            key = first + "-" + n;
        }
        return key;
    }

    private Filter filter(NarrowingField field, String key) {
        String label = field.kind() == FieldKind.PLACE
                ? names.of("distance")
                : field.field().label();
        return new Filter(FilterHead.labelled(key, label), shown(field), source(field));
    }

    private FilterSource source(NarrowingField field) {
        FilterSource best = field.source();
        return switch (best) {
            case CategorySource categories ->
                CategorySource.of(field.key(), categories.control(), categories.offered(), list(field));
            case NumberSource ignored -> numberSource(field);
            case DaySource ignored -> DaySource.of(field.key(), isToCome(field) ? DayControl.MONTHS : DayControl.SPAN);
            default -> best;
        };
    }

    private NumberSource numberSource(NarrowingField field) {
        NumberControl control = control(field);
        return NumberSource.of(
                field.key(),
                control,
                field.unit(),
                control == NumberControl.BANDS
                        ? NumberSteps.between(numbers(field).sorted().toList())
                        : List.of());
    }

    private static ValueList list(NarrowingField field) {
        return ValueList.of(order(field), field.isOfTags() ? WithoutResults.HIDE : WithoutResults.DIM);
    }

    private static ValueOrder order(NarrowingField field) {
        boolean areNumbers = field.values().stream()
                .allMatch(value -> Character.isDigit(value.names().getLast().codePointAt(0)));
        if (areNumbers) {
            return ValueOrder.NUMBER;
        }
        return field.isOfTags() || (!field.tree() && field.values().size() > LONG_LIST)
                ? ValueOrder.COUNT
                : ValueOrder.NAME;
    }

    private NumberControl control(NarrowingField field) {
        if (field.kind() == FieldKind.NUMBER && FieldWords.THE_MORE.name(field.field())) {
            return NumberControl.AT_LEAST;
        }
        if (field.kind() == FieldKind.NUMBER && FieldWords.THE_LESS.name(field.field())) {
            return NumberControl.AT_MOST;
        }
        return NumberSteps.areUneven(numbers(field).sorted().toList()) ? NumberControl.BANDS : NumberControl.RANGE;
    }

    /** On the results page, while it takes anything away; of some collections only, while any of these is found. */
    private FilterShown shown(NarrowingField field) {
        boolean isOfAll = field.collections().size() == samples.size();
        return FilterShown.whileNarrowing(
                isOfAll || field.items() >= MOST_ITEMS * inReach
                        ? List.of()
                        : field.collections().stream().map(one -> one.key()).toList());
    }

    private static String range(NarrowingField field) {
        FilterAnswer.Bounds bounds = field.bounds();
        return bounds == null || bounds.min() == null || bounds.max() == null
                ? ""
                : "; from %s to %s".formatted(read(bounds.min()), read(bounds.max()));
    }

    /** A bound as people read it; days stay as they are. */
    private static String read(String bound) {
        return bound.matches("-?\\d+(\\.\\d+)?")
                ? NumberFormat.getNumberInstance(Locale.ENGLISH).format(new BigDecimal(bound))
                : bound;
    }

    private String why(NarrowingField field) {
        String where = "%d %% of the items say it".formatted(Math.round(100.0 * field.items() / Math.max(1, inReach)));
        return switch (field.kind()) {
            case CATEGORY -> {
                List<CategoryCount> choices = atTheTop(field);
                int items = choices.stream().mapToInt(CategoryCount::count).sum() / Math.max(1, choices.size());
                yield "%s; %d values, about %d items each%s"
                        .formatted(where, choices.size(), items, field.tree() ? ", with finer ones below" : "");
            }
            case DATE -> where + (isToCome(field) ? "; most have days to come" : "");
            case YES_NO -> where + "; " + field.yes() + " say yes";
            case NUMBER, MONEY -> where + range(field);
            default -> where;
        };
    }
}
