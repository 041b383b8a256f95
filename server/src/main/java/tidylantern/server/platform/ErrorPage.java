package tidylantern.server.platform;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * What is answered where a request came to no controller: a problem like any other, without a word of how it is made.
 */
@Hidden
@RestController
class ErrorPage implements ErrorController {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorPage.class);

    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                        && HttpStatus.resolve(code) != null
                ? HttpStatus.valueOf(code)
                : HttpStatus.NOT_FOUND;
        if (request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof RequestRejectedException) {
            status = HttpStatus.BAD_REQUEST;
        }
        if (status.is5xxServerError()) {
            LOG.error(
                    "A request failed before it came to anybody: {}",
                    String.valueOf(request.getAttribute(RequestDispatcher.ERROR_EXCEPTION)));
        }
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(Problems.of(
                        status,
                        null,
                        switch (status) {
                            case NOT_FOUND -> "There is nothing at this address.";
                            case BAD_REQUEST ->
                                "The request cannot be read. Its address holds signs that none has, or is not percent-encoded UTF-8.";
                            case METHOD_NOT_ALLOWED -> "This cannot be done at this address.";
                            default ->
                                status.is5xxServerError()
                                        ? "The service could not do this; its log has the reason. Try again."
                                        : status.getReasonPhrase() + ".";
                        }));
    }
}
