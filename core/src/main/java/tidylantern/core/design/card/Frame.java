package tidylantern.core.design.card;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.look.LookForm;
import tidylantern.core.design.look.Shadow;

/**
 * What holds a card together: what it stands on, its edges and corners, the room within, and how it answers. Null, in
 * each of the first six: as the look has it. Rows of live results have a frame of their own, so none of this is theirs.
 *
 * @param edges the sides that have an edge, no side twice; none of them where it is empty
 * @param corners how round it is, 0 to {@value LookForm#ROUNDEST} px
 * @param spacing the room between the edges and the parts
 * @param shadow how far it stands off the page as nobody points at it
 * @param pointed what it does as one points at it
 * @param focused where the ring of the focus stands while the keyboard is on its link
 */
public record Frame(
        @Nullable Ground ground,
        @Nullable List<Side> edges,
        @Nullable Integer corners,
        @Nullable Step spacing,
        @Nullable Shadow shadow,
        @Nullable Pointed pointed,
        Focused focused) {
    public Frame {
        if (edges != null) {
            edges = List.copyOf(edges);
            DesignFault.ifTwice(edges, "edges", "the side");
        }
        DesignFault.unless(
                corners == null || (corners >= 0 && corners <= LookForm.ROUNDEST),
                "corners",
                "corners of %s px are none; choose 0 to %d",
                corners,
                LookForm.ROUNDEST);
    }

    /** All as the look has it. */
    public static Frame asLook() {
        return new Frame(null, null, null, null, null, null, Focused.CARD);
    }

    /** What a card stands on. */
    public enum Ground {
        /** The page. */
        NONE,
        /** The look's ground of cards. */
        CARD,
        /** The look's ground around everything. */
        AROUND;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** A side of a card, as lines are read. */
    public enum Side {
        ABOVE,
        BELOW,
        START,
        END;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** How a card answers as one points at it; its title is underlined in any case. */
    public enum Pointed {
        /** By nothing more. */
        TITLE,
        /** Its edges get clear. */
        EDGE,
        /** It stands off the page. */
        LIFT,
        /** Its ground takes a breath of the accent. */
        GROUND;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Where the keyboard is seen to be. */
    public enum Focused {
        CARD,
        TITLE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
