package tidylantern.server.answer;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.TierLooks;
import tidylantern.core.design.box.BoxColours;
import tidylantern.core.design.box.BoxDress;
import tidylantern.core.design.box.BoxPainting;
import tidylantern.core.design.box.BoxSizes;
import tidylantern.core.design.box.BoxType;
import tidylantern.core.design.box.Paint;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Frame;
import tidylantern.core.design.card.Step;
import tidylantern.core.design.look.BoxForm;
import tidylantern.core.design.look.CardForm;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Density;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.look.Palette;
import tidylantern.core.design.look.Shade;
import tidylantern.core.design.look.Shadow;
import tidylantern.core.design.look.TierDress;
import tidylantern.core.design.look.WornLook;

/**
 * What a search wears, as a style sheet of custom properties that serves the elements and the page without script. It
 * holds on what has the class {@code worn} and, for the colours, {@code light}, {@code dark} or {@code visitor} (as
 * their device is set). Each colour can be overruled by the site's own CSS, by {@code --tidy-} and the token's name.
 */
public final class LookSheet {
    public static final String TYPE = "text/css;charset=UTF-8";

    private static final String LIFTED = "0 3px 14px rgb(20 40 50 / 12%)";

    private final StringBuilder css = new StringBuilder();

    private LookSheet() {}

    /** @param site what the search's site wears */
    public static String of(SearchDesign design, Look site) {
        WornLook look = WornLook.of(design.look(), site);
        LookSheet sheet = new LookSheet();
        sheet.rule(".worn", shape(look, design.box().dress()));
        sheet.shade(".worn:is(.light, .visitor)", look.palette(Shade.LIGHT), design);
        sheet.shade(".worn.dark", look.palette(Shade.DARK), design);
        sheet.css.append("@media (prefers-color-scheme: dark) {\n");
        sheet.shade(".worn.visitor", look.palette(Shade.DARK), design);
        sheet.css.append("}\n");
        // Before those of the tiers, whose looks hold over a card's own.
        design.cards().forEach(sheet::frame);
        design.tiers().forEach(tier -> sheet.rule(".tier-" + tier.key(), shape(tier.looks())));
        return sheet.css.toString();
    }

    /** @param where the selector of what wears the shade */
    private void shade(String where, Palette palette, SearchDesign design) {
        rule(where, colours(palette));
        box(where, palette, design.box().dress());
        design.tiers().forEach(tier -> {
            String card = where + " .tier-" + tier.key();
            TierDress dress = TierDress.of(tier.looks(), palette);
            rule(card, Map.of("tier-edge", dress.edge().toString()));
            if (dress.ground() != null) {
                Map<String, String> own = new LinkedHashMap<>();
                own.put("tier-ground", dress.ground().toString());
                own.put("mark", dress.mark().toString());
                own.put("text", dress.text().toString());
                own.put("quiet", dress.quiet().toString());
                own.put("accent", dress.accent().toString());
                own.put("focus", dress.accent().toString());
                own.put("hover", dress.hover().toString());
                rule(card, own);
            }
        });
    }

    /** The box's own colours in each of its states. */
    private void box(String where, Palette palette, BoxDress dress) {
        Paint sheet = dress.over().ground();
        if (sheet != null) {
            rule(where, Map.of("over-ground", sheet.in(palette).toString()));
        }
        painted(where + " .box", BoxDress.State.REST, palette, dress);
        painted(where + " .box:hover", BoxDress.State.POINTED, palette, dress);
        painted(where + " .box:focus-within", BoxDress.State.FOCUSED, palette, dress);
    }

    private void painted(String box, BoxDress.State state, Palette palette, BoxDress dress) {
        BoxColours colours = dress.colours(state);
        if (colours.equals(BoxColours.asLook())) {
            return;
        }
        BoxPainting painting = BoxPainting.of(dress, state, palette);
        Map<String, String> own = new LinkedHashMap<>();
        if (painting.ground() != null) {
            own.put(
                    "box-paint",
                    painting.ending() == null
                            ? painting.ground().toString()
                            : "linear-gradient(%ddeg, %s, %s)"
                                    .formatted(dress.angle(), painting.ground(), painting.ending()));
        }
        if (colours.edge() != null) {
            own.put("box-edge", painting.edge().toString());
        }
        own.put("text", painting.text().toString());
        own.put("quiet", painting.quiet().toString());
        own.put("accent", painting.accent().toString());
        rule(box, own);
    }

