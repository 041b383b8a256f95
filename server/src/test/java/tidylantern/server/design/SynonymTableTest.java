package tidylantern.server.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import tidylantern.core.design.Synonym;
import tidylantern.server.platform.Refusal;

class SynonymTableTest {
    @Test
    void whatIsWrittenIsReadBack() {
        List<Synonym> synonyms = List.of(
                Synonym.group("couch", "sofa"),
                Synonym.oneWay("bnb", "bed and breakfast", "guest \"house\", small"),
                Synonym.group("a, b", "c"));
        assertThat(SynonymTable.read(SynonymTable.write(synonyms)).synonyms()).isEqualTo(synonyms);
    }

    @Test
    void aPlainTableOfWordsIsOneOfGroups() {
        assertThat(SynonymTable.read("\ufeffcouch,sofa,,settee\r\n\r\n>,pony,horse\n")
                        .synonyms())
                .containsExactly(Synonym.group("couch", "sofa", "settee"), Synonym.oneWay("pony", "horse"));
    }

    @Test
    void aRowThatIsNoEntryIsNamed() {
        assertThatThrownBy(() -> SynonymTable.read("=,a,b\n=,alone\n"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Row 2")
                .hasMessageContaining("two different words");
        assertThatThrownBy(() -> SynonymTable.read(">,pony\n"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Row 1");
        assertThatThrownBy(() -> SynonymTable.read("a,\"never closed")).isInstanceOf(Refusal.class);
    }

    @Test
    void whatStandsTwiceIsPassedOverAndCounted() {
        SynonymTable.SynonymsRead read = SynonymTable.read(
                "=,couch,sofa\nsofa,couch\n=,sofa,sofa\n>,couch,sofa\n>,couch,sofa,sofa\n>,sofa,couch\n>,pony,pony\n");
        assertThat(read.synonyms())
                .containsExactly(
                        Synonym.group("couch", "sofa"),
                        Synonym.oneWay("couch", "sofa"),
                        Synonym.oneWay("sofa", "couch"));
        assertThat(read.passedOver()).isEqualTo(4);
    }
}
