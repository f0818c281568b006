package app.layette.core.recline.learn;

import app.layette.core.measure.Angle;

/**
 * What a reading at one setting and stage depends on: m = H·x + offset, with noise Q of its own.
 *
 * @param footEndPull −r C_r, degrees per unit of u_r
 * @param headEndPull r C_f, degrees per unit of u_f
 * @param offset α° + σ − δ
 * @param noise Q, degrees squared
 */
public record Expectation(double footEndPull, double headEndPull, Angle offset, double noise) {
    double[] row() {
        return new double[] {1, footEndPull, headEndPull};
    }
}
