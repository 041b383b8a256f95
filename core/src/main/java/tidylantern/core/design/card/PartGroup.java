package tidylantern.core.design.card;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Parts beside or below one another.
 *
 * @param gap between them
 * @param align across the direction: of a row how high they stand, of a column where their lines begin
 * @param grows whether it takes the room that its neighbours leave
 * @param dots whether a dot stands between the parts of a row
 * @param width of the group that it stands in
 * @param shrinks whether it gives way where there is too little room; else its neighbours do
 */
public record PartGroup(
        String key,
        Direction direction,
        Step gap,
        Align align,
        boolean grows,
        boolean dots,
        Width width,
        boolean shrinks,
        List<CardPart> parts)
        implements CardPart {
    public PartGroup {
        key = CardPart.checkedKey(key);
        parts = List.copyOf(parts);
    }

    /** Parts below one another, none yet. */
    public static PartGroup usual(String key) {
        return new PartGroup(
                key, Direction.COLUMN, Step.USUAL, Align.START, false, false, Width.FITTING, true, List.of());
    }

    /** Parts below one another that take the room there is. */
    public static PartGroup column(String key, Step gap, CardPart... parts) {
        return new PartGroup(key, Direction.COLUMN, gap, Align.START, true, false, Width.FITTING, true, List.of(parts));
    }

    /** Parts beside one another. */
    public static PartGroup row(String key, Step gap, CardPart... parts) {
        return new PartGroup(key, Direction.ROW, gap, Align.START, false, false, Width.FITTING, true, List.of(parts));
    }

    /** Short texts beside one another with a dot between them; what finds no room goes on below. */
    public static PartGroup line(String key, CardPart... parts) {
        return new PartGroup(
                key, Direction.FLOW, Step.SMALL, Align.BASELINE, false, true, Width.FITTING, true, List.of(parts));
    }

    @Override
    public Stream<CardPart> withBelow() {
        return Stream.concat(Stream.of(this), parts.stream().flatMap(CardPart::withBelow));
    }

    /** How many groups stand in one another at the most, this one counted. */
    int depth() {
        return 1
                + parts.stream()
                        .mapToInt(part -> part instanceof PartGroup group ? group.depth() : 0)
                        .max()
                        .orElse(0);
    }

    /** How much of its group's width a group takes. */
    public enum Width {
        /** As its parts need. */
        FITTING,
        QUARTER,
        THIRD,
        HALF,
        FULL;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** How parts follow one another. */
    public enum Direction {
        ROW,
        /** A row that goes on below where its room ends. */
        FLOW,
        COLUMN;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Where parts stand across the direction of their group. */
    public enum Align {
        START,
        CENTER,
        END,
        BASELINE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
