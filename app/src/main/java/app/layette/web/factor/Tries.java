package app.layette.web.factor;

import app.layette.web.account.Attempts;
import jakarta.servlet.http.HttpServletRequest;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;

/** Looks at a code or a password only as often as at a sign-in: six digits are guessed in no time otherwise. */
@Component
class Tries {
    /** What came of a try. */
    enum Outcome {
        TAKEN,
        WRONG,
        WAITS
    }

    private final Attempts attempts;

    Tries(Attempts attempts) {
        this.attempts = attempts;
    }

    Outcome of(String name, HttpServletRequest request, BooleanSupplier isRight) {
        // Apart from signing in: a password that was right frees no tries at the code.
        String account = "code " + name;
        if (!attempts.wait(account, request.getRemoteAddr()).isZero()) {
            return Outcome.WAITS;
        }
        if (isRight.getAsBoolean()) {
            attempts.succeeded(account, request.getRemoteAddr());
            return Outcome.TAKEN;
        }
        attempts.failed(account, request.getRemoteAddr());
        return Outcome.WRONG;
    }
}
