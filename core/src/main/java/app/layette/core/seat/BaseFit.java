package app.layette.core.seat;

import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A base that the carrier may go on (CND-8).
 *
 * @param name of the base
 * @param modelNumbers of the base
 * @param lifeYears the base's own service life; {@code null} when the carrier's applies
 * @param setUp how it must be set for this carrier; {@code null} when nothing is to be set
 * @param theta0 θ0 on this base; {@code null} when the sheet's counts
 * @param contact L of this base; {@code null} when the sheet's counts
 */
public record BaseFit(
        @Written(needed = true) String name,
        @Written(needed = true, fewest = 1) List<String> modelNumbers,
        @Written(from = 1, to = 25) @Nullable Integer lifeYears,
        @Nullable String setUp,
        @Nullable Angle theta0,
        @Written(as = "positiveLength") @Nullable Length contact) {
    public BaseFit {
        modelNumbers = modelNumbers == null ? List.of() : List.copyOf(modelNumbers);
    }

    /** A base that tilts as the sheet says. */
    public BaseFit(String name, List<String> modelNumbers, @Nullable Integer lifeYears, @Nullable String setUp) {
        this(name, modelNumbers, lifeYears, setUp, null, null);
    }

    public boolean coversModel(String model) {
        return modelNumbers.stream().anyMatch(each -> SeatIdentity.normal(each).equals(SeatIdentity.normal(model)));
    }
}
