package tidylantern.server.source.reading;

/** A source cannot be read on. The message says to its owner what happened and what to do. */
public final class SourceProblem extends Exception {
    public SourceProblem(String message) {
        super(message);
    }

    public SourceProblem(String message, Throwable cause) {
        super(message, cause);
    }
}
