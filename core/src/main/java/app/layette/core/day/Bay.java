package app.layette.core.day;

/**
 * A place where one family is at a time.
 *
 * @param id its id
 * @param ward whether it is away from the fitting point, so that somebody has to go there and come back
 * @param travelMinutes the way there, and the same back; 0 for a bay of the house
 */
public record Bay(String id, boolean ward, int travelMinutes) {}
