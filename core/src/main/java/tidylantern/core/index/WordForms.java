package tidylantern.core.index;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.TokenFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.standard.StandardTokenizer;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.analysis.tokenattributes.OffsetAttribute;
import org.apache.lucene.analysis.tokenattributes.PositionIncrementAttribute;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;

/**
 * What a word is, for index, query and excerpt alike: words end where Unicode says so (UAX #29, through Lucene's
 * standard tokenizer); each is compared in its {@linkplain Folding folded} form, and by its {@linkplain Stemming
 * stems}, which stand at the same position under a mark that no typed word can start with.
 */
public final class WordForms {
    /** Stands before a stem in the index. A control character, which never begins a word. */
    public static final char STEM_MARK = '\u0001';
    /** Stands before a {@linkplain WordPieces piece} of a word in the index, at the word's own position. */
    private static final char PIECE_MARK = '\u0002';
    /** Longer runs of letters are cut into pieces of this size; nobody types them. */
    private static final int LONGEST = 100;

    private static final int LONGEST_NAME = 12;
    private static final Set<String> ELIDING = Set.of("fr", "it", "ca");

    private WordForms() {}

    /**
     * A word of a query.
     *
     * @param folded as it is compared
     * @param stems its stem in each of the languages asked for, as the index has them
     * @param bareStems stems of the word without its accents, where they are others
     * @param pieces of which it is {@linkplain WordPieces written together}, as they are compared; none where it is of
     *     one
     * @param signed the word with the {@linkplain WordSigns signs} beside it; null where there are none
     */
    public record Word(
            String folded,
            Set<String> stems,
            Set<String> bareStems,
            List<String> pieces,
            @Nullable String signed) {
        public Word {
            pieces = List.copyOf(pieces);
        }

        /** Met as it is written and in no other form. */
        public static Word alone(String folded) {
            return new Word(folded, Set.of(), Set.of(), List.of(), null);
        }
    }

    /** Whether a term of the index stands for a stem or a piece of a word, and not for a word as it is written. */
    public static boolean marked(BytesRef term) {
        return term.length > 0 && Byte.toUnsignedInt(term.bytes[term.offset]) <= PIECE_MARK;
    }

    /** How a piece of a word stands in the index. */
    public static String piece(String folded) {
        return PIECE_MARK + folded;
    }

    /** The first character of words that are not {@link #marked}. */
    public static char firstOfWords() {
        return PIECE_MARK + 1;
    }

    /** Receives the words of a text one by one. */
    @FunctionalInterface
    public interface Visitor {
        /**
         * @param lower the word in small letters, accents kept
         * @param start where it begins in the text, in UTF-16 units
         * @param end where it ends, exclusive
         * @return false to stop
         */
        boolean word(String lower, int start, int end);
    }

    /** Shows every word of a text, in order, until the visitor has enough. */
    public static void each(String text, Visitor visitor) {
        StandardTokenizer tokenizer = TOKENIZER.get();
        CharTermAttribute term = tokenizer.getAttribute(CharTermAttribute.class);
        OffsetAttribute offset = tokenizer.getAttribute(OffsetAttribute.class);
        try {
            tokenizer.setReader(new StringReader(text));
            tokenizer.reset();
            boolean more = true;
            while (more && tokenizer.incrementToken()) {
                more = visitor.word(Folding.lower(term), offset.startOffset(), offset.endOffset());
            }
            tokenizer.end();
        } catch (IOException impossible) {
            throw new UncheckedIOException("reading a text held in memory", impossible);
        } finally {
            closeQuietly(tokenizer);
        }
    }

    private static final ThreadLocal<StandardTokenizer> TOKENIZER = ThreadLocal.withInitial(WordForms::tokenizer);

    private static StandardTokenizer tokenizer() {
        StandardTokenizer tokenizer = new StandardTokenizer();
        tokenizer.setMaxTokenLength(LONGEST);
        tokenizer.addAttribute(CharTermAttribute.class);
        tokenizer.addAttribute(OffsetAttribute.class);
        return tokenizer;
    }

    private static void closeQuietly(StandardTokenizer tokenizer) {
        try {
            tokenizer.close();
        } catch (IOException impossible) {
            throw new UncheckedIOException("closing a text held in memory", impossible);
        }
    }

    /**
     * Words in a row as a whole name is compared: in one piece, a space between any two.
     *
     * @param folded forms of the words, in their order
     * @return null where there is none or so many ({@value #LONGEST_NAME}) that they are no name but a sentence
     */
    public static @Nullable String wholeName(List<String> folded) {
        return folded.isEmpty() || folded.size() > LONGEST_NAME ? null : String.join(" ", folded);
    }

