package tidylantern.bench.peer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.stream.Collectors;

/**
 * SQLite in this process with its full-text index, as its documentation has it (FTS5, external content, bm25 by column,
 * snippets): English stems, starts of two and three letters indexed beside whole words.
 */
public final class SqlitePeer implements Peer {
    private static final String COUNTS = """
            SELECT text.part, text.file, count(*) FROM words JOIN text ON text.rowid = words.rowid
            WHERE words MATCH ? AND text.letters BETWEEN ? AND ? GROUP BY text.part, text.file""";
    private static final String TEN = """
            SELECT text.id, text.title, text.url, snippet(words, 1, '[', ']', '…', 30)
            FROM words JOIN text ON text.rowid = words.rowid
            WHERE words MATCH ? AND text.letters BETWEEN ? AND ? ORDER BY bm25(words, 5, 1) LIMIT 10""";
    /** Without a range there is nothing to join for the best ten but the ten themselves. */
    private static final String TEN_OF_ALL = """
            SELECT text.id, text.title, text.url, best.excerpt FROM
            (SELECT rowid, snippet(words, 1, '[', ']', '…', 30) AS excerpt FROM words
            WHERE words MATCH ? AND rank MATCH 'bm25(5, 1)' ORDER BY rank LIMIT 10) AS best
            JOIN text ON text.rowid = best.rowid""";

    private static final String COUNTS_OF_ALL = """
            SELECT text.part, text.file, count(*) FROM words JOIN text ON text.rowid = words.rowid
            WHERE words MATCH ? GROUP BY text.part, text.file""";

    private final Path folder;
    private final Connection database;

    public SqlitePeer(Path folder) throws IOException, SQLException {
        this.folder = folder;
        Files.createDirectories(folder);
        database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("texts.db"));
        try (Statement make = database.createStatement()) {
            make.execute("PRAGMA journal_mode = WAL");
            // As much as our service's heap.
            make.execute("PRAGMA cache_size = -512000");
            make.execute("""
                    CREATE TABLE text (rowid INTEGER PRIMARY KEY, id TEXT UNIQUE, title TEXT, body TEXT,
                    url TEXT, part TEXT, file TEXT, letters INTEGER)""");
            make.execute("""
                    CREATE VIRTUAL TABLE words USING fts5 (title, body, content = 'text', content_rowid = 'rowid',
                    tokenize = 'porter unicode61', prefix = '2 3')""");
        }
    }

    @Override
    public void take(PeerCorpus corpus) throws SQLException {
        database.setAutoCommit(false);
        try (PreparedStatement insert =
                        database.prepareStatement("INSERT INTO text VALUES (NULL, ?, ?, ?, ?, ?, ?, ?)");
                Statement index = database.createStatement()) {
            SqlTexts.insert(insert, corpus);
            index.execute("INSERT INTO words (words) VALUES ('rebuild')");
            index.execute("INSERT INTO words (words) VALUES ('optimize')");
            database.commit();
            database.setAutoCommit(true);
            index.execute("ANALYZE");
        }
    }

    @Override
    public int answer(PeerCorpus.Question question) throws SQLException {
        String match = question.words().stream().map(word -> '"' + word + '"').collect(Collectors.joining(" ")) + " *";
        PeerCorpus.Letters letters = question.letters();
        return letters == null
                ? SqlTexts.answer(database, COUNTS_OF_ALL, TEN_OF_ALL, match, null)
                : SqlTexts.answer(database, COUNTS, TEN, match, letters);
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
            throw new IOException("closing SQLite", failure);
        }
    }
}
