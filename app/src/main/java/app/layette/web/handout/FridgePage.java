package app.layette.web.handout;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.finding.RuleCode;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.gate.ConclusionState;
import app.layette.core.rule.Conclusion;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.Recline.DeviceKind;
import app.layette.core.secure.HandleForDriving;
import app.layette.formats.svg.FamilyPictures;
import app.layette.formats.svg.FamilyPictures.Fixing;
import app.layette.formats.svg.ReadingPicture;
import app.layette.formats.wording.Wording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What hangs on the fridge: four settings as drawings with one line each and why, each ride in six drawings, and the
 * dates along one line of time.
 */
public record FridgePage(List<Panel> panels, List<Ride> rides, List<Mark> line) {
    private static final int MOST_PANELS = 4;
    private static final int RIDES = 6;
    private static final int MOST_MARKS = 6;

    /** A setting: what it is, how to keep it, why, and the rule whose page says more. */
    public record Panel(String picture, String title, String how, String why, RuleCode rule) {}

    /** One drawing of each ride. */
    public record Ride(String picture, String says) {}

    /** A date on the line of time; {@code likely} when it is computed from growing. */
    public record Mark(String when, String what, boolean likely) {}

    static FridgePage of(FittingPlan plan, Wording words) {
        return new Drawer(plan, words).draw();
    }

    /** Chooses what there is to draw. */
    private static final class Drawer {
        private final FittingPlan plan;
        private final Situation situation;
        private final Wording words;
        private final List<Panel> panels = new ArrayList<>();

        Drawer(FittingPlan plan, Wording words) {
            this.plan = plan;
            this.situation = plan.situation();
            this.words = words;
        }

        FridgePage draw() {
            if (isSettled(Conclusion.SLOT)) {
                slot();
            }
            device();
            if (isSettled(Conclusion.LEVEL)) {
                level();
            }
            if (isSettled(Conclusion.HANDLE)) {
                handle();
            }
            insert();
            fixing();
            List<Panel> shown = panels.size() > MOST_PANELS ? panels.subList(0, MOST_PANELS) : panels;
            return new FridgePage(List.copyOf(shown), rides(), line());
        }

        /** What is over was in order when it ended; before that only what passed is shown as if it were. */
        private boolean isSettled(Conclusion conclusion) {
            boolean over = plan.state() == FittingState.HANDED_OVER || plan.state() == FittingState.TAUGHT;
            return over
                    || plan.gate()
                            .state(conclusion)
                            .filter(state -> state.state() == ConclusionState.State.PASSED)
                            .isPresent();
        }

        private void panel(String key, String picture, Map<String, Argument> values, RuleCode rule) {
            String why = "fridge." + key + ".why";
            panels.add(new Panel(
                    picture,
                    words.say("fridge." + key, values),
                    words.say("fridge." + key + ".how"),
                    words.say(why),
                    rule));
        }

        private void slot() {
            int slots = situation
                    .seat()
                    .flatMap(seat -> seat.shell().slots().value())
                    .map(List::size)
                    .orElse(0);
            slotInUse().filter(chosen -> chosen > 0).ifPresent(chosen -> {
                String key = chosen == 1 ? "SLOT.LOWEST" : chosen == slots ? "SLOT.HIGHEST" : "SLOT";
                panels.add(new Panel(
                        FamilyPictures.slot(Math.max(slots, chosen), chosen),
                        words.say("fridge." + key, Map.of("slot", Argument.of(chosen))),
                        words.say("fridge.SLOT.how"),
                        words.say("fridge.SLOT.why"),
                        RuleCode.HAR_1));
            });
        }

        /** Where the straps are; at the bedside, where nobody moved them, where the look at the shoulder puts them. */
        private Optional<Integer> slotInUse() {
            return situation.isBedside()
                    ? situation
                            .newest(Fact.ShoulderSeen.class)
                            .map(seen -> seen.value().slotAtOrBelow())
                    : situation
                            .newest(Fact.SlotsSet.class)
                            .map(set -> set.value().leftShell());
        }

        private void device() {
            DeviceKind kind = situation
                    .seat()
                    .flatMap(seat -> seat.recline().device().value())
                    .map(device -> device.kind())
                    .orElse(DeviceKind.NONE);
            situation
                    .newest(Fact.DeviceSet.class)
                    .filter(set -> kind != DeviceKind.NONE && !situation.isBedside())
                    .map(Stamped::value)
                    .ifPresent(set -> panels.add(new Panel(
                            FamilyPictures.device(kind, set.step().text()),
                            words.say(
                                    "fridge.DEVICE." + kind,
                                    Map.of("step", Argument.of(set.step().text()))),
                            words.say("fridge.DEVICE.how"),
                            words.say("fridge.DEVICE.why"),
                            RuleCode.REC_4)));
        }

