package tidylantern.bench.peer;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What peers that speak SQL have in common: a row a text, one statement that counts and one that gives the first ten.
 */
final class SqlTexts {
    private static final int BATCH = 10_000;
    private static final int COUNT = 3;
    private static final int EXCERPT = 4;

    private SqlTexts() {}

    /** @param insert takes id, title, body, address, part, file and letters */
    static void insert(PreparedStatement insert, PeerCorpus corpus) throws SQLException {
        try (Stream<PeerCorpus.Text> texts = corpus.texts()) {
            int added = 0;
            for (PeerCorpus.Text text : (Iterable<PeerCorpus.Text>) texts::iterator) {
                insert.setString(1, text.id());
                insert.setString(2, text.title());
                insert.setString(3, text.body());
                insert.setString(4, "/texts/" + text.id());
                insert.setString(5, text.part());
                insert.setString(6, text.file());
                insert.setInt(7, text.letters());
                insert.addBatch();
                if (++added % BATCH == 0) {
                    insert.executeBatch();
                }
            }
            insert.executeBatch();
        }
    }

    /**
     * @param counts gives part, file and how many texts have both
     * @param ten gives the first ten, with an excerpt in the fourth column
     * @param wanted the first parameter of both; the ends of the range are the others, where there is one
     * @return how many texts are found
     */
    static int answer(
            Connection database, String counts, String ten, String wanted, PeerCorpus.@Nullable Letters letters)
            throws SQLException {
        int total = 0;
        try (PreparedStatement counted = database.prepareStatement(counts);
                PreparedStatement first = database.prepareStatement(ten)) {
            for (PreparedStatement each : new PreparedStatement[] {counted, first}) {
                each.setString(1, wanted);
                if (letters != null) {
                    each.setInt(2, letters.from());
                    each.setInt(3, letters.to());
                }
            }
            try (ResultSet found = counted.executeQuery()) {
                while (found.next()) {
                    total += found.getInt(COUNT);
                }
            }
            try (ResultSet found = first.executeQuery()) {
                while (found.next()) {
                    found.getString(EXCERPT);
                }
            }
        }
        return total;
    }
}
