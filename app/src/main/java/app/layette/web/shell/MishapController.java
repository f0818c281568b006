package app.layette.web.shell;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.support.DefaultMessageSourceResolvable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.ModelAndView;

/** What is said when a request could not be answered: what was wrong with it, and that nothing kept is lost. */
@Controller
class MishapController implements ErrorController {
    /** Attribute of a request with a sentence of somebody who refused it. */
    static final String SENTENCE = MishapController.class.getName() + ".sentence";

    /** Where programs ask. */
    private static final String PROGRAMS = "/api/";

    private final MessageSource messages;

    MishapController(MessageSource messages) {
        this.messages = messages;
    }

    /** What is to be said of a request that is refused. */
    static MessageSourceResolvable sentence(String key, Object... arguments) {
        return new DefaultMessageSourceResolvable(new String[] {"mishap." + key}, arguments);
    }

    @RequestMapping(
            path = "/error",
            method = {
                RequestMethod.GET,
                RequestMethod.HEAD,
                RequestMethod.POST,
                RequestMethod.PUT,
                RequestMethod.PATCH,
                RequestMethod.DELETE,
                RequestMethod.OPTIONS
            })
    Object mishap(HttpServletRequest request, Locale locale) {
        // Whoever types this address has met with no mishap: there is no such page.
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? HttpStatus.valueOf(code)
                : HttpStatus.NOT_FOUND;
        if (String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI))
                .startsWith(PROGRAMS)) {
            // A program reads no page (RFC 9457).
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(ProblemDetail.forStatusAndDetail(status, sentence(request, status, Locale.ENGLISH)));
        }
        ModelAndView page = new ModelAndView("error", status);
        page.addObject("heading", heading(status, locale));
        page.addObject("sentence", sentence(request, status, locale));
        return page;
    }

    private String heading(HttpStatus status, Locale locale) {
        String key = switch (status) {
            case NOT_FOUND -> "nothing";
            case FORBIDDEN -> "notYours";
            case CONFLICT -> "alreadyThere";
            case BAD_REQUEST, UNPROCESSABLE_CONTENT, METHOD_NOT_ALLOWED, UNSUPPORTED_MEDIA_TYPE -> "notTaken";
            case CONTENT_TOO_LARGE -> "tooLarge";
            case TOO_MANY_REQUESTS, SERVICE_UNAVAILABLE -> "tooMuch";
            default -> "wrong";
        };
        return messages.getMessage("mishap." + key, null, locale);
    }

    private String sentence(HttpServletRequest request, HttpStatus status, Locale locale) {
        if (request.getAttribute(SENTENCE) instanceof MessageSourceResolvable said) {
            return messages.getMessage(said, locale);
        }
        String key = switch (status) {
            case NOT_FOUND -> "nothing.why";
            case FORBIDDEN -> "notYours.why";
            case CONTENT_TOO_LARGE -> "tooLarge.why";
            default -> "wrong.why";
        };
        return messages.getMessage("mishap." + key, null, locale);
    }
}
