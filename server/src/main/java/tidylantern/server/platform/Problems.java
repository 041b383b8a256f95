package tidylantern.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes problems (RFC 9457) where no controller is at work: in filters. */
@Component
public class Problems {
    private final JsonMapper json;

    Problems(JsonMapper json) {
        this.json = json;
    }

    static ProblemDetail of(HttpStatus status, @Nullable String field, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        if (field != null) {
            problem.setProperty("field", field);
        }
        return problem;
    }

    public void write(HttpServletResponse response, Refusal refusal) throws IOException {
        write(response, refusal.status(), refusal.field(), String.valueOf(refusal.getMessage()));
    }

    /** @param field the field, parameter or header at fault; null where there is none */
    public void write(HttpServletResponse response, HttpStatus status, @Nullable String field, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        json.writeValue(response.getOutputStream(), of(status, field, detail));
    }
}
