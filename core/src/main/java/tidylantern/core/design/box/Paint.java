package tidylantern.core.design.box;

import java.util.Arrays;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Palette;

/**
 * A colour of a box: one of the look's, by the name of its token, which goes along with light and dark; or one of its
 * own, such as {@code #8a5200}, which stays as it is.
 */
public record Paint(String written) {
    public Paint {
        String tidy = Objects.requireNonNullElse(written, "").strip().toLowerCase(Locale.ROOT);
        if (token(tidy) == null) {
            Colour own = Colour.read(tidy, "");
            DesignFault.unless(own != null, "", "no colour is written; write one such as #8a5200, or a token's name");
            tidy = String.valueOf(own);
        }
        written = tidy;
    }

    /** The look's colour for something. */
    public static Paint of(ColourToken token) {
        return new Paint(token.toString());
    }

    /** What it is on a page of this shade. */
    public Colour in(Palette palette) {
        ColourToken token = token(written);
        return token == null ? Colour.of(written) : palette.get(token);
    }

    @Override
    public String toString() {
        return written;
    }

    private static @Nullable ColourToken token(String name) {
        return Arrays.stream(ColourToken.values())
                .filter(token -> token.toString().equals(name))
                .findFirst()
                .orElse(null);
    }
}
