package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FoldingTest {
    @ParameterizedTest
    @CsvSource({
        "Crêpes, crepes",
        "Zoë, zoe",
        "ÅNGSTRÖM, angstrom",
        "Straße, strasse",
        "smørrebrød, smorrebrod",
        "ＨＡＲＢＯＵＲ, harbour",
        "ﬁsh, fish",
        "Œuvre, oeuvre",
        "Νησί, νησι",
        "Ёлка, елка",
        "हिन्दी, हिन्दी",
        "maker’s, makers",
        "O'Malley, omalley"
    })
    void wordsAreComparedWithoutCaseAccentsOrWidth(String written, String compared) {
        assertThat(Folding.fold(Folding.lower(written))).isEqualTo(compared);
    }

    @ParameterizedTest
    @CsvSource({"QH-2041/b, qh2041b", "' qh 2041.B ', qh2041b", "№ 12, no12", "--, ''"})
    void codesAreComparedWithoutCaseAndPunctuation(String written, String compared) {
        assertThat(Folding.code(written)).isEqualTo(compared);
    }

    @Test
    void aQuerysWordsAreToldOnceEachInTheOrderTyped() {
        assertThat(WordForms.wordsOf("Harbour, HARBOUR! and bóats…", Set.of("en")))
                .extracting(WordForms.Word::folded)
                .containsExactly("harbour", "and", "boats");
        assertThat(WordForms.wordsOf("l'île", Set.of("fr")))
                .extracting(WordForms.Word::folded)
                .containsExactly("ile");
        assertThat(WordForms.wordsOf("?!… 🙂", Set.of("en")))
                .extracting(WordForms.Word::folded)
                .isEqualTo(List.of("🙂"));
    }
}
