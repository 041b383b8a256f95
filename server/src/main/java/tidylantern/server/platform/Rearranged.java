package tidylantern.server.platform;

import tidylantern.server.key.SiteKey;

/** A site, or something of it, was deleted or brought back: whoever keeps something of it in memory reads it again. */
public record Rearranged(SiteKey site) {}
