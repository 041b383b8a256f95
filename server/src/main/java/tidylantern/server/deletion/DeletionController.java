package tidylantern.server.deletion;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;

/** Deletes, shows what rests, and brings back. */
@RestController
@RequestMapping("/api/owner")
class DeletionController {
    private final Deletions deletions;

    DeletionController(Deletions deletions) {
        this.deletions = deletions;
    }

    @Operation(
            summary =
                    "Deletes a site with all that belongs to it. The name has to be given, and for 30 days it can be brought back, but for its access keys.")
    @DeleteMapping("/sites/{site}")
    Deletions.Deletion deleteSite(
            @PathVariable SiteKey site, @RequestParam(defaultValue = "") String name, Authentication who) {
        return deletions.deleteSite(site, name, who.getName());
    }

    @Operation(
            summary =
                    "Deletes a collection with its items, fields and sources. The name (its label) has to be given, and for 30 days it can be brought back.")
    @DeleteMapping("/sites/{site}/collections/{collection}")
    Deletions.Deletion deleteCollection(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @RequestParam(defaultValue = "") String name,
            Authentication who) {
        return deletions.deleteCollection(site, collection, name, who.getName());
    }

    @Operation(summary = "Deletes a source; the items it brought stay. For 30 days it can be brought back.")
    @DeleteMapping("/sources/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteSource(@PathVariable SourceId id, Authentication who) {
        deletions.deleteSource(id, who.getName());
    }

    @Operation(
            summary =
                    "Deletes a search with its versions and trials; visitors find it no more. The name has to be given, and for 30 days it can be brought back.")
    @DeleteMapping("/searches/{key}")
    Deletions.Deletion deleteSearch(
            @PathVariable SearchKey key, @RequestParam(defaultValue = "") String name, Authentication who) {
        return deletions.deleteSearch(key, name, who.getName());
    }

    @Operation(summary = "Collections, sources and searches of a site that were deleted in the last 30 days.")
    @GetMapping("/sites/{site}/deleted")
    List<Deletions.Deletion> deleted(@PathVariable SiteKey site) {
        return deletions.resting(site);
    }

    @Operation(summary = "Brings a deleted collection, source or search back.")
    @PostMapping("/sites/{site}/deleted/{id}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bringBack(@PathVariable SiteKey site, @PathVariable long id) {
        deletions.bringBack(site, id);
    }

    @Operation(summary = "Sites that were deleted in the last 30 days.")
    @GetMapping("/deleted-sites")
    List<Deletions.Deletion> deletedSites() {
        return deletions.resting(null);
    }

    @Operation(summary = "Brings a deleted site back, but for its access keys.")
    @PostMapping("/deleted-sites/{id}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bringSiteBack(@PathVariable long id) {
        deletions.bringBack(null, id);
    }
}
