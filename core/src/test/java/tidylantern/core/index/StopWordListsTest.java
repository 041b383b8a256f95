package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StopWordListsTest {
    @Test
    void everyLanguageWithStemsHasAReadyList() {
        assertThat(StopWordLists.languages()).isEqualTo(Stemming.languages());
        StopWordLists.languages().forEach(language -> assertThat(StopWordLists.of(language))
                .as(language)
                .hasSizeGreaterThan(80)
                .isSorted()
                .doesNotHaveDuplicates()
                .allMatch(word -> word.equals(Folding.lower(word)) && !word.contains(" ")));
        assertThat(StopWordLists.of("xx")).isEmpty();
    }

    /** The commonest words of each language: common practice, from memory. */
    @ParameterizedTest
    @CsvSource({"en-GB,the,harbour", "de,und,hafen", "fr,les,port", "es,para,puerto", "sv,och,hamn", "nl,het,haven"})
    void theCommonestWordsAreInItAndWordsOfAThingAreNot(String language, String common, String thing) {
        assertThat(StopWordLists.of(language)).contains(common).doesNotContain(thing);
    }
}
