package app.layette.web.account;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;

/** What a password has to be: long, not common, not made of the name. Nothing about which characters it has to hold. */
public final class PasswordRules {
    public static final int SHORTEST = 12;
    /** The hash function looks at no more. */
    public static final int MOST_BYTES = 72;

    private static final int FEWEST_DIFFERENT = 5;
    private static final Set<String> COMMON = read();

    private PasswordRules() {}

    /**
     * Why a password is not taken; empty when it is.
     *
     * @param about names that it must not be made of: of the person, of the point
     */
    public static Optional<String> refuse(String password, List<String> about) {
        if (password.length() < SHORTEST) {
            return Optional.of("PASSWORD_SHORT");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of("PASSWORD_LONG");
        }
        String plain = password.toLowerCase(Locale.ROOT);
        String bare = bare(plain);
        boolean common = COMMON.contains(plain)
                || COMMON.contains(bare)
                || plain.equals(DemoPassword.VALUE)
                || plain.chars().distinct().count() < FEWEST_DIFFERENT
                || repeats(plain);
        boolean named = about.stream()
                .map(each -> bare(each.toLowerCase(Locale.ROOT)))
                .filter(each -> each.length() >= 3)
                .anyMatch(each -> bare.replace(each, "").length() < SHORTEST / 2);
        return common ? Optional.of("PASSWORD_COMMON") : named ? Optional.of("PASSWORD_NAMED") : Optional.empty();
    }

    /** One short piece again and again. */
    private static boolean repeats(String text) {
        for (int length = 1; length <= text.length() / 2; length++) {
            String piece = text.substring(0, length);
            if (piece.repeat(text.length() / length + 1).startsWith(text)) {
                return true;
            }
        }
        return false;
    }

    /** Letters alone: what was hung on in front and behind makes a common word no rarer. */
    private static String bare(String text) {
        return text.replaceAll("[^\\p{L}]", "");
    }

    private static Set<String> read() {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                new ClassPathResource("common-passwords.txt").getInputStream(), StandardCharsets.UTF_8))) {
            return lines.lines()
                    .map(String::strip)
                    .filter(each -> !each.isEmpty() && !each.startsWith("#"))
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException("The list of common passwords cannot be read", e);
        }
    }
}
