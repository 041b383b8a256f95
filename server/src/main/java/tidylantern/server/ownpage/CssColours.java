package tidylantern.server.ownpage;

import com.helger.css.utils.ECSSColor;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;

/** Reads colours as style sheets write them: CSS Color Module Level 4, of sRGB. */
final class CssColours {
    private static final Pattern HEX = Pattern.compile("#([0-9a-f]{3,8})");
    private static final Pattern FUNCTION = Pattern.compile("(rgb|hsl)a?\\((.*)\\)");
    private static final Pattern NUMBER = Pattern.compile("([-+]?[\\d.]+)(%?)");
    /** What lets through more than it covers is no colour to go by. */
    private static final double COVERS = 0.5;

    private CssColours() {}

    /** Null for what is no colour, is not of sRGB, or is mostly seen through. */
    static @Nullable Colour read(String written) {
        String tidy = written.strip().toLowerCase(Locale.ROOT);
        Matcher hex = HEX.matcher(tidy);
        if (hex.matches()) {
            return hex(hex.group(1));
        }
        Matcher function = FUNCTION.matcher(tidy);
        if (function.matches()) {
            return function(function.group(1), function.group(2));
        }
        ECSSColor named = ECSSColor.getFromNameCaseInsensitiveOrNull(tidy);
        return named == null ? null : Colour.of(Objects.requireNonNull(named.getAsHexColorValue()));
    }

    private static @Nullable Colour hex(String digits) {
        String whole = digits.length() <= 4 ? digits.replaceAll("[0-9a-f]", "$0$0") : digits;
        if (whole.length() == 8) {
            return Integer.parseInt(whole.substring(6), 16) / 255.0 < COVERS
                    ? null
                    : Colour.of("#" + whole.substring(0, 6));
        }
        return whole.length() == 6 ? Colour.of("#" + whole) : null;
    }

    private static @Nullable Colour function(String name, String inside) {
        List<double[]> parts = NUMBER.matcher(inside)
                .results()
                .map(part -> new double[] {
                    Double.parseDouble(part.group(1)), part.group(2).isEmpty() ? 0 : 1
                })
                .toList();
        if (parts.size() < 3 || (parts.size() > 3 && share(parts.get(3), 1) < COVERS)) {
            return null;
        }
        return name.equals("rgb")
                ? new Colour(part(parts.get(0)), part(parts.get(1)), part(parts.get(2)))
                : hsl(parts.get(0)[0], share(parts.get(1), 100), share(parts.get(2), 100));
    }

    private static int part(double[] number) {
        return (int) Math.round(255 * Math.clamp(share(number, 255), 0, 1));
    }

    private static double share(double[] number, double whole) {
        return number[1] == 1 ? number[0] / 100 : number[0] / whole;
    }

    /** CSS Color Module Level 4, 'converting HSL colors to sRGB'. */
    private static Colour hsl(double hue, double saturation, double lightness) {
        return new Colour(
                channel(0, hue, saturation, lightness),
                channel(8, hue, saturation, lightness),
                channel(4, hue, saturation, lightness));
    }

    private static int channel(int n, double hue, double saturation, double lightness) {
        double k = (n + (((hue % 360) + 360) % 360) / 30) % 12;
        double a = saturation * Math.min(lightness, 1 - lightness);
        double value = lightness - a * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1));
        return (int) Math.round(255 * Math.clamp(value, 0, 1));
    }
}
