package tidylantern.server.operation;

import com.zaxxer.hikari.HikariDataSource;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.flywaydb.core.Flyway;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.PrivateFiles;
import tidylantern.server.platform.Refusal;

/**
 * Copies of the database: made of a running service, and brought back into one. Visitors are answered all the while.
 */
@Component
class Copies {
    private static final Logger LOG = LoggerFactory.getLogger(Copies.class);
    private static final String ARRIVING = "tidy-lantern-arriving";
    private static final String BEFORE = "tidy-lantern-before";
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(30);
    /** A smaller file is not worth the pause. */
    private static final long LEAST_TO_COMPACT = 64_000_000;

    private static final double WORTH_COMPACTING = 0.5;

    private final DatabaseFile file;
    private final HikariDataSource pool;
    private final DatabaseStore database;
    private final Flyway flyway;
    private final ChangeGate gate;
    private final Standby standby;
    private final StandbyKeeper keeper;
    private final DiskRoom room;
    private final ApplicationEventPublisher events;

    Copies(
            DatabaseFile file,
            HikariDataSource pool,
            DatabaseStore database,
            Flyway flyway,
            ChangeGate gate,
            Standby standby,
            StandbyKeeper keeper,
            DiskRoom room,
            ApplicationEventPublisher events) {
        this.file = file;
        this.pool = pool;
        this.database = database;
        this.flyway = flyway;
        this.gate = gate;
        this.standby = standby;
        this.keeper = keeper;
        this.room = room;
        this.events = events;
    }

    /** Writes a copy of the database as it is now, a ZIP file with the database's own file in it. */
    void write(OutputStream out) throws IOException {
        room.require(DatabaseFileStore.size(file.path()));
        if (standby.active()) {
            throw Refusal.conflict("There is no database to copy: it is not what it was.");
        }
        Path zip = PrivateFiles.make(file.folder(), "copy-");
        try {
            database.copyTo(zip);
            Files.copy(zip, out);
        } finally {
            Files.deleteIfExists(zip);
        }
    }

    /**
     * Puts a copy in the database's place. The one that was there stays beside it under another name, until the next
     * time.
     *
     * @throws Refusal if it is no copy, or of a later version of the service, or if work under way does not end in
     *     time; nothing is changed then
     */
    synchronized void bringBack(InputStream copy) throws IOException {
        Path arriving = file.of(ARRIVING);
        try {
            unpack(copy, arriving);
            Integer version = DatabaseFileStore.version(file.url(ARRIVING) + ";ACCESS_MODE_DATA=r");
            if (version == null) {
                throw Refusal.bad(
                        null,
                        "This is no copy of a database of Tidy Lantern. Choose the ZIP file that was saved as a copy.");
            }
            int own = DatabaseChoice.newest(flyway);
            if (version > own) {
                throw Refusal.conflict(
                        "The copy is of a later version of Tidy Lantern (%d, and this is %d). Install that version first."
                                .formatted(version, own));
            }
            replace(arriving);
        } finally {
            Files.deleteIfExists(arriving);
        }
    }

    private void unpack(InputStream copy, Path into) throws IOException {
        try (ZipInputStream zip = new ZipInputStream(copy);
                OutputStream out = Files.newOutputStream(into)) {
            PrivateFiles.hide(into);
            ZipEntry entry = zip.getNextEntry();
            while (entry != null && !entry.getName().endsWith(".mv.db")) {
                entry = zip.getNextEntry();
            }
            if (entry == null) {
                throw Refusal.bad(null, "This is no copy of a database: it is no ZIP file, or holds no database.");
            }
            byte[] some = new byte[1 << 16];
            for (int n = zip.read(some); n >= 0; n = zip.read(some)) {
                room.require(n);
                out.write(some, 0, n);
            }
        } catch (ZipException | EOFException broken) {
            throw Refusal.bad(null, "The copy is broken (%s).".formatted(broken.getMessage()));
        }
    }

    private void replace(Path arriving) throws IOException {
        gate.shut(true);
        try {
            whileShut(false, () -> {
                if (Files.exists(file.path())) {
                    Files.move(file.path(), file.of(BEFORE), StandardCopyOption.REPLACE_EXISTING);
                }
                Files.move(arriving, file.path());
                file.use(file.url());
                standby.forget();
                standby.end();
            });
            flyway.migrate();
            file.hide();
            events.publishEvent(new DatabaseReplaced());
            gate.changed();
            keeper.keep();
            LOG.warn("A copy of the database was brought back; what was there before is {}", file.of(BEFORE));
        } finally {
            gate.shut(false);
        }
    }

    /** Makes the file smaller, if most of it is empty and that is worth it. */
    void compact() throws IOException {
        compact(LEAST_TO_COMPACT);
    }

    /** @param least bytes of a file that is looked at */
    synchronized void compact(long least) throws IOException {
        long size = DatabaseFileStore.size(file.path());
        if (standby.active() || size < least || database.used() > WORTH_COMPACTING || room.free() < size) {
            return;
        }
        gate.shut(true);
        try {
            whileShut(true, () -> {});
            LOG.info(
                    "The database file was made smaller: {} MB, before {} MB",
                    DatabaseFileStore.size(file.path()) / 1_000_000,
                    size / 1_000_000);
        } finally {
            gate.shut(false);
        }
    }

    private interface Work {
        void go() throws IOException;
    }

    /** Nobody has a connection meanwhile; whoever wants one waits. */
    private void whileShut(boolean compact, Work work) throws IOException {
        pool.getHikariPoolMXBean().suspendPool();
        try {
            long end = System.nanoTime() + LONGEST_WAIT.toNanos();
            while (pool.getHikariPoolMXBean().getActiveConnections() > 0) {
                if (System.nanoTime() > end) {
                    throw new Refusal(
                            HttpStatus.CONFLICT,
                            null,
                            "A push or a run is under way and did not end in time. Wait for it, or stop it, then try again.");
                }
                LockSupport.parkNanos(10_000_000);
            }
            pool.getHikariPoolMXBean().softEvictConnections();
            DatabaseFileStore.shut(file.inUse(), compact);
            work.go();
        } catch (DatabaseFileStore.Unusable failure) {
            throw new IOException("The database could not be shut", failure);
        } finally {
            pool.getHikariPoolMXBean().resumePool();
        }
    }
}
