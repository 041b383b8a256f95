package tidylantern.server.insight;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.insight.SearchPages.Element;
import tidylantern.server.insight.SearchPages.MetPage;
import tidylantern.server.insight.SearchPages.SeenPage;
import tidylantern.server.insight.SearchPages.UnknownLinks;
import tidylantern.server.insight.SearchPages.Width;
import tidylantern.server.key.SearchKey;

@Component
class SearchPageStore {
    private static final String BETWEEN = "\n";

    private final JdbcClient jdbc;

    SearchPageStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record Row(
            String address,
            String title,
            String elements,
            String unknownLinks,
            int unknownCount,
            String widths,
            @Nullable String script,
            OffsetDateTime firstSeen,
            OffsetDateTime seen) {}

    List<SeenPage> of(SearchKey search) {
        return jdbc.sql("""
                        SELECT address, title, elements, unknown_links, unknown_count, widths, script, first_seen, seen
                        FROM search_page WHERE search_key = :search ORDER BY seen DESC, address""").param("search", search.value()).query(Row.class).list().stream()
                .map(row -> new SeenPage(
                        new MetPage(
                                row.address(),
                                row.title(),
                                lines(row.elements()).stream()
                                        .map(name -> Element.valueOf(name.toUpperCase(Locale.ROOT)))
                                        .collect(Collectors.toSet()),
                                new UnknownLinks(row.unknownCount(), lines(row.unknownLinks())),
                                widths(row.widths()),
                                row.script()),
                        row.firstSeen().toInstant(),
                        row.seen().toInstant()))
                .toList();
    }

    private static Set<Width> widths(String text) {
        return lines(text).stream()
                .map(name -> Width.valueOf(name.toUpperCase(Locale.ROOT)))
                .collect(Collectors.toSet());
    }

    /** In which a page was met so far; none where it was not met. */
    Set<Width> widths(SearchKey search, String address) {
        return jdbc.sql("SELECT widths FROM search_page WHERE search_key = :search AND address = :address")
                .param("search", search.value())
                .param("address", address)
                .query(String.class)
                .optional()
                .map(SearchPageStore::widths)
                .orElse(Set.of());
    }

    private static List<String> lines(String text) {
        return Arrays.stream(text.split(BETWEEN))
                .filter(line -> !line.isEmpty())
                .toList();
    }

    /** A search that is gone by now is passed over. */
    void put(SearchKey search, MetPage page, Instant seen) {
        jdbc.sql("""
                MERGE INTO search_page USING (SELECT search_key FROM search WHERE search_key = :search) AS met
                ON search_page.search_key = met.search_key AND search_page.address = :address
                WHEN MATCHED THEN UPDATE SET title = :title, elements = :elements, unknown_links = :links,
                unknown_count = :count, widths = :widths, script = :script, seen = :seen
                WHEN NOT MATCHED THEN INSERT (search_key, address, title, elements, unknown_links, unknown_count, widths, script,
                first_seen, seen)
                VALUES (met.search_key, :address, :title, :elements, :links, :count, :widths, :script, :seen, :seen)""")
                .param("search", search.value())
                .param("address", page.address())
                .param("title", page.title())
                .param(
                        "elements",
                        page.elements().stream().sorted().map(Element::toString).collect(Collectors.joining(BETWEEN)))
                .param("links", String.join(BETWEEN, page.unknown().links()))
                .param("count", page.unknown().count())
                .param(
                        "widths",
                        page.widths().stream().sorted().map(Width::toString).collect(Collectors.joining(BETWEEN)))
                .param("script", page.script())
                .param("seen", seen.atOffset(ZoneOffset.UTC))
                .update();
    }

    /** Forgets those met longest ago beyond so many. */
    void keep(SearchKey search, int most) {
        jdbc.sql("""
                DELETE FROM search_page WHERE search_key = :search AND address IN
                (SELECT address FROM search_page WHERE search_key = :search ORDER BY seen DESC, address OFFSET :most ROWS)""").param("search", search.value()).param("most", most).update();
    }
}
