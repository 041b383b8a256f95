package tidylantern.server.content.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class NamedIdsTest {
    private static long files(Path folder) throws IOException {
        try (var all = Files.list(folder)) {
            return all.count();
        }
    }

    /** Held against a plain map, with ids that come again before and after there is a file. */
    @Test
    void tellsTheFirstLineOfAnIdHoweverManyThereAre(@TempDir Path folder) throws IOException {
        Random random = new Random(19);
        Map<String, Integer> plain = new HashMap<>();
        try (NamedIds named = new NamedIds(folder)) {
            for (int line = 1; line <= 4 * NamedIds.IN_MEMORY; line++) {
                String id = "item/ü-" + random.nextInt(3 * NamedIds.IN_MEMORY);
                assertThat(named.putIfAbsent(id, line)).isEqualTo(plain.putIfAbsent(id, line));
            }
            assertThat(plain).hasSizeGreaterThan(2 * NamedIds.IN_MEMORY);
            assertThat(files(folder)).isEqualTo(1);
            assertThat(plain.keySet()).allMatch(named::contains);
            assertThat(named.contains("item/nobody")).isFalse();
        }
        assertThat(files(folder)).as("the file goes with it").isZero();
    }

    @Test
    void fewNeedNoFile(@TempDir Path folder) throws IOException {
        try (NamedIds named = new NamedIds(folder)) {
            assertThat(named.putIfAbsent("a", 1)).isNull();
            assertThat(named.putIfAbsent("a", 2)).isEqualTo(1);
            assertThat(named.contains("b")).isFalse();
            assertThat(files(folder)).isZero();
        }
    }

    @Test
    void whatAServiceThatFellLeftIsTidiedAway(@TempDir Path data) throws IOException {
        Path folder = data.resolve("intake");
        NamedIds.tidy(folder);
        Files.writeString(folder.resolve("named-ids-123"), "left");
        Files.writeString(folder.resolve("other"), "stays");
        NamedIds.tidy(folder);
        assertThat(folder).isDirectoryContaining("glob:**/other");
        assertThat(files(folder)).isEqualTo(1);
    }
}
