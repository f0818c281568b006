package app.layette.core.bench.hands;

import static app.layette.core.bench.hands.Unit.CHILD;
import static app.layette.core.bench.hands.Unit.SEAT;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.act.Senses;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Straps;
import app.layette.core.bench.state.Threading;
import app.layette.core.bench.state.Truth;
import app.layette.core.child.Sex;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.misuse.Misuses;
import app.layette.core.recline.IndicatorZones;
import app.layette.core.seat.Harness;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.PieceId;
import app.layette.core.secure.InchTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** Looking, asking, reading, tugging and pinching: what a person would see or feel, with a person's error. */
final class Eyes {
    /** Where an indicator is looked at from. */
    enum From {
        /** With the eye at its height. */
        DOOR(0, 0.3),
        /** Leaning over it: it shows more reclined than it is. */
        ABOVE(2, 1.2);

        private final double off;
        private final double spread;

        From(double off, double spread) {
            this.off = off;
            this.spread = spread;
        }
    }

    private static final double FINGERS_SPREAD_MM = 1.5;
    private static final double TUG_SPREAD = 0.03;
    private static final double HARDLY_MM = 12;
    private static final double NEARLY_MM = 20;
    private static final double FAR_MM = 50;
    private static final double NOTHING_MM = 4;
    private static final double FOLD_MM = 10;
    private static final double HANDFUL_MM = 30;
    private static final int TERM_DAYS = 276;

    private final Scene scene;
    private final Truth truth;
    private final Random random;
    private final List<Sensed> sensed = new ArrayList<>();
    private final List<Fact> facts = new ArrayList<>();

    Eyes(Scene scene, Truth truth, Random random) {
        this.scene = scene;
        this.truth = truth;
        this.random = random;
    }

    Outcome find(Doing doing) {
        switch (doing.hand()) {
            case WEIGH -> {
                sensed.add(new Sensed("WEIGHT", "SCALE"));
                facts.add(new Fact.Weighed(CHILD, Mass.ofGrams(truth.child().grams())));
            }
            case MEASURE -> measure(doing.what());
            case LEVEL -> level(From.valueOf(doing.what()));
            case TUG -> tug(doing.what());
            case PINCH -> pinch();
            case LOOK -> look(Area.valueOf(doing.what()));
            case READ_LABEL -> label();
            case ASK_FAMILY -> family();
            default -> answered(doing.hand());
        }
        return new Outcome(truth, sensed, facts);
    }

    private void measure(String what) {
        if (what.equals("LENGTH")) {
            sensed.add(new Sensed("LENGTH", "TAPE"));
            facts.add(length(Fact.Dimension.BODY, truth.child().lengthMm(), null));
            return;
        }
        sensed.add(new Sensed("SEATED", "TAPE"));
        facts.add(length(Fact.Dimension.SHOULDER, truth.child().shoulderMm(), Fact.InsertState.AS_IT_WILL_BE));
        facts.add(length(Fact.Dimension.CROWN, truth.child().crownMm(), Fact.InsertState.AS_IT_WILL_BE));
    }

    private static Fact length(Fact.Dimension what, double millimetres, Fact.@Nullable InsertState insert) {
        return new Fact.LengthMeasured(CHILD, what, Length.ofMillimetres(Math.round(millimetres)), insert);
    }

    private void family() {
        answered(Hand.ASK_FAMILY);
        facts.add(new Fact.ChildDescribed(
                CHILD,
                scene.today().minusDays(scene.bornDaysAgo()),
                TERM_DAYS,
                Sex.FEMALE,
                Mass.ofGrams(Math.round(truth.child().grams() * 1.03))));
        facts.add(new Fact.Ordered(CHILD, Fact.OrderKind.NONE, null, null, null));
    }

    private void label() {
        sensed.add(new Sensed("LABEL", "READ"));
        facts.add(label(Fact.Part.CARRIER, truth.carrierModel()));
        if (scene.method().isOnBase()) {
            facts.add(label(Fact.Part.BASE, truth.baseModel()));
        }
        answered(Hand.READ_LABEL);
    }

    private Fact label(Fact.Part part, String model) {
        return new Fact.LabelRead(SEAT, part, model, PartialDate.parse(truth.madeYear() + "-05"), null);
    }

    /** Everything that this hand finds out, in the order of the table. */
    private void answered(Hand hand) {
        for (Question question : Senses.all()) {
            if (Senses.of(question).sense() == hand && scene.has(question)) {
                answer(question, truth.answer(question));
            }
        }
    }

    private void answer(Question question, String answer) {
        sensed.add(new Sensed(question.name(), answer));
        if (!answer.equals(Scene.NOT_YET)) {
            facts.add(new Fact.Answered(SEAT, question, answer));
            if (question == Question.BUCKLE
                    && scene.method().takes(scene.place()).size() > 1) {
                facts.add(
                        new Fact.Answered(SEAT, question, answer, scene.place().besides()));
            }
        }
    }

    private void look(Area area) {
        for (Question question : Senses.all()) {
            Senses.Row row = Senses.of(question);
            if (row.area() == area && row.sense() == Hand.LOOK && scene.has(question)) {
                answer(question, truth.answer(question));
            }
        }
        switch (area) {
            case HARNESS -> threaded();
            case CHILD -> {
                // What was added lies where the child lies.
                answer(Question.PARTS, truth.answer(Question.PARTS));
                pieces();
            }
            case HANDLE -> {
                if (hasHandle()) {
                    sensed.add(new Sensed("HANDLE", truth.handle().name()));
                    facts.add(new Fact.HandleSet(SEAT, truth.handle()));
                }
            }
            case LEVEL -> {
                if (truth.hold().rollMm() != 0) {
                    sensed.add(new Sensed("ROLL", truth.hold().rollMm() > 0 ? "FOOT_END" : "HEAD_END"));
                }
            }
            default -> {
                // Nothing but its questions is seen there.
            }
        }
        truth.marks().stream()
                .filter(mark -> Misuses.of(mark).area() == area)
                .sorted()
                .map(Misuse::name)
                .forEach(mark -> sensed.add(new Sensed("MARK", mark)));
        if (sensed.isEmpty()) {
            sensed.add(new Sensed("AREA", "NOTHING_THERE"));
        }
    }

