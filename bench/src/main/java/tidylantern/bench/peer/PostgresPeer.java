package tidylantern.bench.peer;

import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;

/**
 * PostgreSQL in a process of its own with its text search, as its documentation has it (chapter 12: a stored vector
 * with weighted parts under a GIN index, {@code ts_rank}, {@code ts_headline} for the ten that are shown alone).
 */
public final class PostgresPeer implements Peer {
    private static final String COUNTS = """
            SELECT part, file, count(*) FROM text, to_tsquery('english', ?) AS wanted
            WHERE words @@ wanted AND letters BETWEEN ? AND ? GROUP BY part, file""";
    private static final String TEN = """
            SELECT id, title, url, ts_headline('english', body, wanted, 'StartSel=[, StopSel=], MaxWords=30') FROM
            (SELECT id, title, url, body, wanted FROM text, to_tsquery('english', ?) AS wanted
            WHERE words @@ wanted AND letters BETWEEN ? AND ?
            ORDER BY ts_rank('{0, 0, 0.2, 1}', words, wanted) DESC LIMIT 10) AS best""";

    private final Path folder;
    private final EmbeddedPostgres server;
    private final Connection database;

    public PostgresPeer(Path folder) throws IOException, SQLException {
        this.folder = folder;
        server = EmbeddedPostgres.builder()
                .setDataDirectory(folder)
                .setCleanDataDirectory(true)
                // As much as our service's heap, and no compiling of queries that take milliseconds.
                .setServerConfig("shared_buffers", "512MB")
                .setServerConfig("work_mem", "64MB")
                .setServerConfig("maintenance_work_mem", "256MB")
                .setServerConfig("jit", "off")
                .start();
        database = server.getPostgresDatabase().getConnection();
        try (Statement make = database.createStatement()) {
            make.execute("""
                    CREATE TABLE text (id TEXT PRIMARY KEY, title TEXT, body TEXT, url TEXT, part TEXT, file TEXT,
                    letters INTEGER, words TSVECTOR GENERATED ALWAYS AS (setweight(to_tsvector('english', title), 'A')
                    || setweight(to_tsvector('english', body), 'B')) STORED)""");
        }
    }

    @Override
    public void take(PeerCorpus corpus) throws SQLException {
        database.setAutoCommit(false);
        try (PreparedStatement insert = database.prepareStatement("INSERT INTO text VALUES (?, ?, ?, ?, ?, ?, ?)");
                Statement index = database.createStatement()) {
            SqlTexts.insert(insert, corpus);
            index.execute("CREATE INDEX text_words ON text USING GIN (words)");
            database.commit();
            database.setAutoCommit(true);
            index.execute("VACUUM ANALYZE text");
        }
    }

    @Override
    public int answer(PeerCorpus.Question question) throws SQLException {
        String wanted = String.join(" & ", question.words()) + ":*";
        boolean range = question.letters() != null;
        return SqlTexts.answer(database, ranged(COUNTS, range), ranged(TEN, range), wanted, question.letters());
    }

    private static String ranged(String sql, boolean range) {
        return range ? sql : sql.replace(" AND letters BETWEEN ? AND ?", "");
    }

    @Override
    public long diskBytes() throws IOException {
        return Peer.bytesBelow(folder);
    }

    @Override
    public void close() throws IOException {
        try {
            database.close();
        } catch (SQLException failure) {
            throw new IOException("closing PostgreSQL", failure);
        } finally {
            server.close();
        }
    }
}
