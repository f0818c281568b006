package app.layette.web.workbench;

import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Angle;
import java.util.Optional;
import java.util.UUID;

/** A digital angle gauge laid on the shell's back. */
public interface AngleGauge {
    /**
     * Reads the angle from the vertical, the ground's slope in it.
     *
     * @param fitting whose seat it lies on
     * @param situation how that seat stands, which only a simulated gauge needs
     * @param stage with or without the child
     * @return empty when the gauge does not answer
     */
    Optional<Angle> read(UUID fitting, Situation situation, Stage stage);

    /** Whether it only pretends; its readings are entered as simulated. */
    boolean isSimulated();
}
