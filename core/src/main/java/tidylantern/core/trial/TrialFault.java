package tidylantern.core.trial;

/** A trial that cannot be kept. The message says why, and what to do. */
public final class TrialFault extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String field;

    TrialFault(String field, String message) {
        super(message);
        this.field = field;
    }

    /** What is at fault: {@code query}, {@code first}, {@code number} or {@code suggestion}. */
    public String field() {
        return field;
    }
}
