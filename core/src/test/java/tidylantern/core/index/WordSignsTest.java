package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.RandomTexts;

class WordSignsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Boats in C++, not in C | c++",
                "written for .NET | .net",
                ".NET comes first | .net",
                "(.NET) in brackets | .net",
                "AT&T and others | at&,&t",
                "50% off at €20 | 50%,€20"
            })
    void signsThatBelongToAWord(String text, String words) {
        assertThat(WordSigns.wordsOf(text, "en")).containsExactly(words.split(","));
    }

    @Test
    void punctuationOfSentencesIsNoSign() {
        assertThat(WordSigns.wordsOf("He sang. “All of it.” And so on... Then: (nothing).\nv2.0 at last.", "en"))
                .isEmpty();
    }

    /** Lines without signs are passed over unread, which must lose none: held against reading every one. */
    @Test
    void noLineWithSignsIsPassedOver() {
        Random random = new Random(3);
        String signs = "aB1 .,+#&%$€\"'(\n";
        for (int round = 0; round < 20_000; round++) {
            String text = RandomTexts.of(signs, 20, random);
            Set<String> all = new LinkedHashSet<>();
            text.lines()
                    .forEach(line -> WordForms.each(line, (lower, start, end) -> {
                        String word = WordSigns.with(line, start, end, Folding.fold(lower));
                        if (word != null) {
                            all.add(word);
                        }
                        return true;
                    }));
            assertThat(WordSigns.wordsOf(text, "en")).as(text).isEqualTo(all);
        }
    }
}
