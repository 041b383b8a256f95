package tidylantern.server.trial;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;
import tidylantern.core.trial.Expectation;
import tidylantern.core.trial.Trial;
import tidylantern.core.trial.TrialFault;
import tidylantern.server.platform.Refusal;

/**
 * Trials as CSV (RFC 4180), one a row: {@code query, item, rank} says that the item is among the first {@code rank}
 * results; the columns {@code at least}, {@code at most} and {@code suggests} say the other expectations. A first row
 * that says {@code query} names the columns, whatever their order.
 */
final class TrialTable {
    private static final List<String> COLUMNS = List.of("query", "item", "rank", "at least", "at most", "suggests");

    private TrialTable() {}

    static String write(List<Trial> trials) {
        StringWriter out = new StringWriter();
        try (var printer = CSVFormat.RFC4180.print(out)) {
            printer.printRecord(COLUMNS);
            for (Trial trial : trials) {
                switch (trial.expected()) {
                    case Expectation.Within within ->
                        printer.printRecord(trial.query(), within.item(), within.first(), "", "", "");
                    case Expectation.AtLeast least ->
                        printer.printRecord(trial.query(), "", "", least.results(), "", "");
                    case Expectation.AtMost most -> printer.printRecord(trial.query(), "", "", "", most.results(), "");
                    case Expectation.Suggests suggests ->
                        printer.printRecord(trial.query(), "", "", "", "", suggests.query());
                }
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("writing to memory", impossible);
        }
        return out.toString();
    }

    /**
     * @param items finds an item by {@code collection/id}, or by its id alone where only one collection has it; null if
     *     there is none
     * @throws Refusal naming the row at fault
     */
    static List<Trial> read(String csv, Function<String, @Nullable ItemRef> items) {
        List<Trial> trials = new ArrayList<>();
        try (CSVParser rows = CSVParser.parse(
                new StringReader(csv.startsWith("\ufeff") ? csv.substring(1) : csv),
                CSVFormat.RFC4180
                        .builder()
                        .setIgnoreEmptyLines(true)
                        .setTrim(true)
                        .get())) {
            List<String> columns = COLUMNS;
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() == 1 && row.stream().anyMatch("query"::equalsIgnoreCase)) {
                    columns = row.stream()
                            .map(name -> name.toLowerCase(java.util.Locale.ROOT))
                            .toList();
                    continue;
                }
                if (row.stream().anyMatch(cell -> !cell.isBlank())) {
                    trials.add(new Row(row, columns).trial(items));
                }
            }
        } catch (IOException | UncheckedIOException broken) {
            throw Refusal.bad(
                    null,
                    "This is no CSV: a quote is opened and not closed, or something stands behind a closed one. Save it as CSV with commas first.");
        }
        return trials;
    }

    private record Row(CSVRecord cells, List<String> columns) {
        String cell(String column) {
            int at = columns.indexOf(column);
            return at < 0 || at >= cells.size() ? "" : cells.get(at).strip();
        }

        Trial trial(Function<String, @Nullable ItemRef> items) {
            try {
                String item = cell("item");
                if (!item.isEmpty()) {
                    ItemRef found = items.apply(item);
                    if (found == null) {
                        throw wrong(
                                "There is no item \"%s\". Write its collection and its id, such as makers/rope-walk."
                                        .formatted(item));
                    }
                    return new Trial(
                            cell("query"),
                            new Expectation.Within(found, cell("rank").isEmpty() ? 1 : number("rank")));
                }
                if (!cell("at least").isEmpty()) {
                    return new Trial(cell("query"), new Expectation.AtLeast(number("at least")));
                }
                if (!cell("at most").isEmpty()) {
                    return new Trial(cell("query"), new Expectation.AtMost(number("at most")));
                }
                if (!cell("suggests").isEmpty()) {
                    return new Trial(cell("query"), new Expectation.Suggests(cell("suggests")));
                }
                throw wrong(
                        "Say what is expected of \"%s\": an item and its rank, or at least or at most how many results, or what is suggested."
                                .formatted(cell("query")));
            } catch (TrialFault fault) {
                throw wrong(fault.getMessage());
            }
        }

        private int number(String column) {
            try {
                return Integer.parseInt(cell(column));
            } catch (NumberFormatException none) {
                throw wrong("\"%s\" is no number for the column %s.".formatted(cell(column), column));
            }
        }

        private Refusal wrong(@Nullable String why) {
            return Refusal.bad(null, "Row %d: %s".formatted(cells.getRecordNumber(), why));
        }
    }
}
