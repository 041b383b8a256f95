package tidylantern.server.source;

/** A source cannot be read on. The message says to its owner what happened and what to do. */
final class SourceProblem extends Exception {
    SourceProblem(String message) {
        super(message);
    }

    SourceProblem(String message, Throwable cause) {
        super(message, cause);
    }
}
