package tidylantern.server.design;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.design.SearchDesign;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** An owner's searches: drafts under an ETag, so that two people never overwrite one another, and publishing. */
@RestController
@RequestMapping("/api/owner")
class SearchController {
    private final Searches searches;
    private final NewSearches newSearches;
    private final DesignJson json;
    private final FormerKeys formerKeys;

    SearchController(Searches searches, NewSearches newSearches, DesignJson json, FormerKeys formerKeys) {
        this.formerKeys = formerKeys;
        this.searches = searches;
        this.newSearches = newSearches;
        this.json = json;
    }

    /**
     * @param proposal to begin with what the content suggests
     * @param copyOf key of another search of the site, to begin with its draft
     */
    record NewSearch(
            String name,
            NewSearches.@Nullable ProposalChoices proposal,
            @Nullable SearchKey copyOf) {}

    @GetMapping("/sites/{site}/searches")
    List<Searches.Summary> ofSite(@PathVariable SiteKey site) {
        return searches.ofSite(site);
    }

    @PostMapping("/sites/{site}/searches")
    @ResponseStatus(HttpStatus.CREATED)
    Searches.Summary add(
            @PathVariable SiteKey site, @org.springframework.web.bind.annotation.RequestBody NewSearch given) {
        return newSearches.add(site, given.name(), given.proposal(), given.copyOf());
    }

    @Operation(summary = "A search that fits the site's content, part by part, each with why. Nothing is changed.")
    @GetMapping("/sites/{site}/search-proposal")
    NewSearches.ProposedSearch proposal(
            @PathVariable SiteKey site,
            @Nullable @RequestParam(required = false) String kind,
            @Nullable @RequestParam(required = false) List<String> collection,
            @Nullable @RequestParam(required = false) List<String> without) {
        return newSearches.look(
                site, new NewSearches.ProposalChoices(NewSearches.kindOfSite(kind), collection, without));
    }

    @GetMapping("/searches/{key}")
    Searches.Summary summary(@PathVariable SearchKey key) {
        return searches.summary(key);
    }

    /**
     * @param key as it stands in tags and addresses
     * @param purpose what the search is for; null or empty for nothing
     */
    record SearchAbout(String key, @Nullable String purpose) {}

    @Operation(
            summary = "Changes the key of a search, and what it is for. Tags that carry a key of before go on working.")
    @PutMapping("/searches/{key}/about")
    Searches.Summary changeAbout(
            @PathVariable SearchKey key, @org.springframework.web.bind.annotation.RequestBody SearchAbout given) {
        return searches.changeAbout(key, new SearchKey(given.key().strip()), given.purpose());
    }

    @Operation(summary = "Keys that a search had before, which still lead to it.")
    @GetMapping("/searches/{key}/former-keys")
    List<SearchKey> formerKeys(@PathVariable SearchKey key) {
        searches.summary(key);
        return formerKeys.of(key);
    }

    @Operation(summary = "Ends a key of before: tags that carry it find nothing from now on.")
    @DeleteMapping("/searches/{key}/former-keys/{former}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endFormerKey(@PathVariable SearchKey key, @PathVariable SearchKey former) {
        formerKeys.end(key, former);
    }

    @GetMapping("/searches/{key}/draft")
    ResponseEntity<SearchDesign> draft(@PathVariable SearchKey key) {
        return tagged(searches.draft(key));
    }

