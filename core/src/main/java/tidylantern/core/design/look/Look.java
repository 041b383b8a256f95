package tidylantern.core.design.look;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;

/**
 * What a site's elements wear, or what one of its searches wears otherwise. It says only what is its own: the rest is
 * that of the look it stands on, {@link WornLook}.
 *
 * @param from the ready look that it begins from; null for that of the site, and of a site for {@link #USUAL}
 * @param scheme null for that of the look it stands on
 * @param light colours of its own, by what they are for
 * @param dark the same for dark pages
 */
public record Look(
        @Nullable ReadyLook from,
        @Nullable Scheme scheme,
        Map<ColourToken, Colour> light,
        Map<ColourToken, Colour> dark,
        LookType type,
        LookForm form) {
    public static final ReadyLook USUAL = ReadyLook.HARBOUR;

    public Look {
        light = copy(light);
        dark = copy(dark);
    }

    /** Nothing of its own. */
    public static Look asBelow() {
        return new Look(null, null, Map.of(), Map.of(), LookType.asBelow(), LookForm.asBelow());
    }

    /** A ready look as it is. */
    public static Look of(ReadyLook ready) {
        return new Look(ready, null, Map.of(), Map.of(), LookType.asBelow(), LookForm.asBelow());
    }

    public Map<ColourToken, Colour> colours(Shade shade) {
        return shade == Shade.LIGHT ? light : dark;
    }

    /** With one colour for one of its uses. */
    public Look with(Shade shade, ColourToken token, Colour colour) {
        Map<ColourToken, Colour> changed = new EnumMap<>(ColourToken.class);
        changed.putAll(colours(shade));
        changed.put(token, colour);
        return shade == Shade.LIGHT
                ? new Look(from, scheme, changed, dark, type, form)
                : new Look(from, scheme, light, changed, type, form);
    }

    private static Map<ColourToken, Colour> copy(Map<ColourToken, Colour> colours) {
        Map<ColourToken, Colour> copy = new EnumMap<>(ColourToken.class);
        colours.forEach((token, colour) -> {
            // A document may name a token and no colour for it.
            if (colour != null) {
                copy.put(token, colour);
            }
        });
        return Collections.unmodifiableMap(copy);
    }
}
