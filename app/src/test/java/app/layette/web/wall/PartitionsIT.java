package app.layette.web.wall;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.fuzz.Mappings;
import app.layette.web.fuzz.Visitor;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The large tables split by point with PostgreSQL's own partitions: everything goes on as before. */
class PartitionsIT {
    private static final int PARTS = 8;

    @Test
    void everythingGoesOnOverTablesThatAreSplit() {
        RunningApp app = RunningApp.apart();
        String before = app.ask("select string_agg(md5(e::text), '' order by e.fitting_id, e.seq) from entry e");
        app.kill();
        app.split(PARTS);
        app.start();
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            assertThat(app.ask("select count(*) from pg_class where relispartition and relkind = 'r'"))
                    .isEqualTo(String.valueOf(8 * PARTS));
            assertThat(app.ask("select string_agg(md5(e::text), '' order by e.fitting_id, e.seq) from entry e"))
                    .isEqualTo(before);
            assertThat(app.ask("explain (costs off) select * from entry where point_id = (select id from point limit 1)"
                            + " and fitting_id = gen_random_uuid()"))
                    .as("one part is read, by its key")
                    .isNotEmpty();
            String fitting = app.ask("select f.id from fitting f join family a on a.id = f.family_id and a.point_id ="
                    + " f.point_id where a.child_name = 'Ottilie'");
            Visitor lead = new Visitor(app.address(), "ilse", Desk.PASSWORD);
            List<String> wrong = new ArrayList<>();
            Mappings.all().stream()
                    .filter(each -> each.verb().equals("GET"))
                    .map(each -> each.path()
                            .replaceFirst("^/(fittings|due)/\\{(id|fitting)}", "/$1/" + fitting)
                            .replaceAll("\\{[^}]*}", "00000000-0000-4000-8000-000000000001"))
                    .filter(path -> lead.get(path).status() >= 500)
                    .forEach(wrong::add);
            assertThat(wrong).isEmpty();

            // A family begins, an entry comes, a name is found, everything is erased.
            desk.signIn("marit").open("/fittings/" + fitting + "?step=HAND_OVER");
            Page page = desk.page();
            page.navigate(app.address() + "/?find=ottil");
            assertThat(page.textContent("main")).contains("Ottilie");
            lead.post(
                    "/fittings/" + fitting + "/entries",
                    java.util.Map.of(
                            "kind",
                            "noted",
                            "of",
                            "u1",
                            "text",
                            "after the split",
                            "seen",
                            "99",
                            "id",
                            "00000000-0000-4000-8000-00000000aa01"));
            assertThat(app.ask("select count(*) from entry where id = '00000000-0000-4000-8000-00000000aa01'"))
                    .isEqualTo("1");
            lead.post("/keeping/seals", java.util.Map.of());
            assertThat(app.ask("select broken || ' of ' || (seals > 0) from seals_checked order by at desc limit 1"))
                    .isEqualTo("0 of true");
            desk.isQuiet();
        } finally {
            app.kill();
        }
    }
}
