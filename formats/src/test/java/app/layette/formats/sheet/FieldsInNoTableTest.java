package app.layette.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A field that a record has and no table places is asked for all the same: a new one is its component and its words. */
class FieldsInNoTableTest {
    private static final ObjectNode SCHEMA =
            (ObjectNode) SheetFields.schema("seat-sheet.schema.json").deepCopy();

    @Test
    void everyFieldOfTheShippedSchemaIsPlaced() {
        assertThat(SheetFields.unlisted(SCHEMA, SheetFields.all())).isEmpty();
    }

    @Test
    void anotherOneStandsBesideItsOwn() {
        ObjectNode more = SCHEMA.deepCopy();
        JsonNode text = JsonMapper.shared().createObjectNode().put("type", "string");
        ((ObjectNode) more.at("/properties/harness/properties")).set("buckleTongue", text);
        ((ObjectNode) more.at("/properties")).set("canopy", text);
        assertThat(SheetFields.unlisted(more, SheetFields.all())).containsExactly("/harness/buckleTongue", "/canopy");
        int last = SheetFields.lastBeside("/harness/buckleTongue", SheetFields.all());
        assertThat(SheetFields.all().get(last).pointer()).startsWith("/harness/");
        assertThat(SheetFields.all().get(last + 1).pointer()).doesNotStartWith("/harness/");
        int papers = SheetFields.lastBeside("/canopy", SheetFields.all());
        assertThat(SheetFields.all().get(papers).section())
                .isEqualTo(SheetFields.all().get(0).section());
    }
}
