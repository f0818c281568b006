package app.layette.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.layette.core.seat.SeatKind;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.SheetReader;
import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Sheets that are made from the schema come back as they were; sheets that are broken are refused at their place. */
class MadeUpSheetsTest {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final int SHEETS = 200;

    private final Random random = new Random(11);

    private String one(List<String> words) {
        return words.get(random.nextInt(words.size()));
    }

    private JsonNode make(Shape shape) {
        if (shape instanceof Shape.Text) {
            return JSON.stringNode(one(List.of("head piece", "übergroß", "the blue one", "a; b = c", "x")));
        }
        if (shape instanceof Shape.Pattern pattern) {
            return JSON.stringNode(
                    switch (pattern.kind()) {
                        case "date" -> "2026-0" + (1 + random.nextInt(9)) + "-11";
                        case "country" -> one(List.of("US", "CA", "NL"));
                        case "position" -> one(List.of("1-RIGHT", "2-LEFT", "3-MIDDLE"));
                        default -> "manual " + random.nextInt(90);
                    });
        }
        if (shape instanceof Shape.Quantity quantity) {
            String mass = one(List.of("4 lb 6 oz", "1.8 kg", "29 lb", "2950 g"));
            return JSON.stringNode(
                    quantity.kind().equals("mass") ? mass : one(List.of("345 mm", "13 5/8 in", "49,5 cm", "2 in")));
        }
        if (shape instanceof Shape.Figure figure) {
            double most = Math.min(figure.most(), 200);
            int whole = (int) Math.ceil(figure.least()) + random.nextInt((int) (most - Math.ceil(figure.least())) + 1);
            return JSON.numberNode(whole);
        }
        if (shape instanceof Shape.Flag) {
            return JSON.booleanNode(random.nextBoolean());
        }
        if (shape instanceof Shape.Choice choice) {
            return JSON.stringNode(one(choice.words()));
        }
        if (shape instanceof Shape.YearsOr years) {
            return random.nextBoolean()
                    ? JSON.objectNode().put("years", 1 + random.nextInt(25))
                    : JSON.stringNode(one(years.words()));
        }
        if (shape instanceof Shape.Pair) {
            return JSON.arrayNode().add(random.nextInt(600)).add(random.nextInt(400));
        }
        if (shape instanceof Shape.Several several) {
            return several(several);
        }
        if (shape instanceof Shape.Named named) {
            ObjectNode all = JSON.objectNode();
            String name = named.each() instanceof Shape.Group ? "manual" : "es";
            all.putObject(name).put(named.each() instanceof Shape.Group ? "title" : "head piece", "Manual");
            return all;
        }
        return group((Shape.Group) shape);
    }

    private ArrayNode several(Shape.Several several) {
        ArrayNode all = JSON.arrayNode();
        int count = 3 + random.nextInt(2);
        if (several.each() instanceof Shape.Choice choice) {
            choice.words().stream().filter(word -> random.nextBoolean()).forEach(all::add);
            return all.isEmpty() ? all.add(choice.words().get(0)) : all;
        }
        for (int i = 0; i < count; i++) {
            all.add(make(several.each()));
        }
        return all;
    }

    private ObjectNode group(Shape.Group group) {
        ObjectNode all = JSON.objectNode();
        boolean evidence = group.parts().stream().anyMatch(part -> part.name().equals("silent"));
        if (evidence) {
            all.set("stated", make(group.parts().get(0).shape()));
            return all.put("source", "manual 8");
        }
        for (Shape.Part part : group.parts()) {
            if (part.needed() || random.nextBoolean()) {
                all.set(part.name(), make(part.shape()));
            }
        }
        return all.isEmpty()
                ? all.set(group.parts().get(0).name(), make(group.parts().get(0).shape()))
                : all;
    }

