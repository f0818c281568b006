package app.layette.core.look;

import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.cabin.OneSystem;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Harness;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.HandleForDriving;
import app.layette.core.step.Ask;
import app.layette.core.suit.HeadRoom;
import app.layette.core.vehicle.PositionId;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** How each ask looks when it is in order here; nothing where sheets and measures do not say it. */
final class Drawn {
    private final FittingPlan plan;
    private final Situation situation;

    Drawn(FittingPlan plan) {
        this.plan = plan;
        this.situation = plan.situation();
    }

    /** The answer in words of the tables, and the fact that it stands for. */
    record Answer(String drawn, Fact fact) {}

    Optional<Answer> of(LookTable.Row row, Ask ask) {
        return switch (ask.kind()) {
            case QUESTION -> answer(row, ask);
            case GROUND -> Optional.of(eye(Question.GROUND, row.drawn()));
            case ACT -> Optional.of(new Answer(row.drawn(), new Fact.Acted(unit(), Act.valueOf(ask.key()))));
            case TEACH ->
                Optional.of(new Answer(
                        row.drawn(),
                        new Fact.Taught(unit(), TeachItem.valueOf(ask.key()), Fact.TeachOutcome.DONE, null)));
            case INSERT -> insert(ask);
            case HEAD_ROOM -> headRoom();
            case SHOULDER -> shoulder();
            case SLOTS -> slots();
            case CROTCH -> crotch();
            case DEVICE -> device();
            case HANDLE -> handle();
            case GAP -> GapToFrontSeat.asked(situation).map(this::gap);
            default -> Optional.empty();
        };
    }

    /** Whether it was told otherwise than it is drawn: that is told anew by itself, never with the rest. */
    boolean isToldOtherwise(Ask ask, Answer drawn) {
        return now(ask, drawn.fact()).filter(said -> !said.equals(drawn.fact())).isPresent();
    }

    private Optional<Fact> now(Ask ask, Fact drawn) {
        if (drawn instanceof Fact.Answered answered) {
            PositionId at = answered.place();
            Optional<Stamped<String>> said = ask.place().isEmpty() || at == null
                    ? situation.answer(answered.question())
                    : situation.answerAt(answered.question(), at);
            return said.map(
                    each -> new Fact.Answered(answered.of(), answered.question(), each.value(), answered.place()));
        }
        if (drawn instanceof Fact.InsertSet piece) {
            return situation
                    .seen(Fact.InsertSet.class, each -> each.piece().equals(piece.piece()))
                    .map(Stamped::value);
        }
        boolean isSetting =
                drawn instanceof Fact.SlotsSet || drawn instanceof Fact.CrotchSet || drawn instanceof Fact.HandleSet;
        return isSetting ? situation.newest(drawn.getClass()).map(Stamped::value) : Optional.empty();
    }

    private UnitId unit() {
        return situation.unit().id();
    }

    private Answer eye(Question question, String answer) {
        return new Answer(answer, new Fact.Answered(unit(), question, answer));
    }

    private Answer eye(Question question, Enum<?> answer) {
        return eye(question, answer.name());
    }

    private Optional<Answer> answer(LookTable.Row row, Ask ask) {
        Question question = Question.valueOf(ask.question());
        String drawn = row.isAsSheet() ? system() : row.drawn();
        PositionId place = ask.place().isEmpty() ? null : PositionId.parse(ask.place());
        return Optional.of(new Answer(drawn, new Fact.Answered(unit(), question, drawn, place)));
    }

    /** CAB-5: one system alone, the one that was chosen. */
    private String system() {
        return (plan.method().isByBelt() ? OneSystem.Answer.BELT_ALONE : OneSystem.Answer.ANCHORS_ALONE).name();
    }

    /** SUIT-9: in or out as the sheet asks; an optional piece as it comes with the seat, in. */
    private Optional<Answer> insert(Ask ask) {
        List<InsertPiece> pieces =
                situation.seat().map(SeatSheet::insert).flatMap(Evidence::value).orElse(List.of());
        return pieces.stream()
                .filter(piece -> piece.key().text().equals(ask.key()))
                .findFirst()
                .flatMap(piece -> situation
                        .useOf(piece)
                        .map(use -> use != InsertPiece.Use.MUST_BE_OUT)
                        .map(in -> new Answer(in ? "IN" : "OUT", new Fact.InsertSet(unit(), piece.key(), in))));
    }

    private Optional<Answer> headRoom() {
        return HeadRoom.asked(situation).flatMap(HeadRoom::enoughByEye).map(enough -> eye(Question.HEAD_ROOM, enough));
    }

    /** HAR-3: where it was the last time; else nobody draws it before somebody has looked. */
    private Optional<Answer> shoulder() {
        return situation
                .newest(Fact.ShoulderSeen.class)
                .filter(seen -> seen.how().isCarried())
                .map(seen -> new Answer(
                        String.valueOf(seen.value().slotAtOrBelow()),
                        new Fact.ShoulderSeen(
                                situation.unit().rider(), seen.value().slotAtOrBelow())));
    }

    /** HAR-1, HAR-4: all four in the slot at or next below the shoulder, on the loop that the sheet gives it. */
    private Optional<Answer> slots() {
        int best = ShoulderAndSlots.in(situation).map(ShoulderAndSlots::best).orElse(0);
        Evidence<List<Harness.Loop>> loops =
                situation.seat().map(seat -> seat.harness().loops()).orElse(Evidence.notLooked());
        if (best == 0 || !loops.isLooked()) {
            return Optional.empty();
        }
        String loop = loops.value().orElse(List.of()).stream()
                .filter(each -> each.isFor(best))
                .map(Harness.Loop::name)
                .findFirst()
                .orElse(null);
        return Optional.of(new Answer(
                best + (loop == null ? "" : "/" + loop), new Fact.SlotsSet(unit(), best, best, best, best, loop)));
    }

    /** HAR-5: the one opening that the sheet gives at this weight. */
    private Optional<Answer> crotch() {
        List<CrotchOpening> openings =
                situation.seat().flatMap(seat -> seat.shell().crotch().value()).orElse(List.of());
        Optional<Mass> weight = situation.weight().map(Stamped::value);
        for (int opening = 1; opening <= openings.size(); opening++) {
            CrotchOpening here = openings.get(opening - 1);
            if (weight.filter(here.weights()::contains).isPresent()) {
                return Optional.of(new Answer(String.valueOf(opening), new Fact.CrotchSet(unit(), opening)));
            }
        }
        return Optional.empty();
    }

    /** REC-4: the setting that is advised, where one is. */
    private Optional<Answer> device() {
        return plan.recline()
                .filter(advice -> !advice.byRoll())
                .flatMap(advice -> advice.recommended())
                .map(step -> new Answer(step.text(), new Fact.DeviceSet(unit(), step)));
    }

    /** CAB-10: where more than a flat hand is asked, as much as is asked. */
    private Answer gap(Length asked) {
        return GapToFrontSeat.isToldByHand(asked)
                ? eye(Question.GAP, GapToFrontSeat.Answer.FLAT_HAND)
                : new Answer(
                        asked.millimetres() + " mm", new Fact.LengthMeasured(unit(), Fact.Dimension.GAP, asked, null));
    }

    private Optional<Answer> handle() {
        return Arrays.stream(HandlePosition.values())
                .filter(position -> HandleForDriving.permission(situation, position) == Permission.ALLOWED)
                .findFirst()
                .map(position -> new Answer(position.name(), new Fact.HandleSet(unit(), position)));
    }
}
