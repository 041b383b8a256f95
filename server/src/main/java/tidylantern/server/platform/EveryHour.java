package tidylantern.server.platform;

/** An hour has passed; whoever has something to tidy up does so now. */
public record EveryHour() {}
