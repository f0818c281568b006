package app.layette.web.running;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.Ordered;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.StandardEnvironment;

/**
 * Reads the settings of the environment before anything is started with them. What cannot be used is said all at once,
 * by name, value and what is allowed; a secret's value is never said.
 */
public final class Settings implements EnvironmentPostProcessor, Ordered {
    private static final String PREFIX = "LAYETTE_";
    /** The tests' own, and those of the scripts. */
    private static final String TESTS = "LAYETTE_TEST_";

    private static final List<String> NEEDED = List.of("LAYETTE_DB_URL", "LAYETTE_DB_PASSWORD");

    @Override
    public int getOrder() {
        return Ordered.LOWEST_PRECEDENCE;
    }

    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        Map<String, String> given = given(environment);
        if (environment.getPropertySources().contains(StandardEnvironment.SYSTEM_ENVIRONMENT_PROPERTY_SOURCE_NAME)) {
            List<String> faults = faults(given);
            if (!faults.isEmpty()) {
                throw new FaultySettingsException(faults);
            }
        }
        environment.getPropertySources().addFirst(new MapPropertySource("layette", following(given)));
    }

    private static Map<String, String> given(ConfigurableEnvironment environment) {
        Map<String, String> given = new TreeMap<>();
        environment.getSystemEnvironment().forEach((name, value) -> {
            // An empty one is as good as none: a unit file or a script may name it and leave it open.
            if (name.startsWith(PREFIX)
                    && !name.startsWith(TESTS)
                    && !String.valueOf(value).isBlank()) {
                given.put(name, String.valueOf(value));
            }
        });
        return given;
    }

    /** Everything that is wrong with these settings, a sentence each. */
    static List<String> faults(Map<String, String> given) {
        List<String> faults = new ArrayList<>();
        given.forEach((name, value) -> {
            Optional<Setting> setting = Setting.named(name);
            if (setting.isEmpty()) {
                faults.add(name + ": there is no such setting; the nearest is " + Setting.near(name));
            } else if (!setting.get().takes().apply(value)) {
                faults.add(name + " (" + said(name, value) + "): cannot be used; allowed "
                        + setting.get().allowed());
            }
        });
        boolean serves = given.getOrDefault("LAYETTE_MODE", "").equals("serve");
        NEEDED.stream()
                .filter(name -> serves && !given.containsKey(name))
                .forEach(name -> faults.add(name + ": is needed"));
        pair("LAYETTE_TLS_CERTIFICATE", "LAYETTE_TLS_KEY", given, faults);
        pair("LAYETTE_LEAD_NAME", "LAYETTE_LEAD_PASSWORD", given, faults);
        if (given.containsKey("LAYETTE_MAIL_HOST") && !given.containsKey("LAYETTE_MAIL_SENDER")) {
            faults.add("LAYETTE_MAIL_SENDER: is needed with LAYETTE_MAIL_HOST");
        }
        return faults;
    }

    private static void pair(String one, String other, Map<String, String> given, List<String> faults) {
        if (given.containsKey(one) != given.containsKey(other)) {
            faults.add((given.containsKey(one) ? other : one) + ": is needed with "
                    + (given.containsKey(one) ? one : other));
        }
    }

    private static String said(String name, String value) {
        return name.endsWith("PASSWORD") ? "not shown" : value;
    }

    /** What follows from the settings for what stands beneath. */
    static Map<String, Object> following(Map<String, String> given) {
        Map<String, Object> following = new HashMap<>();
        if (given.containsKey("LAYETTE_TLS_CERTIFICATE")) {
            following.put(
                    "spring.ssl.bundle.pem.layette.keystore.certificate",
                    "file:" + given.get("LAYETTE_TLS_CERTIFICATE"));
            following.put("spring.ssl.bundle.pem.layette.keystore.private-key", "file:" + given.get("LAYETTE_TLS_KEY"));
            // A certificate that was renewed is taken without a stop.
            following.put("spring.ssl.bundle.pem.layette.reload-on-update", true);
            following.put("server.ssl.bundle", "layette");
        }
        boolean traced = given.containsKey("LAYETTE_TRACES_URL");
        following.put("management.tracing.enabled", traced);
        following.put("management.tracing.export.otlp.enabled", traced);
        following.put("management.opentelemetry.enabled", traced);
        if (!traced) {
            // Nobody follows a request by its number.
            following.put("logging.pattern.correlation", "");
        }
        if (traced) {
            following.put("management.opentelemetry.tracing.export.otlp.endpoint", given.get("LAYETTE_TRACES_URL"));
        }
        String format = given.getOrDefault("LAYETTE_LOG_FORMAT", "plain");
        if (!format.equals("plain")) {
            following.put("logging.structured.format.console", format);
            following.put("logging.structured.format.file", format);
        }
        return following;
    }
}
