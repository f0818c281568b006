package app.layette.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.account.Viewing;
import app.layette.web.due.DueItems.Item;
import app.layette.web.due.DueItems.Mark;
import app.layette.web.fitting.Fittings;
import app.layette.web.support.DatabaseTest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** The list of what comes due, over the real database. */
class DueDatabaseTest extends DatabaseTest {
    private static final int MANY = 1000;
    private static final int YEARS = 10;
    private static final String INCH_TEST = "date.MONTHLY_INCH_TEST";
    private static final String CARD = "date.REGISTRATION_CARD";

    @Autowired
    private DueItems items;

    @Autowired
    private Fittings fittings;

    @Autowired
    private Points points;

    @Autowired
    private Viewing viewing;

    @Autowired
    private JdbcTemplate jdbc;

    private UUID point;
    private UUID ottilie;
    private LocalDate today;

    @BeforeEach
    void find() {
        Point first = points.findAllByOrderByOpenedAt().get(0);
        point = first.id();
        today = viewing.today(first);
        ottilie = jdbc.queryForObject(
                "select f.id from fitting f join family a on a.id = f.family_id where a.reference = 'W-1031'",
                UUID.class);
    }

    @AfterEach
    void forget() {
        jdbc.update("delete from due_mark");
        jdbc.update("delete from fitting where last_seq = 0");
        items.takeOver(ottilie, point);
        fittings.refresh(point, ottilie);
    }

    private List<Item> open(LocalDate day) {
        return items.open(point, day, day.plusYears(YEARS), MANY);
    }

    private List<String> ofOttilie(LocalDate day) {
        return open(day).stream()
                .filter(item -> item.fittingId().equals(ottilie))
                .map(Item::what)
                .toList();
    }

    private Item item(String what) {
        return open(today).stream()
                .filter(each -> each.fittingId().equals(ottilie) && each.what().equals(what))
                .findFirst()
                .orElseThrow();
    }

    private void mark(String what, Mark.Kind kind, LocalDate until) {
        Mark mark = new Mark(ottilie, what, item(what).likely(), kind, until, "said", "marit", today);
        UUID id = UUID.randomUUID();
        assertThat(items.mark(point, id, mark, viewing.clock().instant())).isTrue();
        assertThat(items.mark(point, id, mark, viewing.clock().instant()))
                .as("sent twice it is one")
                .isFalse();
        fittings.refresh(point, ottilie);
    }

    @Test
    void whatIsOverdueComesFirstAndThenTheEarliest() {
        List<Item> open = open(today);
        assertThat(open)
                .hasSizeGreaterThan(20)
                .isSortedAccordingTo(
                        Comparator.comparing((Item item) -> !item.likely().isBefore(today))
                                .thenComparing(Item::earliest));
        assertThat(open).first().satisfies(item -> assertThat(item.likely()).isBefore(today));
        int overdue = (int)
                open.stream().filter(item -> item.likely().isBefore(today)).count();
        assertThat(items.open(point, today, today.plusYears(YEARS), overdue + 2))
                .as("the same, cut off")
                .isEqualTo(open.subList(0, overdue + 2));
    }

    /** Page after page is the whole list, whatever is asked for, and there are as many as are counted. */
    @ParameterizedTest
    @CsvSource({
        "'', '', '', false",
        "INCH, '', '', false",
        "'', marit, '', false",
        "'', '', w-10, false",
        "'', '', '', true"
    })
    void pagesAreTheWholeList(String what, String person, String family, boolean together) {
        LocalDate until = today.plusYears(YEARS);
        DueItems.Asked asked = new DueItems.Asked(what.isEmpty() ? "" : INCH_TEST, person, family, together);
        List<Item> whole = items.open(point, today, until, asked, MANY, 0);
        assertThat(whole).isNotEmpty().hasSize(items.count(point, today, until, asked));
        List<Item> pages = new ArrayList<>();
        for (int from = 0; from < whole.size(); from += 3) {
            pages.addAll(items.open(point, today, until, asked, 3, from));
        }
        assertThat(pages).isEqualTo(whole);
        assertThat(items.open(point, today, until, asked, 3, whole.size())).isEmpty();
        List<String> reference = whole.stream().map(Item::reference).toList();
        assertThat(open(today))
                .filteredOn(item -> (what.isEmpty() || item.what().equals(INCH_TEST))
                        && (person.isEmpty() || item.person().equals(person))
                        && (family.isEmpty()
                                || item.reference().toLowerCase(Locale.ROOT).contains(family)))
                .containsExactlyInAnyOrderElementsOf(whole);
        if (together) {
            assertThat(reference.stream().distinct().count())
                    .as("each family once")
                    .isEqualTo(1
                            + IntStream.range(1, reference.size())
                                    .filter(i -> !reference.get(i).equals(reference.get(i - 1)))
                                    .count());
        }
    }

    @Test
    void countsOfEachKindComeToAll() {
        LocalDate until = today.plusYears(YEARS);
        assertThat(items.counts(point, today, until).stream()
                        .mapToInt(DueItems.Count::count)
                        .sum())
                .isEqualTo(items.count(point, today, until, DueItems.Asked.ALL));
    }

    @Test
    void whatIsPutOffComesBackOnItsDay() {
        LocalDate until = today.plusDays(9);
        mark(CARD, Mark.Kind.SNOOZED, until);
        assertThat(ofOttilie(today)).doesNotContain(CARD);
        assertThat(ofOttilie(until.minusDays(1))).doesNotContain(CARD);
        assertThat(ofOttilie(until)).contains(CARD);
        assertThat(items.of(point, ottilie))
                .as("for the family nothing is put off")
                .extracting(Item::what)
                .contains(CARD);
    }

    @Test
    void whatComesOnceIsDoneOnceAndWhatComesAgainIsDueAgain() {
        mark(CARD, Mark.Kind.DONE, null);
        mark(INCH_TEST, Mark.Kind.DONE, null);
        assertThat(ofOttilie(today)).doesNotContain(CARD).contains(INCH_TEST);
        assertThat(item(INCH_TEST).likely()).isEqualTo(today.plusMonths(1));
        mark(INCH_TEST, Mark.Kind.CONTACT, null);
        assertThat(item(INCH_TEST).likely())
                .as("saying something does not do it")
                .isEqualTo(today.plusMonths(1));
    }

    /** A newer fitting in the same restraint and car tells what comes next; another car keeps its own. */
    @ParameterizedTest
    @CsvSource({
        "HANDED_OVER, car, r1, false",
        "LEFT_WITH_OPEN_FINDINGS, car, r1, false",
        "OPEN, car, r1, true",
        "NOT_FITTED, car, r1, true",
        "HANDED_OVER, 'The other car', r1, true",
        // A twin's seat tells nothing of this one's.
        "HANDED_OVER, car, r2, true"
    })
    void aNewerFittingTakesOver(String state, String car, String rider, boolean stillDue) {
        jdbc.update(
                "insert into fitting (id, point_id, family_id, profile_id, profile_version, law_country, seat_sheet,"
                        + " last_seq, created_at, state, blocking, touched_at, car, record_id, unit, rider) select"
                        + " gen_random_uuid(), point_id,"
                        + " family_id, profile_id, profile_version, law_country, seat_sheet, 0, created_at + interval '1 day',"
                        + " ?, 0, touched_at, case ? when 'car' then car else ? end, id, 'u2', ? from fitting where id = ?",
                state,
                car,
                car,
                rider,
                ottilie);
        items.takeOver(ottilie, point);
        assertThat(ofOttilie(today).contains(INCH_TEST)).isEqualTo(stillDue);
    }
}
