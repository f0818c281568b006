package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.measure.Length;
import app.layette.core.seat.InsertPiece;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/** What has to be so of the harness before the car. */
final class PlainHarness extends PlainFitting {
    /** Where growth curves end. */
    private static final long CURVE_DAYS = 700;

    PlainHarness(PlainFitting fitting) {
        super(fitting);
    }

    void harness(List<String> wrong, Method method) {
        slot(wrong);
        require(wrong, "head room", headRoom());
        require(wrong, "crotch", crotch());
        require(wrong, "webbing", looked(Question.WEBBING, "WEBBING", "STRAIGHT_HOME_AND_FREE"));
        require(wrong, "snug at its shortest", looked(Question.SNUG_SHORTEST, "SNUG_AT_SHORTEST", "SNUG"));
        require(
                wrong,
                "covers",
                isThereAndLooked(
                        seat.harness().covers().value().map(each -> !each.name().equals("NONE")),
                        Question.COVERS,
                        "COVERS",
                        "AS_SHEET"));
    }

    private void slot(List<String> wrong) {
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        Optional<Line> tape = height(Fact.Dimension.SHOULDER);
        Optional<Line> eye = log.best(Fact.ShoulderSeen.class)
                .filter(line -> line.isHere() || line.rank() == 2)
                .filter(line -> line.how() != How.Kind.TOLD);
        Optional<Line> set = log.best(Fact.SlotsSet.class).filter(Line::isHere);
        if (slots.isEmpty() || set.isEmpty() || tape.isEmpty() && eye.isEmpty()) {
            wrong.add("slots, shoulder or threading not looked at");
            return;
        }
        boolean byTape = tape.isPresent()
                && (eye.isEmpty() || tape.get().seq() > eye.get().seq());
        Line look = byTape ? tape.get() : eye.get();
        int best = 0;
        if (byTape) {
            double height = alongBack(tape.get());
            for (int i = 0; i < slots.size(); i++) {
                best = mm(slots.get(i)) <= height ? i + 1 : best;
            }
        } else {
            best = Math.min(((Fact.ShoulderSeen) look.fact()).slotAtOrBelow(), slots.size());
        }
        Fact.SlotsSet threaded = (Fact.SlotsSet) set.get().fact();
        require(wrong, "shoulder look", counts(look, "SLOT_IN_REACH"));
        require(wrong, "slot in reach", best >= 1);
        require(wrong, "slot", threaded.leftShell() == best);
        int slot = threaded.leftShell();
        boolean alike = threaded.rightShell() == slot && threaded.leftPad() == slot && threaded.rightPad() == slot;
        require(wrong, "threaded alike", alike && counts(set.get(), "THREADED_ALIKE"));
        boolean moved = log.lines().stream()
                .anyMatch(line -> line.fact() instanceof Fact.WebbingMoved
                        && line.seq() > set.get().seen());
        require(wrong, "webbing moved", !moved);
        boolean loop = seat.harness().loops().isLooked();
        for (var each : seat.harness().loops().value().orElse(List.of())) {
            if (slot >= each.fromSlot() && slot <= each.toSlot()) {
                loop = each.name().equals(threaded.loop());
                break;
            }
        }
        require(wrong, "loop", loop);
        growing(wrong, look, byTape ? alongBack(look) : -1, slots);
    }

    private void growing(List<String> wrong, Line look, double height, List<Length> slots) {
        if (look.day().isEmpty()) {
            wrong.add("nobody knows when the shoulder was looked at");
            return;
        }
        long old = ChronoUnit.DAYS.between(look.day().get(), today);
        if (old == 0) {
            return;
        }
        doubt(height < 0 || ageDays(today) > CURVE_DAYS);
        for (Length slot : slots) {
            doubt(height >= 0 && mm(slot) > height - 15 && mm(slot) <= height + 15 + 3.0 * old);
        }
    }

    private Optional<Line> height(Fact.Dimension what) {
        return log.best(Fact.LengthMeasured.class, fact -> fact.what() == what)
                .filter(line -> line.isHere() || line.how() == How.Kind.CARRIED_FROM)
                .filter(line -> ((Fact.LengthMeasured) line.fact()).insert() != Fact.InsertState.BARE || knowsInsert());
    }

    private boolean knowsInsert() {
        return seat.insert()
                .value()
                .filter(pieces ->
                        pieces.stream().allMatch(piece -> insertSet(piece).isPresent()))
                .isPresent();
    }

    private double alongBack(Line line) {
        Fact.LengthMeasured height = (Fact.LengthMeasured) line.fact();
        double lift = 0;
        if (height.insert() == Fact.InsertState.BARE) {
            for (InsertPiece piece : seat.insert().value().orElse(List.of())) {
                boolean in = insertSet(piece)
                        .filter(set -> ((Fact.InsertSet) set.fact()).in())
                        .isPresent();
                lift += in ? mm(piece.lift()) : 0;
            }
        }
        return mm(height.length()) + lift;
    }

    private boolean headRoom() {
        if (!seat.shell().headRoom().isLooked()) {
            return false;
        }
        double asked =
                mm(seat.shell().headRoom().value().orElse(practice.profile().headRoom()));
        Optional<Line> tape = height(Fact.Dimension.CROWN);
        Optional<Line> eye = answered(Question.HEAD_ROOM).filter(Line::isHere);
        if (tape.isEmpty() && eye.isEmpty()) {
            return false;
        }
        boolean byTape = tape.isPresent()
                && (eye.isEmpty() || tape.get().seq() > eye.get().seq());
        Line look = byTape ? tape.get() : eye.get();
        if (byTape && seat.shell().top().value().isEmpty()) {
            return false;
        }
        double room = byTape
                ? mm(seat.shell().top().value().orElseThrow()) - alongBack(look)
                : switch (((Fact.Answered) look.fact()).answer()) {
                    case "AT_LEAST_50" -> 50;
                    case "AT_LEAST_25" -> 25;
                    default -> 0;
                };
        if (room < asked || !counts(look, "HEAD_ROOM") || look.day().isEmpty()) {
            return false;
        }
        long old = ChronoUnit.DAYS.between(look.day().get(), today);
        doubt(old > 0 && (!byTape || ageDays(today) > CURVE_DAYS || room - asked < 25 + 5.0 * old));
        return true;
    }

    private boolean crotch() {
        Optional<Line> set = log.best(Fact.CrotchSet.class).filter(Line::isHere);
        var openings = seat.shell().crotch().value().orElse(List.of());
        if (set.isEmpty() || weight() == null) {
            return false;
        }
        int opening = ((Fact.CrotchSet) set.get().fact()).opening();
        return opening >= 1
                && opening <= openings.size()
                && isIn(
                        openings.get(opening - 1).weights().from(),
                        openings.get(opening - 1).weights().below(),
                        weight())
                && counts(set.get(), "CROTCH");
    }
}
