package tidylantern.server.platform;

/** A site, or something of it, was deleted or brought back: whoever keeps something of it in memory reads it again. */
public record Rearranged(String site) {}
