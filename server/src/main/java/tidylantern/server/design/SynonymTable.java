package tidylantern.server.design;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Synonym;
import tidylantern.server.platform.Refusal;

/**
 * Synonyms as CSV (RFC 4180), an entry a row. The first cell says how it holds: {@code =} for a group, {@code >} for
 * what is typed in the second cell and finds the rest too; a row with neither is a group.
 */
final class SynonymTable {
    private static final String BOTH_WAYS = "=";
    private static final String ONE_WAY = ">";

    private SynonymTable() {}

    static String write(List<Synonym> synonyms) {
        StringWriter out = new StringWriter();
        try (var printer = CSVFormat.RFC4180.print(out)) {
            for (Synonym synonym : synonyms) {
                List<String> row = new ArrayList<>(List.of(synonym.from() == null ? BOTH_WAYS : ONE_WAY));
                synonym.all().forEach(row::add);
                printer.printRecord(row);
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("writing to memory", impossible);
        }
        return out.toString();
    }

    /**
     * What a table holds.
     *
     * @param passedOver rows that say what another has said already: the same words in whatever order, or one word
     *     twice
     */
    record SynonymsRead(List<Synonym> synonyms, int passedOver) {}

    /** @throws Refusal naming the row at fault */
    static SynonymsRead read(String csv) {
        List<Synonym> synonyms = new ArrayList<>();
        Set<Object> said = new HashSet<>();
        int passedOver = 0;
        try (CSVParser rows = CSVParser.parse(
                new StringReader(csv.startsWith("\ufeff") ? csv.substring(1) : csv),
                CSVFormat.RFC4180.builder().setIgnoreEmptyLines(true).get())) {
            for (CSVRecord row : rows) {
                List<String> cells = row.toList().stream()
                        .map(String::strip)
                        .filter(cell -> !cell.isEmpty())
                        .toList();
                if (cells.isEmpty()) {
                    continue;
                }
                Synonym entry = saysNothing(cells) ? null : entry(row.getRecordNumber(), cells);
                if (entry != null
                        && said.add(List.of(Objects.requireNonNullElse(entry.from(), ""), Set.copyOf(entry.words())))) {
                    synonyms.add(entry);
                } else {
                    passedOver++;
                }
            }
        } catch (IOException | UncheckedIOException broken) {
            throw Refusal.bad(
                    null,
                    "This is no CSV: a quote is opened and not closed, or something stands behind a closed one. Save it as CSV with commas first.");
        }
        return new SynonymsRead(synonyms, passedOver);
    }

    /** Whether a word would stand for itself alone. */
    private static boolean saysNothing(List<String> cells) {
        boolean marked = cells.getFirst().equals(ONE_WAY) || cells.getFirst().equals(BOTH_WAYS);
        List<String> words = marked ? cells.subList(1, cells.size()) : cells;
        return words.size() > 1 && words.stream().distinct().count() == 1;
    }

    private static Synonym entry(long row, List<String> cells) {
        try {
            return switch (cells.getFirst()) {
                case ONE_WAY ->
                    new Synonym(
                            cells.size() > 1 ? cells.get(1) : null,
                            cells.subList(Math.min(2, cells.size()), cells.size()));
                case BOTH_WAYS -> new Synonym(null, cells.subList(1, cells.size()));
                default -> new Synonym(null, cells);
            };
        } catch (DesignFault wrong) {
            throw Refusal.bad(null, "Row %d: %s.".formatted(row, wrong.getMessage()));
        }
    }
}
