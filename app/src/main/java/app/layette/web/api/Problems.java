package app.layette.web.api;

import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Objects;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.server.ResponseStatusException;
import tools.jackson.databind.json.JsonMapper;

/** Every refusal of the API as a problem document (RFC 9457): what, which field, its value, and what is allowed. */
@RestControllerAdvice(basePackageClasses = Problems.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class Problems {
    private static final int SHOWN = 60;
    private static final int RETRY_SECONDS = 5;

    /** A refusal of a request's own. */
    static final class ApiException extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final HttpStatus status;
        private final String type;

        ApiException(HttpStatus status, String type, String detail) {
            super(detail);
            this.status = status;
            this.type = type;
        }

        static ApiException nothing(String what) {
            return new ApiException(HttpStatus.NOT_FOUND, "nothing-there", what + " is not there");
        }

        static ApiException field(String field, String value, String allowed) {
            String shown = value.length() > SHOWN ? value.substring(0, SHOWN) + "…" : value;
            return new ApiException(
                    HttpStatus.BAD_REQUEST,
                    "field",
                    "The field " + field + " (" + shown + ") is refused: allowed " + allowed);
        }
    }

    private static ProblemDetail problem(HttpStatusCode status, String type, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("/programs#problem-" + type));
        return problem;
    }

    /** Written where no controller is reached. */
    static void write(HttpServletResponse response, HttpStatus status, String type, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream()
                .write(JsonMapper.shared()
                        .writeValueAsBytes(new Written(
                                "/programs#problem-" + type, status.getReasonPhrase(), status.value(), detail)));
    }

    private record Written(String type, String title, int status, String detail) {}

    private static ResponseEntity<ProblemDetail> entity(ProblemDetail problem) {
        return ResponseEntity.status(problem.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(ApiException refused) {
        return entity(problem(refused.status, refused.type, Objects.requireNonNullElse(refused.getMessage(), "")));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(RefusedDocumentException refused) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "document", "The document cannot be taken");
        List<DocumentProblem> all = refused.problems();
        problem.setProperty("errors", all);
        return entity(problem);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(MethodArgumentTypeMismatchException wrong) {
        String value = String.valueOf(wrong.getValue());
        return entity(problem(
                HttpStatus.BAD_REQUEST,
                "field",
                "The field " + wrong.getName() + " (" + value.substring(0, Math.min(value.length(), SHOWN))
                        + ") cannot be read"));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(HttpMessageNotReadableException unreadable) {
        return entity(problem(HttpStatus.BAD_REQUEST, "document", "The body of the request cannot be read"));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(ResponseStatusException refused) {
        String detail = refused.getReason() == null ? "There is nothing here" : refused.getReason();
        return entity(problem(refused.getStatusCode(), "nothing-there", detail));
    }

    /** The database is away: whoever asks again in a while is answered. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> away(DataAccessResourceFailureException away) {
        ProblemDetail problem = problem(HttpStatus.SERVICE_UNAVAILABLE, "away", "The database is not there; ask again");
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, String.valueOf(RETRY_SECONDS))
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
