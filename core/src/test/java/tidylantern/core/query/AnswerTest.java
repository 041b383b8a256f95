package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static tidylantern.core.query.SearchFixture.SITE;
import static tidylantern.core.query.SearchFixture.design;
import static tidylantern.core.query.SearchFixture.marked;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.words.VisitorQuery;

/** Pages, the starting list, live results, and what is shown of a hit. */
class AnswerTest {
    private static final String[] WORDS = {"tern", "gull", "skua", "auk", "ferry", "harbour", "rope", "kelp"};
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private void fill(int items, long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < items; i++) {
            String text = WORDS[random.nextInt(WORDS.length)] + " " + WORDS[random.nextInt(WORDS.length)];
            site.item(
                    random.nextInt(3) == 0 ? SearchFixture.NOTES : SearchFixture.POSTS,
                    "i%03d".formatted(i),
                    "title",
                    text,
                    "published",
                    "2026-01-%02d".formatted(1 + random.nextInt(28)));
        }
        site.indexed();
    }

    @Test
    void pagesNeverRepeatOrLoseAnItem() {
        fill(137, 7);
        for (String query : List.of("", "tern", "harb", "gull auk")) {
            List<String> seen = new ArrayList<>();
            Answer first = site.answer(design(), query);
            for (int page = 1; page <= first.pages(); page++) {
                Answer answer =
                        site.engine().answer(CompiledSearch.of(SITE, design()), SearchFixture.asked(query, page));
                assertThat(answer.page()).isEqualTo(page);
                answer.hits().forEach(hit -> seen.add(hit.ref().toString()));
            }
            assertThat(seen)
                    .as("all pages of \"%s\"", query)
                    .hasSize(first.total())
                    .doesNotHaveDuplicates();
        }
    }

    @Test
    void aPageBeyondTheLastIsTheLast() {
        fill(23, 3);
        Answer beyond =
                site.engine().answer(CompiledSearch.of(SITE, design()), SearchFixture.asked("", Integer.MAX_VALUE));
        assertThat(beyond.page()).isEqualTo(3).isEqualTo(beyond.pages());
        assertThat(beyond.hits()).hasSize(3);
        assertThat(site.engine()
                        .answer(CompiledSearch.of(SITE, design()), SearchFixture.asked("", -4))
                        .page())
                .isEqualTo(1);
    }

    @Test
    void theFewestLettersHoldWhileSomebodyTypesAndASubmittedQueryIsAlwaysAsked() {
        site.post("r", "title", "R", "body", "A language.")
                .post("cpp", "title", "C++")
                .post("other", "title", "Gull")
                .indexed();
        assertThat(site.engine()
                        .live(CompiledSearch.of(SITE, design()), SearchFixture.asked("r", 1))
                        .startingList())
                .isTrue();
        assertThat(site.answer(design(), "r").startingList()).isFalse();
        assertThat(site.answer(design(), "r").hits())
                .extracting(hit -> hit.ref().id().value())
                .containsExactly("r");
        assertThat(site.answer(design(), "c++").hits())
                .extracting(hit -> hit.ref().id().value())
                .containsExactly("cpp");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "?!", "\u0000\u0007", "()\"-*~"})
    void withNoWordTypedTheStartingListStands(String query) {
        site.post("old", "title", "tern", "published", "2025-01-01")
                .post("new", "title", "gull", "published", "2026-01-01")
                .post("undated", "title", "auk")
                .indexed();
        Answer answer = site.answer(design(), query);
        assertThat(answer.startingList()).isTrue();
        assertThat(answer.hits()).extracting(hit -> hit.ref().id().value()).containsExactly("new", "old", "undated");
    }

    @Test
    void liveResultsAreTheSameItemsInTheSameOrderWithinEachGroup() {
        fill(120, 11);
        for (String query : List.of("tern", "gul", "rope kelp", "harbuor", "")) {
            List<String> all = new ArrayList<>();
            Answer first = site.answer(design(), query);
            for (int page = 1; page <= first.pages(); page++) {
                site.engine()
                        .answer(CompiledSearch.of(SITE, design()), SearchFixture.asked(query, page))
                        .hits()
                        .forEach(hit -> all.add(hit.ref().toString()));
            }
            LiveAnswer live = site.engine().live(CompiledSearch.of(SITE, design()), SearchFixture.asked(query, 1));
            assertThat(live.total()).isEqualTo(first.total());
            assertThat(live.groups().stream().mapToInt(LiveAnswer.Group::total).sum())
                    .isEqualTo(live.total());
            assertThat(live.groups().stream()
                            .mapToInt(group -> group.hits().size())
                            .sum())
                    .isLessThanOrEqualTo(design().live().most());
            for (LiveAnswer.Group group : live.groups()) {
                List<String> ofGroup = all.stream()
                        .filter(ref -> ref.startsWith(group.collection() + "/"))
                        .toList();
                assertThat(group.hits())
                        .extracting(hit -> hit.ref().toString())
                        .isEqualTo(ofGroup.subList(0, group.hits().size()));
                assertThat(group.total()).isEqualTo(ofGroup.size());
            }
            if (!all.isEmpty()) {
                assertThat(live.groups().getFirst().hits().getFirst().ref().toString())
                        .as("the group with the best hit comes first")
                        .isEqualTo(all.getFirst());
            }
        }
    }

    @Test
    void exactlyWhatMatchedIsMarked() {
        site.post("1", "title", "Harbours and the harbourmaster", "summary", "Baking, baked & bread by the harbuor")
                .indexed();
        Hit typed = site.answer(design(), "harb").hits().getFirst();
        assertThat(marked(typed.title())).isEqualTo("[Harb]ours and the [harb]ourmaster");
        Hit stems = site.answer(design(), "harbour baked").hits().getFirst();
        assertThat(marked(stems.title())).isEqualTo("[Harbours] and the [harbour]master");
        assertThat(marked(stems.excerpt()))
                .as("a stem, the word itself, a typo")
                .isEqualTo("[Baking], [baked] & bread by the [harbuor]");
    }

    @Test
    void theExcerptIsTheSummaryAndTextAroundTheWordsWhereItHoldsNone() {
        String body =
                "one two three four five six seven eight nine ten lobster eleven twelve thirteen fourteen fifteen sixteen";
        site.post("1", "title", "Creels", "summary", "A day at sea with a patient man.", "body", body)
                .post("2", "title", "No summary", "body", "It begins with a lobster, then goes on.")
                .indexed();
        assertThat(marked(site.answer(design(), "creels").hits().getFirst().excerpt()))
                .isEqualTo("A day at sea with a patient man.");
        List<Hit> lobster = site.answer(design(), "lobster").hits();
        assertThat(lobster)
                .extracting(hit -> marked(hit.excerpt()))
                .containsExactlyInAnyOrder(
                        "A day at sea with a patient man. … one two three four five six seven eight nine ten [lobster] eleven twelve thirteen fourteen fifteen sixteen",
                        "It begins with a [lobster], then goes on.");
    }

    /** Whoever asks for a page behind all others has nobody line up a whole index. */
    @Test
    void nobodyLooksBehindTenThousandResults() {
        for (int n = 0; n < 10_020; n++) {
            site.post(String.valueOf(n), "title", "Boat");
        }
        Answer answer = site.indexed()
                .engine()
                .answer(CompiledSearch.of(SITE, design()), SearchFixture.asked("boat", Integer.MAX_VALUE));
        assertThat(answer.total()).as("all of them are counted").isEqualTo(10_020);
        assertThat(answer.pages()).isEqualTo(1_000);
        assertThat(answer.page()).as("it says which page it is").isEqualTo(1_000);
        assertThat(answer.hits()).hasSize(10);
    }

    @Test
    void longTextsAreCutAroundTheRichestStretch() {
        StringBuilder body = new StringBuilder("lobster alone. ");
        for (int i = 0; i < 200; i++) {
            body.append("filler").append(i).append(' ');
        }
        body.append(
                "a lobster in a creel at dawn and then much more text that follows on and on and on until the end of the page is in sight");
        site.post("1", "title", "T", "body", body.toString()).indexed();
        Words usual = design().words();
        SearchDesign thirty = design().withWords(new Words(
                usual.weights(),
                new Words.Matching(
                        usual.needed(),
                        usual.partOfWord(),
                        usual.typos(),
                        usual.stemming(),
                        usual.fewestLetters(),
                        false),
                new Words.Excerpt(30, 6),
                List.of(),
                List.of(),
                Help.usual()));
        String excerpt =
                marked(site.answer(thirty, "lobster creel").hits().getFirst().excerpt());
        assertThat(excerpt)
                .startsWith("… filler")
                .contains("a [lobster] in a [creel] at dawn")
                .endsWith("…");
        assertThat(excerpt.replaceAll("[\\[\\]…]", "").strip().split("\\s+")).hasSize(30);
    }

    @Test
    void aTextOfMarkupStaysText() {
        site.post("1", "title", "<script>alert(1)</script> tern").indexed();
        Hit hit = site.answer(design(), "tern").hits().getFirst();
        assertThat(hit.title().plain()).isEqualTo("<script>alert(1)</script> tern");
        assertThat(marked(hit.title())).endsWith("> [tern]");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "🙂",
                "مرحبا بالعالم",
                "AND OR NOT",
                "\"open",
                "((((",
                "a\tb\u0000c",
                "-tern",
                "title:tern",
                "te*n?",
                "\\",
                "ﷺ"
            })
    void oddQueriesGetHarmlessAnswers(String query) {
        fill(20, 5);
        assertThat(site.answer(design(), query).pages()).isPositive();
        assertThat(site.engine()
                        .live(CompiledSearch.of(SITE, design()), SearchFixture.asked(query, 1))
                        .total())
                .isNotNegative();
    }

    @Test
    void aQueryOfTenThousandCharactersIsReadUpToALimit() {
        fill(20, 5);
        Answer answer = site.answer(design(), "tern ".repeat(2_000));
        assertThat(answer.query().length()).isLessThanOrEqualTo(VisitorQuery.MOST_LETTERS);
        assertThat(answer.total()).isEqualTo(site.answer(design(), "tern").total());
        String many = String.join(
                " ",
                java.util.stream.IntStream.range(0, 2_000)
                        .mapToObj(i -> "w" + i)
                        .toList());
        assertThat(site.answer(design(), many).total()).isZero();
    }
}
