package tidylantern.server.design;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

@Component
class FormerKeyStore {
    private final JdbcClient jdbc;

    FormerKeyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param searchKey that the search has now */
    record Former(String formerKey, String searchKey) {}

    /** But for those that a search has now: after one was brought back, say, that had lost its key to another. */
    List<Former> all() {
        return jdbc.sql("""
                SELECT former_key, search_key FROM former_search_key
                WHERE former_key NOT IN (SELECT search_key FROM search)""").query(Former.class).list();
    }

    void add(String former, String search) {
        jdbc.sql("INSERT INTO former_search_key (former_key, search_key) VALUES (:former, :search)")
                .param("former", former)
                .param("search", search)
                .update();
    }

    void remove(String former) {
        jdbc.sql("DELETE FROM former_search_key WHERE former_key = :former")
                .param("former", former)
                .update();
    }
}
