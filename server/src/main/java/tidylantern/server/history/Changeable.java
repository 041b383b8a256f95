package tidylantern.server.history;

import org.jspecify.annotations.Nullable;
import tidylantern.server.key.SiteKey;

/**
 * A kind of thing that owners change by hand, such as a site's look. Whoever keeps such things has {@link History} know
 * how they are, so that a change of them can be taken back.
 *
 * @param <W> names one of them; kept as JSON
 * @param <S> the state that a change puts another in place of; kept as JSON, and equal to what is read of it again
 */
public abstract class Changeable<W, S> {
    private final String kind;
    private final Class<W> subject;
    private final Class<S> state;

    /** @param kind as stored changes name it, 20 characters at most; it stays as it is once there are any */
    protected Changeable(String kind, Class<W> subject, Class<S> state) {
        this.kind = kind;
        this.subject = subject;
        this.state = state;
    }

    final String kind() {
        return kind;
    }

    final Class<W> subject() {
        return subject;
    }

    final Class<S> state() {
        return state;
    }

    /** Whether only owners of the site change it, and so take changes of it back. */
    protected boolean ownersOnly() {
        return false;
    }

    /** As it is now; null where there is no such thing. Read within the transaction of a change. */
    protected abstract @Nullable S now(SiteKey site, W subject);

    /**
     * Has it be so again, as if an owner asked for it: with the same checks, and noted as a change of its own.
     *
     * @param state never that there is no such thing: what was added is deleted in its own place
     * @throws RuntimeException a refusal that says why it cannot be so again
     */
    protected abstract void putBack(SiteKey site, W subject, S state);

    /** What became of it, in a sentence without a full stop; {@link Told} puts one together. */
    protected abstract String told(SiteKey site, W subject, @Nullable S before, @Nullable S after);
}
