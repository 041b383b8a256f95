package tidylantern.core.mapping;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.KindGuess;

/** Whether a cell holds several values, or a path through a tree, and by which sign they are told apart. */
final class SeveralValues {
    /** What such columns are called where commas stand between their values: common practice. */
    private static final Set<String> LIST_NAMES = Set.of("tags", "keywords", "categories", "labels", "topics");

    private static final Pattern SHORT_CODE = Pattern.compile("[A-Za-z0-9+-]{1,3}");

    private SeveralValues() {}

    /**
     * The sign between the values of one cell; null where a cell holds one.
     *
     * @param name of the column, in small letters and digits alone
     */
    static @Nullable String sign(String name, List<String> cells) {
        for (String sign : List.of(";", "|", "\n")) {
            if (stands(cells, sign) && areBrief(cells, sign) && (arePartedOften(cells, sign) || recur(cells, sign))) {
                return sign;
            }
        }
        // Commas stand within names as well.
        return stands(cells, ",")
                        && areBrief(cells, ",")
                        && (LIST_NAMES.contains(name) || areFewer(cells, ",") || areCodes(cells, ","))
                ? ","
                : null;
    }

    private static boolean stands(List<String> cells, String sign) {
        return cells.stream().anyMatch(cell -> cell.contains(sign));
    }

    private static List<String> parted(List<String> cells, String sign) {
        return cells.stream().filter(cell -> cell.contains(sign)).toList();
    }

    private static boolean arePartedOften(List<String> cells, String sign) {
        List<String> parted = parted(cells, sign);
        return !parted.isEmpty() && parted.size() * 4 >= cells.size();
    }

    /** Whether half of what stands in cells of several is the value of another cell, too. */
    private static boolean recur(List<String> cells, String sign) {
        List<String> parted = parted(cells, sign);
        Map<String, Integer> within = new HashMap<>();
        cells.forEach(cell -> new HashSet<>(pieces(cell, sign)).forEach(piece -> within.merge(piece, 1, Integer::sum)));
        List<String> pieces =
                parted.stream().flatMap(cell -> pieces(cell, sign).stream()).toList();
        return !pieces.isEmpty()
                && pieces.stream()
                                        .filter(piece -> within.getOrDefault(piece, 0) > 1)
                                        .count()
                                * 2
                        >= pieces.size();
    }

    /** Whether the cells are made of fewer values than there are different cells. */
    private static boolean areFewer(List<String> cells, String sign) {
        if (parted(cells, sign).size() < 2) {
            return false;
        }
        Set<String> pieces = new HashSet<>();
        cells.forEach(cell -> pieces.addAll(pieces(cell, sign)));
        return pieces.size() < new HashSet<>(cells).size() && recur(cells, sign);
    }

    /** Whether they are nothing but short codes: {@code en,fr}. */
    private static boolean areCodes(List<String> cells, String sign) {
        return parted(cells, sign).size() > 1
                && cells.stream()
                        .flatMap(cell -> pieces(cell, sign).stream())
                        .allMatch(piece -> SHORT_CODE.matcher(piece).matches());
    }

    /** What stands between the signs, without the spaces around it. */
    static List<String> pieces(String cell, String sign) {
        List<String> pieces = new ArrayList<>();
        for (int from = 0; from <= cell.length(); ) {
            int next = cell.indexOf(sign, from);
            String piece = cell.substring(from, next < 0 ? cell.length() : next).strip();
            if (!piece.isEmpty()) {
                pieces.add(piece);
            }
            from = next < 0 ? cell.length() + 1 : next + sign.length();
        }
        return pieces;
    }

    /**
     * The sign between the levels of paths; null where they are none. A slash parts levels only where parents recur:
     * with as many parents as values, there is no tree.
     */
    static @Nullable String levels(List<String> values) {
        if (values.stream().anyMatch(KindGuess::isWebAddress)) {
            return null;
        }
        return Stream.of(" > ", ">", " › ", "::", "/")
                .filter(sign -> parted(values, sign).size() * 2 > values.size() && areBrief(values, sign))
                .filter(sign -> !sign.equals("/") || KindGuess.doParentsRecur(values, sign))
                .findFirst()
                .map(String::strip)
                .orElse(null);
    }

    /** Whether what stands between the signs is names, and no sentences. */
    private static boolean areBrief(List<String> cells, String sign) {
        return cells.stream().flatMap(cell -> pieces(cell, sign).stream()).allMatch(KindGuess::isBrief);
    }

    /** Whether bars with spaces around them stand in several cells, as between sentences of different people. */
    static boolean areBarred(List<String> cells) {
        return cells.stream().filter(cell -> cell.contains(" | ")).count() > 1;
    }
}
