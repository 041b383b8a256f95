package tidylantern.core.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.text.Normalizer;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values that differ in signs have keys that differ; those that differ in case, accents, width or blanks have one. */
class ValueKeyTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "C | c",
                "C++ | c~2b.~2b.",
                "C# | c~23.",
                "North Isle | north-isle",
                "self-catering | self~catering",
                "self catering | self-catering",
                "Bed & breakfast | bed-~26.-breakfast",
                "Fisherman’s | fisherman~27.s",
                "Fisherman's | fisherman~27.s",
                "Crème brûlée | creme-brulee",
                "ＡＢＣ | abc",
                "12/24 | 12~2f.24",
                "\"  Pell   Harbour \" | pell-harbour",
                "??? | ~3f.~3f.~3f.",
                "2–4 | 2~4",
                "Łódź | łodz",
                "हिन्दी | हिन्दी"
            })
    void namesAsKeys(String name, String key) {
        assertThat(ValueKey.of(name)).isEqualTo(key);
        assertThat(ValueKey.fits(key)).isTrue();
    }

    @Test
    void whatAKeyIsOfCanBeTold() {
        assertThat(List.of("North Isle", "C++", "a b", "Pell Harbour/Quay")).noneMatch(ValueKey::fits);
        assertThat(List.of("north-isle/pell-harbour", "c", "father-figure", "café"))
                .allMatch(ValueKey::fits);
    }

    /**
     * Two names have one key if, and only if, they are the same in small letters with single blanks. Random names of
     * signs that are easily confused.
     */
    @Test
    void noTwoDifferentNamesHaveOneKey() {
        Random random = new Random(77);
        String signs = "aA2bB -~.+#/&'_c ";
        Map<String, String> nameOfKey = new HashMap<>();
        for (int round = 0; round < 200_000; round++) {
            String name = RandomTexts.of(signs, 7, random);
            String same = name.toLowerCase(Locale.ROOT).strip().replaceAll(" +", " ");
            if (!same.isEmpty()) {
                assertThat(nameOfKey.putIfAbsent(ValueKey.of(name), same))
                        .as("another name with the key of “%s”", name)
                        .isIn(null, same);
            }
        }
        assertThat(Set.copyOf(nameOfKey.values())).hasSameSizeAs(nameOfKey.keySet());
    }

    /** Held against what made these keys when they were given out, as it was written then. */
    @Test
    void formerKeysAreWhatTheyWere() {
        Random random = new Random(78);
        String signs = "aÉ1ﬁ -~.+/'’क\u093f\t";
        for (int round = 0; round < 50_000; round++) {
            String name = RandomTexts.of(signs, 7, random);
            String folded = Normalizer.normalize(name, Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
            String slug = folded.replaceAll("['’]", "")
                    .replaceAll("[^\\p{L}\\p{M}\\p{N}]+", "-")
                    .replaceAll("^-+|-+$", "");
            String former = slug.isEmpty() ? folded.replaceAll("\\s+", "-").replace('/', '-') : slug;
            assertThat(ValueKey.former(name)).as(name).isEqualTo(former);
        }
    }

    @Test
    void aPathsKeyIsItsNamesKeysWhateverTheNamesHold() {
        assertThat(new CategoryPath(List.of("Sea/Shore", "C++")).key()).isEqualTo("sea~2f.shore/c~2b.~2b.");
        assertThat(new CategoryPath(List.of("A", "B", "C")).keysFromTheTop()).containsExactly("a", "a/b", "a/b/c");
    }
}
