package tidylantern.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.StandInSite;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** The service with the Isles in it and their website beside it, as bin/demo starts them, on free ports. */
final class DemoWorld implements AutoCloseable {
    private final RunningService service;
    private final StandInSite site;

    DemoWorld(Path data) {
        service = RunningService.on(data, List.of("localhost"));
        try {
            site = new StandInSite(0, service.address(), DemoLoader.SEARCH, LocalDate.now());
        } catch (IOException failure) {
            service.close();
            throw new UncheckedIOException(failure);
        }
        new DemoLoader(service.address(), RunningService.ACCESS_KEY).load(site.address(), LocalDate.now());
    }

    String service() {
        return service.address();
    }

    String site() {
        return site.address();
    }

    Api api() {
        return service.api();
    }

    /** A page of the workbench for the site of the Isles. */
    String workbench(String path) {
        return service() + "/workbench/" + DemoLoader.SITE + path;
    }

    @Override
    public void close() {
        site.close();
        service.close();
    }
}
