package app.layette.web.mail;

import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;

/** What counts as an e-mail address. */
final class MailAddresses {
    /** RFC 5321, section 4.5.3.1: a path with its brackets is 256 long. */
    private static final int LONGEST = 254;

    private MailAddresses() {}

    /** Whether a text is one address, with a domain and nothing around it. */
    static boolean isOne(String text) {
        if (text.length() > LONGEST || !text.contains("@")) {
            return false;
        }
        try {
            InternetAddress[] read = InternetAddress.parse(text, true);
            return read.length == 1 && text.equals(read[0].getAddress());
        } catch (AddressException e) {
            return false;
        }
    }
}
