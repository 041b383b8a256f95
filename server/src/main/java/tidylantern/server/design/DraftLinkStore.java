package tidylantern.server.design;

import java.time.Instant;
import java.time.ZoneOffset;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;

@Component
class DraftLinkStore {
    private final JdbcClient jdbc;

    DraftLinkStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void add(SearchKey search, String hash, Instant ends) {
        jdbc.sql("INSERT INTO draft_link (token_hash, search_key, ends) VALUES (:hash, :search, :ends)")
                .param("hash", hash)
                .param("search", search.value())
                .param("ends", ends.atOffset(ZoneOffset.UTC))
                .update();
    }

    boolean has(SearchKey search, String hash, Instant now) {
        return jdbc.sql(
                                "SELECT COUNT(*) FROM draft_link WHERE token_hash = :hash AND search_key = :search AND ends > :now")
                        .param("hash", hash)
                        .param("search", search.value())
                        .param("now", now.atOffset(ZoneOffset.UTC))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    void removeAll(SearchKey search) {
        jdbc.sql("DELETE FROM draft_link WHERE search_key = :search")
                .param("search", search.value())
                .update();
    }

    /** Those that ended by then. */
    void removeEnded(Instant now) {
        jdbc.sql("DELETE FROM draft_link WHERE ends < :now")
                .param("now", now.atOffset(ZoneOffset.UTC))
                .update();
    }
}
