package tidylantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * What a list of queries found at an earlier state of the product, the first ten of each in their order: a line a
 * query, its words and the ids parted by tabs. Beside it may lie a file of the differences that are meant, each with
 * its reason above it.
 *
 * <p>{@code -Danswers.write=DIR} writes what is found now instead, to be kept as what was found before.
 */
public final class AnswersBefore {
    private static final String MEANT = ".meant.tsv";

    private AnswersBefore() {}

    /**
     * Asks all, and names each whose answer is another now, unless that is meant.
     *
     * @param kept the file, under the resources of tests
     * @param found ids of the first ten, in their order
     */
    public static void hold(Path kept, List<String> queries, Function<String, List<String>> found) throws IOException {
        List<String> now = new ArrayList<>();
        for (String query : queries) {
            now.add(query + "\t" + String.join("\t", found.apply(query)));
        }
        String write = System.getProperty("answers.write");
        if (write != null) {
            Files.write(Path.of(write).resolve(kept.getFileName()), now);
            return;
        }
        Map<String, String> before = byQuery(Files.readAllLines(kept));
        assertThat(before.keySet())
                .as("the queries of %s", kept)
                .hasSameElementsAs(byQuery(now).keySet());
        Path meant = kept.resolveSibling(kept.getFileName().toString().replace(".tsv", MEANT));
        TreeSet<String> others = new TreeSet<>(now);
        others.removeAll(before.entrySet().stream()
                .map(line -> line.getKey() + "\t" + line.getValue())
                .toList());
        assertThat(others)
                .as("answers that are not what they were, and are not named in %s", meant)
                .containsExactlyInAnyOrderElementsOf(
                        Files.exists(meant)
                                ? Files.readAllLines(meant).stream()
                                        .filter(line -> !line.startsWith("#"))
                                        .toList()
                                : List.of());
    }

    private static Map<String, String> byQuery(List<String> lines) {
        Map<String, String> byQuery = new LinkedHashMap<>();
        lines.forEach(
                line -> byQuery.put(line.substring(0, line.indexOf('\t')), line.substring(line.indexOf('\t') + 1)));
        return byQuery;
    }
}
