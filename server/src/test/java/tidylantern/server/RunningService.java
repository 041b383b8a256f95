package tidylantern.server;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The whole service in this process, on a free port, with one owner and one access key. */
public final class RunningService implements AutoCloseable {
    public static final String OWNER = "keeper";
    public static final String PASSWORD = "correct horse lantern";
    public static final String ACCESS_KEY = "tl_test_key_of_the_tests";

    private final ConfigurableApplicationContext context;

    private RunningService(ConfigurableApplicationContext context) {
        this.context = context;
    }

    /** @param data folder for database and index; kept when the service is closed */
    public static RunningService on(Path data) {
        return start(
                data,
                "--tidy-lantern.owner=" + OWNER,
                "--tidy-lantern.password=" + PASSWORD,
                "--tidy-lantern.access-key=" + ACCESS_KEY);
    }

    /** Like {@link #on}, allowed to read from private hosts, each with its port. */
    public static RunningService on(Path data, List<String> allowedHosts) {
        return start(
                data,
                "--tidy-lantern.owner=" + OWNER,
                "--tidy-lantern.password=" + PASSWORD,
                "--tidy-lantern.access-key=" + ACCESS_KEY,
                "--tidy-lantern.allowed-hosts=" + String.join(",", allowedHosts));
    }

    /** Like {@link #on}, with more settings of the operator's. */
    public static RunningService with(Path data, String... settings) {
        return start(
                data,
                Stream.concat(
                                Stream.of(
                                        "--tidy-lantern.owner=" + OWNER,
                                        "--tidy-lantern.password=" + PASSWORD,
                                        "--tidy-lantern.access-key=" + ACCESS_KEY),
                                Stream.of(settings))
                        .toArray(String[]::new));
    }

    /** An installation that nobody owns yet. */
    public static RunningService empty(Path data) {
        return start(data);
    }

    /**
     * An installation that nobody owns yet.
     *
     * @param allowedHosts hosts that sources may be read from though they are private
     */
    public static RunningService empty(Path data, List<String> allowedHosts) {
        return start(data, "--tidy-lantern.allowed-hosts=" + String.join(",", allowedHosts));
    }

    /**
     * One after the other, as test classes run side by side: what starts a service also sets what belongs to the whole
     * process.
     */
    private static synchronized RunningService start(Path data, String... settings) {
        Map<String, String> all = new LinkedHashMap<>();
        Stream.concat(
                        Stream.of(
                                "--server.port=0",
                                "--tidy-lantern.data=" + data,
                                "--logging.level.tidylantern=warn",
                                "--tidy-lantern.answers-per-second=0"),
                        Stream.of(settings))
                .forEach(setting -> all.put(setting.substring(0, setting.indexOf('=')), setting));
        return new RunningService(new SpringApplicationBuilder(TidyLantern.class)
                .registerShutdownHook(false)
                .run(all.values().toArray(String[]::new)));
    }

    /** Without a slash at its end. */
    public String address() {
        return "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
    }

    /** A part of the service, for what no request can bring about: the time that passes. */
    public <T> T part(Class<T> type) {
        return context.getBean(type);
    }

    /** Speaks to the service with its access key. */
    public Api api() {
        return new Api(address(), ACCESS_KEY);
    }

    @Override
    public void close() {
        context.close();
    }
}
