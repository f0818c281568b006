package app.layette.web.running;

import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.springframework.boot.convert.DurationStyle;

/**
 * A setting of the environment, with what it may be.
 *
 * @param allowed what is taken, for whoever gave something else
 * @param takes whether a value can be used
 */
record Setting(String name, String allowed, Function<String, Boolean> takes) {
    private static final int HIGHEST_PORT = 65535;
    private static final int MOST_CONNECTIONS = 200;
    private static final int FEWEST_CONNECTIONS = 2;
    private static final int MOST_SECONDS = 120;

    /** Every setting there is. */
    static final List<Setting> ALL = List.of(
            oneOf("LAYETTE_MODE", "serve", "demo", "holds", "prepare"),
            matching("LAYETTE_DB_URL", "jdbc:postgresql://host:port/name", "jdbc:postgresql://[^/]+/[^/?]+(\\?.*)?"),
            text("LAYETTE_DB_USER"),
            text("LAYETTE_DB_PASSWORD"),
            whole("LAYETTE_DB_CONNECTIONS", FEWEST_CONNECTIONS, MOST_CONNECTIONS),
            whole("LAYETTE_PORT", 0, HIGHEST_PORT),
            matching("LAYETTE_ADDRESS", "an address of this machine, such as 127.0.0.1 or 0.0.0.0", "[A-Za-z0-9.:-]+"),
            oneOf("LAYETTE_FORWARDED", "none", "native", "framework"),
            file("LAYETTE_TLS_CERTIFICATE", "a readable PEM file with the certificate and those it rests on"),
            file("LAYETTE_TLS_KEY", "a readable PEM file with the private key"),
            url("LAYETTE_BASE_URL", "http", "https"),
            url("LAYETTE_TRACES_URL", "http", "https"),
            url("LAYETTE_FHIR_URL", "http", "https"),
            duration("LAYETTE_SESSION_IDLE"),
            duration("LAYETTE_SESSION_LONGEST"),
            duration("LAYETTE_STEADY"),
            whole("LAYETTE_STOP_SECONDS", 1, MOST_SECONDS),
            bool("LAYETTE_STAND_INS"),
            bool("LAYETTE_WARM_UP"),
            text("LAYETTE_MAIL_HOST"),
            whole("LAYETTE_MAIL_PORT", 1, HIGHEST_PORT),
            text("LAYETTE_MAIL_USER"),
            text("LAYETTE_MAIL_PASSWORD"),
            matching("LAYETTE_MAIL_SENDER", "an e-mail address", "[^@\\s]+@[^@\\s]+"),
            oneOf("LAYETTE_MAIL_TLS", "STARTTLS", "TLS", "NONE"),
            text("LAYETTE_LOG_FILE"),
            oneOf("LAYETTE_LOG_FORMAT", "plain", "ecs", "logstash", "gelf"),
            oneOf("LAYETTE_LOG_CONSOLE", "TRACE", "DEBUG", "INFO", "WARN", "ERROR", "OFF"),
            text("LAYETTE_TESSERACT"),
            matching("LAYETTE_SECURITY_CONTACT", "a mailto: or https: address", "(mailto:|https://).+"),
            text("LAYETTE_LEAD_NAME"),
            text("LAYETTE_LEAD_PASSWORD"),
            text("LAYETTE_JAR"));

    static Optional<Setting> named(String name) {
        return ALL.stream().filter(each -> each.name().equals(name)).findFirst();
    }

    /** The name that somebody most likely meant. */
    static String near(String name) {
        return ALL.stream()
                .map(Setting::name)
                .min(Comparator.comparing(
                        each -> LevenshteinDistance.getDefaultInstance().apply(each, name)))
                .orElse("");
    }

    private static Setting text(String name) {
        return new Setting(name, "a text", value -> true);
    }

    private static Setting matching(String name, String allowed, String pattern) {
        return new Setting(name, allowed, value -> value.matches(pattern));
    }

    private static Setting oneOf(String name, String... values) {
        return new Setting(
                name,
                Arrays.stream(values).collect(Collectors.joining(", ")),
                value -> List.of(values).contains(value));
    }

    private static Setting bool(String name) {
        return oneOf(name, "true", "false");
    }

    private static Setting whole(String name, int lowest, int highest) {
        return new Setting(
                name,
                "a whole number from " + lowest + " to " + highest,
                value -> value.matches("\\d{1,6}")
                        && Integer.parseInt(value) >= lowest
                        && Integer.parseInt(value) <= highest);
    }

    private static Setting duration(String name) {
        return new Setting(name, "a time such as 400ms, 30m or 12h", value -> {
            try {
                return !DurationStyle.detectAndParse(value).isNegative();
            } catch (IllegalArgumentException | ArithmeticException e) {
                return false;
            }
        });
    }

    private static Setting url(String name, String... schemes) {
        return new Setting(name, "an address that begins with " + String.join(":// or ", schemes) + "://", value -> {
            try {
                URI uri = URI.create(value);
                return uri.getHost() != null && List.of(schemes).contains(uri.getScheme());
            } catch (IllegalArgumentException e) {
                return false;
            }
        });
    }

    private static Setting file(String name, String allowed) {
        return new Setting(
                name, allowed, value -> Files.isReadable(Path.of(value)) && Files.isRegularFile(Path.of(value)));
    }
}
