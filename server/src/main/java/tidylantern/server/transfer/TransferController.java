package tidylantern.server.transfer;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.design.SearchDesign;
import tidylantern.server.design.DesignJson;
import tidylantern.server.design.Searches;
import tidylantern.server.key.KeyNames;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;

/** Files that another installation reads back. */
@RestController
@RequestMapping("/api/owner")
class TransferController {
    private final SetUps setUps;
    private final Searches searches;
    private final DesignJson designs;

    TransferController(SetUps setUps, Searches searches, DesignJson designs) {
        this.setUps = setUps;
        this.searches = searches;
        this.designs = designs;
    }

    @Operation(
            summary =
                    "A site's set-up as a file: collections, fields, sources, marks of items and searches, without the items.")
    @GetMapping("/sites/{site}/set-up")
    ResponseEntity<SetUp> setUp(@PathVariable SiteKey site) {
        return file(site + ".set-up.json", setUps.of(site));
    }

    @Operation(summary = "Makes a new site of a set-up. Nothing that is there is changed, and nothing is published.")
    @PostMapping("/set-ups")
    @ResponseStatus(HttpStatus.CREATED)
    SetUps.Made make(
            @RequestBody(content = @Content(schema = @Schema(implementation = SetUp.class)))
                    @org.springframework.web.bind.annotation.RequestBody
                    String document) {
        return setUps.make(document);
    }

    @Operation(summary = "A search's draft as a file.")
    @GetMapping("/searches/{key}/design-file")
    ResponseEntity<SearchDesign> design(@PathVariable SearchKey key) {
        return file(key + ".search.json", searches.draft(key).design());
    }

    @Operation(summary = "Makes a new search of a design that was saved as a file. It is not published.")
    @PostMapping("/sites/{site}/designs")
    @ResponseStatus(HttpStatus.CREATED)
    Searches.Summary search(
            @PathVariable SiteKey site,
            @RequestBody(content = @Content(schema = @Schema(implementation = SearchDesign.class)))
                    @org.springframework.web.bind.annotation.RequestBody
                    String document) {
        SearchDesign design = designs.read(document, searches.contentOfSite(site));
        return searches.summary(searches.add(site, KeyNames.from(design.name(), "search", taken -> false), design)
                .search());
    }

    private static <T> ResponseEntity<T> file(String name, T body) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(body);
    }
}
