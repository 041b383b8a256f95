package tidylantern.core.query.filter;

import java.io.IOException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.DoubleStream;
import org.apache.lucene.document.DoubleField;
import org.apache.lucene.document.LongField;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.DaySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;

/**
 * Bounds, steps and months of numbers, amounts and days. Bounds are inclusive; an item without a value drops out once
 * one is set.
 */
public final class NumberFilter implements QueryFilter {
    private static final int MOST_BARS = 20;
    private static final int MOST_STEPS = 100;
    private static final int USUAL_BANDS = 5;
    private static final int MOST_MONTHS = 240;
    /** With those on offer fewer than there are bits in a long, by which they are counted. */
    private static final int MOST_SET = 12;

    private static final String FROM_TODAY = "today..";

    private final Filter filter;
    private final FieldKey field;
    private final Control control;
    private final boolean days;
    /** What visitors read for a step or for 'from today', by its value. */
    private final Map<String, String> labels;
    /** Whether what would give nothing is left out. */
    private final boolean hidesEmpty;

    private final NumberCounting.Extent extent;
    /** How many items in reach have a day in each of the months on offer. */
    private final int[] monthsInReach;
    /** What is set; of bounds at most one. */
    private final List<Interval> set;

    private final double[] buckets;
    private final List<Interval> offered;
    private final NumberCounting counting;

    private NumberFilter(Filter filter, NumberSource source, List<Interval> given, QueryFilter.Setting in)
            throws IOException {
        this.filter = filter;
        field = source.field();
        control = source.control();
        days = false;
        labels = source.labels();
        hidesEmpty = source.hidesEmpty();
        extent = NumbersInReach.extent(in.state(), in.search().reachIn(in.state()), field, days);
        set = set(given, source.control());
        offered = new ArrayList<>();
        if (source.control() == NumberControl.BANDS) {
            offered.addAll(bands(source.bands()));
            // What an older address has set stays in sight, so that it can be taken off.
            set.stream().filter(one -> !offered.contains(one)).forEach(offered::add);
        }
        buckets = source.control() == NumberControl.RANGE ? bars() : new double[0];
        monthsInReach = new int[0];
        counting = new NumberCounting(field, days, buckets, offered);
    }

    private NumberFilter(Filter filter, DaySource source, List<Interval> given, QueryFilter.Setting in, LocalDate today)
            throws IOException {
        this.filter = filter;
        field = source.field();
        control = source.control();
        days = true;
        labels = source.labels();
        hidesEmpty = source.hidesEmpty();
        Query reach = in.search().reachIn(in.state());
        extent = NumbersInReach.extent(in.state(), reach, field, days);
        Interval fromToday = new Interval(today.toEpochDay(), Double.POSITIVE_INFINITY);
        set = switch (source.control()) {
            case MONTHS -> given.stream().limit(MOST_MONTHS).toList();
            case FROM_TODAY -> given.stream().filter(fromToday::equals).toList();
            case SPAN -> given.stream().limit(1).toList();
        };
        offered = source.control() == DayControl.FROM_TODAY ? List.of(fromToday) : List.of();
        buckets = source.control() == DayControl.MONTHS ? months() : new double[0];
        monthsInReach = source.control() == DayControl.MONTHS
                ? NumbersInReach.inBuckets(in.state(), reach, field, buckets)
                : new int[0];
        counting = new NumberCounting(field, days, buckets, offered);
    }

    static NumberFilter ofNumbers(Filter filter, NumberSource source, List<String> given, QueryFilter.Setting in)
            throws IOException {
        return new NumberFilter(
                filter,
                source,
                given.stream()
                        .map(Interval::ofNumbers)
                        .filter(Objects::nonNull)
                        .distinct()
                        .toList(),
                in);
    }

    static NumberFilter ofDays(Filter filter, DaySource source, List<String> given, QueryFilter.Setting in)
            throws IOException {
        LocalDate today = in.query().today();
        return new NumberFilter(
                filter,
                source,
                given.stream()
                        .map(one -> Interval.ofDays(one, today))
                        .filter(Objects::nonNull)
                        .distinct()
                        .toList(),
                in,
                today);
    }

