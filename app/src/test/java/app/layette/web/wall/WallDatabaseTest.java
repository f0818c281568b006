package app.layette.web.wall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.web.support.DatabaseTest;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;

/** Queries that forget their filter, for every table that holds what is a point's. */
class WallDatabaseTest extends DatabaseTest {
    /** Of nobody's point: who somebody is, before it is known where; what ships or is heard for all; what ran. */
    private static final Set<String> OF_NO_POINT = Set.of(
            "flyway_schema_history",
            "spring_session",
            "spring_session_attributes",
            "user_entities",
            "user_credentials",
            "time_code",
            "recovery_code",
            "password_link",
            "calendar_feed",
            "sign_in_try",
            "sign_in_known",
            "simulated_recall",
            "recall_known",
            "backup_made",
            "sheet_kept");

    @Autowired
    JdbcTemplate jdbc;

    private UUID demo;
    private UUID other;

    @BeforeEach
    void anotherPoint() {
        demo = jdbc.queryForObject(
                "select id from point where name <> 'Other side' order by opened_at limit 1", UUID.class);
        other = UUID.randomUUID();
        jdbc.update(
                "insert into point (id, name, zone, law_country, profile_id) values (?, 'Other side', 'UTC', 'US', 'x')",
                other);
    }

    @AfterEach
    void closeIt() {
        jdbc.update("delete from point where id = ?", other);
    }

    private List<String> tables() {
        return jdbc.queryForList(
                "select c.relname from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')"
                        + " and not c.relispartition order by 1",
                String.class);
    }

    private List<String> guarded() {
        return tables().stream().filter(table -> !OF_NO_POINT.contains(table)).toList();
    }

    private static long rows(JdbcTemplate jdbc, String table) {
        return jdbc.queryForObject("select count(*) from " + table, Long.class);
    }

    private <T> T inside(UUID point, java.util.function.Supplier<T> asked) {
        Wall.Inside own = Wall.inside(point);
        try {
            return asked.get();
        } finally {
            own.close();
        }
    }

    @Test
    void whoForgetsTheFilterStillSeesNothingOfAnother() {
        assertThat(guarded()).hasSizeGreaterThan(25);
        for (String table : guarded()) {
            long seen = inside(other, () -> rows(jdbc, table));
            assertThat(seen).as(table).isEqualTo(table.equals("point") ? 1 : 0);
        }
        Stream.of("entry", "fitting", "family", "sheet", "seal", "app_user", "due_item", "appointment")
                .forEach(table -> assertThat(inside(demo, () -> rows(jdbc, table)))
                        .as(table)
                        .isPositive()
                        .isEqualTo(jdbc.queryForObject(
                                "select count(*) from " + table + " where point_id = ?", Long.class, demo)));
    }

    @Test
    void everyTableOfAPointBeginsEveryKeyAndIndexWithIt() {
        assertThat(jdbc.queryForList(
                        "select i.indexrelid::regclass::text from pg_index i join pg_class c on c.oid = i.indrelid"
                                + " join pg_attribute a on a.attrelid = c.oid and a.attname = 'point_id'"
                                + " where c.relnamespace = 'public'::regnamespace and i.indkey[0] <> a.attnum",
                        String.class))
                .as("a name is asked for before the point is known, and so are the secrets in addresses")
                .containsExactlyInAnyOrder(
                        "app_user_pkey",
                        "app_user_name_key",
                        "family_page_pkey",
                        "program_by_token",
                        "appointment_bay_id_during_excl");
        assertThat(jdbc.queryForList(
                        "select c.relname from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'"
                                + " and not c.relrowsecurity",
                        String.class))
                .allMatch(OF_NO_POINT::contains);
    }

    @Test
    void nothingIsWrittenIntoOrTakenFromAnother() {
        UUID family = jdbc.queryForObject("select id from family limit 1", UUID.class);
        assertThat(inside(other, () -> jdbc.update("update family set child_name = 'x' where id = ?", family)))
                .isZero();
        assertThat(inside(other, () -> jdbc.update("delete from entry"))).isZero();
        assertThatThrownBy(() -> inside(
                        other,
                        () -> jdbc.update(
                                "insert into family (id, point_id, reference, child_name) values (gen_random_uuid(), ?, 'Z', 'Z')",
                                demo)))
                .isInstanceOf(DataAccessException.class);
        assertThat(inside(other, () -> jdbc.queryForList("select * from fittings_like(?, '%', 100)", demo)))
                .isEmpty();
        assertThat(inside(demo, () -> jdbc.queryForList("select * from fittings_like(?, '%', 100)", demo)))
                .isNotEmpty();
    }

    @Test
    void aSideIsLeftWithTheWork() {
        assertThat(inside(other, () -> jdbc.queryForObject("select current_user::text", String.class)))
                .isEqualTo("layette_point");
        assertThat(jdbc.queryForObject("select current_user::text", String.class))
                .isNotEqualTo("layette_point");
        String outside =
                inside(other, () -> Wall.outside(() -> jdbc.queryForObject("select current_user::text", String.class)));
        assertThat(outside).isNotEqualTo("layette_point");
        assertThat(inside(other, () -> jdbc.queryForObject("show statement_timeout", String.class)))
                .as("nobody waits longer for a page")
                .isEqualTo("15s");
        assertThat(jdbc.queryForObject("show statement_timeout", String.class)).isEqualTo("0");
    }
}
