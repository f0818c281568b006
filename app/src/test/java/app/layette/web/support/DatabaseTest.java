package app.layette.web.support;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Tests against the real database with the demo data in it; all of them share one application. */
@SpringBootTest(webEnvironment = WebEnvironment.MOCK)
public abstract class DatabaseTest {
    private static final TestDatabase DATABASE = TestDatabase.create();

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("LAYETTE_DB_URL", DATABASE::url);
        properties.add("LAYETTE_DB_PASSWORD", DATABASE::password);
        properties.add("layette.mode", () -> "demo");
        properties.add("layette.warm-up", () -> "false");
    }

    /** The shelf is as the demo data left it, and every fitting waits to be planned by that. */
    @AfterEach
    void putTheShelfBack(@Autowired JdbcTemplate jdbc) {
        int newer = jdbc.update("delete from sheet s where exists (select 1 from sheet_kept k where k.id = s.id"
                + " and s.version > k.version)");
        if (newer > 0) {
            jdbc.update(
                    "insert into fitting_stale (point_id, fitting_id) select point_id, id from fitting on conflict do nothing");
        }
    }

    @BeforeEach
    void keepTheShelf(@Autowired JdbcTemplate jdbc) {
        jdbc.execute(
                "create table if not exists sheet_kept as select id, max(version) as version from sheet group by id");
    }
}
