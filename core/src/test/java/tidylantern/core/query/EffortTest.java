package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.WordSource;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.why.Explanation;
import tidylantern.core.query.words.Effort;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** What one answer may cost, and that what was spared is told. */
class EffortTest {
    private static final List<String> RIGHT =
            List.of("anchor", "barnacle", "compass", "driftwood", "estuary", "fathom", "gannet", "harbour", "island");
    private static final List<String> WRONG =
            List.of("anchxr", "barnxcle", "compxss", "driftwxod", "estuxry", "fathxm", "gannxt", "harbxur", "islxnd");
    private SearchFixture site;

    @BeforeEach
    void fill(@TempDir Path folder) {
        site = new SearchFixture(folder);
        for (int i = 0; i < RIGHT.size(); i++) {
            site.post("w" + i, "title", RIGHT.get(i), "body", "One of the words of the shore.");
        }
        site.post("all", "title", "Everything", "body", String.join(" ", RIGHT)).indexed();
    }

    @AfterEach
    void close() throws IOException {
        site.close();
    }

    @Test
    void aPersonsQueryIsForgivenAllItsSlips() {
        assertThat(site.found(String.join(" ", WRONG.subList(0, Effort.MOST_BENT))))
                .containsExactly("all");
    }

    @Test
    void ofMoreMistypedWordsThanAnybodyTypesTheLaterOnesAreTakenAsTheyAre() {
        String query = String.join(" ", WRONG);
        assertThat(site.found(query)).as("all words are needed").isEmpty();
        assertThat(site.found(SearchFixture.strict(Words.WordsNeeded.ANY, Words.PartOfWord.START, true, true), query))
                .containsExactlyInAnyOrder("all", "w0", "w1", "w2", "w3", "w4", "w5");
    }

    @Test
    void ofALongQueryOneOfTheFirstWordsIsLeftOut() {
        site.post("sky", "title", "Zephyr").indexed();
        String words = String.join(" ", RIGHT);
        assertThat(Effort.mostWithoutOneOf(2)).isEqualTo(8);
        assertThat(Effort.mostWithoutOneOf(10)).isEqualTo(6);
        assertThat(site.answer(SearchFixture.design(), "zephyr " + words).didYouMean())
                .isEqualTo(words);
        assertThat(site.answer(SearchFixture.design(), words + " zephyr").didYouMean())
                .as("the tenth word")
                .isNull();
    }

    @Test
    void wordsOfAFilterAreTheAnswersToo() {
        SearchDesign filtered = SearchFixture.design()
                .withFilters(List.of(Filter.of("body", "Body", WordSource.usual(new FieldKey("body")))));
        Map<String, List<String>> mistyped = Map.of("body", List.of(WRONG.getLast()));
        String six = String.join(" ", WRONG.subList(0, Effort.MOST_BENT));
        assertThat(total(filtered, "", mistyped)).as("the filter alone").isEqualTo(1);
        assertThat(total(filtered, six, Map.of())).as("the query alone").isEqualTo(1);
        assertThat(total(filtered, six, mistyped))
                .as("one more than an answer looks for")
                .isZero();
    }

    private int total(SearchDesign design, String text, Map<String, List<String>> set) {
        return site.engine()
                .answer(
                        CompiledSearch.of(SearchFixture.SITE, design),
                        new VisitorQuery(text, 1, set, Whereabouts.UNKNOWN, "", LocalDate.of(2026, 5, 14)))
                .total();
    }

    @Test
    void whyTellsWhichWordsWereNotLookedFor() {
        Explanation why = site.engine()
                .explain(
                        CompiledSearch.of(SearchFixture.SITE, SearchFixture.design()),
                        SearchFixture.asked(String.join(" ", WRONG), 1),
                        ItemRef.parse("posts/all"));
        assertThat(why.words().stream().filter(Explanation.WordPart::cut).map(Explanation.WordPart::word))
                .containsExactlyElementsOf(WRONG.subList(Effort.MOST_BENT, WRONG.size()));
        assertThat(why.words().stream().filter(Explanation.WordPart::typos)).hasSize(Effort.MOST_BENT);
    }

    @Test
    void anAnswerThatTakesTooLongIsNoAnswerRatherThanAHalfOne() {
        SearchEngine hurried =
                new SearchEngine(site.index(), Gazetteer.empty(), Clock.systemUTC(), Duration.ofNanos(-1));
        VisitorQuery query = SearchFixture.asked("shore", 1);
        assertThatThrownBy(() -> hurried.answer(CompiledSearch.of(SearchFixture.SITE, SearchFixture.design()), query))
                .isInstanceOf(TookTooLong.class);
        assertThatThrownBy(() -> hurried.live(CompiledSearch.of(SearchFixture.SITE, SearchFixture.design()), query))
                .isInstanceOf(TookTooLong.class);
    }

    @Test
    void aMachinesQueryOfTheMostWordsIsAnswered() {
        String query = IntStream.range(0, VisitorQuery.MOST_WORDS)
                .mapToObj(i -> "barnaxle" + (char) ('a' + i))
                .collect(Collectors.joining(" "));
        assertThat(site.answer(SearchFixture.design(), query).total()).isZero();
    }
}
