package app.layette.web.workbench;

import app.layette.core.entry.Method;
import app.layette.core.run.StepKey;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** The views of the drawing board. */
enum View {
    SIDE("s"),
    CABIN("c"),
    HARNESS("h"),
    BELT("b"),
    TIMELINE("w");

    private final String shortcut;

    View(String shortcut) {
        this.shortcut = shortcut;
    }

    String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    String shortcut() {
        return shortcut;
    }

    /** The view that was asked for, or the one that a step is about. */
    static View of(String asked, StepKey step, Method method) {
        List<View> offered = offered(method);
        View natural = switch (step) {
            case PLACE -> CABIN;
            case FITS -> TIMELINE;
            case INSERT_STEP, SHOULDER, THREAD, HARNESS -> HARNESS;
            case ROUTE_BELT, TIGHTEN -> method.isBaseless() ? BELT : SIDE;
            default -> SIDE;
        };
        View wanted = Arrays.stream(values())
                .filter(each -> each.key().equals(asked))
                .findFirst()
                .orElse(natural);
        return offered.contains(wanted) ? wanted : CABIN;
    }

    /** Nothing is drawn that a method does not have: a child that lies flat has no recline to look at. */
    static List<View> offered(Method method) {
        return switch (method) {
            case CAR_BED -> List.of(CABIN, TIMELINE);
            case LAY_FLAT -> List.of(CABIN, HARNESS, TIMELINE);
            case BASELESS_AMERICAN, BASELESS_EUROPEAN -> List.of(values());
            default -> List.of(SIDE, CABIN, HARNESS, TIMELINE);
        };
    }
}
