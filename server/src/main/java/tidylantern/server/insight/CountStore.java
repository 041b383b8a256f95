package tidylantern.server.insight;

import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.key.SearchKey;

/** Numbers that are kept by search and by a text. */
abstract class CountStore {
    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;
    private final String table;
    private final String column;

    /** @param column of the table that holds the text */
    CountStore(JdbcClient jdbc, NamedParameterJdbcTemplate batches, String table, String column) {
        this.jdbc = jdbc;
        this.batches = batches;
        this.table = table;
        this.column = column;
    }

    /** A text and how often it was counted. */
    public record Counted(String text, long times) {}

    /** The texts with the highest numbers, the highest first. */
    List<Counted> frequent(SearchKey search, int most) {
        return jdbc.sql(
                        "SELECT %1$s AS text, times FROM %2$s WHERE search_key = :search ORDER BY times DESC, %1$s FETCH FIRST :most ROWS ONLY"
                                .formatted(column, table))
                .param("search", search.value())
                .param("most", most)
                .query(Counted.class)
                .list();
    }

    /** Adds to the numbers; a search that is gone by now is passed over. */
    void add(SearchKey search, Map<String, Long> times) {
        batches.batchUpdate(
                """
                MERGE INTO %1$s USING (SELECT search_key, CAST(:text AS VARCHAR(300)) AS text, CAST(:times AS BIGINT) AS times FROM search WHERE search_key = :search) AS more
                ON %1$s.search_key = more.search_key AND %1$s.%2$s = more.text
                WHEN MATCHED THEN UPDATE SET times = %1$s.times + more.times
                WHEN NOT MATCHED THEN INSERT (search_key, %2$s, times) VALUES (more.search_key, more.text, more.times)""".formatted(table, column),
                times.entrySet().stream()
                        .map(one -> new MapSqlParameterSource("search", search.value())
                                .addValue("text", one.getKey())
                                .addValue("times", one.getValue()))
                        .toArray(MapSqlParameterSource[]::new));
    }

    /** Forgets the rarest beyond so many. */
    void keep(SearchKey search, int most) {
        jdbc.sql("""
                DELETE FROM %1$s WHERE search_key = :search AND %2$s IN
                (SELECT %2$s FROM %1$s WHERE search_key = :search ORDER BY times DESC, %2$s OFFSET :most ROWS)""".formatted(table, column))
                .param("search", search.value())
                .param("most", most)
                .update();
    }
}
