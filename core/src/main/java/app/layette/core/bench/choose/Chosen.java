package app.layette.core.bench.choose;

import app.layette.core.bench.run.TakenApart.Point;
import app.layette.core.bench.run.TakenApart.Sort;
import app.layette.core.bench.scene.Shelf;
import app.layette.core.choice.SeatAnswer;
import app.layette.core.choice.WhichRestraint;
import app.layette.core.entry.Method;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.rule.Conclusion;
import app.layette.core.vehicle.PositionId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A choice of restraint and place with its arguments, beside the planner's.
 *
 * @param answers what the planner says of each restraint, the best first
 * @param seat what it says of the one that was chosen
 * @param place what it says of the place by the method that was chosen; empty where there is no such
 * @param points what there is to say
 */
public record Chosen(List<SeatAnswer> answers, SeatAnswer seat, Optional<PlaceAnswer> place, List<Point> points) {
    /** The arguments that one may give against a restraint. */
    public static final List<Conclusion> ARGUMENTS =
            List.of(Conclusion.WEIGHT, Conclusion.LENGTH, Conclusion.ORDERS, Conclusion.SLOT_IN_REACH);

    /** No argument: it would suit. */
    public static final String SUITS = "SUITS";

    public Chosen {
        answers = List.copyOf(answers);
        points = List.copyOf(points);
    }

    /**
     * Judges a choice.
     *
     * @param seatId of the restraint
     * @param arguments by id of each restraint, the name of one of {@link #ARGUMENTS} or {@link #SUITS}
     * @throws IllegalArgumentException when the shelf has no such restraint
     */
    public static Chosen of(
            Shelf shelf, String seatId, PositionId position, Method method, Map<String, String> arguments) {
        List<SeatAnswer> answers = WhichRestraint.among(shelf.seats(), shelf.present());
        SeatAnswer seat = answers.stream()
                .filter(each -> each.seat().sheet().id().equals(seatId))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No such restraint (" + seatId + ") is on the shelf"));
        List<Point> points = new ArrayList<>();
        if (seat.answer() == Permission.NOT_ALLOWED) {
            points.add(point(Sort.LEFT_IN, seat));
        } else {
            points.add(new Point(Sort.PUT_RIGHT, Conclusion.WEIGHT.name(), false, RuleCode.SUIT_1, 0));
        }
        Optional<PlaceAnswer> place = CabinAnswers.of(seat.there()).answers().stream()
                .filter(each -> each.place().equals(position) && each.method() == method)
                .findFirst();
        boolean isFree =
                place.filter(each -> each.answer() == Permission.ALLOWED).isPresent();
        points.add(new Point(
                isFree ? Sort.PUT_RIGHT : Sort.LEFT_IN,
                Conclusion.METHOD.name(),
                false,
                place.flatMap(PlaceAnswer::deciding).map(each -> each.code()).orElse(RuleCode.CAB_13),
                0));
        for (SeatAnswer each : answers) {
            String said = arguments.getOrDefault(each.seat().sheet().id(), SUITS);
            points.add(argued(each, said));
        }
        return new Chosen(answers, seat, place, points);
    }

    /** Any of the reasons that forbid it is an argument; of one that is not forbidden, that it suits. */
    private static Point argued(SeatAnswer of, String said) {
        boolean isForbidden = of.answer() == Permission.NOT_ALLOWED;
        List<RuleCode> reasons = of.findings().stream()
                .filter(finding -> isForbidden && finding.weight() == Weight.STOP)
                .map(Finding::code)
                .toList();
        boolean right = isForbidden
                ? ARGUMENTS.stream().anyMatch(each -> each.name().equals(said) && reasons.contains(each.code()))
                : said.equals(SUITS);
        RuleCode rule = reasons.isEmpty() ? RuleCode.SUIT_1 : reasons.get(0);
        return new Point(right ? Sort.PUT_RIGHT : Sort.MISSED, conclusion(rule), false, rule, 0);
    }

    private static Point point(Sort sort, SeatAnswer seat) {
        RuleCode rule = seat.deciding().map(Finding::code).orElse(RuleCode.SUIT_1);
        return new Point(sort, conclusion(rule), false, rule, 0);
    }

    private static String conclusion(RuleCode rule) {
        for (Conclusion conclusion : ARGUMENTS) {
            if (conclusion.code() == rule) {
                return conclusion.name();
            }
        }
        return Conclusion.METHOD.name();
    }
}
