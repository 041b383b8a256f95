package tidylantern.core.design;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Words or phrases that visitors use for one another. Applied once: what a synonym leads to is not looked up again, so
 * that neither a circle nor a chain of them leads anywhere else.
 *
 * @param from what is typed, for an entry that holds one way only; null for a group in which each stands for all others
 * @param words the group, two or more; of a one-way entry what is looked for too
 */
public record Synonym(@Nullable String from, List<String> words) {
    public static final int MOST_WORDS_IN_ENTRY = 500;
    private static final int LONGEST = 100;

    public Synonym {
        from = from == null || from.isBlank() ? null : tidy(from, "from");
        List<String> given = Objects.requireNonNullElse(words, List.of());
        DesignFault.unless(
                given.size() <= MOST_WORDS_IN_ENTRY,
                "words",
                "%d words in one entry are too many; %d are the most",
                given.size(),
                MOST_WORDS_IN_ENTRY);
        words = given.stream().map(word -> tidy(word, "words")).distinct().toList();
        DesignFault.unless(
                words.size() >= (from == null ? 2 : 1),
                "words",
                from == null ? "a group needs two different words or phrases" : "say what \"%s\" should find too",
                from);
    }

    /** Each stands for all others. */
    public static Synonym group(String... words) {
        return new Synonym(null, List.of(words));
    }

    /** Who types {@code from} finds the others too, and not the other way round. */
    public static Synonym oneWay(String from, String... words) {
        return new Synonym(from, List.of(words));
    }

    /** A word or phrase without needless spaces. */
    static String tidy(@Nullable String word, String name) {
        String tidy = word == null ? "" : word.strip().replaceAll("\\s+", " ");
        DesignFault.unless(
                tidy.codePoints().anyMatch(Character::isLetterOrDigit),
                name,
                "\"%s\" has no letter or digit; write a word or a phrase",
                tidy);
        DesignFault.unless(
                tidy.length() <= LONGEST,
                name,
                "\"%s…\" is longer than %d characters",
                tidy.substring(0, Math.min(20, tidy.length())),
                LONGEST);
        return tidy;
    }

    /** As an owner would say it. */
    @Override
    public String toString() {
        return from == null ? String.join(" = ", words) : from + " → " + String.join(", ", words);
    }

    /** All words and phrases of the entry. */
    public Stream<String> all() {
        return from == null ? words.stream() : Stream.concat(Stream.of(from), words.stream());
    }
}
