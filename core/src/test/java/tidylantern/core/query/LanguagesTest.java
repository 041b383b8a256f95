package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.query.compiled.CompiledSearch;

/** Collections in several languages under one search: each word by the stems of the collection it stands in. */
class LanguagesTest {
    private static final Collection ENGLISH = SearchFixture.collection("posts", "en");
    private static final Collection GERMAN = SearchFixture.collection("notes", "de");
    private static final SiteContent SITE = new SiteContent(List.of(ENGLISH, GERMAN));

    private static List<String> found(SearchFixture site, String query) {
        Words words = new Words(
                List.of(SearchFixture.weight("title", 5)),
                new Words.Matching(
                        Words.WordsNeeded.ALL, Words.PartOfWord.WHOLE, new Words.Typos(false, true), true, 2, false),
                Words.Excerpt.usual(),
                List.of(),
                List.of(),
                Help.usual());
        SearchDesign design = SearchDesign.firstFor("Both", SITE).withWords(words);
        return site.engine().answer(CompiledSearch.of(SITE, design), SearchFixture.asked(query, 1)).hits().stream()
                .map(hit -> hit.ref().id().value())
                .sorted()
                .toList();
    }

    @Test
    void eachCollectionIsStemmedInItsOwnLanguage(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            site.item(ENGLISH, "en-houses", "title", "Houses")
                    .item(GERMAN, "de-haeuser", "title", "Häuser am Hafen")
                    .item(GERMAN, "de-haus", "title", "Das Haus")
                    .item(ENGLISH, "en-gift", "title", "Gifts")
                    .item(GERMAN, "de-gift", "title", "Gifte im Wald")
                    .indexed();
            assertThat(found(site, "house")).containsExactly("en-houses");
            assertThat(found(site, "haus")).containsExactly("de-haeuser", "de-haus");
            assertThat(found(site, "häusern")).containsExactly("de-haeuser", "de-haus");
            assertThat(found(site, "hauser")).as("typed without its accent").contains("de-haeuser");
            assertThat(found(site, "gift"))
                    .as("the English stem of 'gifts', the German one of 'gifte'")
                    .containsExactly("de-gift", "en-gift");
        }
    }

    @ParameterizedTest
    @CsvSource({
        // Words of everyday, from memory: milk, library, house, tomato; each with two neighbours swapped.
        "молоко, молкоо",
        "βιβλιοθήκη, βιβλιθοήκη",
        "ბიბლიოთეკა, ბიბლოითეკა",
        "помидоры, помдиоры",
        "élection, életcion",
    })
    void slipsAreForgivenInEveryScript(String word, String slipped, @TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            site.item(ENGLISH, "meant", "title", word).indexed();
            CompiledSearch search = CompiledSearch.of(SITE, SearchDesign.firstFor("Both", SITE));
            assertThat(site.engine()
                            .answer(search, SearchFixture.asked(slipped, 1))
                            .total())
                    .isOne();
        }
    }
}
