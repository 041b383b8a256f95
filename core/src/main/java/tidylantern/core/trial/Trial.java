package tidylantern.core.trial;

/**
 * A query that is kept with one thing expected of it; more about the same query are trials of their own.
 *
 * @param query as a visitor types it, up to {@value #LONGEST_QUERY} characters
 */
public record Trial(String query, Expectation expected) {
    public static final int LONGEST_QUERY = 200;

    public Trial {
        query = query.strip();
        if (query.isEmpty() || query.length() > LONGEST_QUERY) {
            throw new TrialFault("query", "Say what a visitor types, in up to %d letters.".formatted(LONGEST_QUERY));
        }
    }
}
