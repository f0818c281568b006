package app.layette.core.trial;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Cushion;

/** A seat at a place in a car, as somebody who searches for the setting meets it: true values hidden, hands and eyes only. */
public interface SearchedCar {
    TrialSeat seat();

    /** γ as the vehicle sheet says. */
    Angle sheetSlope();

    /** The cushion as its class says. */
    Cushion nominalCushion();

    /** The recline while it is pressed at a step. */
    Angle press(Length lift);

    /** The recline with the child in, after it was pressed and tightened at a step. */
    Angle tighten(Length lift);

    /** A number that somebody reads, 1 sd of 1°. */
    Angle number(Angle truth);

    /** A truth as the eye places it among the borders of zones, 1 sd of 0.3°. */
    Angle seen(Angle truth);
}
