package tidylantern.server.platform;

import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the operator sets, under {@code tidy-lantern.}
 *
 * @param data the folder that holds database and indexes; made if missing
 * @param owner name of a first owner, for installations set up without a browser
 * @param password of that owner
 * @param accessKey an access key that scripts may use from the first start on
 */
@ConfigurationProperties("tidy-lantern")
public record Settings(Path data, @Nullable String owner, @Nullable String password, @Nullable String accessKey) {}
