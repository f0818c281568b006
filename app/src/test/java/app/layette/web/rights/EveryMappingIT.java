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
import java.util.List;
import java.util.Map;
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
