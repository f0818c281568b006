package app.layette.core.placing;

import app.layette.core.belt.Reach;
import app.layette.core.entry.Method;
import app.layette.core.evidence.Complete;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Length;
import app.layette.core.recline.GapAhead;
import app.layette.core.vehicle.PositionId;
import java.util.List;
import java.util.Optional;

/**
 * What is to be said about one place by one method, before anything is fixed there.
 *
 * @param place seating position
 * @param method way to fix it
 * @param answer allowed, not allowed or not known
 * @param findings the reasons, what forbids first
 * @param likelihood that some setting lands the recline in its band here; empty where it cannot be computed
 * @param standing how it stands at the setting to try first; empty where it cannot be computed
 * @param gapEnough whether that gap is what the manuals ask; {@code true} where either is not known
 * @param reach for a carrier without its base, whether the belt reaches; empty where it cannot be computed
 * @param isMiddle whether it is farthest from both sides
 * @param isKerbSide whether it is at the kerb
 */
@Complete
public record PlaceAnswer(
        PositionId place,
        Method method,
        Permission answer,
        List<Finding> findings,
        Optional<Double> likelihood,
        Optional<GapAhead.Standing> standing,
        boolean gapEnough,
        Optional<Reach> reach,
        boolean isMiddle,
        boolean isKerbSide) {
    /** Below this the recline is unlikely to come right here. */
    private static final double LIKELY_ENOUGH = 0.5;

    public PlaceAnswer {
        findings = List.copyOf(findings);
    }

    /** The gap to the front seat at the setting to try first; empty where it cannot be computed. */
    public Optional<Length> gap() {
        return standing.flatMap(GapAhead.Standing::gap);
    }

    /** What speaks against the installation here, though it is not forbidden (CAB-13 a): less is better. */
    public int doubts() {
        int doubts = (int) findings.stream()
                .filter(finding -> finding.weight() == Weight.ADVISE)
                .count();
        doubts += likelihood.filter(each -> each < LIKELY_ENOUGH).isPresent() ? 1 : 0;
        doubts += gapEnough ? 0 : 1;
        doubts += reach.filter(each -> each.answer() != Reach.Answer.REACHES).isPresent() ? 1 : 0;
        return doubts;
    }

    /** The one reason that tells most. */
    public Telling telling() {
        return Telling.of(this);
    }

    /** The finding that decides the answer; empty when nothing stands against it. */
    public Optional<Finding> deciding() {
        return findings.stream().filter(finding -> finding.weight().blocks()).findFirst();
    }
}
