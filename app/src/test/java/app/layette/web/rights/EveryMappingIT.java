package app.layette.web.rights;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Misuse;
import app.layette.web.fuzz.Mappings;
import app.layette.web.fuzz.Mappings.Mapping;
import app.layette.web.fuzz.Visitor;
import app.layette.web.fuzz.Visitor.Answer;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Every address, asked for by everybody: nobody, a trainee, a technician, a lead, and the lead of another fitting point.
 * Who gets in stands in a table; an address that is not in it fails the test.
 */
class EveryMappingIT {
    private static final String TABLE = "/mappings-by-role.csv";
    /** The other point's lead. */
    private static final String STRANGER = "hale";

    /** What lets a form be read, so that it is the right that decides and not a field that is missing. */
    private static final Map<String, String> FILLED = Map.ofEntries(
            Map.entry("stage", "CHILD"),
            Map.entry("what", "weight"),
            Map.entry("setting", "1"),
            Map.entry("about", "other"),
            Map.entry("id", "00000000-0000-4000-8000-000000000003"),
            Map.entry("entry", "00000000-0000-4000-8000-000000000002"),
            Map.entry("correction", "00000000-0000-4000-8000-000000000004"),
            Map.entry("taken", "true"),
            Map.entry("seen", "1"),
            Map.entry("text", "seen from outside"),
            Map.entry("kind", "DONE"),
            Map.entry("dueOn", "2026-12-01"),
            Map.entry("misuse", Misuse.values()[0].name()),
            Map.entry("there", "true"),
            Map.entry("area", Area.HARNESS.name()),
            Map.entry("clear", "true"),
            Map.entry("move", Fact.WebbingMove.values()[0].name()),
            Map.entry("field", "mass"));

    /** Where the id is a secret of its own, one's own, or of something that no point has. */
    private static final List<String> OF_NO_POINT = List.of(
            "/f/{token}",
            "/calendar/{token}",
            "/password/{token}",
            "/r/{card}",
            "/rules/{code}",
            "/account/sessions/{key}",
            "/recalls/{id}");

    private static final List<String> WHO = List.of("", "pim", "marit", "ilse", STRANGER);

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void letsInWhomTheTableSays() throws IOException {
        app.openAnotherPoint(STRANGER);
        String fitting = app.ask(
                "select f.id from fitting f join family a on a.id = f.family_id where a.child_name = 'Ottilie'");
        String person = app.ask("select id from app_user where name = 'tove'");
        List<String> found = new ArrayList<>();
        Map<String, Visitor> visitors = new HashMap<>();
        WHO.forEach(who -> visitors.put(who, new Visitor(app.address(), who, Desk.PASSWORD)));
        for (Mapping mapping : Mappings.all()) {
            List<String> cells = new ArrayList<>(List.of(mapping.toString()));
            String path = mapping.path()
                    .replaceFirst("^/people/\\{id}", "/people/" + person)
                    .replaceFirst("^/(fittings|due)/\\{(id|fitting)}", "/$1/" + fitting)
                    .replaceFirst("\\{version}", "1")
                    .replaceAll("\\{key}|\\{photo}|\\{id}", "00000000-0000-4000-8000-000000000001")
                    .replaceAll("\\{[^}]*}", "nothing");
            for (String who : WHO) {
                Answer answer = send(visitors.get(who), mapping, path);
                cells.add(said(answer));
                if (who.isEmpty() && mapping.path().equals("/sign-out")) {
                    // Signing out takes the token of a form with it, also from somebody who never signed in.
                    visitors.put(who, new Visitor(app.address(), who, Desk.PASSWORD));
                }
                if (!who.isEmpty() && answer.isSignedOut()) {
                    // Signing out is one of the addresses.
                    visitors.get(who).signIn();
                }
            }
            found.add(String.join(",", cells));
        }
        assertThat(found).containsExactlyElementsOf(table());
    }