    private static List<Interval> set(List<Interval> given, NumberControl control) {
        return switch (control) {
            case BANDS -> given.stream().limit(MOST_SET).toList();
            // A single number is the bound there is.
            case AT_LEAST ->
                given.stream()
                        .filter(one -> Double.isFinite(one.from()))
                        .limit(1)
                        .map(one -> new Interval(one.from(), Double.POSITIVE_INFINITY))
                        .toList();
            case AT_MOST ->
                given.stream()
                        .filter(one -> Double.isFinite(one.to()))
                        .limit(1)
                        .map(one -> new Interval(Double.NEGATIVE_INFINITY, one.to()))
                        .toList();
            case RANGE -> given.stream().limit(1).toList();
        };
    }

    /** @param own cuts of the owner's; none for round ones */
    private List<Interval> bands(List<Double> own) {
        if (extent.empty()) {
            return List.of();
        }
        List<Double> cuts =
                own.isEmpty() ? RoundSteps.between(extent.least(), extent.greatest(), step(USUAL_BANDS)) : own;
        List<Interval> bands = new ArrayList<>();
        double from = Double.NEGATIVE_INFINITY;
        for (double to : cuts) {
            bands.add(new Interval(from, to));
            from = to;
        }
        bands.add(new Interval(from, Double.POSITIVE_INFINITY));
        return bands;
    }

    /** A round step that parts what there is into at most so many; whole where all numbers are. */
    private double step(int most) {
        double step = RoundSteps.step(extent.greatest() - extent.least(), most);
        return extent.whole() ? Math.max(1, step) : step;
    }

    private double[] bars() {
        if (extent.empty()) {
            return new double[0];
        }
        double width = step(MOST_BARS);
        double first = RoundSteps.rounded(Math.floor(extent.least() / width) * width);
        return DoubleStream.concat(
                        DoubleStream.of(first),
                        RoundSteps.between(first, Math.nextUp(extent.greatest()), width).stream()
                                .mapToDouble(Double::doubleValue))
                .toArray();
    }

    /** The first days of the months in which there may be something; of very many the last. */
    private double[] months() {
        if (extent.empty()) {
            return new double[0];
        }
        YearMonth last = YearMonth.from(LocalDate.ofEpochDay((long) extent.greatest()));
        List<Double> firsts = new ArrayList<>();
        for (YearMonth month = last;
                firsts.size() < MOST_MONTHS && month.atEndOfMonth().toEpochDay() >= extent.least();
                month = month.minusMonths(1)) {
            firsts.addFirst((double) month.atDay(1).toEpochDay());
        }
        return firsts.stream().mapToDouble(Double::doubleValue).toArray();
    }

    @Override
    public Filter filter() {
        return filter;
    }

    @Override
    public List<String> values() {
        return set.stream().map(this::written).toList();
    }

    private String written(Interval interval) {
        return control == DayControl.FROM_TODAY
                ? FROM_TODAY
                : control == DayControl.MONTHS && month(interval) != null
                        ? String.valueOf(month(interval))
                        : end(interval.from()) + ".." + end(interval.to());
    }

    /** The month that an interval is; null if it is none. */
    private static @Nullable YearMonth month(Interval interval) {
        if (!Double.isFinite(interval.from()) || !Double.isFinite(interval.to())) {
            return null;
        }
        YearMonth month = YearMonth.from(LocalDate.ofEpochDay((long) interval.from()));
        return month.atDay(1).toEpochDay() == interval.from()
                        && month.atEndOfMonth().toEpochDay() == interval.to()
                ? month
                : null;
    }

    /** One end as addresses have it; empty where it is open. */
    private String end(double bound) {
        return !Double.isFinite(bound)
                ? ""
                : days ? LocalDate.ofEpochDay((long) bound).toString() : digits(bound);
    }