    @Test
    void whatIsMadeFromTheSchemaComesBackAsItWas() {
        for (int i = 0; i < SHEETS; i++) {
            SeatKind kind = SeatKind.values()[i % SeatKind.values().length];
            SheetWork work = SheetWork.begin(kind, "made-" + i, "Ostler", "Made", "OM-" + i);
            for (SheetField field : SheetFields.of(kind)) {
                // What has to agree with another field is left to the tests of what contradicts.
                boolean alone = !field.pointer().matches("/shell/slots|/limits/.*|/modes|/layFlat/handle|/identity/.*");
                if (alone && random.nextInt(3) > 0) {
                    JsonNode value = make(field.shape());
                    work.put(field, value, "manual " + random.nextInt(90));
                    FieldForm.Read back = FieldForm.read(field.shape(), FieldForm.write(field.shape(), value));
                    assertThat(back.problems())
                            .as(field.pointer() + " " + value)
                            .isEmpty();
                    assertThat(back.value()).as(field.pointer()).contains(value);
                } else if (alone && field.evidence() && random.nextBoolean()) {
                    work.silent(field, "manual 3");
                }
            }
            assertThat(work.problems()).as(work.json()).isEmpty();
            String json = work.json();
            assertThat(SheetWork.of(json).json()).isEqualTo(json);
            assertThat(LayetteJson.pretty(LayetteJson.strict().readTree(json))).isEqualTo(json);
            assertThat(SheetReader.seat(json))
                    .isEqualTo(SheetReader.seat(SheetWork.of(json).json()));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"version\": 3 | \"version\": 0 | /version",
                "\"version\": 3 | \"version\": \"3\" | /version",
                "\"formatVersion\": 1 | \"formatVersion\": 2 | /formatVersion",
                "\"status\": \"confirmed\" | \"status\": \"sure\" | /status",
                "\"kind\": \"rearFacingOnly\" | \"kind\": \"pram\" | /kind",
                "\"id\": \"wrenfold-thimble\" | \"id\": \"Thimble!\" | /id",
                "\"maker\": \"Wrenfold\" | \"maker\": \"\" | /identity/maker",
                "\"2019-02-01\" | \"in 2019\" | /identity/manufacturedFrom",
                "\"years\": 8 | \"years\": 0 | /life",
                "\"years\": 8 | \"years\": 8.5 | /life",
                "\"US\", | \"usa\", | /approvals/stated",
                "\"minorMayStay\" | \"always\" | /crash/stated",
                "\"stated\": \"5 lb\" | \"stated\": \"5\" | /limits/weightMin/stated",
                "\"stated\": \"29 lb\" | \"stated\": 29 | /limits/weightMax/stated",
                "\"stated\": \"29 lb\" | \"stated\": \"2 lb\" | /limits/weightMax",
                "\"stated\": \"29 in\" | \"stated\": \"tall\" | /limits/lengthMax",
                "\"472 mm\" | \"472\" | /shell/top/stated",
                "\"194 mm\" | \"294 mm\" | /shell/slots/1",
                "\"92 mm\" | \"wide\" | /shell/crotch/stated",
                "\"use\": \"required\" | \"use\": \"sometimes\" | /insert/stated",
                "\"fromSlot\": 1 | \"fromSlot\": 0 | /harness/loops/stated",
                "\"stated\": \"pinch\" | \"stated\": \"squeeze\" | /harness/snugTest/stated",
                "\"stated\": 47.5 | \"stated\": 470 | /recline/theta0/stated",
                "\"stated\": 0.4 | \"stated\": 4 | /recline/beltPullFraction/stated",
                "\"kind\": \"foot\" | \"kind\": \"jack\" | /recline/device/stated",
                "\"kind\": \"bubble\" | \"kind\": \"lamp\" | /recline/indicator/stated",
                "\"hookOpeningDown\" | \"hook\" | /connectors/stated",
                "\"noLeg\" | \"two legs\" | /leg/stated",
                "\"towardsHeadEnd\" | \"sideways\" | /handle/stated",
                "\"silent\": \"manual 28–32\" | \"silent\": 28 | /gap",
                "\"touchingFrontSeat\" | \"touchingTheDog\" | /permissions",
                "\"americanRouting\": { | \"american\": { | /permissions",
                "\"tensionPanel\": { | \"tension\": { | tension"
            })
    void whatIsBrokenIsRefusedAtItsPlace(String whole, String broken, String place) throws IOException {
        String json = Files.readString(Path.of("../examples/sheets/wrenfold-thimble.json"));
        assertThat(json).contains(whole);
        RefusedDocumentException refused = catchThrowableOfType(
                RefusedDocumentException.class,
                () -> SheetReader.seat(json.replaceFirst(
                        java.util.regex.Pattern.quote(whole), java.util.regex.Matcher.quoteReplacement(broken))));
        assertThat(refused).as(broken).isNotNull();
        assertThat(refused.problems()).as(broken).anySatisfy(each -> {
            assertThat(each.place() + " " + each.allowed()).contains(place);
            assertThat(each.allowed()).isNotBlank();
        });
    }
}
