package app.layette.web.shell;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.ModelAndView;

/** What is said when a request could not be answered: what was wrong with it, and that nothing kept is lost. */
@Controller
class MishapController implements ErrorController {
    /** Attribute of a request with a sentence of somebody who refused it. */
    static final String SENTENCE = MishapController.class.getName() + ".sentence";

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
    ModelAndView mishap(HttpServletRequest request) {
        // Whoever types this address has met with no mishap: there is no such page.
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? HttpStatus.valueOf(code)
                : HttpStatus.NOT_FOUND;
        ModelAndView page = new ModelAndView("error", status);
        page.addObject("heading", heading(status));
        page.addObject("sentence", sentence(request, status));
        return page;
    }

    private static String heading(HttpStatus status) {
        return switch (status) {
            case NOT_FOUND -> "There is nothing here";
            case FORBIDDEN -> "Not yours to do";
            case CONFLICT -> "Already there";
            case BAD_REQUEST, UNPROCESSABLE_CONTENT, METHOD_NOT_ALLOWED, UNSUPPORTED_MEDIA_TYPE -> "Not taken";
            case CONTENT_TOO_LARGE -> "Too large";
            case TOO_MANY_REQUESTS, SERVICE_UNAVAILABLE -> "Too much at once";
            default -> "Something went wrong";
        };
    }

    private static String sentence(HttpServletRequest request, HttpStatus status) {
        if (request.getAttribute(SENTENCE) instanceof String said) {
            return said;
        }
        return switch (status) {
            case NOT_FOUND -> "The page or the fitting is not at this fitting point.";
            case FORBIDDEN -> "Your role does not do this, or the page is from before you signed in. Open it again.";
            case CONTENT_TOO_LARGE -> "What was sent is larger than anything that is asked for here.";
            default -> "Nothing that was kept is lost. Go back and try again.";
        };
    }
}
