package app.layette.core.bench.hands;

import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;

/** The one restraint and the one doll of the bench, as entries name them. */
final class Unit {
    static final UnitId SEAT = UnitId.FIRST;
    static final RiderId CHILD = RiderId.FIRST;

    private Unit() {}
}
