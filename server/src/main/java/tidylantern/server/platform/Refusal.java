package tidylantern.server.platform;

import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** A request that cannot be done as it stands. Becomes an RFC 9457 problem; the detail says what to do. */
public final class Refusal extends RuntimeException {
    private final HttpStatus status;
    private final @Nullable String field;
    private final @Nullable Integer retryAfter;

    /** @param field the field, key or parameter at fault, as the sender named it; null where there is none */
    public Refusal(HttpStatus status, @Nullable String field, String detail) {
        this(status, field, detail, null);
    }

    private Refusal(HttpStatus status, @Nullable String field, String detail, @Nullable Integer retryAfter) {
        super(detail);
        this.status = status;
        this.field = field;
        this.retryAfter = retryAfter;
    }

    /** Too much is asked just now; the very same can be asked again in a second. */
    public static Refusal busy(String detail) {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, detail, 1);
    }

    public static Refusal notFound(String detail) {
        return new Refusal(HttpStatus.NOT_FOUND, null, detail);
    }

    public static Refusal bad(@Nullable String field, String detail) {
        return new Refusal(HttpStatus.BAD_REQUEST, field, detail);
    }

    public static Refusal conflict(String detail) {
        return new Refusal(HttpStatus.CONFLICT, null, detail);
    }

    public HttpStatus status() {
        return status;
    }

    public @Nullable String field() {
        return field;
    }

    /** After how many seconds asking again may help; null where something else has to happen first. */
    public @Nullable Integer retryAfter() {
        return retryAfter;
    }
}
