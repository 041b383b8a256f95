package tidylantern.core.index;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The pieces of a word that is written together out of several: {@code LocalDateTime}, {@code iso8601},
 * {@code file_name}, {@code java.time}. A piece ends where a small letter meets a capital, where a row of capitals
 * becomes a word ({@code HTTPServer}), where letters meet digits, and at signs; common practice in searching program
 * code and names.
 */
public final class WordPieces {
    /** Runs of neighbouring pieces are kept of words of up to so many pieces; of longer ones each piece alone. */
    private static final int MOST_IN_RUNS = 6;
    /** What has more is no word but a number in letters, such as a checksum. */
    private static final int MOST = 12;

    private WordPieces() {}

    /** A piece, or neighbouring pieces, of a word: where it begins, and where it ends (exclusive), in UTF-16 units. */
    public record Piece(int from, int to) {}

    /**
     * The smallest pieces, in their order.
     *
     * @param written a word as it stands in the text, capitals kept
     * @return none where the word is of one piece or of more than {@value #MOST}, or is a number
     */
    public static List<Piece> of(CharSequence written) {
        if (plain(written)) {
            return List.of();
        }
        List<Piece> pieces = new ArrayList<>();
        int from = -1;
        for (int i = 0; i < written.length(); i++) {
            char c = written.charAt(i);
            if (parts(c)) {
                add(pieces, from, i);
                from = -1;
            } else if (from < 0) {
                from = i;
            } else if (beginsPiece(written, i)) {
                add(pieces, from, i);
                from = i;
            }
        }
        add(pieces, from, written.length());
        return pieces.size() < 2 || pieces.size() > MOST || written.chars().noneMatch(Character::isLetter)
                ? List.of()
                : List.copyOf(pieces);
    }

    /**
     * What a word may be found by beside itself: the pieces that are no numbers and the runs of them,
     * {@linkplain Folding folded}.
     */
    static Set<String> folded(CharSequence written) {
        Set<String> folded = new LinkedHashSet<>();
        runs(of(written)).forEach(run -> folded.add(folded(written, run)));
        folded.removeIf(piece -> piece.isEmpty() || piece.chars().allMatch(Character::isDigit));
        return folded;
    }

    /**
     * The piece, or the run of pieces, of a word that is this one in its {@linkplain Folding folded} form; null if none
     * is.
     */
    public static @Nullable Piece find(CharSequence written, String folded) {
        return runs(of(written)).stream()
                .filter(run -> folded(written, run).equals(folded))
                .findFirst()
                .orElse(null);
    }

    private static List<Piece> runs(List<Piece> pieces) {
        if (pieces.size() > MOST_IN_RUNS) {
            return pieces;
        }
        List<Piece> runs = new ArrayList<>();
        for (int first = 0; first < pieces.size(); first++) {
            for (int last = first; last < pieces.size(); last++) {
                runs.add(new Piece(pieces.get(first).from(), pieces.get(last).to()));
            }
        }
        return runs;
    }

    /**
     * Signs between pieces are no part of what is compared: {@code file_name} is {@code filename} for who writes it so.
     */
    private static String folded(CharSequence written, Piece piece) {
        StringBuilder letters = new StringBuilder();
        written.subSequence(piece.from(), piece.to())
                .chars()
                .filter(c -> !parts((char) c))
                .forEach(c -> letters.append((char) c));
        return Folding.fold(Folding.lower(letters));
    }

    /** Most words are letters, a capital before them or not; an apostrophe parts nothing. */
    private static boolean plain(CharSequence written) {
        for (int i = 1; i < written.length(); i++) {
            char c = written.charAt(i);
            if (Character.isUpperCase(c)
                    || Character.isDigit(c) != Character.isDigit(written.charAt(i - 1))
                    || parts(c)) {
                return false;
            }
        }
        return true;
    }

    private static boolean parts(char c) {
        return c == '_' || c == '.' || c == ':' || c == '·' || c == ',' || c == ';';
    }

    private static boolean beginsPiece(CharSequence written, int at) {
        char before = written.charAt(at - 1);
        char c = written.charAt(at);
        if (Character.isDigit(before) || Character.isDigit(c)) {
            return Character.isDigit(before) != Character.isDigit(c);
        }
        if (!Character.isUpperCase(c)) {
            return false;
        }
        boolean wordFollows = at + 1 < written.length()
                && Character.isLowerCase(written.charAt(at + 1))
                && !pluralOfCapitals(written, at);
        return Character.isLowerCase(before) || (Character.isUpperCase(before) && wordFollows);
    }

    /** The last capital of {@code URLs} begins no word. */
    private static boolean pluralOfCapitals(CharSequence written, int at) {
        return written.charAt(at + 1) == 's'
                && (at + 2 == written.length() || !Character.isLowerCase(written.charAt(at + 2)));
    }

    private static void add(List<Piece> pieces, int from, int to) {
        if (from >= 0 && from < to) {
            pieces.add(new Piece(from, to));
        }
    }
}
