package tidylantern.server.operation;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tidylantern.server.key.SiteKey;

/** The database as a file: looked at before anybody works with it, filled, and shut. */
final class DatabaseFileStore {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseFileStore.class);
    static final String USER = "lantern";
    /**
     * In an order in which each refers to those before it. Of versions only the live ones; never items, nor what is
     * counted or crawled.
     */
    static final Map<String, String> KEPT = new LinkedHashMap<>();

    static {
        KEPT.put("person", "SELECT * FROM person");
        KEPT.put("first_start", "SELECT * FROM first_start");
        KEPT.put("secret", "SELECT * FROM secret");
        KEPT.put("site", "SELECT * FROM site");
        KEPT.put("access_key", "SELECT * FROM access_key");
        KEPT.put("site_person", "SELECT * FROM site_person");
        KEPT.put("site_origin", "SELECT * FROM site_origin");
        KEPT.put("collection", "SELECT * FROM collection");
        KEPT.put("field", "SELECT * FROM field");
        KEPT.put("merged_value", "SELECT * FROM merged_value");
        KEPT.put("search", "SELECT * FROM search");
        KEPT.put(
                "search_version",
                "SELECT v.* FROM search_version v JOIN search s ON s.search_key = v.search_key AND s.live_version = v.version");
        KEPT.put("placement", "SELECT * FROM placement");
        KEPT.put("own_place", "SELECT * FROM own_place");
    }

    static final String STATES = """
            SELECT site_key, name, last_change, (SELECT COUNT(*) FROM item WHERE item.site_key = site.site_key) AS items
            FROM site ORDER BY site_key""";

    private DatabaseFileStore() {}

    /** The database cannot be opened, or does not do what is asked of it. */
    static final class Unusable extends Exception {
        Unusable(SQLException failure) {
            super(String.valueOf(failure.getMessage()).lines().findFirst().orElse(""), failure);
        }
    }

    /** The states of the sites in a database; none in one without tables. */
    static Map<SiteKey, Standby.SiteState> states(String url) throws Unusable {
        try (Connection connection = DriverManager.getConnection(url, USER, "");
                Statement statement = connection.createStatement()) {
            Map<SiteKey, Standby.SiteState> states = new HashMap<>();
            if (!hasTables(statement)) {
                return states;
            }
            try (ResultSet row = statement.executeQuery(STATES)) {
                while (row.next()) {
                    states.put(
                            new SiteKey(row.getString("site_key")),
                            new Standby.SiteState(
                                    new SiteKey(row.getString("site_key")),
                                    row.getString("name"),
                                    row.getLong("last_change"),
                                    row.getLong("items")));
                }
            }
            return states;
        } catch (SQLException failure) {
            throw new Unusable(failure);
        }
    }

    private static boolean hasTables(Statement statement) throws SQLException {
        try (ResultSet count = statement.executeQuery(
                "SELECT COUNT(*) FROM information_schema.tables WHERE LOWER(table_name) IN ('site', 'item', 'flyway_schema_history')")) {
            return count.next() && count.getInt(1) == 3;
        }
    }

    /** The schema's version of a copy; null if it is no database of this service. */
    static @Nullable Integer version(String url) {
        try (Connection connection = DriverManager.getConnection(url, USER, "");
                Statement statement = connection.createStatement()) {
            if (!hasTables(statement)) {
                return null;
            }
            try (ResultSet newest =
                    statement.executeQuery("SELECT MAX(CAST(\"version\" AS INT)) FROM \"flyway_schema_history\"")) {
                return newest.next() ? newest.getInt(1) : null;
            }
        } catch (SQLException noDatabase) {
            LOG.warn("{} cannot be read as a database of this service: {}", url, noDatabase.getMessage());
            return null;
        }
    }

    /** Puts what was kept into a database that has the tables and nothing in them. */
    static void put(DataSource database, Standby.Known known) throws Unusable {
        try (Connection connection = database.getConnection()) {
            for (String table : KEPT.keySet()) {
                for (Map<String, @Nullable String> row : known.tables().getOrDefault(table, List.of())) {
                    put(connection, table, row);
                }
            }
        } catch (SQLException failure) {
            throw new Unusable(failure);
        }
    }

    private static void put(Connection connection, String table, Map<String, @Nullable String> row)
            throws SQLException {
        List<String> columns = new ArrayList<>(row.keySet());
        // Names of columns come from a file of our own making, yet they are names and nothing else.
        if (!columns.stream().allMatch(column -> column.matches("[a-z_]+"))) {
            throw new SQLException("a row of %s has columns that are none".formatted(table));
        }
        String sql = "INSERT INTO %s (%s) OVERRIDING SYSTEM VALUE VALUES (%s)"
                .formatted(
                        table,
                        String.join(", ", columns),
                        String.join(", ", columns.stream().map(column -> "?").toList()));
        try (var statement = connection.prepareStatement(sql)) {
            for (int at = 0; at < columns.size(); at++) {
                statement.setString(at + 1, row.get(columns.get(at)));
            }
            statement.executeUpdate();
        }
    }

    /** Shuts a database that nobody else uses any more, so that its file can be moved. */
    static void shut(String url, boolean compact) throws Unusable {
        try (Connection connection = DriverManager.getConnection(url, USER, "");
                Statement statement = connection.createStatement()) {
            statement.execute(compact ? "SHUTDOWN COMPACT" : "SHUTDOWN");
        } catch (SQLException failure) {
            throw new Unusable(failure);
        }
    }

    static long size(Path file) throws IOException {
        return Files.exists(file) ? Files.size(file) : 0;
    }
}
