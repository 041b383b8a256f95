package tidylantern.core.design;

import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A colour of sRGB, without transparency.
 *
 * @param red 0 to 255; so are the others
 */
public record Colour(int red, int green, int blue) {
    private static final Pattern HEX = Pattern.compile("#?(?:[0-9a-fA-F]{3}|[0-9a-fA-F]{6})");
    private static final Colour BLACK = new Colour(0, 0, 0);
    private static final Colour WHITE = new Colour(255, 255, 255);
    /** WCAG 2.2, success criterion 1.4.3: text of ordinary size. */
    public static final double TEXT = 4.5;
    /** WCAG 2.2, success criterion 1.4.11: what is no text and must be seen. */
    public static final double NOT_TEXT = 3;

    /**
     * Reads {@code #8a5200} or {@code #850}, whose digits each stand for two.
     *
     * @throws DesignFault naming {@code key}, if it is no colour
     */
    public static @Nullable Colour read(@Nullable String written, String key) {
        if (written == null || written.isBlank()) {
            return null;
        }
        String tidy = written.strip();
        DesignFault.unless(
                HEX.matcher(tidy).matches(),
                key,
                "\"%s\" is no colour; write one such as #8a5200",
                tidy.substring(0, Math.min(tidy.length(), 40)));
        String digits = tidy.startsWith("#") ? tidy.substring(1) : tidy;
        if (digits.length() == 3) {
            digits = digits.replaceAll("[0-9A-Fa-f]", "$0$0");
        }
        int all = Integer.parseInt(digits, 16);
        return new Colour(all >> 16, all >> 8 & 0xff, all & 0xff);
    }

    /**
     * The same of one that has to be there.
     *
     * @throws DesignFault if it is no colour
     */
    public static Colour of(String written) {
        Colour read = read(written, "");
        if (read == null) {
            throw new DesignFault("", "no colour is written; write one such as #8a5200");
        }
        return read;
    }

    /** Relative luminance, 0 for black to 1 for white: WCAG 2.2, 'relative luminance'. */
    public double luminance() {
        return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
    }

    private static double linear(int part) {
        double share = part / 255.0;
        return share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }

    /** Contrast ratio, 1 to 21: WCAG 2.2, 'contrast ratio'. */
    public double contrast(Colour other) {
        double lighter = Math.max(luminance(), other.luminance());
        double darker = Math.min(luminance(), other.luminance());
        return (lighter + 0.05) / (darker + 0.05);
    }

    /**
     * The colour nearest to this one, on the straight ways from it to black and to white, that has a contrast to
     * another. Mixed so, a colour keeps its hue. Black or white always has 4.5 to any colour, so for what WCAG asks
     * there is one.
     *
     * @return itself where it passes; null where not even black and white do
     */
    public @Nullable Colour nearest(double wanted, Colour to) {
        return nearest(colour -> colour.contrast(to) >= wanted);
    }

    /**
     * The same for whatever is asked of it.
     *
     * @return itself where it passes; null where nothing on the two ways does
     */
    public @Nullable Colour nearest(Predicate<Colour> passes) {
        final int steps = 255;
        for (int step = 0; step <= steps; step++) {
            double share = (double) step / steps;
            Colour darker = mixed(BLACK, share);
            Colour lighter = mixed(WHITE, share);
            boolean dark = passes.test(darker);
            boolean light = passes.test(lighter);
            if (dark || light) {
                return dark && (!light || distance(darker) <= distance(lighter)) ? darker : lighter;
            }
        }
        return null;
    }

    /** This one with a share of another, part by part; 0 is this, 1 the other. */
    public Colour mixed(Colour other, double share) {
        return new Colour(
                mixed(red, other.red, share), mixed(green, other.green, share), mixed(blue, other.blue, share));
    }

    private static int mixed(int from, int to, double share) {
        return (int) Math.round(from + (to - from) * share);
    }

    /** How far apart two colours are, in steps of sRGB; at most 441. */
    double distance(Colour other) {
        return Math.sqrt(
                Math.pow(red - other.red, 2) + Math.pow(green - other.green, 2) + Math.pow(blue - other.blue, 2));
    }

    /** {@code #8a5200}. */
    @Override
    public String toString() {
        return String.format(Locale.ROOT, "#%02x%02x%02x", red, green, blue);
    }
}
