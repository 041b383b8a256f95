package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.listing.ReachCounts;

/** 'What is searched': the rules of product.md, by example and against a plain loop. */
class ReachTest {
    private static final FieldKey TAGS = new FieldKey("tags");

    private static SearchDesign reaching(List<ReachRule> only, List<ReachRule> leaveOut) {
        return SearchFixture.design()
                .withReach(new Reach(List.of(new Reach.Searched(SearchFixture.POSTS.key(), only, leaveOut))));
    }

    private static SearchFixture isles(Path folder) {
        return new SearchFixture(folder)
                .post(
                        "a",
                        "title",
                        "Dawn rows",
                        "tags",
                        "North Isle/Pell Harbour",
                        "author",
                        "Ferry Office",
                        "url",
                        "/journal/dawn-rows")
                .post(
                        "b",
                        "title",
                        "Late ferry",
                        "tags",
                        "North Isle",
                        "author",
                        "Hesper Dow",
                        "url",
                        "/journal/drafts/late-ferry")
                .post(
                        "c",
                        "title",
                        "Mainland Quay",
                        "tags",
                        "Mainland/Pell Harbour",
                        "author",
                        "ferry office",
                        "url",
                        "https://isles.example/journal/drafts/quay?v=2")
                .post("d", "title", "No tags at all", "url", "/makers/no-tags");
    }

    private static List<String> inReach(SearchFixture site, List<ReachRule> only, List<ReachRule> leaveOut) {
        return site.found(reaching(only, leaveOut), "").stream().sorted().toList();
    }

    @Test
    void rulesPickByCategoryWithAllBelowByAuthorByItemAndByAddress(@TempDir Path folder) throws Exception {
        try (SearchFixture site = isles(folder).indexed()) {
            assertThat(inReach(site, List.of(ReachRule.category(TAGS, "north-isle")), List.of()))
                    .as("with all below it")
                    .containsExactly("a", "b");
            assertThat(inReach(site, List.of(ReachRule.category(TAGS, "North Isle/Pell Harbour")), List.of()))
                    .as("the same name under another parent is another value")
                    .containsExactly("a");
            assertThat(inReach(site, List.of(), List.of(ReachRule.author("ferry-office"))))
                    .as("without regard to case")
                    .containsExactly("b", "d");
            assertThat(inReach(site, List.of(), List.of(ReachRule.item(new ItemId("b")))))
                    .containsExactly("a", "c", "d");
            assertThat(inReach(site, List.of(), List.of(ReachRule.address("/journal/drafts/*"))))
                    .as("from the root or whole")
                    .containsExactly("a", "d");
            assertThat(inReach(site, List.of(ReachRule.address("*/journal/*")), List.of()))
                    .containsExactly("a", "b", "c");
            assertThat(inReach(site, List.of(), List.of(ReachRule.address("/journal/drafts/quay?v=*"))))
                    .as("a question mark is itself")
                    .containsExactly("a", "b", "d");
            assertThat(inReach(site, List.of(), List.of(ReachRule.address("/journal/drafts/quay??=*"))))
                    .containsExactly("a", "b", "c", "d");
        }
    }

    @Test
    void onlyRulesAreAnyOnOneFieldAndAllAcrossAndLeavingOutWins(@TempDir Path folder) throws Exception {
        try (SearchFixture site = isles(folder).indexed()) {
            List<ReachRule> eitherIsle =
                    List.of(ReachRule.category(TAGS, "north-isle"), ReachRule.category(TAGS, "mainland"));
            assertThat(inReach(site, eitherIsle, List.of())).containsExactly("a", "b", "c");
            List<ReachRule> andAuthor = new ArrayList<>(eitherIsle);
            andAuthor.add(ReachRule.author("Ferry Office"));
            assertThat(inReach(site, andAuthor, List.of())).containsExactly("a", "c");
            assertThat(inReach(site, andAuthor, List.of(ReachRule.category(TAGS, "north-isle/pell-harbour"))))
                    .containsExactly("c");
        }
    }

    @Test
    void anItemKeptOutIsInNoSearchAndNewItemsFollowTheRules(@TempDir Path folder) throws Exception {
        try (SearchFixture site = isles(folder)) {
            site.marked(new OwnerMark(true, "", null, null, null, null)).indexed();
            assertThat(inReach(site, List.of(), List.of()))
                    .as("the last one is kept out")
                    .containsExactly("a", "b", "c");
            List<ReachRule> drafts = List.of(ReachRule.address("/journal/drafts/*"));
            site.post("e", "title", "Arrives later", "url", "/journal/drafts/later")
                    .indexed();
            assertThat(inReach(site, List.of(), drafts)).containsExactly("a");
        }
    }

