package tidylantern.core.embedding;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import tidylantern.core.embedding.EmbeddingCheck.Trouble;

/** What keeps a search from working on a page is named. */
class EmbeddingCheckTest {
    private static final String SERVICE = "https://search.example";
    private static final String PAGE = "https://www.isles.example/find";
    private static final EmbeddingCheck.Wanted WANTED = new EmbeddingCheck.Wanted(
            SERVICE, "shore", Set.of("shore", "homes"), Set.of("theirs"), Set.of("https://www.isles.example"), true);

    private static PageSeen.Script script(String origin) {
        return new PageSeen.Script(URI.create(origin + "/elements/tidy-lantern.js"), null);
    }

    private static PageSeen.Tag tag(String element, String key) {
        return new PageSeen.Tag(element, key, false);
    }

    private static final List<PageSeen.Tag> BOTH = List.of(tag("tidy-search", "shore"), tag("tidy-results", "shore"));

    private static List<Trouble> troubles(
            String address, List<PagePolicy> policies, List<PageSeen.Script> scripts, List<PageSeen.Tag> tags) {
        return EmbeddingCheck.of(new PageSeen(URI.create(address), policies, scripts, tags), WANTED).stream()
                .map(EmbeddingCheck.Obstacle::trouble)
                .toList();
    }

    private static List<Trouble> withTags(PageSeen.Tag... tags) {
        return troubles(PAGE, List.of(), List.of(script(SERVICE)), List.of(tags));
    }

    @Test
    void nothingIsSaidOfAPageAsItShouldBe() {
        assertThat(troubles(PAGE, List.of(), List.of(script(SERVICE)), BOTH)).isEmpty();
        assertThat(troubles(PAGE, List.of(), List.of(script(SERVICE), script(SERVICE)), BOTH))
                .as("the same line twice")
                .isEmpty();
        assertThat(withTags(BOTH.get(0), BOTH.get(1), tag("tidy-search", "homes")))
                .as("another of the site's")
                .isEmpty();
    }

    @Test
    void whatIsMissingOrWrongIsNamed() {
        assertThat(troubles("https://isles.example/find", List.of(), List.of(script(SERVICE)), BOTH))
                .containsExactly(Trouble.ORIGIN);
        assertThat(troubles(PAGE, List.of(), List.of(), BOTH)).containsExactly(Trouble.NO_SCRIPT);
        assertThat(troubles(PAGE, List.of(), List.of(script(SERVICE), script("https://old.example")), BOTH))
                .containsExactly(Trouble.SCRIPT_TWICE);
        assertThat(troubles(PAGE, List.of(), List.of(script("https://old.example")), BOTH))
                .containsExactly(Trouble.OTHER_SCRIPT);
        assertThat(withTags()).containsExactly(Trouble.NO_TAG);
        assertThat(withTags(tag("tidy-search", "shore"))).containsExactly(Trouble.NO_LIST);
        assertThat(withTags(new PageSeen.Tag("tidy-search", "shore", true))).containsExactly(Trouble.INERT);
        assertThat(withTags(tag("tidy-search", "shroe"))).containsExactly(Trouble.WRONG_KEY, Trouble.NO_TAG);
        assertThat(withTags(tag("tidy-search", ""))).containsExactly(Trouble.WRONG_KEY, Trouble.NO_TAG);
        assertThat(withTags(tag("tidy-search", "theirs"))).containsExactly(Trouble.OTHER_SITE, Trouble.NO_TAG);
    }

    @Test
    void aPageThatIsNoResultsPageNeedsNoList() {
        EmbeddingCheck.Wanted anyPage = new EmbeddingCheck.Wanted(
                SERVICE, "shore", Set.of("shore"), Set.of(), Set.of("https://www.isles.example"), false);
        assertThat(EmbeddingCheck.of(
                        new PageSeen(URI.create(PAGE), List.of(), List.of(script(SERVICE)), List.of(BOTH.getFirst())),
                        anyPage))
                .isEmpty();
    }

    @Test
    void whatAPolicyKeepsFromWorkingIsNamedWithItsDirective() {
        assertThat(EmbeddingCheck.of(
                        new PageSeen(
                                URI.create(PAGE),
                                List.of(policy("script-src", null), policy(null, "connect-src"), policy(null, null)),
                                List.of(script(SERVICE)),
                                BOTH),
                        WANTED))
                .extracting(EmbeddingCheck.Obstacle::text)
                .containsExactly(
                        "The page's policy keeps the script from loading: script-src does not name https://search.example. Add it there.",
                        "The page's policy keeps the elements from asking: connect-src does not name https://search.example. Add it there.");
    }

    private static PagePolicy policy(@Nullable String ofScripts, @Nullable String ofAsking) {
        return new PagePolicy() {
            @Override
            public @Nullable String keepsFromLoading(PageSeen.Script script) {
                return ofScripts;
            }

            @Override
            public @Nullable String keepsFromAsking(URI service) {
                return ofAsking;
            }
        };
    }
}
