package app.layette.core.recline.learn;

import app.layette.core.measure.Angle;

/**
 * An angle that is expected.
 *
 * @param mean likeliest
 * @param spread 1 sd
 */
public record Prediction(Angle mean, Angle spread) {}