    private boolean hasHandle() {
        return scene.method().isOnBase() || scene.method().isBaseless();
    }

    private void threaded() {
        if (!scene.has(Question.WEBBING)) {
            return;
        }
        Threading slots = truth.threading();
        boolean loopThere = slots.leftShell() >= 1;
        sensed.add(new Sensed("SLOTS", !slots.isAlike() ? "NOT_ALIKE" : height(slots.leftShell())));
        String loop = scene.seat().harness().loops().value().orElse(List.of()).stream()
                .filter(each -> loopThere && each.fromSlot() <= slots.leftShell() && slots.leftShell() <= each.toSlot())
                .map(Harness.Loop::name)
                .findFirst()
                .orElse(null);
        facts.add(new Fact.SlotsSet(
                SEAT, slots.leftShell(), slots.rightShell(), slots.leftPad(), slots.rightPad(), loop));
        facts.add(new Fact.CrotchSet(SEAT, truth.crotch()));
        sensed.add(new Sensed("CROTCH", String.valueOf(truth.crotch())));
    }

    /** Where the webbing comes out, by eye against the shoulder. */
    private String height(int slot) {
        int right = scene.rightSlot();
        return slot > right ? "ABOVE" : slot == right ? "AT_OR_JUST_BELOW" : "FAR_BELOW";
    }

    private void pieces() {
        truth.insert().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(piece -> {
            sensed.add(new Sensed("PIECE_" + piece.getKey(), piece.getValue() ? "IN" : "OUT"));
            facts.add(new Fact.InsertSet(SEAT, new PieceId(piece.getKey()), piece.getValue()));
        });
    }

    /** What the seat's own indicator shows from there. */
    private void level(From from) {
        Optional<IndicatorZones> zones = zones();
        if (zones.isEmpty() || !scene.method().isReclined()) {
            sensed.add(new Sensed("LEVEL", "NO_INDICATOR"));
            return;
        }
        double seen = truth.hold().recline(truth.ground()).degrees() + from.off + from.spread * random.nextGaussian();
        Reading reading = zones.get().reading(Angle.ofDegrees(seen));
        sensed.add(new Sensed("LEVEL", reading.name()));
        Fact.Stage stage =
                truth.hold().loaded() ? Fact.Stage.CHILD : truth.hold().tight() ? Fact.Stage.TIGHT : Fact.Stage.LOOSE;
        facts.add(new Fact.LevelRead(SEAT, stage, reading));
    }

    private Optional<IndicatorZones> zones() {
        Optional<Indicator> indicator = scene.seat().recline().indicator().value();
        return indicator.flatMap(each -> each.bands().stream()
                .flatMap(band -> band.borders().stream())
                .findFirst()
                .map(band -> new IndicatorZones(each, band)));
    }

    private void tug(String at) {
        double moves = truth.hold().movementMm();
        boolean elsewhere = !at.equals("BELT_PATH");
        // Away from the belt path everything moves, and it says nothing.
        double felt = (elsewhere ? moves + 30 : moves) * (1 + TUG_SPREAD * random.nextGaussian());
        String says = felt < HARDLY_MM
                ? "HARDLY"
                : felt < NEARLY_MM
                        ? "A_LITTLE"
                        : felt < Truth.AN_INCH_MM ? "NEARLY_AN_INCH" : felt < FAR_MM ? "A_THUMB" : "FAR";
        sensed.add(new Sensed("MOVEMENT", says));
        if (!elsewhere) {
            facts.add(new Fact.Answered(
                    SEAT,
                    Question.MOVEMENT,
                    felt < Truth.AN_INCH_MM ? InchTest.Answer.UNDER_AN_INCH : InchTest.Answer.AN_INCH_OR_MORE));
        }
    }

    private void pinch() {
        Straps straps = truth.straps();
        String shoulder = fold(straps.shoulderMm());
        String hip = fold(straps.hipMm());
        sensed.add(new Sensed("BUCKLE_PULLED", straps.latched() ? "HOLDS" : "COMES_OUT"));
        sensed.add(new Sensed("PINCH_SHOULDER", straps.isTooTight() ? "CUTS_IN" : shoulder));
        sensed.add(new Sensed("PINCH_HIP", hip));
        boolean loose = !straps.latched() || isPinched(shoulder) || isPinched(hip);
        facts.add(new Fact.Answered(
                SEAT,
                Question.SNUG,
                loose
                        ? HarnessSnug.Answer.LOOSE
                        : straps.isTooTight() ? HarnessSnug.Answer.TOO_TIGHT : HarnessSnug.Answer.SNUG));
    }

    private static boolean isPinched(String fold) {
        return fold.equals("FOLD") || fold.equals("HANDFUL");
    }

    private String fold(double millimetres) {
        double felt = Math.max(0, millimetres + FINGERS_SPREAD_MM * random.nextGaussian());
        return felt < NOTHING_MM ? "NOTHING" : felt < FOLD_MM ? "EDGE" : felt < HANDFUL_MM ? "FOLD" : "HANDFUL";
    }
}
