package tidylantern.server.operation;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.PrivateFiles;
import tidylantern.server.platform.Settings;

/**
 * Which database the service works with: its file, or, where that is not what it was, one in memory that holds what was
 * known last and is never written down.
 */
@Configuration
class DatabaseChoice {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseChoice.class);
    private static final int CONNECTIONS = 12;

    private final Standby standby;
    private final DatabaseFile file;
    private final DiskRoom room;
    private final Standby.@Nullable Known known;

    DatabaseChoice(Settings settings, Standby standby, DatabaseFile file, DiskRoom room) throws IOException {
        this.room = room;
        this.standby = standby;
        this.file = file;
        if (settings.acceptLoss()) {
            standby.forget();
        }
        this.known = standby.read();
    }

    @Bean
    HikariDataSource dataSource() throws IOException {
        PrivateFiles.makeFolder(file.folder());
        List<String> missing = known == null ? List.of() : missing(known.sites());
        if (!missing.isEmpty()) {
            standby.begin(missing);
        }
        file.use(
                standby.active()
                        ? "jdbc:h2:mem:standby-%d;DB_CLOSE_DELAY=-1".formatted(System.identityHashCode(this))
                        : file.url());
        // A database that could not write has shut itself; connections to it are told from others whenever one is
        // taken, and the
        // next one opens it again, once there is room.
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        HikariDataSource pool = new HikariDataSource();
        pool.setDataSource(file.connections());
        pool.setMaximumPoolSize(CONNECTIONS);
        pool.setAllowPoolSuspension(true);
        pool.setExceptionOverrideClassName(ShutDatabase.class.getName());
        return pool;
    }

    private List<String> missing(List<Standby.SiteState> sites) {
        if (sites.isEmpty()) {
            return List.of();
        }
        Path path = file.path();
        try {
            if (DatabaseFileStore.size(path) == 0) {
                return List.of(
                        "The file %s is %s.".formatted(path.getFileName(), Files.exists(path) ? "empty" : "gone"));
            }
            List<String> missing = Standby.missing(sites, DatabaseFileStore.states(file.url()));
            if (!missing.isEmpty()) {
                // It is to stay as it was found, for whoever wants to save something from it.
                DatabaseFileStore.shut(file.url(), false);
            }
            return missing;
        } catch (DatabaseFileStore.Unusable unreadable) {
            LOG.error("The database {} cannot be opened", path, unreadable);
            return List.of("The file %s cannot be read as a database.".formatted(path.getFileName()));
        } catch (IOException failure) {
            throw new UncheckedIOException("looking at " + path, failure);
        }
    }

    @Bean
    FlywayMigrationStrategy migration() {
        return flyway -> {
            // Even with nothing to do a migration writes, which a full disk would not survive.
            if (!room.low() || standby.active() || !isOfThisVersion(flyway)) {
                flyway.migrate();
            }
            if (standby.active() && known != null) {
                putBack(flyway, known);
            } else {
                file.hide();
            }
        };
    }

    private boolean isOfThisVersion(Flyway flyway) {
        Integer version = DatabaseFileStore.version(file.url());
        return version != null && version == newest(flyway);
    }

    /** The number of the newest migration that this version of the service has. */
    static int newest(Flyway flyway) {
        return Stream.of(flyway.info().all())
                .map(MigrationInfo::getVersion)
                .filter(Objects::nonNull)
                .mapToInt(version -> Integer.parseInt(version.getVersion()))
                .max()
                .orElse(0);
    }

    private static void putBack(Flyway flyway, Standby.Known known) {
        try {
            DatabaseFileStore.put(flyway.getConfiguration().getDataSource(), known);
        } catch (DatabaseFileStore.Unusable unfit) {
            throw new IllegalStateException(
                    "What was known last does not fit this version of the service. Bring a copy of the database back.",
                    unfit);
        }
    }
}
