package tidylantern.bench;

import java.nio.file.Path;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import tidylantern.server.TidyLantern;

/** The service in this process, asked over HTTP. */
final class Service extends AskedService {
    private final ConfigurableApplicationContext context;

    Service(Path data) {
        context = new SpringApplicationBuilder(TidyLantern.class)
                .run(
                        "--server.port=0",
                        "--tidy-lantern.data=" + data,
                        "--tidy-lantern.access-key=" + KEY,
                        "--tidy-lantern.answers-per-second=0",
                        "--tidy-lantern.kept-answers=0",
                        "--logging.level.tidylantern=warn");
    }

    @Override
    String address() {
        return "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
    }

    @Override
    public void close() {
        context.close();
    }
}