    /** What each address that takes an id is asked about: a row that is there, of the demo's point. */
    private static Map<String, String> rows() {
        String point = app.ask("select id from point order by opened_at limit 1");
        String user = app.ask("select id from app_user where name = 'marit'");
        app.execute("insert into bench_run (id, point_id, user_id, kind, number, begun_at) values"
                + " ('00000000-0000-4000-8000-0000000000b1', '" + point + "', '" + user + "', 'FIT', 7, now())");
        app.execute("insert into sheet_work (point_id, id, document, writers, changed_at, kind) values ('" + point
                + "', 'row-seat', '{}', '{marit}', now(), 'SEAT'), ('" + point
                + "', 'row-car', '{}', '{marit}', now(), 'VEHICLE')");
        String fitting = app.ask(
                "select f.id from fitting f join family a on a.id = f.family_id where a.child_name = 'Ottilie'");
        app.execute(
                "insert into photo (point_id, id, fitting_id, at, by_user, width, height, sha256, picture) values ('"
                        + point + "', '00000000-0000-4000-8000-0000000000f1', '" + fitting
                        + "', now(), 'marit', 1, 1, repeat('0', 64), '\\x00')");
        app.execute("insert into stock_seat (id, point_id, sheet_id, model, made, serial, state) values"
                + " ('00000000-0000-4000-8000-0000000000c1', '" + point
                + "', 'wrenfold-thimble', 'Wrenfold Thimble', '2026-01', 'S-1', 'CLEANING')");
        Map<String, String> rows = new LinkedHashMap<>();
        rows.put("/fittings/{id}", fitting);
        rows.put("/due/{fitting}", fitting);
        rows.put("/sheets/cars/from/{fitting}", fitting);
        app.execute(
                "insert into brought_in (point_id, id, source, brought_by, at, given, sha256, document) values ('"
                        + point
                        + "', '00000000-0000-4000-8000-0000000000d1', 'x', 'x', now(), 'Ottilie', repeat('1', 64),"
                        + " '{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"entry\":[{\"resource\":{\"resourceType\":\"Patient\",\"birthDate\":\"' || (current_date - 3) || '\"}}]}')");
        app.execute("insert into program (point_id, id, name, scopes, sha256, made_by, made_at, expires_on) values ('"
                + point
                + "', '00000000-0000-4000-8000-0000000000e1', 'x', 'plan', repeat('2', 64), 'x', now(), current_date)");
        rows.put("/brought-in/{id}", "00000000-0000-4000-8000-0000000000d1");
        rows.put("/programs/{id}", "00000000-0000-4000-8000-0000000000e1");
        rows.put("/appointments/{id}", app.ask("select id from appointment limit 1"));
        rows.put("/bench/runs/{id}", "00000000-0000-4000-8000-0000000000b1");
        rows.put("/stock/{id}", "00000000-0000-4000-8000-0000000000c1");
        rows.put("/people/{id}", user);
        rows.put("/rolls/{id}", app.ask("select id from roll_good limit 1"));
        rows.put("/sheets/cars/{id}", "row-car");
        rows.put("/sheets/writing/{id}", "row-seat");
        rows.put("/sheets/{id}", app.ask("select id from sheet where kind = 'SEAT' limit 1"));
        return rows;
    }

    /** Everything that is kept of the demo's point, in one sum. */
    private static String everything() {
        String tables =
                app.ask("select string_agg(c.relname, ',' order by c.relname) from pg_class c join pg_attribute a"
                        + " on a.attrelid = c.oid and a.attname = 'point_id'"
                        + " where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')"
                        // Worked off in the background.
                        + " and c.relname not in ('fitting_stale', 'due_item', 'simulated_mail')");
        StringBuilder sums = new StringBuilder();
        for (String table : tables.split(",")) {
            sums.append(table)
                    .append(' ')
                    .append(app.ask("select md5(coalesce(string_agg(t::text, '|' order by t::text), '')) from " + table
                            + " t where point_id = (select id from point order by opened_at limit 1)"))
                    .append('\n');
        }
        return sums.toString();
    }

    /** Whoever leads another point asks for a row of this one, by every address that takes an id: none may be forgotten. */
    @Test
    void anotherPointsRowsAreRefusedByEveryAddress() {
        app.openAnotherPoint("edur");
        Map<String, String> rows = rows();
        Visitor stranger = new Visitor(app.address(), "edur", Desk.PASSWORD);
        String before = everything();
        SoftAssertions softly = new SoftAssertions();
        for (Mapping mapping : Mappings.all()) {
            boolean takesAnId =
                    mapping.path().contains("{") && OF_NO_POINT.stream().noneMatch(mapping.path()::startsWith);
            if (!takesAnId) {
                continue;
            }
            Optional<Map.Entry<String, String>> row = rows.entrySet().stream()
                    .filter(each -> mapping.path().startsWith(each.getKey()))
                    .findFirst();
            assertThat(row).as("no row is named for " + mapping).isPresent();
            String path = (row.get().getKey().replaceAll("\\{[^}]*}", row.get().getValue())
                            + mapping.path().substring(row.get().getKey().length()))
                    .replace("{photo}", "00000000-0000-4000-8000-0000000000f1")
                    .replace("{version}", "1");
            Answer answer = send(stranger, mapping, path);
            softly.assertThat(answer.status()).as(mapping.toString()).isIn(400, 403, 404, 410, 422);
            softly.assertThat(answer.body()).as(mapping.toString()).doesNotContain("Ottilie", "W-1031");
        }
        softly.assertThat(everything()).as("and nothing of it was changed").isEqualTo(before);
        softly.assertAll();
    }

    private static Answer send(Visitor visitor, Mapping mapping, String path) {
        Map<String, String> fields = new HashMap<>();
        mapping.parameters().stream().filter(FILLED::containsKey).forEach(name -> fields.put(name, FILLED.get(name)));
        if (mapping.verb().equals("GET")) {
            return visitor.get(fields.isEmpty() ? path : path + "?" + Visitor.encoded(fields));
        }
        return mapping.file().isEmpty()
                ? visitor.post(path, fields)
                : visitor.upload(path, fields, mapping.file(), "empty", new byte[0]);
    }

    /** in: answered, or refused for what was not filled in; out: sign in first; no: not theirs to do; none: not there. */
    private static String said(Answer answer) {
        if (answer.isSignedOut()) {
            return "out";
        }
        return switch (answer.status()) {
            case 403 -> "no";
            case 404, 410 -> "none";
            case 200, 204, 302, 400, 422 -> "in";
            default -> String.valueOf(answer.status());
        };
    }

    private static List<String> table() throws IOException {
        try (var in = EveryMappingIT.class.getResourceAsStream(TABLE)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .toList();
        }
    }
}
