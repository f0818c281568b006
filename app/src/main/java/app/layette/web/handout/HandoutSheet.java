package app.layette.web.handout;

import app.layette.core.entry.AfterTheEnd;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Complete;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.rule.Rules;
import app.layette.core.run.SheetSays;
import app.layette.core.seat.InsertPiece;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.fitting.DateWords;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RemovalWords;
import app.layette.web.paper.PaperSize;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The family's page, in one language: what hangs on the fridge, and behind it their settings with why, retightening, what
 * comes next, whom to call. Until the fitting is over it says on its face that it is a draft; a family that left with
 * something open reads first what is wrong.
 */
@Complete
public record HandoutSheet(
        String title,
        String subtitle,
        Face face,
        String state,
        String crashed,
        String changedSince,
        FridgePage fridge,
        String look,
        List<String> wrong,
        String offered,
        List<Setting> settings,
        List<String> sheetSays,
        List<String> tight,
        List<String> removal,
        String breaks,
        Call call,
        String checkedBy,
        List<Coming> dates,
        String paper,
        Wording words) {
    private static final int TIGHT_LINES = 4;

    /** What stands above everything. */
    public enum Face {
        DRAFT,
        GOOD,
        LEFT_OPEN
    }

    /** One of the family's settings, and why it is so; why is empty where nothing need be said. */
    public record Setting(String name, String value, String why) {}

    /** A dated line of what comes next. */
    public record Coming(String on, String what) {}

    /** Whom to call; number and hours are empty until the point has set them. */
    public record Call(String name, String number, String hours) {}

    /** What a label of the page says. */
    public String say(String key) {
        return words.say("handout." + key);
    }

    public boolean isDraft() {
        return face == Face.DRAFT;
    }

    public boolean isLeftOpen() {
        return face == Face.LEFT_OPEN;
    }

    /** Whether there is a ride to explain: not while something is still wrong, and never after a crash. */
    public boolean isUsed() {
        return !isLeftOpen() && crashed.isEmpty();
    }

    static HandoutSheet of(Fittings.Planned fitting, Point point, Wording words) {
        FittingPlan plan = fitting.plan();
        Situation situation = plan.situation();
        Face face = switch (plan.state()) {
            case HANDED_OVER, TAUGHT -> Face.GOOD;
            case LEFT_WITH_OPEN_FINDINGS, NOT_FITTED -> Face.LEFT_OPEN;
            case OPEN, PREPARED -> Face.DRAFT;
        };
        Optional<Fact.Ended> ended = situation.ended().map(Stamped::value);
        return HandoutSheetParts.builder()
                .title(words.say(
                        face == Face.LEFT_OPEN ? "handout.leftTitle" : "handout.title",
                        Map.of("child", Argument.of(fitting.childName()))))
                .subtitle(subtitle(fitting, words))
                .face(face)
                .state(words.say("handout.draftState", Map.of("state", new Argument.OfKey("state." + plan.state()))))
                .crashed(situation
                        .newest(Fact.CrashedSince.class)
                        .map(crash -> words.say(
                                "handout.crashed.why",
                                Map.of("on", Argument.of(crash.value().on()))))
                        .orElse(""))
                .changedSince(changedSince(situation, words))
                .fridge(FridgePage.of(plan, words))
                .look(look(plan, words))
                .wrong(face == Face.LEFT_OPEN ? wrong(plan, words) : List.of())
                .offered(ended.map(Fact.Ended::offered).orElse(""))
                .settings(settings(situation, words, words.language()))
                .sheetSays(SheetSays.forTheFamily(situation).stream()
                        .map(saying -> words.say(saying.message(), saying.arguments()))
                        .map(line -> situation
                                .seat()
                                .map(seat -> seat.inLanguage(line, words.language()))
                                .orElse(line))
                        .toList())
                .tight(tight(plan.method(), situation.isBedside(), words))
                .removal(situation.isBedside() ? List.of() : RemovalWords.of(situation, words))
                .breaks(breaks(situation, words))
                .call(new Call(
                        point.name(),
                        point.phone().orElse(""),
                        point.callHours().orElse("")))
                .checkedBy(
                        face == Face.GOOD
                                ? situation
                                        .ended()
                                        .map(each -> words.say(
                                                "handout.checkedBy",
                                                Map.of(
                                                        "who",
                                                        Argument.of(each.by().id()),
                                                        "on",
                                                        Argument.of(each.on()))))
                                        .orElse("")
                                : "")
                .dates(plan.dates().stream()
                        .filter(event -> event.kind().isForTheFamily())
                        .map(event -> new Coming(DateWords.when(event, words), words.say(event.key())))
                        .toList())
                .paper(situation
                        .practice()
                        .lawCountry()
                        .map(PaperSize::in)
                        .orElse(PaperSize.A4)
                        .css())
                .words(words)
                .build();
    }

    /** How snug is told, and what to look at before driving off. */
    private static String look(FittingPlan plan, Wording words) {
        String snug = HarnessSnug.test(plan.situation())
                .map(test -> words.say("snug." + test) + " ")
                .orElse("");
        return snug + words.say(plan.method().isReclined() ? "ride.LEVEL" : "ride.FLAT");
    }

    /** That something the family was told was corrected after the end, and on which day; empty when nothing was. */
    private static String changedSince(Situation situation, Wording words) {
        AfterTheEnd afterwards = AfterTheEnd.in(situation.own());
        return situation
                .ended()
                .flatMap(ended -> situation.own().stream()
                        .filter(entry -> entry.seq() > ended.seq() && entry.corrects() != null)
                        .filter(afterwards::counts)
                        .map(entry -> afterwards.since(entry).at().toLocalDate())
                        .max(LocalDate::compareTo))
                .map(on -> words.say("handout.changedSince", Map.of("on", Argument.of(on))))
                .orElse("");
    }

    private static String subtitle(Fittings.Planned fitting, Wording words) {
        Situation situation = fitting.plan().situation();
        List<String> parts = new ArrayList<>();
        situation
                .ended()
                .ifPresent(ended -> parts.add(words.say("handout.setOn", Map.of("on", Argument.of(ended.on())))));
        situation.seat().ifPresent(seat -> parts.add(seat.identity().fullName()));
        if (!situation.isBedside()) {
            situation.car().ifPresent(car -> parts.add(car.fullName().strip()));
            situation
                    .placed()
                    .ifPresent(placed ->
                            parts.add(words.say("place." + placed.value().position())));
        }
        parts.add(fitting.reference());
        return String.join(" · ", parts);
    }

    /** What is still wrong, in the words of a tired parent: a line for each part of the work, the worst parts first. */
    private static List<String> wrong(FittingPlan plan, Wording words) {
        return plan.gate().blocking().stream()
                .map(state -> Rules.stepOf(state.conclusion()))
                .distinct()
                .map(step -> words.say("handout.wrong." + step))
                .distinct()
                .toList();
    }

    private static List<String> tight(Method method, boolean bedside, Wording words) {
        if (bedside) {
            return List.of();
        }
        String way = method.isByRigidArms() ? "RIGID" : method.isByAnchorStrap() ? "STRAP" : "BELT";
        return IntStream.rangeClosed(1, TIGHT_LINES)
                .mapToObj(line -> words.say("handout.tight." + way + "." + line))
                .toList();
    }

    private static String breaks(Situation situation, Wording words) {
        PracticeProfile.Breaks breaks = situation.practice().profile().breaks();
        return words.say(
                "handout.breaks",
                Map.of(
                        "first", Argument.of(breaks.firstWeeksMinutes()),
                        "later", Argument.of(breaks.laterMinutes() / 60.0)));
    }

    /** The loop's name in the family's language; the label says already that it is a loop. */
    private static String loop(Situation situation, Fact.SlotsSet set, String language) {
        return set.loop() == null ? "" : named(situation, set.loop(), language).replaceFirst(" loop$", "");
    }

    private static List<Setting> settings(Situation situation, Wording words, String language) {
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
                                        "loop", Argument.of(loop(situation, set.value(), language))))));
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
                    .ifPresent(set -> settings.add(new Setting(
                            named(situation, piece.name(), language),
                            words.say(set.value().in() ? "insert.in" : "insert.out"),
                            Wording.capital(words.say("fridge.INSERT.why")))));
        }
        situation
                .newest(Fact.DeviceSet.class)
                .ifPresent(
                        set -> add(settings, words, "DEVICE", set.value().step().text()));
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

    /** A word of the sheet in the family's language. */
    private static String named(Situation situation, String word, String language) {
        return situation.seat().map(seat -> seat.named(word, language)).orElse(word);
    }

    private static void add(List<Setting> settings, Wording words, String name, String value) {
        // What is drawn on the first page has its why there.
        String why = words.knows("fridge." + name + ".why") ? "fridge." + name + ".why" : "handout." + name + ".why";
        String said = words.knows(why) ? Wording.capital(words.say(why)) : "";
        settings.add(new Setting(words.say("handout." + name), value, said));
    }
}
