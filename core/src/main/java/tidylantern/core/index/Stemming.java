package tidylantern.core.index;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.tartarus.snowball.SnowballStemmer;
import org.tartarus.snowball.ext.DanishStemmer;
import org.tartarus.snowball.ext.DutchStemmer;
import org.tartarus.snowball.ext.EnglishStemmer;
import org.tartarus.snowball.ext.FinnishStemmer;
import org.tartarus.snowball.ext.FrenchStemmer;
import org.tartarus.snowball.ext.GermanStemmer;
import org.tartarus.snowball.ext.ItalianStemmer;
import org.tartarus.snowball.ext.NorwegianStemmer;
import org.tartarus.snowball.ext.PortugueseStemmer;
import org.tartarus.snowball.ext.SpanishStemmer;
import org.tartarus.snowball.ext.SwedishStemmer;
import tidylantern.core.content.CodePoints;

/**
 * The stems of a language's words, by the Snowball algorithms (Porter2 for English) as Lucene ships them. Lucene's own
 * language analyzers use lighter stemmers for some languages; these are the published ones, which the tests hold
 * against the published vocabularies. One object a thread: the algorithms keep state.
 */
public final class Stemming {
    private static final Map<String, Supplier<SnowballStemmer>> ALGORITHMS = new TreeMap<>(Map.ofEntries(
            Map.entry("da", DanishStemmer::new),
            Map.entry("de", GermanStemmer::new),
            Map.entry("en", EnglishStemmer::new),
            Map.entry("es", SpanishStemmer::new),
            Map.entry("fi", FinnishStemmer::new),
            Map.entry("fr", FrenchStemmer::new),
            Map.entry("it", ItalianStemmer::new),
            Map.entry("nl", DutchStemmer::new),
            Map.entry("no", NorwegianStemmer::new),
            Map.entry("nb", NorwegianStemmer::new),
            Map.entry("pt", PortugueseStemmer::new),
            Map.entry("sv", SwedishStemmer::new)));

    private final @Nullable SnowballStemmer stemmer;
    /** Stands before the stems of the language. */
    private final String mark;

    /** @param languageTag BCP 47; a language without an algorithm leaves words as they are */
    public Stemming(String languageTag) {
        String language = Locale.forLanguageTag(languageTag).getLanguage();
        mark = WordForms.STEM_MARK + language + ":";
        Supplier<SnowballStemmer> algorithm = ALGORITHMS.get(language);
        stemmer = algorithm == null ? null : algorithm.get();
    }

    /** Two-letter codes of the languages that have stems. */
    public static Set<String> languages() {
        return Set.copyOf(ALGORITHMS.keySet());
    }

    /**
     * The stem of a word in small letters, accents as the language writes them. Words with a digit have no other forms.
     */
    public String stem(String lower) {
        if (stemmer == null || CodePoints.any(lower, Character::isDigit)) {
            return lower;
        }
        stemmer.setCurrent(lower);
        stemmer.stem();
        return stemmer.getCurrent();
    }

    /**
     * What stands for a word's stems in the index, one or two: the stem with its accents taken off, and the stem of the
     * word as people type it who leave accents out. The language goes with it, so that stems of two languages never
     * meet.
     */
    public List<String> tokens(String lower) {
        if (stemmer == null) {
            return List.of();
        }
        String folded = Folding.fold(lower);
        String proper = token(Folding.fold(stem(lower)));
        if (folded.equals(lower)) {
            return List.of(proper);
        }
        // A possessive ("maker's") is the stemmer's business: without its apostrophe the stem would be another.
        String bare = lower.indexOf('\'') >= 0 ? proper : token(stem(folded));
        return bare.equals(proper) ? List.of(proper) : List.of(proper, bare);
    }

    private String token(String stem) {
        return mark + stem;
    }
}
