package app.layette.core.seat;

import java.util.List;

/**
 * A base that the carrier may go on (CND-8).
 *
 * @param name of the base
 * @param modelNumbers of the base
 * @param lifeYears the base's own service life; {@code null} when the carrier's applies
 * @param setUp how it must be set for this carrier; {@code null} when nothing is to be set
 */
public record BaseFit(String name, List<String> modelNumbers, Integer lifeYears, String setUp) {
    public BaseFit {
        modelNumbers = modelNumbers == null ? List.of() : List.copyOf(modelNumbers);
    }

    public boolean coversModel(String model) {
        return modelNumbers.stream().anyMatch(each -> SeatIdentity.normal(each).equals(SeatIdentity.normal(model)));
    }
}
