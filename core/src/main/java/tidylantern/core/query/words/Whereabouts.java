package tidylantern.core.query.words;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.place.Position;

/**
 * Where a visitor is, or looks for things around: a position, or the name of a place.
 *
 * @param position in degrees; null where only a name is known, or nothing
 * @param name at most 200 characters; empty where there is none
 * @param within how far at most, in km; null where the filters say it, or nobody does
 */
public record Whereabouts(
        @Nullable Position position, String name, @Nullable Double within) {
    public static final Whereabouts UNKNOWN = new Whereabouts(null, "", null);
    private static final int LONGEST_NAME = 200;
    private static final Pattern DEGREES = Pattern.compile("\\s*-?\\d{1,3}(\\.\\d{1,20})?\\s*");
    private static final Pattern KM = Pattern.compile("\\d{1,15}(\\.\\d{1,15})?");

    /**
     * Reads the parameters of the public contract. What says nothing that there is stands for nothing, so that the rest
     * of an address is kept.
     *
     * @param near latitude and longitude, a comma between them
     * @param place a name; looked at where {@code near} says nothing
     * @param within in km; 0 for what is right there
     */
    public static Whereabouts of(String near, String place, String within) {
        String name = place.strip();
        return new Whereabouts(
                position(near),
                name.substring(0, Math.min(name.length(), LONGEST_NAME)),
                KM.matcher(within.strip()).matches() ? Double.parseDouble(within.strip()) : null);
    }

    private static @Nullable Position position(String near) {
        String[] ends = near.split(",", -1);
        if (ends.length != 2
                || !DEGREES.matcher(ends[0]).matches()
                || !DEGREES.matcher(ends[1]).matches()) {
            return null;
        }
        Position position = new Position(Double.parseDouble(ends[0]), Double.parseDouble(ends[1]));
        return Position.exists(position.latitude(), position.longitude()) ? position : null;
    }
}
