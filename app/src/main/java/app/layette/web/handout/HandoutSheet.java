package app.layette.web.handout;

import app.layette.core.drawing.CabinView;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.harness.HarnessAnswers;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.run.SheetSays;
import app.layette.core.seat.InsertPiece;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.DateWords;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RemovalWords;
import app.layette.web.paper.PaperSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The family's page, in one language: their settings, each ride, each month, what comes next. Until the fitting is handed
 * over it says on its face that it is a draft.
 */
public record HandoutSheet(
        String title,
        String point,
        String reference,
        boolean handedOver,
        String state,
        List<Setting> settings,
        List<String> each,
        List<String> removal,
        List<Coming> dates,
        List<String> pictures,
        String paper,
        Wording words) {
    private static final int RIDE_LINES = 4;

    /** One of the family's settings. */
    public record Setting(String name, String value) {}

    /** A dated line of what comes next. */
    public record Coming(String on, String what) {}

    /** What a label of the page says. */
    public String say(String key) {
        return words.say("handout." + key);
    }

    static HandoutSheet of(Fittings.Planned fitting, String point, Wording words) {
        FittingPlan plan = fitting.plan();
        String snug = HarnessAnswers.snugTest(plan.situation())
                .map(test -> words.say("snug." + test))
                .orElse("");
        List<String> each = new ArrayList<>();
        for (int line = 1; line <= RIDE_LINES; line++) {
            each.add(words.say("handout.each." + line, Map.of("snug", Argument.of(snug)))
                    .strip());
        }
        each.addAll(ride(plan.method(), words));
        SheetSays.forTheFamily(plan.situation())
                .forEach(saying -> each.add(words.say(saying.message(), saying.arguments())));
        return new HandoutSheet(
                words.say("handout.title", Map.of("child", Argument.of(fitting.childName()))),
                point,
                fitting.reference(),
                plan.state() == FittingState.HANDED_OVER,
                words.say("handout.draftState", Map.of("state", new Argument.OfKey("state." + plan.state()))),
                settings(plan.situation(), words),
                each,
                RemovalWords.of(plan.situation(), words),
                plan.dates().stream()
                        .map(event -> new Coming(DateWords.when(event, words), words.say(event.key())))
                        .toList(),
                pictures(plan, words),
                plan.situation()
                        .practice()
                        .lawCountry()
                        .map(PaperSize::in)
                        .orElse(PaperSize.A4)
                        .css(),
                words);
    }

    /** What the method has to show: a child that lies flat has no recline. */
    private static List<String> pictures(FittingPlan plan, Wording words) {
        Drawing cabin = CabinView.of(plan.situation(), CabinAnswers.of(plan.situation()));
        List<Drawing> views = plan.method().isReclined()
                ? List.of(SideView.of(plan.situation()), HarnessView.of(plan.situation()))
                : List.of(cabin);
        return views.stream().map(view -> SvgWriter.write(view, words)).toList();
    }

    /** What fixes it for a ride, and what to look at. */
    private static List<String> ride(Method method, Wording words) {
        String fixing = method.isOnBase()
                ? "ride.BASE"
                : method.isBaseless() || method == Method.LAY_FLAT ? "ride." + method : "ride.FIXED";
        return List.of(words.say(fixing), words.say(method.isReclined() ? "ride.LEVEL" : "ride.FLAT"));
    }

    private static List<Setting> settings(Situation situation, Wording words) {
        List<Setting> settings = new ArrayList<>();
        situation
                .seat()
                .ifPresent(seat -> add(settings, words, "SEAT", seat.identity().fullName()));
        situation
                .car()
                .ifPresent(car -> add(settings, words, "CAR", car.fullName().strip()));
        situation
                .placed()
                .ifPresent(placed -> add(
                        settings,
                        words,
                        "PLACE",
                        words.say("place." + placed.value().position()) + ", "
                                + words.say("method." + placed.value().method())));
        situation
                .newest(Fact.SlotsSet.class)
                .ifPresent(set -> add(
                        settings,
                        words,
                        "SLOT",
                        words.say(
                                set.value().loop() == null || set.value().loop().isBlank()
                                        ? "handout.slot"
                                        : "handout.slotAndLoop",
                                Map.of(
                                        "slot", Argument.of(set.value().leftShell()),
                                        "loop",
                                                Argument.of(
                                                        set.value().loop() == null
                                                                ? ""
                                                                : set.value().loop())))));
        situation
                .newest(Fact.CrotchSet.class)
                .ifPresent(set -> add(
                        settings,
                        words,
                        "CROTCH",
                        words.say(
                                "current.opening",
                                Map.of("opening", Argument.of(set.value().opening())))));
        for (InsertPiece piece :
                situation.seat().flatMap(seat -> seat.insert().value()).orElse(List.of())) {
            situation
                    .insert(piece)
                    .ifPresent(set -> settings.add(
                            new Setting(piece.name(), words.say(set.value().in() ? "insert.in" : "insert.out"))));
        }
        situation
                .newest(Fact.DeviceSet.class)
                .ifPresent(set -> add(settings, words, "DEVICE", set.value().step()));
        situation
                .level(Fact.Stage.CHILD)
                .ifPresent(level -> situation
                        .seat()
                        .flatMap(seat -> seat.recline().indicator().value())
                        .ifPresent(indicator -> add(
                                settings,
                                words,
                                "LEVEL",
                                words.say("reading." + indicator.kind() + "."
                                        + level.value().reading()))));
        situation
                .newest(Fact.HandleSet.class)
                .ifPresent(set -> add(
                        settings,
                        words,
                        "HANDLE",
                        words.say("handle." + set.value().position())));
        return settings;
    }

    private static void add(List<Setting> settings, Wording words, String name, String value) {
        settings.add(new Setting(words.say("handout." + name), value));
    }
}
