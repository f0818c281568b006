package app.layette.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;

/** Says what was wrong with a request that no form of ours sends, naming the field and its value. */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class Refusals {
    private static final int LONGEST_SHOWN = 60;

    @ExceptionHandler
    void refuse(MethodArgumentTypeMismatchException wrong, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        if (wrong.getParameter().hasParameterAnnotation(PathVariable.class)) {
            response.sendError(HttpStatus.NOT_FOUND.value());
            return;
        }
        String value = String.valueOf(wrong.getValue());
        say(
                MishapController.sentence(
                        "wrongKind", wrong.getName(), value.substring(0, Math.min(value.length(), LONGEST_SHOWN))),
                HttpStatus.BAD_REQUEST,
                request,
                response);
    }

    @ExceptionHandler
    void refuse(
            MissingServletRequestParameterException missing, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        say(MishapController.sentence("needed", missing.getParameterName()), HttpStatus.BAD_REQUEST, request, response);
    }

    @ExceptionHandler
    void refuse(MissingServletRequestPartException missing, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        say(
                MishapController.sentence("noFile", missing.getRequestPartName()),
                HttpStatus.BAD_REQUEST,
                request,
                response);
    }

    @ExceptionHandler
    void refuse(MultipartException broken, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        boolean large = broken instanceof MaxUploadSizeExceededException;
        say(
                MishapController.sentence(large ? "largeFile" : "brokenFile"),
                large ? HttpStatus.CONTENT_TOO_LARGE : HttpStatus.BAD_REQUEST,
                request,
                response);
    }

    /** Two hands at once: the database let one of them in. */
    @ExceptionHandler
    void refuse(DataIntegrityViolationException twice, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        say(MishapController.sentence("twice"), HttpStatus.CONFLICT, request, response);
    }

    private static void say(
            MessageSourceResolvable sentence,
            HttpStatus status,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        request.setAttribute(MishapController.SENTENCE, sentence);
        response.sendError(status.value());
    }
}
