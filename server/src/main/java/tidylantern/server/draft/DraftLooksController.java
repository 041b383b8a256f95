package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.design.Colour;
import tidylantern.core.design.look.BoxForm;
import tidylantern.core.design.look.CardForm;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Density;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.look.LookChecks;
import tidylantern.core.design.look.LookType;
import tidylantern.core.design.look.Palette;
import tidylantern.core.design.look.ReadyLook;
import tidylantern.core.design.look.Scheme;
import tidylantern.core.design.look.Shade;
import tidylantern.core.design.look.Shadow;
import tidylantern.core.design.look.WornLook;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.ownpage.PageStyles;
import tidylantern.server.site.Sites;

/** What a site and its searches wear, and what they could. */
@RestController
class DraftLooksController {
    private final Searches searches;
    private final Sites sites;
    private final PageStyles styles;

    DraftLooksController(Searches searches, Sites sites, PageStyles styles) {
        this.searches = searches;
        this.sites = sites;
        this.styles = styles;
    }

    /** A look with nothing left open. */
    record WornTokens(
            Scheme scheme,
            Map<ColourToken, Colour> light,
            Map<ColourToken, Colour> dark,
            WornType type,
            WornForm form) {
        static WornTokens of(WornLook look) {
            return new WornTokens(
                    look.scheme(),
                    all(look.palette(Shade.LIGHT)),
                    all(look.palette(Shade.DARK)),
                    new WornType(look.font(), look.titleFont(), look.size(), look.titleWeight(), look.textOfPage()),
                    new WornForm(
                            look.cards(), look.box(), look.corners(), look.density(), look.shadow(), look.motion()));
        }

        private static Map<ColourToken, Colour> all(Palette palette) {
            Map<ColourToken, Colour> all = new EnumMap<>(ColourToken.class);
            Arrays.stream(ColourToken.values()).forEach(token -> all.put(token, palette.get(token)));
            return all;
        }
    }

    record WornType(String font, String titleFont, int size, int titleWeight, boolean textOfPage) {}

    record WornForm(CardForm cards, BoxForm box, int corners, Density density, Shadow shadow, boolean motion) {}

    /** A look to begin from. */
    record ReadyLookShape(ReadyLook look, String name, String says, WornTokens tokens) {}

    /** What a colour is for, in an owner's words. */
    record NamedToken(ColourToken token, String name) {}

    /**
     * @param tokens the colours of a look, the usual ones first
     * @param worn what it comes to
     * @param site what the site wears; null for a site's own look
     * @param contrasts of all colours that meet
     * @param fonts that can be chosen by a name
     */
    record LookChoices(
            Look own,
            List<NamedToken> tokens,
            WornTokens worn,
            @Nullable WornTokens site,
            List<LookChecks.PairContrast> contrasts,
            List<ReadyLookShape> ready,
            List<LookType.ReadyFont> fonts) {}

    @Operation(summary = "What the draft wears, whether it can be read, and looks to begin from.")
    @GetMapping("/api/owner/searches/{key}/draft/look")
    LookChoices ofDraft(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        return choices(draft.design().look(), sites.get(draft.site()).look());
    }

    @Operation(summary = "What the elements of the site's searches wear, whether it can be read, and ready looks.")
    @GetMapping("/api/owner/sites/{site}/look")
    LookChoices ofSite(@PathVariable SiteKey site) {
        return choices(sites.get(site).look(), null);
    }

    @Operation(summary = "What a look of the site would come to; nothing is kept.")
    @PostMapping("/api/owner/sites/{site}/look/tried")
    LookChoices tried(@PathVariable SiteKey site, @RequestBody Look look) {
        sites.get(site);
        return choices(look, null);
    }

    /** @param address of one of the site's pages */
    record PageGiven(String address) {}

    @Operation(
            summary = "A look that goes with one of the site's pages: its colours, where they can be read, type and"
                    + " corners. Nothing is kept.")
    @PostMapping("/api/owner/sites/{site}/look/like")
    Look like(@PathVariable SiteKey site, @RequestBody PageGiven given) {
        return styles.of(sites.get(site).address(), given.address()).look(Look.USUAL);
    }

    @Operation(
            summary = "Has all searches of the site wear a look, but for what they have of their own; visitors see it"
                    + " at once.")
    @PutMapping("/api/owner/sites/{site}/look")
    LookChoices change(@PathVariable SiteKey site, @RequestBody Look look) {
        return choices(sites.changeLook(site, look).look(), null);
    }

    /** @param site what the search's site wears; null for a site's own look */
    private static LookChoices choices(Look own, @Nullable Look site) {
        WornLook worn = WornLook.of(own, site == null ? Look.asBelow() : site);
        return new LookChoices(
                own,
                Arrays.stream(ColourToken.values())
                        .map(token -> new NamedToken(token, token.called()))
                        .toList(),
                WornTokens.of(worn),
                site == null ? null : WornTokens.of(WornLook.of(Look.asBelow(), site)),
                LookChecks.contrasts(worn),
                Arrays.stream(ReadyLook.values())
                        .map(ready -> new ReadyLookShape(
                                ready,
                                ready.called(),
                                ready.says(),
                                WornTokens.of(WornLook.of(Look.of(ready), Look.asBelow()))))
                        .toList(),
                LookType.readyFonts());
    }
}
