package tidylantern.server.design;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;

/** Test pages and splits. */
@Component
class EarlyLookStore {
    private static final String SPLIT =
            "SELECT split_id, search_key, design, percent, begun, begun_by, ends FROM split WHERE ";

    private final JdbcClient jdbc;

    EarlyLookStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param percent of the visitors that meet the design */
    record StoredSplit(
            long splitId,
            String searchKey,
            String design,
            int percent,
            OffsetDateTime begun,
            String begunBy,
            OffsetDateTime ends) {
        SearchKey search() {
            return new SearchKey(searchKey);
        }
    }

    record StoredTestPage(String searchKey, String address) {
        SearchKey search() {
            return new SearchKey(searchKey);
        }
    }

    /** Of all searches. */
    List<StoredTestPage> testPages() {
        return jdbc.sql("SELECT search_key, address FROM test_page ORDER BY search_key, address")
                .query(StoredTestPage.class)
                .list();
    }

    /** By letter. */
    List<String> testPages(SearchKey search) {
        return jdbc.sql("SELECT address FROM test_page WHERE search_key = :search ORDER BY address")
                .param("search", search.value())
                .query(String.class)
                .list();
    }

    void putTestPages(SearchKey search, List<String> addresses) {
        jdbc.sql("DELETE FROM test_page WHERE search_key = :search")
                .param("search", search.value())
                .update();
        for (String address : addresses) {
            jdbc.sql("INSERT INTO test_page (search_key, address) VALUES (:search, :address)")
                    .param("search", search.value())
                    .param("address", address)
                    .update();
        }
    }

    /** The one that runs, or the last one. */
    Optional<StoredSplit> split(SearchKey search) {
        return jdbc.sql(SPLIT + "search_key = :search")
                .param("search", search.value())
                .query(StoredSplit.class)
                .optional();
    }

    /** Of all searches. */
    List<StoredSplit> running(OffsetDateTime now) {
        return jdbc.sql(SPLIT + "ends > :now")
                .param("now", now)
                .query(StoredSplit.class)
                .list();
    }

    /** In place of the last one, whose counts go with it. */
    void begin(StoredSplit split) {
        SearchKey search = split.search();
        jdbc.sql("DELETE FROM split WHERE search_key = :search")
                .param("search", search.value())
                .update();
        jdbc.sql("DELETE FROM split_count WHERE search_key = :search")
                .param("search", search.value())
                .update();
        jdbc.sql("""
                INSERT INTO split (search_key, design, percent, begun, begun_by, ends)
                VALUES (:search, :design, :percent, :begun, :by, :ends)""")
                .param("search", search.value())
                .param("design", split.design())
                .param("percent", split.percent())
                .param("begun", split.begun())
                .param("by", split.begunBy())
                .param("ends", split.ends())
                .update();
    }

    /** Where one runs. */
    void end(SearchKey search, OffsetDateTime now) {
        jdbc.sql("UPDATE split SET ends = :now WHERE search_key = :search AND ends > :now")
                .param("search", search.value())
                .param("now", now)
                .update();
    }
}
