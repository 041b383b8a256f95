package tidylantern.server.platform;

import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** A request that cannot be done as it stands. Becomes an RFC 9457 problem; the detail says what to do. */
public final class Refusal extends RuntimeException {
    private final HttpStatus status;
    private final @Nullable String field;

    /** @param field the field, key or parameter at fault, as the sender named it; null where there is none */
    public Refusal(HttpStatus status, @Nullable String field, String detail) {
        super(detail);
        this.status = status;
        this.field = field;
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
}