    /** The whole names in a text of one language, one a line. */
    static Set<String> wholeNames(String text, String languageTag) {
        String language = java.util.Locale.forLanguageTag(languageTag).getLanguage();
        Set<String> names = new LinkedHashSet<>();
        text.lines().forEach(line -> {
            List<String> words = new ArrayList<>();
            each(line, (lower, start, end) -> {
                String word = Folding.fold(withoutElision(lower, language));
                if (!word.isEmpty()) {
                    words.add(word);
                }
                return words.size() <= LONGEST_NAME;
            });
            String name = wholeName(words);
            if (name != null) {
                names.add(name);
            }
        });
        return names;
    }

    /** The words of a query, different ones only, in the order typed. */
    public static List<Word> wordsOf(String query, Set<String> languages) {
        Map<String, Word> different = new LinkedHashMap<>();
        allWordsOf(query, languages).forEach(word -> different.putIfAbsent(word.folded(), word));
        return List.copyOf(different.values());
    }

    /** The words of a phrase, as often as they stand there, in the order typed. */
    public static List<Word> allWordsOf(String query, Set<String> languages) {
        List<Stemming> stemmings =
                languages.stream().sorted().map(Stemming::new).toList();
        List<Word> words = new ArrayList<>();
        each(query, (lower, start, end) -> {
            for (String language : languages) {
                lower = withoutElision(lower, language);
            }
            String word = lower;
            Set<String> stems = new LinkedHashSet<>();
            Set<String> bareStems = new LinkedHashSet<>();
            for (Stemming stemming : stemmings) {
                List<String> tokens = stemming.tokens(word);
                stems.addAll(tokens.subList(0, Math.min(1, tokens.size())));
                bareStems.addAll(tokens.subList(Math.min(1, tokens.size()), tokens.size()));
            }
            String folded = Folding.fold(word);
            String written = query.substring(start, end);
            List<String> pieces = WordPieces.of(written).stream()
                    .map(piece -> Folding.fold(Folding.lower(written.subSequence(piece.from(), piece.to()))))
                    .toList();
            Word made = new Word(folded, stems, bareStems, pieces, WordSigns.with(query, start, end, folded));
            if (!made.folded().isEmpty()) {
                words.add(made);
            }
            return true;
        });
        return words;
    }

    /** {@code l'île} is the word {@code île} with an article before it, in languages that write it so. */
    public static String withoutElision(String lower, String language) {
        int apostrophe = lower.indexOf('\'');
        return apostrophe > 0 && apostrophe <= 2 && apostrophe < lower.length() - 1 && ELIDING.contains(language)
                ? lower.substring(apostrophe + 1)
                : lower;
    }

    /** Splits a text of one language for the index: the folded word, and its stems and pieces at the same position. */
    static Analyzer analyzer(String languageTag) {
        // A stream a field: a document's streams are all made before the first of them is read.
        return new Analyzer(Analyzer.PER_FIELD_REUSE_STRATEGY) {
            @Override
            protected TokenStreamComponents createComponents(String field) {
                StandardTokenizer tokenizer = tokenizer();
                return new TokenStreamComponents(tokenizer, new FormsFilter(tokenizer, languageTag));
            }
        };
    }

    private static final class FormsFilter extends TokenFilter {
        private final CharTermAttribute term = addAttribute(CharTermAttribute.class);
        private final PositionIncrementAttribute position = addAttribute(PositionIncrementAttribute.class);
        private final Stemming stemming;
        private final String language;
        /** Stems and pieces of the last word that are still to come. */
        private Iterator<String> others = List.<String>of().iterator();

        FormsFilter(TokenStream input, String languageTag) {
            super(input);
            stemming = new Stemming(languageTag);
            language = java.util.Locale.forLanguageTag(languageTag).getLanguage();
        }

        @Override
        public boolean incrementToken() throws IOException {
            if (others.hasNext()) {
                term.setEmpty().append(others.next());
                position.setPositionIncrement(0);
                return true;
            }
            if (!input.incrementToken()) {
                return false;
            }
            String lower = withoutElision(Folding.lower(term), language);
            List<String> stems = stemming.tokens(lower);
            Set<String> pieces = WordPieces.folded(term);
            others = pieces.isEmpty()
                    ? stems.iterator()
                    : Stream.concat(stems.stream(), pieces.stream().map(WordForms::piece))
                            .iterator();
            term.setEmpty().append(Folding.fold(lower));
            return true;
        }

        @Override
        public void reset() throws IOException {
            super.reset();
            others = List.<String>of().iterator();
        }
    }
}
