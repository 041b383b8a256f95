package tidylantern.server.operation;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;

/** The database as a whole, while the service works with it. */
@Component
class DatabaseStore {
    private final JdbcClient jdbc;

    DatabaseStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Everything that is kept beside the indexes, after it has been written to the disk itself. */
    Standby.Known known() {
        checkpoint();
        Map<String, List<Map<String, @Nullable String>>> tables = new LinkedHashMap<>();
        DatabaseFileStore.KEPT.forEach((table, rows) -> tables.put(
                table,
                jdbc.sql(rows)
                        .query((row, n) -> {
                            Map<String, @Nullable String> values = new LinkedHashMap<>();
                            for (int column = 1; column <= row.getMetaData().getColumnCount(); column++) {
                                values.put(
                                        row.getMetaData().getColumnName(column).toLowerCase(Locale.ROOT),
                                        row.getString(column));
                            }
                            return values;
                        })
                        .list()));
        return new Standby.Known(
                jdbc.sql(DatabaseFileStore.STATES)
                        .query((row, n) -> new Standby.SiteState(
                                new SiteKey(row.getString("site_key")),
                                row.getString("name"),
                                row.getLong("last_change"),
                                row.getLong("items")))
                        .list(),
                tables);
    }

    private void checkpoint() {
        jdbc.sql("CHECKPOINT SYNC").update();
    }

    /**
     * Writes the whole database as it is at one moment into a ZIP file, while it is in use; all that was acknowledged
     * by then is in it.
     */
    void copyTo(Path zip) {
        checkpoint();
        jdbc.sql("BACKUP TO '%s'".formatted(zip.toAbsolutePath().toString().replace("'", "''")))
                .update();
    }

    /** How much of the file is in use, 0 to 1: by its pages, as the database counts them. */
    double used() {
        return setting("info.PAGE_COUNT_LIVE") / (double) Math.max(1, setting("info.PAGE_COUNT"));
    }

    private long setting(String name) {
        return Long.parseLong(
                jdbc.sql("SELECT setting_value FROM information_schema.settings WHERE setting_name = :name")
                        .param("name", name)
                        .query(String.class)
                        .optional()
                        .orElse("0"));
    }
}
