package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.net.URI;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import tidylantern.core.content.Collection;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Sign;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.box.ReadyBox;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.LookType;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.embedding.EmbeddingCheck;
import tidylantern.core.embedding.PageSeen;
import tidylantern.server.answer.Signs;
import tidylantern.server.content.SiteContents;
import tidylantern.server.design.DraftLinks;
import tidylantern.server.design.Searches;
import tidylantern.server.draft.DraftCardsController.DrawnSign;
import tidylantern.server.insight.SearchPages;
import tidylantern.server.key.SearchKey;
import tidylantern.server.ownpage.OwnPages;
import tidylantern.server.site.Sites;

/** What the places of a draft can be made of: its box, its live results, its page. */
@RestController
class DraftPlacesController {
    private final Searches searches;
    private final SiteContents contents;
    private final DraftLinks draftLinks;
    private final OwnPages ownPages;
    private final SearchPages pages;
    private final Sites sites;

    DraftPlacesController(
            Searches searches,
            SiteContents contents,
            DraftLinks draftLinks,
            OwnPages ownPages,
            SearchPages pages,
            Sites sites) {
        this.pages = pages;
        this.ownPages = ownPages;
        this.sites = sites;
        this.draftLinks = draftLinks;
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

    /**
     * A filter of one field's categories, whose values can be shown as links or begun with.
     *
     * @param popular its values as links, with everything as usual
     */
    record CategoryChoice(String filter, FieldKey field, String label, PopularCategories popular) {}

    /** @param fonts that the box's words can be written in, by name */
    record PlaceChoices(
            List<ReadyBoxShape> boxes,
            List<DrawnSign> signs,
            List<ChooserField> choosers,
            List<LookColour> colours,
            List<CategoryChoice> categories,
            List<LookType.ReadyFont> fonts) {}

    @Operation(summary = "Makes a link that shows the draft on the site's own pages to whoever has it, for a week.")
    @PostMapping("/api/owner/searches/{key}/draft/links")
    @ResponseStatus(HttpStatus.CREATED)
    DraftLinks.DraftLink makeLink(@PathVariable SearchKey key) {
        searches.draft(key);
        return draftLinks.make(key);
    }

    @Operation(summary = "The pages of the site on which elements of the search were met, the one met last first.")
    @GetMapping("/api/owner/searches/{key}/pages")
    List<SearchPages.SeenPage> pages(@PathVariable SearchKey key) {
        searches.draft(key);
        return pages.of(key);
    }

    /** @param address of a page of the site, in full */
    record PageAddress(String address) {}

    @Operation(summary = "Looks at a page of the site on which the draft is to be seen.")
    @PostMapping("/api/owner/searches/{key}/draft/own-page")
    OwnPages.OwnPage ownPage(@PathVariable SearchKey key, @RequestBody PageAddress given) {
        return ownPages.of(sites.get(searches.draft(key).site()).address(), given.address());
    }

    /**
     * What became of a search on a page.
     *
     * @param address where the page came from in the end
     * @param elements of this search that stand there, by name
     * @param obstacles what keeps it from working, worst first; none where all is as it should be
     */
    record PageCheck(String address, List<String> elements, List<EmbeddingCheck.Obstacle> obstacles) {}

    @Operation(summary = "Looks at a page as it comes, and tells what keeps the search from working there.")
    @PostMapping("/api/owner/searches/{key}/page-check")
    PageCheck pageCheck(@PathVariable SearchKey key, @RequestBody PageAddress given) {
        Searches.Draft draft = searches.draft(key);
        Sites.Site site = sites.get(draft.site());
        PageSeen page = ownPages.seen(given.address());
        Set<String> ofSite = searches.drafts(draft.site()).stream()
                .map(other -> other.search().value())
                .collect(Collectors.toSet());
        Set<String> elsewhere = page.tags().stream()
                .map(PageSeen.Tag::search)
                .filter(other -> !ofSite.contains(other) && sites.ofSearch(new SearchKey(other)) != null)
                .collect(Collectors.toSet());
        EmbeddingCheck.Wanted wanted = new EmbeddingCheck.Wanted(
                ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString(),
                key.value(),
                ofSite,
                elsewhere,
                Set.copyOf(site.origins()),
                isResultsPage(
                        page.address(), site.address(), draft.design().page().address()));
        return new PageCheck(
                page.address().toString(),
                page.tags().stream()
                        .filter(tag -> tag.search().equals(key.value()) && !tag.inert())
                        .map(PageSeen.Tag::element)
                        .distinct()
                        .toList(),
                EmbeddingCheck.of(page, wanted));
    }

    private static boolean isResultsPage(URI page, String siteAddress, @Nullable String address) {
        return address != null
                && URI.create(siteAddress + "/").resolve(address).getPath().equals(page.getPath());
    }

    @Operation(summary = "Ends all links to the draft.")
    @DeleteMapping("/api/owner/searches/{key}/draft/links")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endLinks(@PathVariable SearchKey key) {
        searches.draft(key);
        draftLinks.endAll(key);
    }

    @Operation(summary = "What the draft's box, live results and results page can be made of.")
    @GetMapping("/api/owner/searches/{key}/draft/places")
    PlaceChoices places(@PathVariable SearchKey key) {
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
                categories(contents.of(draft.site()), draft),
                LookType.readyFonts().stream()
                        .filter(font -> !font.families().equals(LookType.OF_PAGE))
                        .toList());
    }

    private static List<CategoryChoice> categories(SiteContent content, Searches.Draft draft) {
        return draft.design().filtersInUse().stream()
                .filter(filter -> !(filter.source() instanceof JointSource)
                        && content.kind(filter.fields().getFirst()) == FieldKind.CATEGORY)
                .filter(filter -> !filter.key().equals(Chooser.KEY))
                .map(filter -> new CategoryChoice(
                        filter.key(), filter.fields().getFirst(), filter.label(), PopularCategories.of(filter.key())))
                .toList();
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
