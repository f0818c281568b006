package app.layette.web.workbench;

import app.layette.core.drawing.BeltView;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.TimelineView;
import app.layette.core.drawing.cabin.CabinView;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.seat.SettingId;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * The views of the drawing board, each with all that is to know of it: its key, how it is drawn, the methods that it can
 * be drawn for and the steps that it belongs to. The first that belongs to a step is shown there, and the first of all
 * where none does. A view that is wider than a phone is scrolled along, and has words for what it shows then.
 */
enum View {
    SIDE(
            "s",
            shown -> SideView.of(shown.situation(), shown.tried(), shown.marks()),
            Method::isReclined,
            EnumSet.noneOf(StepKey.class)),
    CABIN(
            "c",
            shown -> CabinView.of(shown.situation(), CabinAnswers.of(shown.situation()), shown.picked()),
            method -> true,
            EnumSet.of(StepKey.PLACE)),
    HARNESS(
            "h",
            shown -> HarnessView.of(shown.situation()),
            Method::isThroughSlots,
            EnumSet.of(StepKey.INSERT_STEP, StepKey.SHOULDER, StepKey.THREAD, StepKey.HARNESS)),
    BELT(
            "b",
            shown -> BeltView.of(shown.situation()),
            Method::isBaseless,
            EnumSet.of(StepKey.ROUTE_BELT, StepKey.TIGHTEN),
            Optional.of("page.bench.beltRoute")),
    TIMELINE(
            "w",
            shown -> TimelineView.of(shown.situation()),
            method -> true,
            EnumSet.of(StepKey.FITS),
            Optional.of("page.bench.alongDays"));

    /**
     * What a view is drawn of.
     *
     * @param tried the setting that is tried, empty for the one that is set
     * @param picked the place that is looked at
     * @param marks what the look that is due asks
     */
    record Shown(Situation situation, Optional<SettingId> tried, String picked, List<Ask> marks) {}

    private final String shortcut;
    private final Function<Shown, Drawing> drawn;
    private final Predicate<Method> drawnFor;
    private final Set<StepKey> at;
    private final Optional<String> scrolledAlong;

    View(String shortcut, Function<Shown, Drawing> drawn, Predicate<Method> drawnFor, Set<StepKey> at) {
        this(shortcut, drawn, drawnFor, at, Optional.empty());
    }

    View(
            String shortcut,
            Function<Shown, Drawing> drawn,
            Predicate<Method> drawnFor,
            Set<StepKey> at,
            Optional<String> scrolledAlong) {
        this.shortcut = shortcut;
        this.drawn = drawn;
        this.drawnFor = drawnFor;
        this.at = at;
        this.scrolledAlong = scrolledAlong;
    }

    String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    String shortcut() {
        return shortcut;
    }

    Drawing draw(Shown shown) {
        return drawn.apply(shown);
    }

    /** The key of the words for a view that is scrolled along. */
    Optional<String> scrolledAlong() {
        return scrolledAlong;
    }

    /** The view that was asked for, or the one that a step is about; the cabin where that is not drawn. */
    static View of(String asked, StepKey step, Method method) {
        List<View> offered = offered(method);
        View natural = offered.stream()
                .filter(each -> each.at.contains(step))
                .findFirst()
                .orElse(SIDE);
        View wanted = Arrays.stream(values())
                .filter(each -> each.key().equals(asked))
                .findFirst()
                .orElse(natural);
        return offered.contains(wanted) ? wanted : CABIN;
    }

    /** Nothing is drawn that a method does not have: a child that lies flat has no recline to look at. */
    static List<View> offered(Method method) {
        return Arrays.stream(values())
                .filter(view -> view.drawnFor.test(method))
                .toList();
    }
}
