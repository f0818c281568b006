package app.layette.core.finding;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Source;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One verdict of one rule.
 *
 * @param code the rule
 * @param weight how much it weighs
 * @param message key of the sentence, unique for each way a rule can end; its last part is the reason that tests assert
 * @param arguments the values it used, by the names that the sentence uses
 * @param sources where those values came from
 * @param changes keys of what would change the verdict
 * @param pages the permissions that it lacks: a page of a manual that was not read tells each of them
 * @param lacks the values of a sheet that it lacks: a page or a look tells each of them
 */
public record Finding(
        RuleCode code,
        Weight weight,
        String message,
        Map<String, Argument> arguments,
        List<Source> sources,
        List<String> changes,
        List<PermissionKey> pages,
        List<Lack> lacks) {

    private static final String PREFIX = "finding.";

    public Finding {
        arguments = Collections.unmodifiableMap(new LinkedHashMap<>(arguments));
        sources = List.copyOf(sources);
        changes = List.copyOf(changes);
        pages = List.copyOf(pages);
        lacks = List.copyOf(lacks);
    }

    /**
     * Starts a finding.
     *
     * @param message its whole key, {@code finding.HAR-4.padDiffers}: one search finds where it is made and what it says
     */
    public static Builder of(Weight weight, String message) {
        String code = message.substring(PREFIX.length(), message.lastIndexOf('.'));
        return new Builder(RuleCode.of(code), weight, message);
    }

    /** Starts a finding with a reason that several rules have. */
    public static Builder of(RuleCode code, Weight weight, String reason) {
        return new Builder(code, weight, PREFIX + code.text() + "." + reason);
    }

    /** The last part of the message key. */
    public String reason() {
        return message.substring(message.lastIndexOf('.') + 1);
    }

    /** What findings come to together; allowed where there is none. */
    public static Permission together(List<Finding> findings) {
        return findings.stream()
                .map(finding -> finding.weight().asPermission())
                .reduce(Permission.ALLOWED, Permission::and);
    }

    /** Collects the parts of a finding. */
    public static final class Builder {
        private final RuleCode code;
        private final Weight weight;
        private final String message;
        private final Map<String, Argument> arguments = new LinkedHashMap<>();
        private final List<Source> sources = new ArrayList<>();
        private final List<String> changes = new ArrayList<>();
        private final List<PermissionKey> pages = new ArrayList<>();
        private final List<Lack> lacks = new ArrayList<>();

        private Builder(RuleCode code, Weight weight, String message) {
            this.code = code;
            this.weight = weight;
            this.message = message;
        }

        public Builder with(String name, Object value) {
            arguments.put(name, Argument.of(value));
            return this;
        }

        public Builder from(Source source) {
            sources.add(source);
            return this;
        }

        public Builder from(Evidence<?> evidence) {
            evidence.source().ifPresent(sources::add);
            return this;
        }

        /** Names what would change the verdict; the key becomes {@code change.KEY}. */
        public Builder changedBy(String key) {
            changes.add("change." + key);
            return this;
        }

        /** Names a permission that it lacks; the page that tells it is asked for. */
        public Builder toldBy(PermissionKey permission) {
            pages.add(permission);
            return this;
        }

        /** Names values of a sheet that it lacks; the page or the look that tells each is asked for. */
        public Builder lacks(SheetValue... values) {
            return lacksAt("", values);
        }

        /** The same about one seating position. */
        public Builder lacksAt(Object place, SheetValue... values) {
            for (SheetValue value : values) {
                lacks.add(new Lack(value, String.valueOf(place)));
            }
            return this;
        }

        /** Names what others lack. */
        public Builder lacks(List<Lack> others) {
            lacks.addAll(others);
            return this;
        }

        public Finding build() {
            return new Finding(code, weight, message, arguments, sources, changes, pages, lacks);
        }
    }
}
