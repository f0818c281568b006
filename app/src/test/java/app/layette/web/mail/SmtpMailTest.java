package app.layette.web.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.web.due.Mail.Letter;
import app.layette.web.due.Mail.NotTakenException;
import app.layette.web.mail.MailSettings.Tls;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.internet.MimeMessage;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Letters to a mail server that listens on this machine. */
class SmtpMailTest {
    private static final UUID POINT = UUID.randomUUID();
    private static final Letter LETTER =
            new Letter("W-1041", "family@example.org", "About Tamsín’s seat", "First line.\nSecond line: ñ.");

    private final GreenMail server = new GreenMail(List.of(
                    new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP),
                    new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTPS))
            .toArray(new ServerSetup[0]));

    @AfterEach
    void stop() {
        server.stop();
    }

    private SmtpMail mail(int port, Tls tls, String user) {
        return new SmtpMail(new MailSettings("127.0.0.1", port, user, "secret", "fitting@example.org", tls));
    }

    @Test
    void aLetterArrivesAsItWasWritten() throws Exception {
        server.start();
        mail(server.getSmtp().getPort(), Tls.NONE, "").send(POINT, LETTER);
        assertThat(server.getReceivedMessages()).hasSize(1);
        MimeMessage came = server.getReceivedMessages()[0];
        assertThat(came.getSubject()).isEqualTo(LETTER.subject());
        assertThat(came.getContent().toString().strip().replace("\r\n", "\n")).isEqualTo(LETTER.body());
        assertThat(came.getFrom()[0]).hasToString("fitting@example.org");
        assertThat(came.getAllRecipients()[0]).hasToString("family@example.org");
    }

    @Test
    void whoIsKnownThereSignsIn() throws Exception {
        server.setUser("fitting@example.org", "layette", "secret");
        server.start();
        mail(server.getSmtp().getPort(), Tls.NONE, "layette").send(POINT, LETTER);
        assertThat(server.getReceivedMessages()).hasSize(1);
        assertThatThrownBy(() ->
                        mail(server.getSmtp().getPort(), Tls.NONE, "stranger").send(POINT, LETTER))
                .isInstanceOf(NotTakenException.class);
    }

    /** A server that offers no secrecy, or shows a certificate that nobody vouches for, gets nothing. */
    @ParameterizedTest
    @EnumSource(
            value = Tls.class,
            names = {"STARTTLS", "TLS"})
    void nothingIsSaidToAServerThatCannotBeTrusted(Tls tls) {
        server.start();
        int port =
                tls == Tls.TLS ? server.getSmtps().getPort() : server.getSmtp().getPort();
        assertThatThrownBy(() -> mail(port, tls, "").send(POINT, LETTER)).isInstanceOf(NotTakenException.class);
        assertThat(server.getReceivedMessages()).isEmpty();
    }

    @Test
    void whereNobodyListensNothingIsSent() {
        server.start();
        int port = server.getSmtp().getPort();
        server.stop();
        assertThatThrownBy(() -> mail(port, Tls.NONE, "").send(POINT, LETTER)).isInstanceOf(NotTakenException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "family@example.org, true",
        "a.b+c@sub.example.org, true",
        "family, false",
        "'family@example.org, other@example.org', false",
        "Family <family@example.org>, false",
        "family@, false",
        "@example.org, false",
        "fam ily@example.org, false",
        "'', false"
    })
    void oneAddressAndNothingAroundIt(String text, boolean taken) {
        assertThat(mail(1, Tls.NONE, "").takes(text)).isEqualTo(taken);
        assertThat(mail(1, Tls.NONE, "").takes("x".repeat(250) + "@example.org"))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({"nobody, 587, LAYETTE_MAIL_SENDER", "fitting@example.org, 0, LAYETTE_MAIL_PORT"})
    void whatIsSetUpWrongIsNamed(String sender, int port, String named) {
        assertThatThrownBy(() -> new MailSettings("mail.example.org", port, "", "", sender, Tls.STARTTLS))
                .hasMessageContaining(named);
    }
}
