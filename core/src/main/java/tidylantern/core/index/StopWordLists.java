package tidylantern.core.index;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.WordlistLoader;
import org.apache.lucene.analysis.snowball.SnowballFilter;

/**
 * Ready lists of words that say little by themselves, a language each: those of the Snowball project, as Lucene ships
 * them.
 */
public final class StopWordLists {
    private static final Map<String, String> FILES = new TreeMap<>(Map.ofEntries(
            Map.entry("da", "danish"),
            Map.entry("de", "german"),
            Map.entry("en", "english"),
            Map.entry("es", "spanish"),
            Map.entry("fi", "finnish"),
            Map.entry("fr", "french"),
            Map.entry("it", "italian"),
            Map.entry("nb", "norwegian"),
            Map.entry("nl", "dutch"),
            Map.entry("no", "norwegian"),
            Map.entry("pt", "portuguese"),
            Map.entry("sv", "swedish")));

    private static final Map<String, Set<String>> FOLDED = new ConcurrentHashMap<>();

    private StopWordLists() {}

    /** The words of a list as they are compared; read once. */
    public static Set<String> foldedOf(String languageTag) {
        return FOLDED.computeIfAbsent(
                Locale.forLanguageTag(languageTag).getLanguage(),
                language -> of(language).stream().map(Folding::fold).collect(Collectors.toUnmodifiableSet()));
    }

    /** Two-letter codes of the languages that have a list. */
    public static Set<String> languages() {
        return Set.copyOf(FILES.keySet());
    }

    /**
     * In the order of the alphabet; empty for a language without a list.
     *
     * @param languageTag BCP 47
     */
    public static List<String> of(String languageTag) {
        String file = FILES.get(Locale.forLanguageTag(languageTag).getLanguage());
        if (file == null) {
            return List.of();
        }
        try (InputStream in = SnowballFilter.class.getResourceAsStream(file + "_stop.txt")) {
            if (in == null) {
                throw new IllegalStateException("Lucene ships no list of stop words for " + file);
            }
            List<String> words = new ArrayList<>();
            for (Object word : WordlistLoader.getSnowballWordSet(new InputStreamReader(in, StandardCharsets.UTF_8))) {
                words.add(new String((char[]) word));
            }
            return words.stream().filter(word -> !word.contains(" ")).sorted().toList();
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the stop words of " + languageTag, failure);
        }
    }
}
