package app.layette.web.standin;

import app.layette.web.due.Mail;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.stereotype.Component;

/** Where no mail server is set up and nothing may pretend: no letter goes. */
@Component
@ConditionalOnExpression(
        "'${layette.mode:serve}' != 'demo' and !${layette.stand-ins:false}" + " and '${layette.mail.host:}'.isBlank()")
class NoMail implements Mail {
    @Override
    public Way way() {
        return Way.NONE;
    }

    @Override
    public boolean takes(String address) {
        return false;
    }

    @Override
    public void send(UUID point, Letter letter) throws NotTakenException {
        throw new NotTakenException(null);
    }
}