    @PutMapping("/searches/{key}/draft")
    ResponseEntity<SearchDesign> changeDraft(
            @PathVariable SearchKey key,
            @Nullable @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) String ifMatch,
            @RequestBody(content = @Content(schema = @Schema(implementation = SearchDesign.class)))
                    @org.springframework.web.bind.annotation.RequestBody
                    String document) {
        return tagged(searches.changeDraft(key, revision(ifMatch), json.read(document, searches.contentOf(key))));
    }

    @PostMapping("/searches/{key}/publish")
    Searches.Summary publish(
            @PathVariable SearchKey key,
            @Nullable @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) String ifMatch,
            @Nullable @org.springframework.web.bind.annotation.RequestBody(required = false) PublicationGiven given,
            Authentication who) {
        return searches.publish(key, revision(ifMatch), who.getName(), given == null ? null : given.why());
    }

    /** @param why it is published, in the owner's words; null for nothing */
    record PublicationGiven(@Nullable String why) {}

    /**
     * @param due when it is to be published
     * @param why in the owner's words; null for nothing
     */
    record PlanGiven(OffsetDateTime due, @Nullable String why) {}

    @Operation(summary = "Has the draft, as it is now, published at a time to come. Planned again, the new time holds.")
    @PutMapping("/searches/{key}/planned-publication")
    Searches.Summary plan(
            @PathVariable SearchKey key,
            @Nullable @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) String ifMatch,
            @org.springframework.web.bind.annotation.RequestBody PlanGiven given,
            Authentication who) {
        return searches.plan(key, revision(ifMatch), given.due(), who.getName(), given.why());
    }

    @DeleteMapping("/searches/{key}/planned-publication")
    Searches.Summary planNothing(@PathVariable SearchKey key) {
        return searches.planNothing(key);
    }

    @Operation(summary = "Every design that was published, the newest first.")
    @GetMapping("/searches/{key}/versions")
    List<Searches.Version> versions(@PathVariable SearchKey key) {
        return searches.versions(key);
    }

    @GetMapping("/searches/{key}/versions/{version}")
    SearchDesign version(@PathVariable SearchKey key, @PathVariable int version) {
        return searches.version(key, version);
    }

    @Operation(summary = "Makes a version what visitors see once more, as a version of its own. The draft stays.")
    @PostMapping("/searches/{key}/versions/{version}/publish")
    Searches.Summary publishAgain(
            @PathVariable SearchKey key,
            @PathVariable int version,
            @Nullable @org.springframework.web.bind.annotation.RequestBody(required = false) PublicationGiven given,
            Authentication who) {
        return searches.publishAgain(key, version, who.getName(), given == null ? null : given.why());
    }

    @Operation(summary = "The draft's synonyms as CSV: an entry a row, = before a group, > before what holds one way.")
    @GetMapping(path = "/searches/{key}/draft/synonyms.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> synonyms(@PathVariable SearchKey key) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + key + ".synonyms.csv\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(SynonymTable.write(searches.draft(key).design().words().synonyms()));
    }

    @Operation(summary = "Reads synonyms of a CSV. Nothing is changed: put what comes back into a draft.")
    @PostMapping(path = "/synonym-tables", consumes = "text/csv")
    SynonymTable.SynonymsRead readSynonyms(@org.springframework.web.bind.annotation.RequestBody String csv) {
        return SynonymTable.read(csv);
    }

    private static ResponseEntity<SearchDesign> tagged(Searches.Draft draft) {
        return ResponseEntity.ok()
                .eTag("\"" + draft.revision() + "\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(draft.design());
    }

    private static long revision(@Nullable String ifMatch) {
        if (ifMatch == null) {
            throw new Refusal(
                    HttpStatus.PRECONDITION_REQUIRED,
                    HttpHeaders.IF_MATCH,
                    "Send the draft's ETag as If-Match, so that nobody's change is overwritten.");
        }
        try {
            // Compression on the way adds a suffix to tags ("5-gzip"), and proxies a W/ before them.
            return Long.parseLong(ifMatch.replaceAll("^W/|\"|-gzip$|-gzip\"$", ""));
        } catch (NumberFormatException unknown) {
            throw new Refusal(
                    HttpStatus.PRECONDITION_FAILED,
                    HttpHeaders.IF_MATCH,
                    "This is no tag of the draft's. Read the draft again, then repeat your change.");
        }
    }
}
