package tidylantern.server.platform;

import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * What the operator sets, under {@code tidy-lantern.}
 *
 * @param data the folder that holds database and indexes; made if missing
 * @param owner name of a first owner, for installations set up without a browser
 * @param password of that owner
 * @param accessKey an access key that scripts may use from the first start on
 * @param allowedHosts hosts that sources may be read from though they are private, each with its port or without
 * @param answersPerSecond that one address may ask for, as a visitor, after a few seconds of more; 0 for any number
 * @param reserve room on the data's disk below which nothing is changed any more
 * @param keptAnswers room in memory for answers to visitors that are given again; 0 for none
 * @param acceptLoss whether a database that is gone or older than it was is to be taken as it is
 * @param proxies addresses of reverse proxies that say truly where a request comes from and whether it came by TLS
 */
@ConfigurationProperties("tidy-lantern")
public record Settings(
        Path data,
        @Nullable String owner,
        @Nullable String password,
        @Nullable String accessKey,
        @Nullable List<String> allowedHosts,
        @DefaultValue("100") int answersPerSecond,
        @DefaultValue("300MB") DataSize reserve,
        @DefaultValue("16MB") DataSize keptAnswers,
        @DefaultValue("false") boolean acceptLoss,
        @Nullable List<String> proxies) {
    public Settings {
        proxies = proxies == null
                ? List.of()
                : proxies.stream()
                        .map(String::strip)
                        .filter(proxy -> !proxy.isEmpty())
                        .toList();
        allowedHosts = allowedHosts == null ? List.of() : List.copyOf(allowedHosts);
    }

    /** Never null, whatever was set. */
    @Override
    public List<String> proxies() {
        return Objects.requireNonNullElse(proxies, List.of());
    }

    /** Never null, whatever was set. */
    @Override
    public List<String> allowedHosts() {
        return Objects.requireNonNullElse(allowedHosts, List.of());
    }
}
