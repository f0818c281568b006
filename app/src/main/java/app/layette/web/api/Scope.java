package app.layette.web.api;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a program may. */
enum Scope {
    PLAN,
    SHEETS,
    FITTINGS,
    DUE,
    APPOINTMENTS,
    RECALLS,
    FHIR,
    METRICS;

    /** As it is written in documents and addresses. */
    String spelled() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** As the rules of the addresses name it. */
    String authority() {
        return "SCOPE_" + spelled();
    }

    static Optional<Scope> of(String spelled) {
        return Arrays.stream(values())
                .filter(each -> each.spelled().equals(spelled))
                .findFirst();
    }
}
