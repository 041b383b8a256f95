package tidylantern.server.trial;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;

@Component
class TrialStore {
    private final JdbcClient jdbc;

    TrialStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record StoredTrial(
            long id,
            String searchKey,
            String query,
            String expects,
            @Nullable String collectionKey,
            @Nullable String itemId,
            @Nullable Integer number,
            @Nullable String suggestion) {}

    /** In the order in which they were kept. */
    List<StoredTrial> ofSearch(SearchKey search) {
        return jdbc.sql(
                        "SELECT id, search_key, query, expects, collection_key, item_id, number, suggestion FROM trial WHERE search_key = :search ORDER BY id")
                .param("search", search.value())
                .query(StoredTrial.class)
                .list();
    }

    Optional<StoredTrial> find(SearchKey search, long id) {
        return jdbc.sql(
                        "SELECT id, search_key, query, expects, collection_key, item_id, number, suggestion FROM trial WHERE search_key = :search AND id = :id")
                .param("search", search.value())
                .param("id", id)
                .query(StoredTrial.class)
                .optional();
    }

    /** @return its id */
    long add(StoredTrial trial) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        values(
                        jdbc.sql(
                                "INSERT INTO trial (search_key, query, expects, collection_key, item_id, number, suggestion) VALUES (:search, :query, :expects, :collection, :item, :number, :suggestion)"),
                        trial)
                .update(key, "id");
        return java.util.Objects.requireNonNull(key.getKey()).longValue();
    }

    void change(StoredTrial trial) {
        values(
                        jdbc.sql(
                                "UPDATE trial SET query = :query, expects = :expects, collection_key = :collection, item_id = :item, number = :number, suggestion = :suggestion WHERE search_key = :search AND id = :id"),
                        trial)
                .param("id", trial.id())
                .update();
    }

    private static JdbcClient.StatementSpec values(JdbcClient.StatementSpec statement, StoredTrial trial) {
        return statement
                .param("search", trial.searchKey())
                .param("query", trial.query())
                .param("expects", trial.expects())
                .param("collection", trial.collectionKey())
                .param("item", trial.itemId())
                .param("number", trial.number())
                .param("suggestion", trial.suggestion());
    }

    /** @return false if there is no such trial */
    boolean remove(SearchKey search, long id) {
        return jdbc.sql("DELETE FROM trial WHERE search_key = :search AND id = :id")
                        .param("search", search.value())
                        .param("id", id)
                        .update()
                == 1;
    }
}
