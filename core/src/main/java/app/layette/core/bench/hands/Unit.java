package app.layette.core.bench.hands;

/** The one restraint and the one doll of the bench, as entries name them. */
final class Unit {
    static final String SEAT = "u1";
    static final String CHILD = "r1";

    private Unit() {}
}
