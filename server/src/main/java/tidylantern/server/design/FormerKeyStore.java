package tidylantern.server.design;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;

@Component
class FormerKeyStore {
    private final JdbcClient jdbc;

    FormerKeyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param searchKey that the search has now */
    record Former(String formerKey, String searchKey) {
        SearchKey former() {
            return new SearchKey(formerKey);
        }

        SearchKey search() {
            return new SearchKey(searchKey);
        }
    }

    /** But for those that a search has now: after one was brought back, say, that had lost its key to another. */
    List<Former> all() {
        return jdbc.sql("""
                SELECT former_key, search_key FROM former_search_key
                WHERE former_key NOT IN (SELECT search_key FROM search)""").query(Former.class).list();
    }

    void add(SearchKey former, SearchKey search) {
        jdbc.sql("INSERT INTO former_search_key (former_key, search_key) VALUES (:former, :search)")
                .param("former", former.value())
                .param("search", search.value())
                .update();
    }

    void remove(SearchKey former) {
        jdbc.sql("DELETE FROM former_search_key WHERE former_key = :former")
                .param("former", former.value())
                .update();
    }
}
