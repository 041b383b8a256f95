package tidylantern.server.platform;

/** The database is another one now, of an earlier day: whatever anybody remembers of it is to be read again. */
public record DatabaseReplaced() {}
