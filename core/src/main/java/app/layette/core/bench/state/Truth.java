package app.layette.core.bench.state;

import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Complete;
import app.layette.core.harness.ClipAtArmpits;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.measure.Angle;
import app.layette.core.recline.GroundLevel;
import app.layette.core.seat.HandlePosition;
import app.layette.core.secure.InchTest;
import app.layette.core.secure.LockProof;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is so on the bench, and nobody is told.
 *
 * @param eye for each question that an eye answers, the answer that a right look would give
 * @param hold how the restraint is held
 * @param straps the harness on the child
 * @param threading the slots in use
 * @param crotch the crotch opening in use, from 1
 * @param insert for each piece whether it is in
 * @param handle where the handle stands
 * @param gapMm room to the front seat; 0 where they touch
 * @param ground slope of the ground, nose-up positive
 * @param carrierModel as its label says
 * @param baseModel as its label says; empty where there is no base
 * @param madeYear as the label says
 * @param child weight and sizes
 * @param marks what else is wrong, that is nothing but seen
 */
@Complete
public record Truth(
        Map<Question, String> eye,
        Hold hold,
        Straps straps,
        Threading threading,
        int crotch,
        Map<String, Boolean> insert,
        HandlePosition handle,
        double gapMm,
        Angle ground,
        String carrierModel,
        String baseModel,
        int madeYear,
        Doll child,
        Set<Misuse> marks) {
    /** A movement of one inch or more is too much (SEC-6). */
    public static final double AN_INCH_MM = 25.4;
    /** A flat hand (CAB-10). */
    public static final double FLAT_HAND_MM = 30;

    private static final double LEVEL_WITHIN_DEGREES = 1;
    private static final double STEEP_DEGREES = 3;

    /**
     * The doll.
     *
     * @param grams its weight
     * @param lengthMm crown to heel
     * @param shoulderMm seated height of the shoulder's top, insert as it will be
     * @param crownMm seated height of the crown
     */
    public record Doll(double grams, double lengthMm, double shoulderMm, double crownMm) {}

    public Truth {
        eye = Map.copyOf(eye);
        insert = Map.copyOf(insert);
        marks = Set.copyOf(marks);
    }

    /** What a right look or test would answer; {@code ""} where there is nothing of the kind here. */
    public String answer(Question question) {
        return byState(question).map(Enum::name).orElseGet(() -> eye.getOrDefault(question, ""));
    }

    /** What is measured by the state of things and not kept as an answer. */
    private Optional<Enum<?>> byState(Question question) {
        Enum<?> shows = switch (question.name()) {
            case "MOVEMENT" ->
                hold.movementMm() < AN_INCH_MM ? InchTest.Answer.UNDER_AN_INCH : InchTest.Answer.AN_INCH_OR_MORE;
            case "SNUG" ->
                straps.isLoose()
                        ? HarnessSnug.Answer.LOOSE
                        : straps.isTooTight() ? HarnessSnug.Answer.TOO_TIGHT : HarnessSnug.Answer.SNUG;
            case "CLIP" ->
                !straps.clipClosed()
                        ? ClipAtArmpits.Answer.OPEN
                        : straps.isClipAtArmpits()
                                ? ClipAtArmpits.Answer.ARMPIT
                                : straps.clipMm() < 0 ? ClipAtArmpits.Answer.LOWER : ClipAtArmpits.Answer.HIGHER;
            case "GAP" ->
                gapMm >= FLAT_HAND_MM
                        ? GapToFrontSeat.Answer.FLAT_HAND
                        : gapMm > 0 ? GapToFrontSeat.Answer.LESS : GapToFrontSeat.Answer.TOUCHES;
            case "LOCK_PROOF" -> hold.locked() && hold.fastened() ? LockProof.Answer.HELD : LockProof.Answer.SLIPPED;
            case "GROUND" -> {
                double slope = Math.abs(ground.degrees());
                yield slope <= LEVEL_WITHIN_DEGREES
                        ? GroundLevel.Answer.LEVEL
                        : slope <= STEEP_DEGREES ? GroundLevel.Answer.SLIGHT_SLOPE : GroundLevel.Answer.STEEP;
            }
            default -> null;
        };
        return Optional.ofNullable(shows);
    }

    public Truth with(Question question, String answer) {
        Map<Question, String> answers = new LinkedHashMap<>();
        answers.putAll(eye);
        answers.put(question, answer);
        return TruthParts.builder(this).eye(answers).build();
    }

    public Truth with(Question question, Enum<?> answer) {
        return with(question, answer.name());
    }

    public Truth with(Hold other) {
        return TruthParts.builder(this).hold(other).build();
    }

    public Truth with(Straps other) {
        return TruthParts.builder(this).straps(other).build();
    }

    public Truth with(Threading other) {
        return TruthParts.builder(this).threading(other).build();
    }

    public Truth withCrotch(int opening) {
        return TruthParts.builder(this).crotch(opening).build();
    }

    public Truth withPiece(String piece, boolean in) {
        Map<String, Boolean> pieces = new LinkedHashMap<>(insert);
        pieces.put(piece, in);
        return TruthParts.builder(this).insert(pieces).build();
    }

    public Truth with(HandlePosition position) {
        return TruthParts.builder(this).handle(position).build();
    }

    /** The front seat this far off; never less than touching. */
    public Truth withGap(double millimetres) {
        return TruthParts.builder(this).gapMm(Math.max(0, millimetres)).build();
    }

    public Truth withGround(Angle slope) {
        return TruthParts.builder(this).ground(slope).build();
    }

    public Truth labelled(String carrier, String base, int year) {
        return TruthParts.builder(this)
                .carrierModel(carrier)
                .baseModel(base)
                .madeYear(year)
                .build();
    }

    public Truth with(Doll doll) {
        return TruthParts.builder(this).child(doll).build();
    }

    public Truth marked(Misuse misuse, boolean there) {
        Set<Misuse> others = EnumSet.noneOf(Misuse.class);
        others.addAll(marks);
        if (there) {
            others.add(misuse);
        } else {
            others.remove(misuse);
        }
        return TruthParts.builder(this).marks(others).build();
    }
}
