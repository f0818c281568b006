package app.layette.core.evidence;

import app.layette.core.table.CsvTable;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Who must allow what, and what it means when they were asked and are silent. The data is {@code permissions.csv}; a
 * permission that the file leaves out stops the program at its start.
 */
public final class PermissionTable {
    /** What it means when a manual was looked at and says nothing. */
    public enum Silence {
        NOT_ALLOWED,
        NOT_KNOWN,
        /** The practice profile's school decides: the one permission that may fall through. */
        SCHOOL,
        NO_LIMIT
    }

    private record Row(Set<Speaker> speakers, Silence silence) {}

    private static final PermissionTable SHIPPED = load();

    private final Map<PermissionKey, Row> rows;

    private PermissionTable(Map<PermissionKey, Row> rows) {
        this.rows = rows;
    }

    public static PermissionTable shipped() {
        return SHIPPED;
    }

    private static PermissionTable load() {
        Map<PermissionKey, Row> rows = new EnumMap<>(PermissionKey.class);
        for (List<String> cells : CsvTable.read("permissions.csv", 3)) {
            Set<Speaker> speakers = EnumSet.noneOf(Speaker.class);
            for (String speaker : cells.get(1).split("\\+")) {
                speakers.add(Speaker.valueOf(speaker));
            }
            rows.put(PermissionKey.valueOf(cells.get(0)), new Row(speakers, Silence.valueOf(cells.get(2))));
        }
        for (PermissionKey key : PermissionKey.values()) {
            if (!rows.containsKey(key)) {
                throw new IllegalStateException("permissions.csv has no row for " + key);
            }
        }
        return new PermissionTable(rows);
    }

    private Row row(PermissionKey key) {
        return Objects.requireNonNull(rows.get(key));
    }

    public Set<Speaker> speakers(PermissionKey key) {
        return row(key).speakers();
    }

    public Silence silence(PermissionKey key) {
        return row(key).silence();
    }

    /**
     * Whether something is permitted.
     *
     * @param seat what the seat manual says; ignored when it has no say
     * @param car what the vehicle manual says; ignored when it has no say
     * @param school the profile's answer; used only where silence leaves it to the school
     */
    public Permission decide(PermissionKey key, Evidence<Said> seat, Evidence<Said> car, Permission school) {
        return decideFor(Speaker.SEAT, key, seat, school).and(decideFor(Speaker.CAR, key, car, school));
    }

    /** The answer of one speaker alone. */
    public Permission decideFor(Speaker speaker, PermissionKey key, Evidence<Said> evidence, Permission school) {
        Row row = row(key);
        return row.speakers().contains(speaker) ? read(evidence, row.silence(), school) : Permission.ALLOWED;
    }

    private static Permission read(Evidence<Said> evidence, Silence silence, Permission school) {
        if (evidence instanceof Evidence.Stated<Said> stated) {
            return stated.said() == Said.ALLOWED ? Permission.ALLOWED : Permission.NOT_ALLOWED;
        }
        if (!evidence.isSilent()) {
            return Permission.NOT_KNOWN;
        }
        return switch (silence) {
            case NOT_ALLOWED -> Permission.NOT_ALLOWED;
            case NOT_KNOWN -> Permission.NOT_KNOWN;
            case SCHOOL -> school;
            case NO_LIMIT -> Permission.ALLOWED;
        };
    }
}
