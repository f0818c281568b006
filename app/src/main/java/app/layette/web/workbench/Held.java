package app.layette.web.workbench;

import app.layette.core.vehicle.PositionId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Who was put down on which seat, as the address of the page keeps it: {@code own@2-LEFT}. */
final class Held {
    private static final String SEPARATOR = "@";

    private Held() {}

    /** The places by rider; what names no place, as a stale or a broken address does, holds nobody anywhere. */
    static Map<String, PositionId> read(List<String> held) {
        Map<String, PositionId> places = new LinkedHashMap<>();
        for (String each : held) {
            int cut = each.indexOf(SEPARATOR);
            if (cut > 0) {
                try {
                    places.put(each.substring(0, cut), PositionId.parse(each.substring(cut + 1)));
                } catch (IllegalArgumentException noPlace) {
                    // Nothing typed is lost: the rider sits where the planner puts them.
                    continue;
                }
            }
        }
        return places;
    }

    static String write(String rider, PositionId place) {
        return rider + SEPARATOR + place;
    }
}
