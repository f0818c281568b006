package app.layette.web.mail;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * How the mail server is reached.
 *
 * @param host its name; empty where there is none
 * @param port where it listens
 * @param user whom it knows; empty where it asks nobody
 * @param password of that user
 * @param sender the address that letters come from
 * @param tls how the connection is kept secret
 */
@ConfigurationProperties("layette.mail")
record MailSettings(String host, int port, String user, String password, String sender, Tls tls) {
    private static final int HIGHEST_PORT = 65_535;

    /** How a connection is kept secret. */
    enum Tls {
        /** Begins plain and must become secret before anything is said; the usual way on port 587. */
        STARTTLS,
        /** Secret from the first byte; the usual way on port 465. */
        TLS,
        /** Plain: only to a server on this machine. */
        NONE
    }

    MailSettings {
        if (host != null && !host.isBlank()) {
            if (sender == null || !MailAddresses.isOne(sender)) {
                throw new IllegalArgumentException("LAYETTE_MAIL_SENDER (" + sender
                        + ") must be one e-mail address, such as fitting@example.org, where LAYETTE_MAIL_HOST is set");
            }
            if (port < 1 || port > HIGHEST_PORT) {
                throw new IllegalArgumentException(
                        "LAYETTE_MAIL_PORT (" + port + ") must be from 1 to " + HIGHEST_PORT);
            }
        }
    }
}
