package tidylantern.server.operation;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.ProductVersion;
import tidylantern.server.traffic.ReceivedBody;

/** The installation as a whole: how full its disk is, whether its database is what it was, and copies of it. */
@RestController
@RequestMapping("/api/owner/installation")
class InstallationController {
    private final DiskRoom room;
    private final DatabaseFile file;
    private final Standby standby;
    private final Copies copies;
    private final Clock clock;
    private final ProductVersion version;

    InstallationController(
            DiskRoom room, DatabaseFile file, Standby standby, Copies copies, Clock clock, ProductVersion version) {
        this.version = version;
        this.room = room;
        this.file = file;
        this.standby = standby;
        this.copies = copies;
        this.clock = clock;
    }

    /**
     * @param version of the product
     * @param diskBytes of the disk that holds the data
     * @param freeBytes of them that may still be written
     * @param reserveBytes below which nothing is changed any more
     * @param full whether that is so now
     * @param databaseBytes of the database's file
     * @param missing what the database lacks that was known of it; empty if nothing, and then changes are taken
     */
    record Installation(
            String version,
            long diskBytes,
            long freeBytes,
            long reserveBytes,
            boolean full,
            long databaseBytes,
            List<String> missing) {}

    @GetMapping
    Installation get() throws IOException {
        return new Installation(
                version.toString(),
                room.all(),
                room.free(),
                room.reserve(),
                room.low(),
                DatabaseFileStore.size(file.path()),
                standby.missing());
    }

    @Operation(
            summary =
                    "A copy of the whole database, as a ZIP file: all sites, with owners and the hashes of keys. Keep it where nobody else can read it.")
    @GetMapping(path = "/copy", produces = "application/zip")
    void copy(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
        response.setContentType("application/zip");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                "attachment; filename=\"tidy-lantern-%s.zip\"".formatted(LocalDate.now(clock)));
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        copies.write(response.getOutputStream());
    }

    @Operation(
            summary =
                    "Puts a copy, the body, in place of the database. Everything changed since it was made is gone; the database that was there stays beside it.")
    @PostMapping(path = "/restore", consumes = "application/zip")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@Parameter(hidden = true) HttpServletRequest request) throws IOException {
        try (InputStream copy = ReceivedBody.of(request).open()) {
            copies.bringBack(copy);
        }
    }
}
