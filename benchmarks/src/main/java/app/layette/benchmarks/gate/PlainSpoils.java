package app.layette.benchmarks.gate;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** After what a look has to be taken again, written down a second time: by the look, where the product goes by the act. */
final class PlainSpoils {
    private static final String IN_THE_CAR = " OTHER_SEAT OTHER_CAR PLACE_OR_METHOD";
    private static final String FIXING = " TIGHTENED BELT_TOUCHED ANCHOR_TOUCHED";

    private static final Map<String, String> LOOKS = new HashMap<>();
    private static final Set<String> ONLY_WHERE_IT_TURNS = Set.of("WINDOWS", "TURNED_BACK");

    static {
        List.of("LOCK_PROOF", "PANEL", "END_STRAPS")
                .forEach(look -> LOOKS.put(look, "TIGHTENED BELT_TOUCHED" + IN_THE_CAR));
        List.of("REBOUND_BAR", "INCH_TEST").forEach(look -> LOOKS.put(look, "ARMS_WALKED_IN" + FIXING + IN_THE_CAR));
        LOOKS.put("LEVEL", "ARMS_WALKED_IN CARRIER_ON_OFF CAR_MOVED" + FIXING + IN_THE_CAR);
        LOOKS.put("WINDOWS", "ARMS_WALKED_IN TURNED" + FIXING + IN_THE_CAR);
        LOOKS.put("FLOOR_AND_LEG", FIXING.strip() + IN_THE_CAR);
        List.of("BELT_PATH", "LOCK_OFF").forEach(look -> LOOKS.put(look, "BELT_TOUCHED" + IN_THE_CAR));
        LOOKS.put("ANCHORS_CLICKED", "ANCHOR_TOUCHED" + IN_THE_CAR);
        LOOKS.put("CLICK_AND_LIFT", "CARRIER_ON_OFF" + IN_THE_CAR);
        LOOKS.put("HANDLE", "CARRIER_ON_OFF HANDLE_MOVED" + IN_THE_CAR);
        LOOKS.put("GAP", "CARRIER_ON_OFF FRONT_SEAT_MOVED HANDLE_MOVED" + IN_THE_CAR);
        LOOKS.put("TURNED_BACK", "CARRIER_ON_OFF TURNED" + IN_THE_CAR);
        LOOKS.put("LIES_FLAT", "HARNESS_OPENED" + IN_THE_CAR);
        List.of("SITS_WHOLE", "ONE_SYSTEM", "STRAP", "BUCKLE", "SIDE_ELEMENT")
                .forEach(look -> LOOKS.put(look, IN_THE_CAR.strip()));
        LOOKS.put("LEVEL_GROUND", "CAR_MOVED OTHER_CAR PLACE_OR_METHOD");
        List.of("AIRBAG", "FRONT_ROW").forEach(look -> LOOKS.put(look, "OTHER_CAR PLACE_OR_METHOD"));
        List.of("SLOT_IN_REACH", "SLOT", "HEAD_ROOM")
                .forEach(look -> LOOKS.put(look, "INSERT COVER MEASURES_RENEWED OTHER_SEAT"));
        List.of("SNUG_TEST", "CLIP")
                .forEach(look -> LOOKS.put(look, "INSERT COVER SLOT HARNESS_OPENED CLIP_MOVED OTHER_SEAT"));
        List.of("THREADED_ALIKE", "WEBBING").forEach(look -> LOOKS.put(look, "COVER SLOT OTHER_SEAT"));
        List.of("FEET", "SNUG_AT_SHORTEST", "INSERT").forEach(look -> LOOKS.put(look, "MEASURES_RENEWED OTHER_SEAT"));
        LOOKS.put("CLOTHING", "HARNESS_OPENED OTHER_SEAT");
        List.of("RECALL", "APPROVAL", "BASE_FITS_CARRIER")
                .forEach(look -> LOOKS.put(look, "LABEL_CORRECTED OTHER_SEAT"));
        List.of("HISTORY", "CRASH", "PARTS", "CROTCH", "COVERS", "OWN_CONDITIONS", "SUPPORT")
                .forEach(look -> LOOKS.put(look, "OTHER_SEAT"));
        LOOKS.put("MANUALS", "OTHER_SEAT OTHER_CAR");
        LOOKS.put("ROLL", "OTHER_SEAT OTHER_CAR");
    }

    private static final Map<String, Set<String>> STANDING_STILL = new HashMap<>();
    private static final Map<String, Set<String>> TURNING = new HashMap<>();

    static {
        LOOKS.forEach((look, acts) -> {
            STANDING_STILL.put(look, Set.of(acts.split(" ")));
            Set<String> more = new HashSet<>(List.of(acts.split(" ")));
            if (ONLY_WHERE_IT_TURNS.contains(look)) {
                more.add("HARNESS_OPENED");
            }
            TURNING.put(look, more);
        });
    }

    private PlainSpoils() {}

    /** Every act after which this look does not count any more. */
    static Set<String> of(String look, boolean turns) {
        Set<String> acts = (turns ? TURNING : STANDING_STILL).get(look);
        if (acts == null) {
            throw new IllegalArgumentException("Nothing is written down about " + look);
        }
        return acts;
    }
}
