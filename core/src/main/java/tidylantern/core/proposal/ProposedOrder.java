package tidylantern.core.proposal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.ResultOrder;

/** Chooses in which order results stand: without words, and what visitors may choose instead. */
final class ProposedOrder {
    private static final int MOST_CHOICES = 5;
    private static final int LONGEST_KEY = 40;
    private static final double HALF = 0.5;

    private final List<CollectionSample> samples;
    private final KindOfSite kind;
    private final LocalDate today;
    private final VisitorNames names;

    ProposedOrder(List<CollectionSample> samples, KindOfSite kind, LocalDate today, VisitorNames names) {
        this.samples = samples;
        this.kind = kind;
        this.today = today;
        this.names = names;
    }

    /**
     * @param label what it is called
     * @param why in words for the owner
     */
    record First(List<OrderKey> by, String label, String why) {}

    /** What stands first where nothing is typed. */
    First withoutWords() {
        Field days = days();
        if (kind == KindOfSite.TRIPS && days != null) {
            return new First(
                    List.of(OrderKey.of(OrderKey.By.NEXT_DAY, days.key())),
                    names.of("soonest", days.label()),
                    "“" + days.label() + "” holds the days to come, and who looks at trips asks what comes next");
        }
        boolean isInTheOrderOfNames = kind == KindOfSite.DIRECTORY || saying(FieldKey.PUBLISHED) < HALF;
        return isInTheOrderOfNames
                ? new First(
                        List.of(OrderKey.of(OrderKey.By.TITLE)),
                        names.of("title"),
                        kind == KindOfSite.DIRECTORY
                                ? "In a directory visitors look for names"
                                : "Most items have no day of publication")
                : new First(
                        List.of(OrderKey.of(OrderKey.By.NEWEST)),
                        names.of("newest"),
                        "Most items say when they were published");
    }

    /** What visitors may choose, at most {@value #MOST_CHOICES}. */
    List<ResultOrder.Choice> choices() {
        List<ResultOrder.Choice> choices = new ArrayList<>();
        Field days = days();
        if (days != null) {
            add(choices, "soonest", days.label(), OrderKey.of(OrderKey.By.NEXT_DAY, days.key()));
        }
        if (saying(FieldKey.PUBLISHED) >= HALF) {
            add(choices, "newest", "", OrderKey.of(OrderKey.By.NEWEST));
        }
        fields(FieldKind.PLACE)
                .findFirst()
                .ifPresent(place -> add(
                        choices,
                        "closest",
                        "",
                        new OrderKey(OrderKey.By.DISTANCE, null, false, OrderKey.of(OrderKey.By.TITLE))));
        fields(FieldKind.NUMBER)
                .filter(FieldWords.RATING::name)
                .findFirst()
                .ifPresent(rating -> add(choices, "greatest", rating.label(), number(rating, true)));
        fields(FieldKind.MONEY).findFirst().ifPresent(price -> {
            add(choices, "least", price.label(), number(price, false));
            add(choices, "greatest", price.label(), number(price, true));
        });
        fields(FieldKind.NUMBER)
                .filter(FieldWords.THE_LESS::name)
                .findFirst()
                .ifPresent(shortest -> add(choices, "least", shortest.label(), number(shortest, false)));
        add(choices, "title", "", OrderKey.of(OrderKey.By.TITLE));
        return choices.stream().limit(MOST_CHOICES).toList();
    }

    private void add(List<ResultOrder.Choice> choices, String order, String label, OrderKey by) {
        FieldKey field = by.by() == OrderKey.By.NUMBER ? by.field() : null;
        String whole = field == null ? order : order + "-" + field.hyphenated();
        String key = whole.substring(0, Math.min(whole.length(), LONGEST_KEY));
        if (choices.stream().noneMatch(choice -> choice.key().equals(key))) {
            choices.add(new ResultOrder.Choice(key, names.of(order, label), List.of(by)));
        }
    }

    private static OrderKey number(Field field, boolean down) {
        return new OrderKey(OrderKey.By.NUMBER, field.key(), down, null);
    }

    /** The field of days to come; null where there is none. */
    private @Nullable Field days() {
        return samples.stream()
                .flatMap(sample -> sample.of(FieldKind.DATE).stream()
                        .filter(field -> !field.key().equals(FieldKey.PUBLISHED)
                                && saying(field.key()) >= HALF
                                && sample.toCome(field.key(), today) >= HALF))
                .findFirst()
                .orElse(null);
    }

    /** Fields of a kind that at least half of all items say something in, each once. */
    private Stream<Field> fields(FieldKind kind) {
        return samples.stream()
                .flatMap(sample -> sample.of(kind).stream())
                .filter(field -> saying(field.key()) >= HALF)
                .collect(Collectors.toMap(Field::key, field -> field, (first, again) -> first, LinkedHashMap::new))
                .values()
                .stream();
    }

    /** The share of all items that say anything in a field. */
    private double saying(FieldKey field) {
        int all = samples.stream().mapToInt(CollectionSample::items).sum();
        double says = samples.stream()
                .mapToDouble(sample -> sample.saying(field) * sample.items())
                .sum();
        return all == 0 ? 0 : says / all;
    }
}
