package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.Words;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;

class ExcerptsTest {
    private static final List<FieldKey> FIELDS = List.of(FieldKey.HEADINGS, FieldKey.BODY);

    private static String excerpt(String headings, String body) {
        Item page = new Item(
                new ItemRef(new CollectionKey("pages"), new ItemId("1")),
                Map.of(
                        FieldKey.TITLE,
                        new FieldValue.Text("A page"),
                        FieldKey.HEADINGS,
                        new FieldValue.Text(headings),
                        FieldKey.BODY,
                        new FieldValue.Text(body)));
        PhraseMatch lobster =
                new PhraseMatch(new Phrase(WordForms.allWordsOf("lobster", Set.of("en")), false), Words.standard());
        return new Excerpts(List.of(lobster), new Words.Excerpt(12, 4), false)
                .excerpt(page, FIELDS, new Stemming("en"))
                .plain();
    }

    @Test
    void sentencesSayMoreThanAListOfHeadings() {
        String body =
                "The boats leave at seven, whatever the skipper says of it. Who wants a lobster waits at the pier. Nobody is sent away.";
        assertThat(excerpt("Times\nThe lobster\nPrices", body))
                .isEqualTo("Who wants a lobster waits at the pier. Nobody is sent away.");
        assertThat(excerpt("Times\nThe lobster\nPrices", "Nothing of the kind stands here."))
                .as("where no sentence holds it, the headings say where it is")
                .contains("The lobster");
    }

    @Test
    void itBeginsWithASentenceWhereOneBeginsCloseBy() {
        String before = "Some words that go on and on before the sentence ends at last. ";
        assertThat(excerpt("", before + "Then a lobster walks in and sits down among the people there with us"))
                .startsWith("Then a lobster walks in")
                .endsWith("…");
        assertThat(
                        excerpt(
                                "",
                                "one two three four five six seven eight nine ten lobster eleven twelve thirteen fourteen fifteen"))
                .startsWith("… ")
                .contains("lobster");
    }
}
