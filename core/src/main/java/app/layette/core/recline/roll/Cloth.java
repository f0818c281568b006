package app.layette.core.recline.roll;

import app.layette.core.measure.Length;

/**
 * A cloth that can be rolled, as it lies flat.
 *
 * @param name what it is called here
 * @param length the longer side
 * @param width the shorter side
 * @param thickness of one layer
 */
public record Cloth(String name, Length length, Length width, Length thickness) {}
