package app.layette.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

class CarWorkTest {
    private static final Path SHEETS = Path.of("../examples/sheets");
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    private static String sheet(String name) throws IOException {
        return Files.readString(SHEETS.resolve(name + ".json"));
    }

    private static CarField field(CarWork work, String pointer) {
        return work.fields().stream()
                .filter(each -> each.pointer().equals(pointer))
                .findFirst()
                .orElseThrow();
    }

    /** Opened, every field put back as it stands: the same bytes. */
    @ParameterizedTest
    @ValueSource(strings = {"corvane-estate", "corvane-hack", "pallander-dray"})
    void aSheetComesBackAsItWas(String name) throws IOException {
        String json = sheet(name);
        CarWork work = CarWork.of(json);
        for (CarField field : work.fields()) {
            work.value(field).ifPresent(value -> {
                Map<String, String> boxes = FieldForm.write(field.shape(), value);
                FieldForm.Read read = FieldForm.read(field.shape(), boxes);
                assertThat(read.problems()).as(field.pointer()).isEmpty();
                boolean asItStood = FieldForm.isAsItStood(field.shape(), value, boxes);
                work.put(field, asItStood ? value : read.value().orElseThrow(), work.source(field));
            });
        }
        assertThat(work.json()).isEqualTo(json);
        assertThat(work.problems()).isEmpty();
        assertThat(work.doubts()).isEmpty();
    }

    @Test
    void placesComeAndGoInTheirOrderAndTheLastStays() {
        CarWork work =
                CarWork.begin("a-car", "Made", "Up", List.of(PositionId.parse("2-RIGHT"), PositionId.parse("1-RIGHT")));
        assertThat(work.places()).hasToString("[1-RIGHT, 2-RIGHT]");
        work.add(PositionId.parse("2-LEFT"));
        CarField airbag = field(work, "/positions/2-RIGHT/airbag");
        FieldForm.Read none = FieldForm.read(airbag.shape(), Map.of("v", "none"));
        work.put(airbag, none.value().orElseThrow(), "manual 4");
        work.remove(PositionId.parse("1-RIGHT"));
        assertThat(work.places()).hasToString("[2-LEFT, 2-RIGHT]");
        VehicleSheet car = work.sheet().orElseThrow();
        assertThat(car.position(PositionId.parse("2-RIGHT"))
                        .orElseThrow()
                        .airbag()
                        .value())
                .isPresent();
        assertThat(car.position(PositionId.parse("2-LEFT"))
                        .orElseThrow()
                        .airbag()
                        .value())
                .isEmpty();
        work.remove(PositionId.parse("2-LEFT"));
        work.remove(PositionId.parse("2-RIGHT"));
        assertThat(work.places()).hasToString("[2-RIGHT]");
    }

    @Test
    void whatAPlaceDoesNotHaveHasNoMeasures() throws IOException {
        CarWork work = CarWork.of(sheet("corvane-estate"));
        CarField anchors = field(work, "/positions/2-LEFT/anchors");
        work.put(
                anchors,
                FieldForm.read(anchors.shape(), Map.of("v", "none")).value().orElseThrow(),
                "manual 3");
        CarField apart = field(work, "/positions/2-LEFT/anchorSpacing");
        work.put(
                apart,
                FieldForm.read(apart.shape(), Map.of("v", "280 mm")).value().orElseThrow(),
                "tape");
        assertThat(work.doubts()).contains(apart);
        work.forget(apart);
        assertThat(work.doubts()).doesNotContain(apart);
    }

    /** A look keeps its day, and what nobody saw stays open. */
    @Test
    void aCarThatWasLookedAtBeginsItsSheet() throws IOException {
        VehicleSheet seen = SheetReader.vehicle(sheet("corvane-estate"));
        CarWork work = CarOfLooks.write(seen, "seen-car", "seen in a fitting", "Marit");
        assertThat(work.problems()).isEmpty();
        assertThat(work.state(field(work, "/positions/2-LEFT/anchors"))).isEqualTo(WorkingSheet.State.STATED);
        assertThat(work.source(field(work, "/positions/2-LEFT/anchors"))).startsWith("seen");
        assertThat(work.state(field(work, "/positions/2-LEFT/width"))).isEqualTo(WorkingSheet.State.NOT_LOOKED);
        assertThat(work.state(field(work, "/permissions/frontRow"))).isEqualTo(WorkingSheet.State.NOT_LOOKED);
    }

    @Test
    void whatWouldBlockIsNamedByItsPlace() throws IOException {
        SeatSheet seat = SheetReader.seat(sheet("wrenfold-thimble"));
        Practice practice =
                new Practice(SheetReader.profile(ShippedProfiles.json("north-american-clinic")), "US", ZoneOffset.UTC);
        CarWork work = CarWork.begin("a-car", "Made", "Up", List.of(PositionId.parse("2-LEFT")));
        CarGaps.Gaps gaps = CarGaps.of(work.sheet().orElseThrow(), List.of(seat), practice, TODAY);
        assertThat(gaps.fittings()).isPositive();
        assertThat(gaps.gaps()).extracting(gap -> gap.field().pointer()).contains("/positions/2-LEFT/facing");
        CarGaps.Gaps whole = CarGaps.of(SheetReader.vehicle(sheet("corvane-estate")), List.of(seat), practice, TODAY);
        assertThat(whole.gaps()).extracting(gap -> gap.field().key()).doesNotContain("facing", "airbag", "anchors");
    }

    /** Every property of the published schema is written at its place: one that is missing in the table could be entered nowhere. */
    @Test
    void theTableHoldsEveryFieldOfTheSchema() throws IOException {
        JsonNode schema = LayetteJson.strict()
                .readTree(CarWorkTest.class.getResourceAsStream(
                        "/app/layette/formats/schemas/vehicle-sheet.schema.json"));
        JsonNode place =
                schema.path("properties").path("positions").path("items").path("properties");
        Set<String> wanted = new TreeSet<>();
        schema.path("properties").propertyNames().forEach(wanted::add);
        wanted.removeAll(Set.of("formatVersion", "id", "version", "sha256", "status", "positions", "permissions"));
        place.propertyNames().stream()
                .filter(name -> !name.equals("id") && !name.equals("belt"))
                .forEach(wanted::add);
        place.path("belt").path("properties").propertyNames().forEach(name -> wanted.add("belt." + name));
        List<String> keys = CarFields.of(List.of(PositionId.parse("2-LEFT"))).stream()
                .map(CarField::key)
                .filter(key -> !key.startsWith("permissions."))
                .toList();
        assertThat(keys).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(wanted);
    }
}