    @Test
    void keywordsOfTheOwnerCountAsTheTitleAndAreShownNowhere(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder).post("a", "title", "Bothy")) {
            site.marked(new OwnerMark(false, "hut shelter", "The old bothy", "A roof", null, null))
                    .indexed();
            assertThat(site.found("shelter")).containsExactly("a");
            assertThat(site.answer(SearchFixture.design(), "hut")
                            .hits()
                            .getFirst()
                            .title()
                            .plain())
                    .isEqualTo("The old bothy");
            assertThat(SearchFixture.marked(site.answer(SearchFixture.design(), "hut")
                            .hits()
                            .getFirst()
                            .excerpt()))
                    .isEqualTo("A roof");
        }
    }

    @Test
    void everyRuleAndCollectionIsCounted(@TempDir Path folder) throws Exception {
        try (SearchFixture site =
                isles(folder).item(SearchFixture.NOTES, "n", "title", "A note").indexed()) {
            ReachCounts counts = site.listing()
                    .counts(new Reach(List.of(
                            new Reach.Searched(
                                    SearchFixture.POSTS.key(),
                                    List.of(ReachRule.category(TAGS, "north-isle")),
                                    List.of(ReachRule.author("ferry-office"), ReachRule.item(new ItemId("zzz")))),
                            Reach.Searched.all(SearchFixture.NOTES.key()))));
            assertThat(counts)
                    .isEqualTo(new ReachCounts(
                            2,
                            List.of(
                                    new ReachCounts.OfCollection(
                                            SearchFixture.POSTS.key(), 4, 0, 1, List.of(2), List.of(2, 0)),
                                    new ReachCounts.OfCollection(
                                            SearchFixture.NOTES.key(), 1, 0, 1, List.of(), List.of()))));
        }
    }

    @Test
    void aRuleNamesJustOneThing() {
        assertThatThrownBy(() -> new ReachRule(null, null, null, null, null))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("names one of");
        assertThatThrownBy(() -> new ReachRule(TAGS, "x", "y", null, null)).isInstanceOf(DesignFault.class);
        assertThatThrownBy(() -> new ReachRule(TAGS, null, null, null, null))
                .extracting(fault -> ((DesignFault) fault).key())
                .isEqualTo("value");
        assertThatThrownBy(() -> ReachRule.address("journal/drafts")).hasMessageContaining("no pattern of addresses");
        assertThatThrownBy(() -> ReachRule.category(TAGS, "//")).isInstanceOf(DesignFault.class);
    }

    private record Plain(String id, List<String> tags, String author, String address, boolean keptOut) {}

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatIsInReachIsWhatAPlainLoopSays(long seed, @TempDir Path folder) throws Exception {
        Random random = new Random(seed);
        List<Plain> items = new ArrayList<>();
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 80; i++) {
                List<String> tags = new ArrayList<>();
                for (int n = random.nextInt(3); n > 0; n--) {
                    tags.add("T" + random.nextInt(3) + (random.nextBoolean() ? "/U" + random.nextInt(3) : ""));
                }
                Plain item = new Plain(
                        "i" + i,
                        tags,
                        "Author " + random.nextInt(4),
                        "/part-" + random.nextInt(3) + "/page-" + random.nextInt(9),
                        random.nextInt(10) == 0);
                items.add(item);
                site.item(
                        SearchFixture.POSTS,
                        item.id(),
                        java.util.Map.of("tags", tags, "author", item.author(), "url", item.address()));
                if (item.keptOut()) {
                    site.marked(OwnerMark.NONE.withKeptOut(true));
                }
            }
            site.indexed();
            for (int n = 0; n < 100; n++) {
                List<ReachRule> only = rules(random, random.nextInt(4));
                List<ReachRule> leaveOut = rules(random, random.nextInt(4));
                Set<String> expected = new TreeSet<>();
                items.stream().filter(item -> passes(item, only, leaveOut)).forEach(item -> expected.add(item.id()));
                SearchDesign design = reaching(only, leaveOut);
                Set<String> found = new TreeSet<>();
                for (int page = 1; page <= site.answer(design, "").pages(); page++) {
                    site.engine()
                            .answer(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked("", page))
                            .hits()
                            .forEach(hit -> found.add(hit.ref().id().value()));
                }
                assertThat(found)
                        .as("seed %d: only %s, leave out %s", seed, only, leaveOut)
                        .isEqualTo(expected);
                assertThat(site.listing().counts(design.reach()).inReach()).isEqualTo(expected.size());
            }
        }
    }

    private static List<ReachRule> rules(Random random, int many) {
        Set<ReachRule> rules = new java.util.LinkedHashSet<>();
        for (int n = 0; n < many; n++) {
            rules.add(
                    switch (random.nextInt(4)) {
                        case 0 ->
                            ReachRule.category(
                                    TAGS,
                                    "t" + random.nextInt(3) + (random.nextBoolean() ? "/u" + random.nextInt(3) : ""));
                        case 1 -> ReachRule.author("author-" + random.nextInt(4));
                        case 2 -> ReachRule.item(new ItemId("i" + random.nextInt(80)));
                        default -> ReachRule.address("/part-" + random.nextInt(3) + "/*");
                    });
        }
        return List.copyOf(rules);
    }

    private static boolean passes(Plain item, List<ReachRule> only, List<ReachRule> leaveOut) {
        boolean passes = only.stream().map(ReachRule::looksAt).distinct().allMatch(looked -> only.stream()
                .filter(rule -> rule.looksAt().equals(looked))
                .anyMatch(rule -> hit(item, rule)));
        return !item.keptOut() && passes && leaveOut.stream().noneMatch(rule -> hit(item, rule));
    }

    private static boolean hit(Plain item, ReachRule rule) {
        if (rule.field() != null) {
            return item.tags().stream()
                    .map(tag -> tag.toLowerCase(Locale.ROOT))
                    .anyMatch(tag -> tag.equals(rule.value()) || tag.startsWith(rule.value() + "/"));
        }
        if (rule.author() != null) {
            return item.author().toLowerCase(Locale.ROOT).replace(' ', '-').equals(rule.author());
        }
        return rule.item() != null
                ? item.id().equals(rule.item().value())
                : item.address().startsWith(String.valueOf(rule.address()).replace("*", ""));
    }
}