    private static String digits(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    @Override
    public @Nullable Query passed() {
        if (set.isEmpty()) {
            return null;
        }
        String place = IndexFields.numbers(field);
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        set.forEach(one -> any.add(
                days
                        ? LongField.newRangeQuery(place, (long) one.from(), (long) one.to())
                        : DoubleField.newRangeQuery(place, one.from(), one.to()),
                Occur.SHOULD));
        return any.build();
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        SortedNumericDocValues numbers = DocValues.getSortedNumeric(leaf.reader(), IndexFields.numbers(field));
        return document -> {
            if (numbers.advanceExact(document)) {
                for (int left = numbers.docValueCount(); left > 0; left--) {
                    double number = NumberCounting.number(numbers.nextValue(), days);
                    for (Interval one : set) {
                        if (one.holds(number)) {
                            return true;
                        }
                    }
                }
            }
            return false;
        };
    }

    @Override
    public DocumentCounting counting() {
        return counting;
    }

    @Override
    public FilterAnswer answer() {
        return switch (control) {
            case NumberControl.BANDS -> FilterAnswer.of(filter, intervals());
            case DayControl.FROM_TODAY ->
                FilterAnswer.of(
                        filter,
                        List.of(FilterAnswer.Offered.of(
                                FROM_TODAY,
                                labels.getOrDefault(FROM_TODAY, ""),
                                counting.inIntervals()[0],
                                !set.isEmpty())));
            case DayControl.MONTHS -> FilterAnswer.of(filter, inMonths());
            default -> new FilterAnswer(filter, List.of(), bounds(), "", null);
        };
    }

    private FilterAnswer.Bounds bounds() {
        Interval now =
                set.isEmpty() ? new Interval(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY) : set.getFirst();
        return new FilterAnswer.Bounds(
                extent.empty() ? null : end(extent.least()),
                extent.empty() ? null : end(extent.greatest()),
                orNull(end(now.from())),
                orNull(end(now.to())),
                days || extent.empty() ? 1 : step(MOST_STEPS),
                counting.items(),
                Arrays.stream(counting.inBuckets()).boxed().toList(),
                buckets.length == 0 ? 0 : buckets[0],
                buckets.length == 0 ? 0 : step(MOST_BARS),
                counting.extent().least() < counting.extent().greatest());
    }

    private static @Nullable String orNull(String end) {
        return end.isEmpty() ? null : end;
    }

    private List<FilterAnswer.Offered> intervals() {
        List<FilterAnswer.Offered> values = new ArrayList<>();
        for (int i = 0; i < offered.size(); i++) {
            Interval band = offered.get(i);
            String value = written(band);
            values.add(FilterAnswer.Offered.of(
                    value, labels.getOrDefault(value, ""), counting.inIntervals()[i], set.contains(band)));
        }
        return shown(values);
    }

    private List<FilterAnswer.Offered> inMonths() {
        List<FilterAnswer.Offered> values = new ArrayList<>();
        List<Interval> shown = new ArrayList<>();
        for (int i = 0; i < buckets.length; i++) {
            YearMonth month = YearMonth.from(LocalDate.ofEpochDay((long) buckets[i]));
            Interval all = new Interval(
                    month.atDay(1).toEpochDay(), month.atEndOfMonth().toEpochDay());
            if (monthsInReach[i] > 0) {
                shown.add(all);
                values.add(FilterAnswer.Offered.of(month.toString(), "", counting.inBuckets()[i], set.contains(all)));
            }
        }
        set.stream()
                .filter(one -> !shown.contains(one))
                .forEach(one -> values.add(FilterAnswer.Offered.of(written(one), "", 0, true)));
        return shown(values);
    }

    private List<FilterAnswer.Offered> shown(List<FilterAnswer.Offered> values) {
        return values.stream()
                .filter(value -> value.count() > 0 || value.selected() || !hidesEmpty)
                .toList();
    }
}
