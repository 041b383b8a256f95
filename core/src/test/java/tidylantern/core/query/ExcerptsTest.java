package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
import tidylantern.core.query.compiled.Phrase;
import tidylantern.core.query.words.PhraseMatch;

class ExcerptsTest {
    private static final List<FieldKey> FIELDS = List.of(FieldKey.HEADINGS, FieldKey.BODY);

    private static String excerpt(String headings, String body) {
        return excerpt(
                Map.of(FieldKey.HEADINGS, new FieldValue.Text(headings), FieldKey.BODY, new FieldValue.Text(body)),
                new Words.Excerpt(12, 4),
                4);
    }

    private static String excerpt(Map<FieldKey, FieldValue> values, Words.Excerpt shape, int lines) {
        Map<FieldKey, FieldValue> all = new HashMap<>(values);
        all.put(FieldKey.TITLE, new FieldValue.Text("A page"));
        Item page = new Item(new ItemRef(new CollectionKey("pages"), new ItemId("1")), all);
        PhraseMatch lobster =
                new PhraseMatch(new Phrase(WordForms.allWordsOf("lobster", Set.of("en")), false), Words.standard());
        return new Excerpts(List.of(lobster), shape, false)
                .excerpt(page, FIELDS, new Stemming("en"), lines)
                .plain();
    }

    private static String words(int from, int to) {
        return IntStream.rangeClosed(from, to).mapToObj(n -> "word" + n).collect(Collectors.joining(" "));
    }

    /** 18 words fill a line as long as texts are read well: some 110 letters. */
    @Test
    void withoutANumberOfWordsItFillsTheLinesOfItsCard() {
        Map<FieldKey, FieldValue> page =
                Map.of(FieldKey.SUMMARY, new FieldValue.Text("A lobster at last. " + words(5, 90)));
        Words.Excerpt byRoom = Words.Excerpt.usual();
        assertThat(excerpt(page, byRoom, 2)).endsWith("word36…");
        assertThat(excerpt(page, byRoom, 4)).endsWith("word72…");
        assertThat(excerpt(page, new Words.Excerpt(10, 6), 4)).endsWith("word10…");
    }

    /** Lines are cut where they are drawn: what was found has to stand before that on a phone's short ones. */
    @Test
    void whatWasFoundIsInViewWhereLinesAreShort() {
        Map<FieldKey, FieldValue> page = Map.of(
                FieldKey.SUMMARY,
                new FieldValue.Text(words(1, 80)),
                FieldKey.BODY,
                new FieldValue.Text(words(101, 160) + ". One lobster waits. " + words(164, 200)));
        String shown = excerpt(page, Words.Excerpt.usual(), 2);
        int before = shown.substring(0, shown.indexOf("lobster")).split(" ").length;
        assertThat(before).as(shown).isLessThan(2 * 7);
        assertThat(shown).startsWith("word1 ");
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
