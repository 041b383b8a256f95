package tidylantern.core.design.look;

import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;

/**
 * The type of a look. Null, in each of them: as the look has it that this one stands on.
 *
 * @param font families as in style sheets, the wanted one first; {@value #OF_PAGE} for that of the page
 * @param titleFont of headings and of titles on cards; as {@code font}
 * @param size of usual text, {@value #SMALLEST} to {@value #LARGEST} px
 * @param titleWeight 300 to 800, in hundreds
 * @param textOfPage whether text has the colour that the page's own has, wherever that can be read
 */
public record LookType(
        @Nullable String font,
        @Nullable String titleFont,
        @Nullable Integer size,
        @Nullable Integer titleWeight,
        @Nullable Boolean textOfPage) {
    /** Takes the families of the page, by what style sheets call it. */
    public static final String OF_PAGE = "inherit";

    public static final int SMALLEST = 12;
    public static final int LARGEST = 22;
    /** Letters, digits, and what parts and quotes names; so nothing else of a style sheet can be in it. */
    private static final Pattern FAMILIES = Pattern.compile("[\\p{L}\\p{N}_ ,'\"-]{1,200}");

    public LookType {
        font = families(font, "font");
        titleFont = families(titleFont, "titleFont");
        DesignFault.unless(
                size == null || (size >= SMALLEST && size <= LARGEST),
                "size",
                "text of %s px cannot be read well or fits no card; choose %d to %d",
                size,
                SMALLEST,
                LARGEST);
        checkWeight(titleWeight, "titleWeight");
    }

    /**
     * Checks that a weight is one that letters come in.
     *
     * @param key what the weight is of, for the fault
     */
    public static void checkWeight(@Nullable Integer weight, String key) {
        DesignFault.unless(
                weight == null || (weight >= 300 && weight <= 800 && weight % 100 == 0),
                key,
                "a weight of %s is none; choose 300 to 800, in hundreds",
                weight);
    }

    /** Text in the look's own colour. */
    LookType(@Nullable String font, @Nullable String titleFont, @Nullable Integer size, @Nullable Integer titleWeight) {
        this(font, titleFont, size, titleWeight, false);
    }

    /** All as the look below has it. */
    public static LookType asBelow() {
        return new LookType(null, null, null, null, null);
    }

    /**
     * Families that can be chosen by a name.
     *
     * @param families found on most devices, the wanted one first, with a fallback of the same kind
     */
    public record ReadyFont(String name, String families) {}

    /** That of the page first. */
    public static List<ReadyFont> readyFonts() {
        return List.of(
                new ReadyFont("The page’s own", OF_PAGE),
                new ReadyFont("Plain", "system-ui, sans-serif"),
                new ReadyFont("Humane", "Optima, Candara, 'Noto Sans', sans-serif"),
                new ReadyFont("Round", "ui-rounded, Nunito, 'Arial Rounded MT Bold', Comfortaa, sans-serif"),
                new ReadyFont("Bookish", "'Iowan Old Style', Palatino, 'Book Antiqua', P052, serif"),
                new ReadyFont("Newspaper", "Charter, Georgia, 'Bitstream Charter', serif"),
                new ReadyFont("Slab", "Rockwell, 'Roboto Slab', 'DejaVu Serif', serif"),
                new ReadyFont("Typewriter", "ui-monospace, Menlo, Consolas, 'DejaVu Sans Mono', monospace"));
    }

    /**
     * Families as a style sheet can have them, without what stands around them; null for none.
     *
     * @param key what they are of, for the fault
     * @throws DesignFault where they are no list of families
     */
    public static @Nullable String families(@Nullable String given, String key) {
        if (given == null || given.isBlank()) {
            return null;
        }
        String tidy = given.strip();
        DesignFault.unless(
                isFamilies(tidy),
                key,
                "\"%s\" is no list of font families; write their names with commas between, such as Charter, Georgia, serif",
                tidy.substring(0, Math.min(60, tidy.length())));
        return tidy;
    }

    /** Whether something is a list of font families, and nothing else of a style sheet. */
    public static boolean isFamilies(String written) {
        return FAMILIES.matcher(written).matches() && balanced(written);
    }

    private static boolean balanced(String families) {
        return families.chars().filter(c -> c == '\'').count() % 2 == 0
                && families.chars().filter(c -> c == '"').count() % 2 == 0;
    }
}
