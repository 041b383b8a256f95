package tidylantern.server.operation;

import java.nio.file.Path;
import javax.sql.DataSource;
import org.h2.jdbcx.JdbcDataSource;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.PrivateFiles;
import tidylantern.server.platform.Settings;

/** Where the database lies. */
@Component
class DatabaseFile {
    private static final String NAME = "tidy-lantern";
    private static final String ENDING = ".mv.db";

    private final Path data;
    private final JdbcDataSource connections = new JdbcDataSource();

    DatabaseFile(Settings settings) {
        this.data = settings.data();
        connections.setUser(DatabaseFileStore.USER);
        connections.setPassword("");
    }

    /** Where the pool has its connections from: this file, unless {@link #use} says another database. */
    DataSource connections() {
        return connections;
    }

    void use(String url) {
        connections.setURL(url);
    }

    String inUse() {
        return connections.getURL();
    }

    Path folder() {
        return data;
    }

    Path path() {
        return of(NAME);
    }

    /** A file beside it that can be opened as a database of that name. */
    Path of(String name) {
        return data.resolve(name + ENDING);
    }

    /** WRITE_DELAY 0: a commit that has been acknowledged is in the file, not in a buffer of ours. */
    String url() {
        return url(NAME) + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
    }

    String url(String name) {
        return "jdbc:h2:file:" + data.toAbsolutePath().resolve(name);
    }

    /** Keeps other users of the machine from reading it. */
    void hide() {
        PrivateFiles.hide(path());
    }
}
