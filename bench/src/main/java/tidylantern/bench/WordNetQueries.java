package tidylantern.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tidylantern.core.reference.WordNet;

/** What is asked of WordNet's entries. */
final class WordNetQueries {
    private WordNetQueries() {}

    /**
     * A fixed list: of every 1200th entry its first word; two words of its gloss; its first word half typed; and for a
     * tenth of them its first word with two neighbours swapped.
     */
    static List<String> of(List<WordNet.Entry> entries) {
        List<String> queries = new ArrayList<>();
        for (int i = 0, n = 0; i < entries.size(); i += 1_200, n++) {
            String word = entries.get(i).words().getFirst();
            queries.add(word);
            List<String> gloss = Arrays.stream(entries.get(i).gloss().split("[^\\p{L}]+"))
                    .filter(w -> w.length() >= 5)
                    .limit(2)
                    .toList();
            queries.add(String.join(" ", gloss.isEmpty() ? List.of(word) : gloss));
            queries.add(word.substring(0, Math.max(2, word.length() * 2 / 3)));
            if (n % 3 == 0 && word.length() > 5) {
                queries.add(word.substring(0, 3) + word.charAt(4) + word.charAt(3) + word.substring(5));
            }
        }
        return queries;
    }
}
