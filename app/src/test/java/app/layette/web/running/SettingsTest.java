package app.layette.web.running;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SettingsTest {
    private static Map<String, String> serving(String... more) {
        Map<String, String> given = new HashMap<>(Map.of(
                "LAYETTE_MODE",
                "serve",
                "LAYETTE_DB_URL",
                "jdbc:postgresql://127.0.0.1:5432/layette",
                "LAYETTE_DB_PASSWORD",
                "x"));
        for (int i = 0; i < more.length; i += 2) {
            given.put(more[i], more[i + 1]);
        }
        return given;
    }

    @Test
    void whatIsInOrderHasNoFault() {
        assertThat(Settings.faults(
                        serving("LAYETTE_PORT", "8443", "LAYETTE_SESSION_IDLE", "90m", "LAYETTE_LOG_FORMAT", "ecs")))
                .isEmpty();
        assertThat(Settings.faults(Map.of())).as("nothing is set in a test").isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LAYETTE_PORT | 70000 | LAYETTE_PORT (70000): cannot be used; allowed a whole number from 0 to 65535",
                "LAYETTE_PORT | x | LAYETTE_PORT (x)",
                "LAYETTE_DB_URL | postgres://host/x | LAYETTE_DB_URL (postgres://host/x): cannot be used; allowed jdbc:postgresql",
                "LAYETTE_DB_CONNECTIONS | 1 | a whole number from 2 to 200",
                "LAYETTE_BASE_URL | fitting.example | begins with http:// or https://",
                "LAYETTE_TRACES_URL | ftp://x/y | begins with http:// or https://",
                "LAYETTE_SESSION_IDLE | soon | a time such as 400ms, 30m or 12h",
                "LAYETTE_MAIL_TLS | ssl | STARTTLS, TLS, NONE",
                "LAYETTE_STAND_INS | yes | true, false",
                "LAYETTE_TLS_CERTIFICATE | /nowhere.pem | a readable PEM file",
                "LAYETTE_BASEURL | https://x.example | there is no such setting; the nearest is LAYETTE_BASE_URL",
                "LAYETTE_LEAD_NAME | runa | LAYETTE_LEAD_PASSWORD: is needed with LAYETTE_LEAD_NAME",
                "LAYETTE_MAIL_HOST | mail.example | LAYETTE_MAIL_SENDER: is needed with LAYETTE_MAIL_HOST",
            })
    void eachFaultIsSaidByNameValueAndWhatIsAllowed(String name, String value, String said) {
        assertThat(Settings.faults(serving(name, value))).anyMatch(fault -> fault.contains(said));
    }

    @Test
    void everyFaultIsSaidAtOnceAndNoSecretIs() {
        Map<String, String> given = new HashMap<>(Map.of(
                "LAYETTE_MODE",
                "serve",
                "LAYETTE_PORT",
                "x",
                "LAYETTE_MAIL_TLS",
                "y",
                "LAYETTE_DB_PASSWROD",
                "geheim"));
        List<String> faults = Settings.faults(given);
        assertThat(faults).hasSize(5).noneMatch(fault -> fault.contains("geheim"));
        assertThat(new FaultySettingsException(faults).getExitCode()).isEqualTo(2);
        assertThat(new FaultySettingsException(faults).getMessage()).contains(faults);
    }

    @Test
    void tracesAndTransportFollowFromWhatIsSet() {
        assertThat(Settings.following(Map.of())).containsEntry("management.tracing.enabled", false);
        assertThat(Settings.following(Map.of("LAYETTE_TRACES_URL", "http://127.0.0.1:4318/v1/traces")))
                .containsEntry("management.tracing.enabled", true)
                .containsEntry(
                        "management.opentelemetry.tracing.export.otlp.endpoint", "http://127.0.0.1:4318/v1/traces");
        assertThat(Settings.following(Map.of("LAYETTE_TLS_CERTIFICATE", "/c.pem", "LAYETTE_TLS_KEY", "/k.pem")))
                .containsEntry("server.ssl.bundle", "layette");
        assertThat(Settings.following(Map.of("LAYETTE_LOG_FORMAT", "ecs")))
                .containsEntry("logging.structured.format.console", "ecs");
    }
}
