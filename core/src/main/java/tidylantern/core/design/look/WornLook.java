package tidylantern.core.design.look;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;

/**
 * A look with nothing left open: each token is that of the first look that says it.
 *
 * @param layers the search's own first, a ready look last
 */
public record WornLook(List<Look> layers) {
    public WornLook {
        layers = List.copyOf(layers);
    }

    /**
     * What a search wears on a site. Where it begins from a ready look of its own, nothing of the site's is in it.
     *
     * @param search its own decisions
     * @param site those of the site
     */
    public static WornLook of(Look search, Look site) {
        if (search.from() != null) {
            return new WornLook(List.of(search, search.from().look()));
        }
        ReadyLook from = Objects.requireNonNullElse(site.from(), Look.USUAL);
        return new WornLook(List.of(search, site, from.look()));
    }

    public Scheme scheme() {
        return first(Look::scheme);
    }

    public Palette palette(Shade shade) {
        Map<ColourToken, Colour> colours = new EnumMap<>(ColourToken.class);
        layers.reversed().forEach(layer -> colours.putAll(layer.colours(shade)));
        return new Palette(colours);
    }

    public String font() {
        return first(look -> look.type().font());
    }

    public String titleFont() {
        return first(look -> look.type().titleFont());
    }

    public int size() {
        return first(look -> look.type().size());
    }

    public int titleWeight() {
        return first(look -> look.type().titleWeight());
    }

    public boolean textOfPage() {
        return first(look -> look.type().textOfPage());
    }

    public CardForm cards() {
        return first(look -> look.form().cards());
    }

    public BoxForm box() {
        return first(look -> look.form().box());
    }

    public int corners() {
        return first(look -> look.form().corners());
    }

    public Density density() {
        return first(look -> look.form().density());
    }

    public Shadow shadow() {
        return first(look -> look.form().shadow());
    }

    public boolean motion() {
        return first(look -> look.form().motion());
    }

    /** What a look says of one thing; null where it leaves it to the one below. */
    private interface Token<T> {
        @Nullable T of(Look look);
    }

    private <T> T first(Token<T> token) {
        for (Look layer : layers) {
            T own = token.of(layer);
            if (own != null) {
                return own;
            }
        }
        throw new IllegalStateException("the look below all others leaves something open");
    }
}
