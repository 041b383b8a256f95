package tidylantern.server.platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.info.BuildProperties;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Which version of the product this is, as its build wrote it down. */
@Component
public class ProductVersion {
    private static final Logger LOG = LoggerFactory.getLogger(ProductVersion.class);

    private final String version;

    ProductVersion(BuildProperties build) {
        version = String.valueOf(build.getVersion());
    }

    /** As {@code 1.4.2}. */
    @Override
    public String toString() {
        return version;
    }

    @EventListener
    void say(ApplicationReadyEvent ready) {
        LOG.info("Tidy Lantern {} is ready", version);
    }
}