    private static Map<String, String> colours(Palette palette) {
        Map<String, String> colours = new LinkedHashMap<>();
        for (ColourToken token : ColourToken.values()) {
            colours.put(token.toString(), "var(--tidy-%s, %s)".formatted(token, palette.get(token)));
        }
        return colours;
    }

    private static Map<String, String> shape(WornLook look, BoxDress dress) {
        Map<String, String> shape = new LinkedHashMap<>();
        shape.put("scheme", look.scheme().toString());
        shape.put("font", "var(--tidy-font, %s)".formatted(look.font()));
        shape.put("title-font", "var(--tidy-title-font, var(--tidy-font, %s))".formatted(look.titleFont()));
        shape.put("size", px(look.size()));
        shape.put("title-weight", Integer.toString(look.titleWeight()));
        shape.put("text-of-page", look.textOfPage() ? "1" : "0");
        shape.put("corners", "var(--tidy-corners, %s)".formatted(px(look.corners())));
        shape.put("motion", look.motion() ? "0.12s" : "0s");
        shape.putAll(room(look.density()));
        shape.putAll(cards(look));
        shape.putAll(box(look));
        shape.putAll(sizes(dress, look.box()));
        return shape;
    }

    /** Room within a card, between cards, within a row of live results, and for a value of a filter. */
    private static Map<String, String> room(Density density) {
        int[] px =
                switch (density) {
                    case AIRY -> new int[] {20, 20, 8, 36};
                    case USUAL -> new int[] {14, 12, 5, 32};
                    case DENSE -> new int[] {9, 8, 3, 28};
                };
        Map<String, String> room = new LinkedHashMap<>();
        room.put("pad", px(px[0]));
        room.put("gap", px(px[1]));
        room.put("row-pad", px(px[2]));
        room.put("value-height", px(px[3]));
        return room;
    }

    private static Map<String, String> cards(WornLook look) {
        CardForm form = look.cards();
        boolean grounded = form == CardForm.FRAMED || form == CardForm.FILLED;
        Map<String, String> cards = new LinkedHashMap<>();
        cards.put("card-ground", grounded ? "var(--ground)" : "transparent");
        for (Frame.Side side : Frame.Side.values()) {
            boolean ruled = form == CardForm.RULED && side == Frame.Side.ABOVE;
            cards.put("card-" + side, form == CardForm.FRAMED || ruled ? "1px" : "0px");
        }
        cards.put("card-corners", grounded ? "var(--corners)" : "0px");
        cards.put("card-inset", grounded ? "var(--pad)" : "0px");
        cards.put("card-pad", form == CardForm.BARE ? "2px" : "var(--pad)");
        cards.put(
                "card-gap",
                switch (form) {
                    case RULED -> "0px";
                    case BARE -> "calc(var(--gap) * 1.7)";
                    case FRAMED, FILLED -> "var(--gap)";
                });
        cards.put("card-shadow", grounded ? shadow(look.shadow()) : "none");
        cards.put("card-lift", grounded ? LIFTED : "none");
        return cards;
    }

    /** The class of a card that has a frame of its own; null where all of it is the look's. */
    static @Nullable String frameOf(Card card) {
        return card.frame().equals(Frame.asLook())
                ? null
                : "frame-" + card.key().replace(' ', '-');
    }

    private void frame(Card card) {
        String name = frameOf(card);
        if (name != null) {
            rule("." + name, shape(card.frame()));
        }
    }

    private static Map<String, String> shape(Frame frame) {
        Map<String, String> shape = new LinkedHashMap<>();
        List<Frame.Side> edges = frame.edges();
        if (frame.ground() != null) {
            shape.put("card-ground", ground(frame.ground()));
        }
        if (edges != null) {
            for (Frame.Side side : Frame.Side.values()) {
                shape.put("card-" + side, edges.contains(side) ? "1px" : "0px");
            }
        }
        boolean grounded = frame.ground() != null && frame.ground() != Frame.Ground.NONE;
        if (frame.spacing() != null) {
            shape.put("card-pad", px(spacing(frame.spacing())));
            shape.put("card-inset", px(spacing(frame.spacing())));
            shape.put("tile-pad", px(spacing(frame.spacing())));
        } else if (grounded || (edges != null && !edges.isEmpty())) {
            // What is around the parts needs room from them, in whatever form cards have.
            shape.put("card-pad", "var(--pad)");
            shape.put("card-inset", "var(--pad)");
        }
        if (frame.corners() != null) {
            shape.put("card-corners", px(frame.corners()));
        }
        if (frame.shadow() != null) {
            shape.put("card-shadow", shadow(frame.shadow()));
        }
        shape.putAll(states(frame));
        return shape;
    }

