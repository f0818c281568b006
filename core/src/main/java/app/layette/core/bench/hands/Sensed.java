package app.layette.core.bench.hands;

/**
 * One thing seen, felt or told, never a number of the physics.
 *
 * @param about what it is about: a question's name, or one of the bench's own
 * @param says what was found there
 */
public record Sensed(String about, String says) {}
