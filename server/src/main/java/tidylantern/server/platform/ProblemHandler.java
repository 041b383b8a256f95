package tidylantern.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ThreadLocalRandom;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;

/** Every failure of the API as a problem (RFC 9457), with the member {@code field} where one field is at fault. */
@RestControllerAdvice
public class ProblemHandler extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);
    private static final Duration BETWEEN_TRACES = Duration.ofMinutes(1);
    private static final int MOST_KINDS = 1_000;

    private final Clock clock;
    private final DiskRoom room;
    /** By kind of failure, when it was told in full. */
    private final Map<String, Instant> told = new ConcurrentHashMap<>();

    ProblemHandler(Clock clock, DiskRoom room) {
        this.clock = clock;
        this.room = room;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        ResponseEntity.BodyBuilder answer =
                ResponseEntity.status(refusal.status()).contentType(MediaType.APPLICATION_PROBLEM_JSON);
        if (refusal.retryAfter() != null) {
            answer.header(HttpHeaders.RETRY_AFTER, refusal.retryAfter().toString());
        }
        return answer.body(Problems.of(refusal.status(), refusal.field(), String.valueOf(refusal.getMessage())));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongValue(IllegalArgumentException wrong) {
        return problem(HttpStatus.BAD_REQUEST, null, String.valueOf(wrong.getMessage()));
    }

    /** Security looks at names and values of parameters only when somebody reads them. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> signsThatNoneHas(RequestRejectedException wrong) {
        return problem(HttpStatus.BAD_REQUEST, null, "A parameter of the address holds signs that none has.");
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadableDocument(JacksonException wrong) {
        Refusal refusal = JsonProblems.of(wrong);
        return problem(HttpStatus.BAD_REQUEST, refusal.field(), String.valueOf(refusal.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> broken(Exception failure) {
        if (room.low()) {
            LOG.error("A request failed while the disk is full: {}", failure.toString());
            return problem(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    null,
                    "The disk is full, so this could not be done. Visitors are answered all the same. Make room, then try again.");
        }
        String number = HexFormat.of().toHexDigits(ThreadLocalRandom.current().nextInt());
        tell(number, failure);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                null,
                "The service could not do this; its log has the reason under the number %s. Nothing was half-done. Try again."
                        .formatted(number));
    }

    /**
     * One kind of failure is told in full once a minute, so that nobody can fill the log with it; each has its line.
     */
    private void tell(String number, Exception failure) {
        StackTraceElement[] trace = failure.getStackTrace();
        String kind = failure.getClass().getName() + (trace.length > 0 ? trace[0].toString() : "");
        Instant now = clock.instant();
        Instant before = told.get(kind);
        if (before == null || before.plus(BETWEEN_TRACES).isBefore(now)) {
            if (told.size() >= MOST_KINDS) {
                told.clear();
            }
            told.put(kind, now);
            LOG.error("A request failed ({})", number, failure);
        } else {
            LOG.error(
                    "A request failed ({}) as before: {}",
                    number,
                    failure.getClass().getSimpleName());
        }
    }

    /** A body that is no JSON, or JSON that does not fit. */
    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        Refusal refusal = unreadable.getCause() instanceof JacksonException wrong
                ? JsonProblems.of(wrong)
                : Refusal.bad(null, "The body is missing or cannot be read. Send a JSON object.");
        return asObject(problem(HttpStatus.BAD_REQUEST, refusal.field(), String.valueOf(refusal.getMessage())));
    }

    /** A parameter, or a part of the address, of another kind. */
    @Override
    protected @Nullable ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException mismatch, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String name = mismatch instanceof MethodArgumentTypeMismatchException argument
                ? argument.getName()
                : String.valueOf(mismatch.getPropertyName());
        Class<?> wanted = mismatch.getRequiredType();
        String what = wanted == null
                ? "something else"
                : wanted == Boolean.class || wanted == boolean.class
                        ? "true or false"
                        : Number.class.isAssignableFrom(wanted) || wanted.isPrimitive()
                                ? "a whole number"
                                : "something else";
        return asObject(
                problem(HttpStatus.BAD_REQUEST, name, "\"%s\" cannot be read; write %s, once.".formatted(name, what)));
    }

    private static ResponseEntity<Object> asObject(ResponseEntity<ProblemDetail> problem) {
        return ResponseEntity.status(problem.getStatusCode())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem.getBody());
    }

    private static ResponseEntity<ProblemDetail> problem(HttpStatus status, @Nullable String field, String detail) {
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(Problems.of(status, field, detail));
    }
}
