package app.layette.core.evidence;

import static app.layette.core.evidence.Permission.ALLOWED;
import static app.layette.core.evidence.Permission.NOT_ALLOWED;
import static app.layette.core.evidence.Permission.NOT_KNOWN;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class PermissionTableTest {
    private static final Source PAGE = new Source("manual", "1", LocalDate.of(2026, 1, 1));
    private static final Evidence<Said> YES = Evidence.stated(Said.ALLOWED, PAGE);
    private static final Evidence<Said> NO = Evidence.stated(Said.NOT_ALLOWED, PAGE);
    private static final Evidence<Said> SILENT = Evidence.silent(PAGE);
    private static final Evidence<Said> NOT_LOOKED = Evidence.notLooked();
    private static final List<Evidence<Said>> ALL = List.of(YES, NO, SILENT, NOT_LOOKED);

    /** The contract's table, written again by hand: who speaks, and what silence means. */
    @ParameterizedTest
    @CsvSource(textBlock = """
                    AMERICAN_ROUTING, SEAT, NOT_ALLOWED
                    EUROPEAN_ROUTING, SEAT, NOT_ALLOWED
                    CARRIER_WITHOUT_BASE, SEAT, NOT_ALLOWED
                    BOTH_SYSTEMS, SEAT, NOT_ALLOWED
                    LOCKING_CLIP, SEAT, NOT_ALLOWED
                    TOP_TETHER_REAR_FACING, SEAT, NOT_ALLOWED
                    ANCHOR_STRAP_UNDER_LOCK_OFF, SEAT, NOT_ALLOWED
                    TOWEL, SEAT, NOT_ALLOWED
                    NOODLE, SEAT, NOT_ALLOWED
                    ROLL_WITH_FOOT, SEAT, NOT_ALLOWED
                    ROLLS_BESIDE_CHILD, SEAT, SCHOOL
                    CROTCH_CLOTH, SEAT, SCHOOL
                    BORROWED_INNER_ANCHORS, BOTH, NOT_ALLOWED
                    INFLATABLE_BELT, BOTH, NOT_ALLOWED
                    UNUSUAL_VEHICLE_SEAT, BOTH, NOT_ALLOWED
                    FRONT_ROW, BOTH, NOT_ALLOWED
                    TOUCHING_FRONT_SEAT, BOTH, NOT_ALLOWED
                    OVERHANG, SEAT, NOT_KNOWN
                    HANDLE_POSITION, SEAT, NOT_KNOWN
                    LOAD_LEG_OMITTED, SEAT, NOT_KNOWN
                    BASE_LIFTED_BY_LEG, SEAT, NOT_KNOWN
                    CAR_BED_POSITION, SEAT, NOT_KNOWN
                    LAY_FLAT_POSITION, SEAT, NOT_KNOWN
                    LEG_OVER_STORAGE, CAR, NOT_ALLOWED
                    FEET_PAST_END, SEAT, ALLOWED
                    LOWER_ANCHORS_AT_POSITION, CAR, NOT_KNOWN
                    BELT_LOCKABLE, CAR, NOT_KNOWN
                    FRONT_AIRBAG_OFF, CAR, NOT_KNOWN
                    """)
    void eachCell(PermissionKey key, String speaks, String silence) {
        PermissionTable table = PermissionTable.shipped();
        for (Permission school : Permission.values()) {
            Permission silent = silence.equals("SCHOOL") ? school : Permission.valueOf(silence);
            for (Evidence<Said> seat : ALL) {
                for (Evidence<Said> car : ALL) {
                    Permission bySeat = read(seat, silent);
                    Permission byCar = read(car, silent);
                    Permission expected = switch (speaks) {
                        case "SEAT" -> bySeat;
                        case "CAR" -> byCar;
                        default -> both(bySeat, byCar);
                    };
                    assertThat(table.decide(key, seat, car, school))
                            .as("%s seat %s car %s school %s", key, seat, car, school)
                            .isEqualTo(expected);
                }
            }
        }
    }

    private static Permission read(Evidence<Said> evidence, Permission silent) {
        if (evidence == YES) {
            return ALLOWED;
        }
        return evidence == NO ? NOT_ALLOWED : evidence == SILENT ? silent : NOT_KNOWN;
    }

    private static Permission both(Permission seat, Permission car) {
        if (seat == NOT_ALLOWED || car == NOT_ALLOWED) {
            return NOT_ALLOWED;
        }
        return seat == NOT_KNOWN || car == NOT_KNOWN ? NOT_KNOWN : ALLOWED;
    }

    @ParameterizedTest
    @EnumSource(PermissionKey.class)
    void notLookedNeverAllows(PermissionKey key) {
        for (Evidence<Said> other : ALL) {
            PermissionTable table = PermissionTable.shipped();
            boolean seatSpeaks = table.speakers(key).contains(Speaker.SEAT);
            boolean carSpeaks = table.speakers(key).contains(Speaker.CAR);
            if (seatSpeaks) {
                assertThat(table.decide(key, NOT_LOOKED, other, ALLOWED)).isNotEqualTo(ALLOWED);
            }
            if (carSpeaks) {
                assertThat(table.decide(key, other, NOT_LOOKED, ALLOWED)).isNotEqualTo(ALLOWED);
            }
        }
    }

    @Test
    void everyPermissionHasASpeaker() {
        for (PermissionKey key : PermissionKey.values()) {
            assertThat(PermissionTable.shipped().speakers(key)).as("%s", key).isNotEmpty();
        }
    }
}
