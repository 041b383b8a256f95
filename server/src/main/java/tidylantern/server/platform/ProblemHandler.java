package tidylantern.server.platform;

import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tidylantern.core.design.DesignFault;
import tidylantern.core.mapping.MappingFault;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Every failure of the API as a problem (RFC 9457), with the member {@code field} where one field is at fault. */
@RestControllerAdvice
public class ProblemHandler extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal refusal) {
        return problem(refusal.status(), refusal.field(), String.valueOf(refusal.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongValue(IllegalArgumentException wrong) {
        return problem(HttpStatus.BAD_REQUEST, null, String.valueOf(wrong.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadableAddress(InvalidParameterException wrong) {
        return problem(HttpStatus.BAD_REQUEST, null, "A parameter of the address is not percent-encoded UTF-8.");
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> broken(Exception failure) {
        LOG.error("A request failed", failure);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, null, "The service could not do this; its log has the reason. Nothing was half-done. Try again.");
    }

    /** A body that is no JSON, or JSON that does not fit. */
    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(HttpMessageNotReadableException unreadable, HttpHeaders headers,
            HttpStatusCode status, WebRequest request) {
        Refusal refusal = unreadable.getCause() instanceof JacksonException wrong ? ofJson(wrong)
                : Refusal.bad(null, "The body is missing or cannot be read. Send a JSON object.");
        ResponseEntity<ProblemDetail> problem = problem(HttpStatus.BAD_REQUEST, refusal.field(), String.valueOf(refusal.getMessage()));
        return ResponseEntity.status(problem.getStatusCode()).body(problem.getBody());
    }

    /** Names the key at fault in a JSON document, down to the part that refused. */
    public static Refusal ofJson(JacksonException wrong) {
        String path = path(wrong);
        for (Throwable cause = wrong.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof DesignFault fault) {
                return Refusal.bad(path.isEmpty() ? fault.key() : path + "." + fault.key(), String.valueOf(fault.getMessage()));
            }
            if (cause instanceof MappingFault fault) {
                return Refusal.bad(path.isEmpty() ? fault.key() : path + "." + fault.key(), String.valueOf(fault.getMessage()));
            }
            if (cause instanceof Refusal refusal) {
                return Refusal.bad(path.isEmpty() ? refusal.field() : path + "." + refusal.field(), String.valueOf(refusal.getMessage()));
            }
            if (cause instanceof IllegalArgumentException refused && !(cause instanceof NumberFormatException)) {
                return Refusal.bad(path.isEmpty() ? null : path, String.valueOf(refused.getMessage()));
            }
        }
        if (wrong instanceof tools.jackson.databind.exc.UnrecognizedPropertyException unknown) {
            return Refusal.bad(path, "There is no key \"%s\" here; known are %s.".formatted(unknown.getPropertyName(), unknown.getKnownPropertyIds()));
        }
        if (wrong instanceof DatabindException) {
            return Refusal.bad(path.isEmpty() ? null : path, "This value does not fit: " + wrong.getOriginalMessage());
        }
        return Refusal.bad(null, "This is no JSON: " + wrong.getOriginalMessage());
    }

    private static String path(JacksonException wrong) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference reference : wrong.getPath()) {
            if (reference.getPropertyName() != null) {
                path.append(path.isEmpty() ? "" : ".").append(reference.getPropertyName());
            } else if (reference.getIndex() >= 0) {
                path.append('[').append(reference.getIndex()).append(']');
            }
        }
        return path.toString();
    }

    private static ResponseEntity<ProblemDetail> problem(HttpStatus status, @Nullable String field, String detail) {
        return ResponseEntity.status(status).contentType(MediaType.APPLICATION_PROBLEM_JSON).body(Problems.of(status, field, detail));
    }
}
