package tidylantern.server.platform;

/** Headers of our own that visitors' browsers may read. */
public final class PublicHeaders {
    /** Tells elements where a draft stands, or that visitors are to draw a side of a split. */
    public static final String DRAFT_OFFER = "Tidy-Lantern-Draft";

    private PublicHeaders() {}
}
