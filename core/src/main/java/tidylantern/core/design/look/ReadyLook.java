package tidylantern.core.design.look;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import tidylantern.core.design.Colour;

/** Looks to begin from, each whole. They differ in form, density and type, not in colour alone. */
@SuppressWarnings("ImmutableEnumChecker") // records of values, which the checker cannot know to be that
public enum ReadyLook {
    /** Clear frames and round corners, as near to the page as can be. */
    HARBOUR(
            "Harbour",
            "Clear frames and round corners, as near to the page as can be.",
            "fdfcf9 ffffff 1b2a33 55656d dde3e4 7d8a90 0e5f63 ffffff ffe9b8 0e5f63",
            "12222b 1a2d37 f1f3ef b9c5c9 2f4550 7f949c 86d0d0 10262a 6a4a0c 86d0d0",
            new LookType(LookType.OF_PAGE, LookType.OF_PAGE, 15, 600),
            new LookForm(CardForm.FRAMED, BoxForm.FRAMED, 10, Density.USUAL, Shadow.NONE, true)),
    /** A newspaper: serifs, square pictures, no boxes. */
    GAZETTE(
            "Gazette",
            "A newspaper: serifs, square pictures, no boxes.",
            "f4efe6 faf6ee 2a2119 5f5143 cdbfa9 857562 7c2d12 fff8ee f3d9a4 2a2119",
            "1d1812 272018 efe6d6 bfb19c 43382b 8f8069 eda578 2a1608 5c4317 efe6d6",
            new LookType(family("Newspaper"), family("Newspaper"), 16, 600),
            new LookForm(CardForm.BARE, BoxForm.FRAMED, 0, Density.USUAL, Shadow.NONE, false)),
    /** Dense ruled rows that are run through by eye. */
    TIMETABLE(
            "Timetable",
            "Dense ruled rows that are run through by eye.",
            "ffffff f6f7f8 14191d 525d64 d5dadd 757f86 7d4c00 ffffff ffe3ab 14191d",
            "14191d 1d242a e8e4da a9b2b4 2c363c 788389 ffc65c 1d1503 5a3f00 ffc65c",
            new LookType(family("Plain"), family("Plain"), 14, 600),
            new LookForm(CardForm.RULED, BoxForm.LINED, 2, Density.DENSE, Shadow.NONE, false)),
    /** Round as pebbles, each on its own ground, with air around. */
    SHINGLE(
            "Shingle",
            "Round as pebbles, each on its own ground, with air around.",
            "eef1f0 ffffff 202a2e 56646a dfe5e4 76838a 2c6040 ffffff dff0b4 2c6040",
            "17201c 222e29 eef3ef b3c1ba 35433d 84958d 9dd6ae 0e2417 3f5a1d 9dd6ae",
            new LookType(family("Round"), family("Round"), 16, 700),
            new LookForm(CardForm.FILLED, BoxForm.FRAMED, 22, Density.AIRY, Shadow.SOFT, true)),
    /** Typewritten lines in a column, for lists that are checked. */
    LEDGER(
            "Ledger",
            "Typewritten lines in a column, for lists that are checked.",
            "fbfbf6 f3f4ea 1f2a1f 56604f cfd5c2 78826f 1d4f91 ffffff fff1a3 1d4f91",
            "171a14 20241c e7ebdd b0b8a2 363c2f 828b74 9cc3ff 0d1f3a 57511a 9cc3ff",
            new LookType(family("Typewriter"), family("Typewriter"), 14, 700),
            new LookForm(CardForm.RULED, BoxForm.FRAMED, 0, Density.DENSE, Shadow.NONE, false)),
    /** Warm paper, bookish titles, cards that lie on the table. */
    LAMPLIGHT(
            "Lamplight",
            "Warm paper, bookish titles, cards that lie on the table.",
            "fff6e6 fffdf8 33261a 6b5946 eddcc0 8f7a5f 8a4a00 ffffff ffdf9e 8a4a00",
            "211a24 2c2330 f7ecdf c9b8b0 443747 97858f ffb95e 2f1a00 6b4510 ffb95e",
            new LookType(family("Humane"), family("Bookish"), 16, 700),
            new LookForm(CardForm.FILLED, BoxForm.FRAMED, 14, Density.AIRY, Shadow.DEEP, true)),
    /** Black on white and a line below: what it stands on decides the rest. */
    INK(
            "Ink",
            "Black on white and a line below: what it stands on decides the rest.",
            "ffffff ffffff 1a1a1a 595959 d9d9d9 7a7a7a 1a1a1a ffffff fff2a8 1a1a1a",
            "141414 1c1c1c f2f2f2 b8b8b8 3a3a3a 8a8a8a f2f2f2 141414 5b5210 f2f2f2",
            new LookType(LookType.OF_PAGE, LookType.OF_PAGE, 16, 500),
            new LookForm(CardForm.BARE, BoxForm.LINED, 4, Density.USUAL, Shadow.NONE, false));

    /** In this order the colours of a shade are written above, without their {@code #}. */
    private static final ColourToken[] WRITTEN = {
        ColourToken.AROUND,
        ColourToken.GROUND,
        ColourToken.TEXT,
        ColourToken.QUIET,
        ColourToken.LINE,
        ColourToken.EDGE,
        ColourToken.ACCENT,
        ColourToken.ACCENT_TEXT,
        ColourToken.MARK,
        ColourToken.FOCUS
    };

    private final String called;
    private final String says;
    private final String light;
    private final String dark;
    private final LookType type;
    private final LookForm form;

    ReadyLook(String called, String says, String light, String dark, LookType type, LookForm form) {
        this.called = called;
        this.says = says;
        this.light = light;
        this.dark = dark;
        this.type = type;
        this.form = form;
    }

    /** What owners know it by. */
    public String called() {
        return called;
    }

    /** What it is like, in a line. */
    public String says() {
        return says;
    }

    /** All of it; nothing is left open. */
    public Look look() {
        return new Look(this, Scheme.PAGE, colours(light), colours(dark), type, form);
    }

    private static Map<ColourToken, Colour> colours(String written) {
        String[] each = written.split(" ");
        Map<ColourToken, Colour> colours = new EnumMap<>(ColourToken.class);
        for (int i = 0; i < WRITTEN.length; i++) {
            colours.put(WRITTEN[i], Colour.of(each[i]));
        }
        return colours;
    }

    private static String family(String name) {
        return LookType.readyFonts().stream()
                .filter(font -> font.name().equals(name))
                .findFirst()
                .orElseThrow()
                .families();
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
