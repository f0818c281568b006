package app.layette.web.fitting;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** There is no such fitting at this fitting point. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NoSuchFittingException extends RuntimeException {
    private static final long serialVersionUID = 1L;
}
