package tidylantern.server.insight;

import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

@Component
class AskedQueryStore {
    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;

    AskedQueryStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /** The queries asked most often, the most frequent first. */
    List<String> frequent(String search, int most) {
        return jdbc.sql(
                        "SELECT query FROM asked_query WHERE search_key = :search ORDER BY times DESC, query FETCH FIRST :most ROWS ONLY")
                .param("search", search)
                .param("most", most)
                .query(String.class)
                .list();
    }

    /** Adds how often each was asked; a search that is gone by now is passed over. */
    void add(String search, Map<String, Long> times) {
        batches.batchUpdate(
                """
                MERGE INTO asked_query USING (SELECT search_key, CAST(:query AS VARCHAR(200)) AS query, CAST(:times AS BIGINT) AS times FROM search WHERE search_key = :search) AS more
                ON asked_query.search_key = more.search_key AND asked_query.query = more.query
                WHEN MATCHED THEN UPDATE SET times = asked_query.times + more.times
                WHEN NOT MATCHED THEN INSERT (search_key, query, times) VALUES (more.search_key, more.query, more.times)""",
                times.entrySet().stream()
                        .map(one -> new MapSqlParameterSource("search", search)
                                .addValue("query", one.getKey())
                                .addValue("times", one.getValue()))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** Forgets the rarest beyond so many. */
    void keep(String search, int most) {
        jdbc.sql("""
                DELETE FROM asked_query WHERE search_key = :search AND query IN
                (SELECT query FROM asked_query WHERE search_key = :search ORDER BY times DESC, query OFFSET :most ROWS)""").param("search", search).param("most", most).update();
    }
}
