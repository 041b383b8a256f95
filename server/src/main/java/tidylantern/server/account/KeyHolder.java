package tidylantern.server.account;

import org.jspecify.annotations.Nullable;
import tidylantern.server.key.SiteKey;

/**
 * Whoever sends an access key; the details of their {@code Authentication}.
 *
 * @param site that the key is good for; null for all sites
 */
public record KeyHolder(String name, @Nullable SiteKey site, KeyRights rights) {}
