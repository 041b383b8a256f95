package tidylantern.e2e;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tidylantern.core.reference.AnswersBefore;
import tidylantern.demo.Quillhaven;

/** What some 230 queries find on the demo, letter by letter, is what they found before answers were made fast. */
@ExtendWith(SharedDemo.class)
class DemoAnswersBeforeTest {
    private static final Path KEPT = Path.of("src/test/resources/answers-before/demo.tsv");
    private static final int FEWEST_LETTERS = 3;

    @Test
    void theyFindTheSameInTheSameOrder(DemoWorld world) throws IOException {
        AnswersBefore.hold(KEPT, queries(), query -> world.api().results("island-search", query).hits().stream()
                .limit(10)
                .toList());
    }

    private static List<String> queries() {
        Set<String> queries = new LinkedHashSet<>();
        for (Quillhaven.Expected expected : Quillhaven.expected()) {
            for (int end = FEWEST_LETTERS; end <= expected.query().length(); end += 2) {
                queries.add(expected.query().substring(0, end).strip());
            }
            queries.add(expected.query());
        }
        return List.copyOf(queries);
    }
}