        private void level() {
            situation
                    .level(Fact.Stage.CHILD)
                    .ifPresent(level -> situation
                            .seat()
                            .flatMap(seat -> seat.recline().indicator().value())
                            .ifPresent(indicator -> panels.add(new Panel(
                                    ReadingPicture.of(
                                            indicator.kind(), level.value().reading()),
                                    Wording.capital(words.say("reading." + indicator.kind() + "."
                                            + level.value().reading())),
                                    words.say("fridge.LEVEL.how"),
                                    words.say("fridge.LEVEL.why"),
                                    RuleCode.REC_1))));
        }

        private void handle() {
            handleForDriving()
                    .ifPresent(position -> panel(
                            "HANDLE",
                            FamilyPictures.handle(position),
                            Map.of("position", new Argument.OfKey("handle." + position)),
                            RuleCode.SEC_9));
        }

        /** As it was set; at the bedside the first position that the seat's manual allows. */
        private Optional<HandlePosition> handleForDriving() {
            return situation.isBedside()
                    ? Arrays.stream(HandlePosition.values())
                            .filter(each -> HandleForDriving.permission(situation, each) == Permission.ALLOWED)
                            .findFirst()
                    : situation
                            .newest(Fact.HandleSet.class)
                            .map(set -> set.value().position());
        }

        /** The pieces of the insert, where a panel is free: most often those come out first. */
        private void insert() {
            List<InsertPiece> pieces =
                    situation.seat().flatMap(seat -> seat.insert().value()).orElse(List.of());
            for (InsertPiece piece : pieces) {
                situation
                        .insert(piece)
                        .ifPresent(set -> panels.add(new Panel(
                                FamilyPictures.insert(set.value().in()),
                                Wording.capital(named(piece.name())) + ": "
                                        + words.say(set.value().in() ? "insert.in" : "insert.out"),
                                words.say("fridge.INSERT.how"),
                                words.say("fridge.INSERT.why"),
                                RuleCode.SUIT_9)));
            }
        }

        private String named(String word) {
            return situation
                    .seat()
                    .map(seat -> seat.named(word, words.language()))
                    .orElse(word);
        }

        private void fixing() {
            if (situation.placed().isEmpty() || situation.isBedside()) {
                return;
            }
            panels.add(new Panel(
                    FamilyPictures.belt(fixingOf(plan.method())),
                    Wording.capital(words.say("method." + plan.method())),
                    words.say("fridge.FIXING.how"),
                    words.say("fridge.FIXING.why"),
                    RuleCode.SEC_3));
        }

        private List<Ride> rides() {
            Optional<Boolean> clip =
                    situation.seat().flatMap(seat -> seat.harness().clip().value());
            String ofClip = clip.map(has -> has ? "" : ".noClip").orElse(".clipNotKnown");
            Fixing fixing = fixingOf(plan.method());
            List<Ride> rides = new ArrayList<>();
            for (int place = 1; place <= RIDES; place++) {
                String key =
                        "fridge.ride." + place + (place == RIDES ? "." + fixing : place == RIDES - 1 ? ofClip : "");
                rides.add(new Ride(FamilyPictures.ride(place, clip.orElse(false), fixing), words.say(key)));
            }
            return rides;
        }

        private static Fixing fixingOf(Method method) {
            if (method.isOnBase()) {
                return Fixing.BASE;
            }
            return !method.isBaseless()
                    ? Fixing.BELTED
                    : method.isRoundBehindShell() ? Fixing.EUROPEAN : Fixing.AMERICAN;
        }

        /** The earliest, and the last day of the restraint always; in their order. */
        private List<Mark> line() {
            List<DatedEvent> all = plan.dates().stream()
                    .filter(event -> event.kind().isForTheFamily())
                    .sorted(Comparator.comparing(DatedEvent::on))
                    .toList();
            List<DatedEvent> shown = all.size() <= MOST_MARKS
                    ? all
                    : Stream.concat(
                                    all.subList(0, all.size() - 1).stream().limit(MOST_MARKS - 1L),
                                    all.stream().skip(all.size() - 1L))
                            .toList();
            return shown.stream()
                    .map(event ->
                            new Mark(when(event), what(event), event.earliest().isPresent()))
                    .toList();
        }

        private String what(DatedEvent event) {
            String own = "fridge." + event.key();
            return words.say(words.knows(own) ? own : event.key());
        }

        private String when(DatedEvent event) {
            LocalDate today = situation.today();
            boolean far = event.on().isAfter(today.plusMonths(10));
            String day = far ? words.month(event.on()) : words.dayOfYear(event.on());
            if (event.every().isPresent()) {
                boolean monthly = event.every().get().getMonths() == 1;
                return words.say(
                        monthly ? "fridge.when.monthly" : "fridge.when.again",
                        Map.of(
                                "day",
                                Argument.of(day),
                                "days",
                                Argument.of(event.every().get().getDays())));
            }
            String key = event.after() ? "fridge.when.after" : event.earliest().isPresent() ? "fridge.when.about" : "";
            return key.isEmpty() ? day : words.say(key, Map.of("day", Argument.of(day)));
        }
    }
}