    private static String ground(Frame.Ground ground) {
        return switch (ground) {
            case NONE -> "transparent";
            case CARD -> "var(--ground)";
            case AROUND -> "var(--around)";
        };
    }

    private static int spacing(Step step) {
        return switch (step) {
            case NONE -> 0;
            case SMALL -> 8;
            case USUAL -> 14;
            case LARGE -> 22;
        };
    }

    /** How a card answers whoever points at it, and shows where the keyboard is. */
    private static Map<String, String> states(Frame frame) {
        Map<String, String> states = new LinkedHashMap<>();
        Frame.Pointed pointed = frame.pointed();
        if (pointed != null) {
            states.put("card-lift", pointed == Frame.Pointed.LIFT ? LIFTED : "var(--card-shadow)");
            states.put("card-pointed-edge", pointed == Frame.Pointed.EDGE ? "var(--edge)" : "var(--line)");
            states.put("card-pointed-ground", pointed == Frame.Pointed.GROUND ? "var(--hover)" : "var(--card-ground)");
        }
        if (frame.focused() == Frame.Focused.TITLE) {
            states.put("card-ring", "0px");
            states.put("title-ring", "2px");
        }
        return states;
    }

    private static String shadow(Shadow shadow) {
        return switch (shadow) {
            case NONE -> "none";
            case SOFT -> "0 1px 3px rgb(20 30 35 / 9%)";
            case DEEP -> "0 1px 2px rgb(20 30 35 / 12%), 0 8px 22px rgb(20 30 35 / 11%)";
        };
    }

    private static Map<String, String> box(WornLook look) {
        boolean framed = look.box() == BoxForm.FRAMED;
        Map<String, String> box = new LinkedHashMap<>();
        box.put("box-edges", framed ? "1.5px" : "0 0 2px");
        box.put("box-corners", framed ? "min(22px, calc(var(--corners) * 2.3))" : "0px");
        box.put("box-ground", framed ? "var(--ground)" : "transparent");
        box.put("box-inset", framed ? "18px" : "4px");
        box.put("ends", "min(22px, calc(var(--corners) * 2.3))");
        return box;
    }

    /** What the box has otherwise than the look. */
    private static Map<String, String> sizes(BoxDress dress, BoxForm form) {
        BoxSizes sizes = dress.sizes();
        Map<String, String> own = new LinkedHashMap<>();
        put(own, "box-width", sizes.width());
        put(own, "box-height", sizes.height());
        put(own, "box-inset", sizes.inside());
        put(own, "box-around", sizes.around());
        put(own, "box-corners", sizes.corners());
        put(own, "box-text", sizes.text());
        BoxType type = dress.type();
        if (type.font() != null) {
            own.put("box-font", type.font());
        }
        if (type.weight() != null) {
            own.put("box-weight", type.weight().toString());
        }
        if (sizes.edge() != null) {
            own.put("box-edges", form == BoxForm.FRAMED ? px(sizes.edge()) : "0 0 " + px(sizes.edge()));
        }
        own.put("over-spacing", px(dress.over().spacing()));
        return own;
    }

    private static void put(Map<String, String> properties, String name, @Nullable Integer px) {
        if (px != null) {
            properties.put(name, px(px));
        }
    }

    private static Map<String, String> shape(TierLooks looks) {
        Map<String, String> shape = new LinkedHashMap<>();
        if (looks.corners() != null) {
            shape.put("tier-corners", px(looks.corners()));
        }
        if (looks.ground() != null || looks.edge() != TierLooks.Edge.NONE) {
            // What is around them needs room from what is on them, in whatever form cards have.
            shape.put("card-pad", "var(--pad)");
            shape.put("card-inset", "var(--pad)");
        }
        TierLooks.Ribbon ribbon = looks.ribbon();
        if (ribbon != null) {
            shape.put("ribbon-text", ribbon.color());
            shape.put("ribbon-ground", ribbon.ground());
        }
        return shape;
    }

    private void rule(String where, Map<String, String> properties) {
        css.append(where).append(" {");
        css.append(properties.entrySet().stream()
                .map(property -> " --%s: %s;".formatted(property.getKey(), property.getValue()))
                .collect(Collectors.joining()));
        css.append(" }\n");
    }

    private static String px(int px) {
        return String.format(Locale.ROOT, "%dpx", px);
    }
}
