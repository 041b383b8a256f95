package tidylantern.core.design.box;

import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Limit;

/**
 * How large a search box is, in px. Null, in each of them: as the look has it; of the width: as its place on the page
 * has room.
 *
 * @param width 160 to 1600; never wider than its place
 * @param height 32 to 96
 * @param inside between its ends and the words, 0 to 48
 * @param around it, 0 to 80
 * @param corners 0 to 48
 * @param edge 0 to 6
 * @param text of the words, 12 to 32; fields of less than 16 are drawn at 16 on phones, where browsers would zoom in
 */
public record BoxSizes(
        @Nullable Integer width,
        @Nullable Integer height,
        @Nullable Integer inside,
        @Nullable Integer around,
        @Nullable Integer corners,
        @Nullable Integer edge,
        @Nullable Integer text) {
    /** Of each of them, by its name. */
    public static final Map<String, Limit> LIMITS = Map.of(
            "width", new Limit(160, 1600),
            "height", new Limit(32, 96),
            "inside", new Limit(0, 48),
            "around", new Limit(0, 80),
            "corners", new Limit(0, 48),
            "edge", new Limit(0, 6),
            "text", new Limit(12, 32));

    public BoxSizes {
        check("width", width);
        check("height", height);
        check("inside", inside);
        check("around", around);
        check("corners", corners);
        check("edge", edge);
        check("text", text);
    }

    /** All as the look has it. */
    public static BoxSizes asLook() {
        return new BoxSizes(null, null, null, null, null, null, null);
    }

    private static void check(String key, @Nullable Integer size) {
        Objects.requireNonNull(LIMITS.get(key)).check(key, size);
    }
}
