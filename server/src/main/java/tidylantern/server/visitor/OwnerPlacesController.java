package tidylantern.server.visitor;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.Collection;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignLimits;
import tidylantern.core.design.Limit;
import tidylantern.core.design.Sign;
import tidylantern.core.design.box.ReadyBox;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.look.ColourToken;
import tidylantern.server.content.SiteContents;
import tidylantern.server.design.Searches;
import tidylantern.server.visitor.OwnerCardsController.DrawnSign;

/** What the places of a draft can be made of: its box, its live results, its page. */
@RestController
class OwnerPlacesController {
    private final Searches searches;
    private final SiteContents contents;

    OwnerPlacesController(Searches searches, SiteContents contents) {
        this.searches = searches;
        this.contents = contents;
    }

    /**
     * A complete box to begin from.
     *
     * @param box the draft's in this form
     */
    record ReadyBoxShape(ReadyBox ready, String called, String tells, SearchBox box) {}

    /** What can be chosen in a box. */
    record ChooserField(FieldKey field, String label) {}

    /** A colour of the look that a box can take. */
    record LookColour(ColourToken token, String called) {}

    /** @param limits between which ends each number may be, by its path in the design */
    record PlaceChoices(
            List<ReadyBoxShape> boxes,
            List<DrawnSign> signs,
            List<ChooserField> choosers,
            List<LookColour> colours,
            Map<String, Limit> limits) {}

    @Operation(summary = "What the draft's box, live results and results page can be made of.")
    @GetMapping("/api/owner/searches/{key}/draft/places")
    PlaceChoices places(@PathVariable String key) {
        Searches.Draft draft = searches.draft(key);
        SearchBox box = draft.design().box();
        return new PlaceChoices(
                Arrays.stream(ReadyBox.values())
                        .map(ready -> new ReadyBoxShape(ready, ready.called(), ready.tells(), ready.of(box)))
                        .toList(),
                Arrays.stream(Sign.values())
                        .map(sign -> new DrawnSign(sign, sign.called(), Signs.pathOf(sign)))
                        .toList(),
                choosers(contents.of(draft.site()), draft),
                Arrays.stream(ColourToken.values())
                        .map(token -> new LookColour(token, token.called()))
                        .toList(),
                DesignLimits.byPath());
    }

    /** The collections, and each category that a searched one has. */
    private static List<ChooserField> choosers(SiteContent content, Searches.Draft draft) {
        Stream<ChooserField> categories = draft.design().searched().stream()
                .map(content::collection)
                .filter(Objects::nonNull)
                .map(Collection::fields)
                .flatMap(List::stream)
                .filter(field -> field.kind() == FieldKind.CATEGORY)
                .map(field -> new ChooserField(field.key(), field.label()));
        return Stream.concat(Stream.of(new ChooserField(FieldKey.COLLECTION, "Collections")), categories)
                .distinct()
                .toList();
    }
}
