package app.layette.web.mail;

import app.layette.web.due.Mail;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** Hands letters to a mail server; sent is what the server has accepted. */
@Component
@EnableConfigurationProperties(MailSettings.class)
@ConditionalOnExpression(
        "'${layette.mode:serve}' != 'demo' and !${layette.stand-ins:false}" + " and !'${layette.mail.host:}'.isBlank()")
class SmtpMail implements Mail {
    private static final Logger LOG = LoggerFactory.getLogger(SmtpMail.class);
    private static final String CONNECT_MS = "5000";
    private static final String ANSWER_MS = "10000";

    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();
    private final String from;

    SmtpMail(MailSettings settings) {
        from = settings.sender();
        sender.setHost(settings.host());
        sender.setPort(settings.port());
        sender.setDefaultEncoding(StandardCharsets.UTF_8.name());
        boolean asked = settings.user() != null && !settings.user().isBlank();
        if (asked) {
            sender.setUsername(settings.user());
            sender.setPassword(settings.password());
        }
        Properties how = sender.getJavaMailProperties();
        how.put("mail.smtp.auth", String.valueOf(asked));
        how.put("mail.smtp.connectiontimeout", CONNECT_MS);
        how.put("mail.smtp.timeout", ANSWER_MS);
        how.put("mail.smtp.writetimeout", ANSWER_MS);
        boolean begins = settings.tls() == MailSettings.Tls.STARTTLS;
        how.put("mail.smtp.starttls.enable", String.valueOf(begins));
        how.put("mail.smtp.starttls.required", String.valueOf(begins));
        how.put("mail.smtp.ssl.enable", String.valueOf(settings.tls() == MailSettings.Tls.TLS));
        how.put("mail.smtp.ssl.checkserveridentity", "true");
        how.put("mail.smtp.ssl.protocols", "TLSv1.3 TLSv1.2");
    }

    @Override
    public Way way() {
        return Way.TO_AN_ADDRESS;
    }

    @Override
    public boolean takes(String address) {
        return MailAddresses.isOne(address);
    }

    @Override
    public void send(UUID point, Letter letter) throws NotTakenException {
        try {
            MimeMessage message = sender.createMimeMessage();
            MimeMessageHelper parts = new MimeMessageHelper(message, StandardCharsets.UTF_8.name());
            parts.setFrom(from);
            parts.setTo(letter.address());
            parts.setSubject(letter.subject());
            parts.setText(letter.body());
            message.setHeader("Auto-Submitted", "no");
            sender.send(message);
        } catch (MailException | MessagingException e) {
            // Whose letter it was stands in no log.
            LOG.warn("A letter was not taken: {}", e.getClass().getSimpleName());
            throw new NotTakenException(e);
        }
    }
}
