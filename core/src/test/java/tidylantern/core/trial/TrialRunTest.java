package tidylantern.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.query.SearchFixture;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.trial.TrialReport.Change;
import tidylantern.core.trial.TrialReport.Outcome;

/** Trials under a draft and a live design. */
class TrialRunTest {
    private static CompiledSearch compiled(SearchDesign design) {
        return CompiledSearch.of(SearchFixture.SITE, design);
    }

    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private static ItemRef post(String id) {
        return new ItemRef(SearchFixture.POSTS.key(), new ItemId(id));
    }

    private static Trial within(String query, String id, int first) {
        return new Trial(query, new Expectation.Within(post(id), first));
    }

    private static SearchDesign weighing(FieldWeight... weights) {
        return SearchFixture.design().withWords(SearchFixture.design().words().withWeights(List.of(weights)));
    }

    private static SearchDesign typos(boolean allowed) {
        return SearchFixture.design()
                .withWords(SearchFixture.design()
                        .words()
                        .withTypos(new tidylantern.core.design.Words.Typos(allowed, true)));
    }

    private TrialRun run(Trial... trials) {
        return new TrialRun(site.engine(), List.of(trials));
    }

    private void boats() {
        site.post("title", "title", "Boat hire")
                .post("both", "title", "Boat, oar", "body", "a boat by the sea")
                .post("body", "title", "Oars", "body", "for every boat there is")
                .indexed();
    }

    @Test
    void eachExpectationHoldsOrNot() {
        boats();
        List<Trial> trials = List.of(
                within("boat", "both", 1),
                within("boat", "body", 2),
                within("boat", "gone", 10),
                new Trial("boat", new Expectation.AtLeast(3)),
                new Trial("boat", new Expectation.AtLeast(4)),
                new Trial("boat", new Expectation.AtMost(3)),
                new Trial("boat", new Expectation.AtMost(0)),
                new Trial("zebra", new Expectation.AtMost(0)),
                new Trial("zebra boat", new Expectation.Suggests("Boat")),
                new Trial("boat", new Expectation.Suggests("goat")));
        TrialReport report = new TrialRun(site.engine(), trials).report(compiled(SearchFixture.design()), null);
        assertThat(report.outcomes())
                .extracting(outcome -> outcome.draft().holds())
                .containsExactly(true, false, false, true, false, true, false, true, true, false);
        assertThat(report.outcomes()).extracting(Outcome::trial).containsExactlyElementsOf(trials);
        assertThat(report.outcomes().get(1).draft().place()).isEqualTo(3);
        assertThat(report.outcomes().get(1).title()).isEqualTo("Oars");
        assertThat(report.outcomes().get(2).title()).as("an item that is gone").isNull();
        assertThat(report.outcomes().getFirst().live()).as("nothing is live").isNull();
        assertThat(report.draft().hold()).isEqualTo(5);
        assertThat(report.live()).isNull();
    }

    @Test
    void whatADraftDoesIsToldItemByItem() {
        boats();
        SearchDesign titles = weighing(SearchFixture.weight("title", 5));
        SearchDesign texts = weighing(SearchFixture.weight("body", 5));
        Outcome outcome = run(within("boat", "both", 1))
                .report(compiled(texts), compiled(titles))
                .outcomes()
                .getFirst();
        assertThat(outcome.moves())
                .extracting(move ->
                        move.item().id().value() + " " + move.change() + " " + move.before() + ">" + move.after())
                .containsExactly("body found null>1", "both down 1>2", "title lost 2>null");
        assertThat(outcome.moves().getLast().title()).as("lost ones come last").isEqualTo("Boat hire");
    }

