package app.layette.web.standin;

import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.due.Mail;
import app.layette.web.fitting.FamilyErased;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** A mail service that pretends: letters are kept, and can be read in the browser. */
@StandIn
@Controller
class SimulatedMailbox implements Mail {
    private static final int MOST_SHOWN = 100;

    /** A letter as it lies in the box. */
    public record Kept(String at, String recipient, String subject, String body) {}

    private record Row(Instant at, String recipient, String subject, String body) {}

    private final JdbcClient jdbc;
    private final Viewing viewing;

    SimulatedMailbox(JdbcClient jdbc, Viewing viewing) {
        this.jdbc = jdbc;
        this.viewing = viewing;
    }

    @Override
    public Way way() {
        return Way.PRETENDED;
    }

    @Override
    public boolean takes(String address) {
        return true;
    }

    @Override
    public void send(UUID point, Letter letter) {
        jdbc.sql("insert into simulated_mail (id, point_id, at, recipient, subject, body)"
                        + " values (:id, :point, :at, :recipient, :subject, :body)")
                .param("id", UUID.randomUUID())
                .param("point", point)
                .param("at", Timestamp.from(viewing.clock().instant()))
                .param("recipient", letter.recipient())
                .param("subject", letter.subject())
                .param("body", letter.body())
                .update();
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        jdbc.sql("delete from simulated_mail where point_id = :point and recipient = :recipient")
                .param("point", erased.point())
                .param("recipient", erased.reference())
                .update();
    }

    @GetMapping("/mailbox")
    String mailbox(@AuthenticationPrincipal SignedIn user, Model model) {
        List<Kept> letters = jdbc
                .sql("select at, recipient, subject, body from simulated_mail where point_id = :point"
                        + " order by at desc limit " + MOST_SHOWN)
                .param("point", user.pointId())
                .query((row, number) -> new Row(
                        row.getTimestamp("at").toInstant(),
                        row.getString("recipient"),
                        row.getString("subject"),
                        row.getString("body")))
                .list()
                .stream()
                .map(row -> new Kept(
                        viewing.wording(user)
                                .moment(row.at().atZone(viewing.point(user).zone())),
                        row.recipient(),
                        row.subject(),
                        row.body()))
                .toList();
        model.addAttribute("letters", letters);
        return "standin/mailbox";
    }
}
