package app.layette.web.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Author;
import app.layette.formats.Examples;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.json.LayetteJson;
import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.support.DatabaseTest;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sheets out of the shelf and in again, many at once, all of them or none. */
class ShelfDatabaseTest extends DatabaseTest {
    private static final Author ILSE = new Author("ilse", Author.Role.LEAD);

    /** Thirty ways in which a sheet is wrong: the place, and what is put there as JSON. */
    private static final List<String> WRONG = List.of(
            "/id ''",
            "/id 5",
            "/id 'a b/c'",
            "/version 0",
            "/version -3",
            "/version 'three'",
            "/status 'maybe'",
            "/kind 'rocket'",
            "/formatVersion 99",
            "/identity/maker 7",
            "/identity/modelNumbers 'WT-210'",
            "/identity/manufacturedFrom 'soon'",
            "/life/stated 'long'",
            "/life/source 7",
            "/crash/stated 'never'",
            "/limits/weightMin/stated '5'",
            "/limits/weightMin/stated '-5 lb'",
            "/limits/weightMax/stated '900 kg'",
            "/limits/lengthMax/stated 'tall'",
            "/shell/top/stated 472",
            "/shell/top/stated '472 furlongs'",
            "/shell/slots/stated '194 mm'",
            "/shell/slots/stated ['194 mm', 12]",
            "/harness/clip/stated 'yes'",
            "/harness/snugTest/stated 'tickle'",
            "/recline/theta0/stated 'steep'",
            "/recline/device/stated {'kind': 'crane'}",
            "/connectors/stated {'kind': 'glue'}",
            "/leg/stated 'two'",
            "/permissions/towel/stated 'perhaps'");

    @Autowired
    private Shelf shelf;

    @Autowired
    private Points points;

    @Autowired
    private JdbcTemplate jdbc;

    private UUID point;
    private UUID elsewhere;

    @BeforeEach
    void anotherPoint() {
        point = points.findAllByOrderByOpenedAt().get(0).id();
        elsewhere = points.save(
                        new Point(UUID.randomUUID(), "Elsewhere", ZoneId.of("UTC"), "US", "north-american-clinic"))
                .id();
    }

    private int held(UUID at) {
        return jdbc.queryForObject("select count(*) from sheet where point_id = ?", Integer.class, at);
    }

    @Test
    void whatGoesOutComesInAgainAndGoesOutTheSame() {
        byte[] out = ShelfBundle.write(shelf.documents(point));
        int before = held(point);
        shelf.takeInAll(point, ShelfBundle.read("sheets.zip", out), ILSE);
        assertThat(held(point)).as("what is here already is not taken in twice").isEqualTo(before);
        shelf.takeInAll(elsewhere, ShelfBundle.read("sheets.zip", out), ILSE);
        assertThat(held(elsewhere)).isEqualTo(shelf.documents(point).size());
        assertThat(ShelfBundle.write(shelf.documents(elsewhere))).isEqualTo(out);
        assertThat(ShelfBundle.write(shelf.documents(point))).isEqualTo(out);
    }

    @Test
    void ofManyEveryProblemIsSaidWithItsFileAndNothingIsTakenIn() {
        String good = Examples.text("sheets/wrenfold-thimble.json");
        List<ShelfBundle.Named> all = new ArrayList<>(List.of(new ShelfBundle.Named("good.json", good)));
        for (int i = 0; i < WRONG.size(); i++) {
            all.add(new ShelfBundle.Named("wrong-" + i + ".json", wrong(good, WRONG.get(i))));
        }
        assertThatThrownBy(() -> shelf.takeInAll(elsewhere, all, ILSE))
                .isInstanceOfSatisfying(RefusedDocumentException.class, refused -> {
                    for (int i = 0; i < WRONG.size(); i++) {
                        String file = "wrong-" + i + ".json ";
                        String place = WRONG.get(i).split(" ")[0];
                        assertThat(refused.problems())
                                .as(WRONG.get(i))
                                .anyMatch(problem -> problem.place().startsWith(file)
                                        && onOneLine(place, problem.place().substring(file.length()))
                                        && !problem.allowed().isBlank());
                    }
                    assertThat(refused.problems())
                            .noneMatch(problem -> problem.place().startsWith("good.json"));
                });
        assertThat(held(elsewhere)).isZero();
    }

    /** Whether one place lies in the other: a list's third entry is named inside the list. */
    private static boolean onOneLine(String place, String told) {
        return place.startsWith(told) || told.startsWith(place);
    }

    private static String wrong(String good, String change) {
        String pointer = change.substring(0, change.indexOf(' '));
        JsonNode value = LayetteJson.strict()
                .readTree(change.substring(change.indexOf(' ') + 1).replace('\'', '"'));
        ObjectNode document = (ObjectNode) LayetteJson.strict().readTree(good);
        JsonPointer place = JsonPointer.compile(pointer);
        ((ObjectNode) document.at(place.head())).set(place.last().getMatchingProperty(), value);
        return document.toString();
    }

    @Test
    void aFileThatIsNoZipAndABombAreRefused() {
        byte[] torn = Arrays.copyOf(ShelfBundle.write(shelf.documents(point)), 900);
        assertThatThrownBy(() -> ShelfBundle.read("torn.zip", torn))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining("torn.zip");
        assertThatThrownBy(() -> ShelfBundle.read("empty.zip", new byte[] {'P', 'K', 5, 6}))
                .isInstanceOf(RefusedDocumentException.class);
        SortedMap<String, String> large = new TreeMap<>();
        large.put("a.json", " ".repeat(2_100_000));
        assertThatThrownBy(() -> ShelfBundle.read("large.zip", ShelfBundle.write(large)))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining("2000000");
    }
}