    @Test
    void whatLeavesTheFirstPageIsDownAndNotLost() {
        IntStream.range(0, 30)
                .forEach(n -> site.post(
                        "n%02d".formatted(n),
                        "title",
                        n < 15 ? "Boat" : "Boat of some length here",
                        "body",
                        n < 15 ? "sea" : "boat boat boat boat"));
        site.indexed();
        TrialReport report = run(within("boat", "n00", 3))
                .report(
                        compiled(weighing(SearchFixture.weight("body", 5), SearchFixture.weight("title", 1))),
                        compiled(weighing(SearchFixture.weight("title", 5))));
        Outcome outcome = report.outcomes().getFirst();
        assertThat(outcome.live().holds()).isTrue();
        assertThat(outcome.draft().holds()).isFalse();
        assertThat(outcome.draft().place()).as("told exactly, however far down").isEqualTo(16);
        assertThat(outcome.moves()).extracting(TrialReport.Move::change).containsOnly(Change.UP, Change.DOWN);
        assertThat(outcome.moves()).anySatisfy(move -> {
            assertThat(move.item()).isEqualTo(post("n00"));
            assertThat(move.before()).isEqualTo(1);
            assertThat(move.after()).isEqualTo(16);
        });
    }

    @Test
    void sameDesignsMoveNothing() {
        boats();
        assertThat(run(within("boat", "body", 3))
                        .report(compiled(SearchFixture.design()), compiled(SearchFixture.design()))
                        .outcomes()
                        .getFirst()
                        .moves())
                .isEmpty();
    }

    @Test
    void figuresAreMeansOverTheQueriesThatExpectItems() {
        boats();
        // boat: "both" first (gain 3) at 1, "body" within ten (gain 1) at 3; oars: "both" within three (gain 2) at 2.
        TrialReport report = run(
                        within("boat", "both", 1),
                        within("boat", "body", 10),
                        within("oar", "body", 3),
                        new Trial("zebra", new Expectation.AtMost(0)))
                .report(compiled(SearchFixture.design()), compiled(typos(false)));
        double dcg = 3 + 1 / 2.0;
        double ideal = 3 + 1 / (Math.log(3) / Math.log(2));
        Integer oar = report.outcomes().get(2).draft().place();
        double oarGain = 1 / (Math.log(oar + 1) / Math.log(2));
        assertThat(report.draft().ndcgAt10())
                .isCloseTo((dcg / ideal + oarGain) / 2, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(report.draft().meanReciprocalRank())
                .isCloseTo((1 + 1.0 / oar) / 2, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(report.live().trials()).isEqualTo(4);
        assertThat(run(new Trial("boat", new Expectation.AtLeast(1)))
                        .report(compiled(SearchFixture.design()), null)
                        .draft()
                        .ndcgAt10())
                .isNull();
    }

    @Test
    void aSynonymSaysWhatItAddsForTheTrials() {
        boats();
        site.post("dinghy", "title", "Dinghy").indexed();
        Synonym useful = Synonym.group("dinghy", "boat");
        Synonym idle = Synonym.group("sofa", "couch");
        Synonym empty = Synonym.oneWay("oars", "paddle");
        SearchDesign design = SearchFixture.design()
                .withWords(SearchFixture.design().words().withSynonyms(List.of(idle, useful, empty)));
        assertThat(run(within("dinghy", "title", 10), within("boat", "title", 10), within("oars", "body", 1))
                        .synonymEffects(compiled(design)))
                .containsExactly(
                        new TrialRun.SynonymEffect(useful, List.of("dinghy", "boat"), 4, 1),
                        new TrialRun.SynonymEffect(empty, List.of("oars"), 0, 0));
    }

    @Test
    void whatCannotBeATrialSaysWhy() {
        assertThatThrownBy(() -> new Trial("  ", new Expectation.AtLeast(1)))
                .isInstanceOfSatisfying(
                        TrialFault.class, fault -> assertThat(fault.field()).isEqualTo("query"));
        assertThatThrownBy(() -> within("boat", "x", 0))
                .isInstanceOfSatisfying(
                        TrialFault.class, fault -> assertThat(fault.field()).isEqualTo("first"));
        assertThatThrownBy(() -> new Expectation.AtLeast(0))
                .isInstanceOf(TrialFault.class)
                .hasMessageContaining("not 0");
        assertThatThrownBy(() -> new Expectation.AtMost(-1)).isInstanceOf(TrialFault.class);
        assertThatThrownBy(() -> new Expectation.Suggests(" ")).isInstanceOf(TrialFault.class);
    }
}
