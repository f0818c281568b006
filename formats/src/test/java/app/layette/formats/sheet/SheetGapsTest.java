package app.layette.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatKind;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class SheetGapsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);
    private static final Practice PRACTICE =
            new Practice(SheetReader.profile(ShippedProfiles.json("north-american-clinic")), "US", ZoneOffset.UTC);

    private static List<String> gaps(SheetWork work) {
        return SheetGaps.of(work.sheet().orElseThrow(), PRACTICE, TODAY).gaps().stream()
                .map(gap -> gap.field().pointer())
                .toList();
    }

    /** Of an empty sheet nearly everything is missing, and all that is missing can be answered on it. */
    @ParameterizedTest
    @EnumSource(SeatKind.class)
    void anEmptySheetAsksOnlyForWhatItsKindIsAskedFor(SeatKind kind) {
        SheetWork work = SheetWork.begin(kind, "a-tester", "Ostler", "Tester", "OT-1");
        assertThat(gaps(work))
                .hasSizeGreaterThan(8)
                .isSubsetOf(
                        SheetFields.of(kind).stream().map(SheetField::pointer).toList())
                .contains("/life", "/approvals", "/limits/weightMin");
    }

    @Test
    void aWholeSheetLeavesNothingUnknown() throws IOException {
        SheetWork whole = SheetWork.of(Files.readString(Path.of("../examples/sheets/wrenfold-thimble.json")));
        assertThat(gaps(whole)).isEmpty();
    }

    /** What is taken out of a whole sheet is what it leaves unknown, and nothing else. */
    @ParameterizedTest
    @CsvSource({
        "/life",
        "/approvals",
        "/crash",
        "/parts",
        "/limits/weightMin",
        "/limits/weightMax",
        "/limits/lengthMax",
        "/shell/headRoom",
        "/shell/crotch",
        "/insert",
        "/recline/indicator",
        "/bases",
        "/connectors",
        "/anchorLimit",
        "/leg",
        "/windows",
        "/lockOffs",
        "/tensionPanel",
        "/handle",
        "/gap",
        "/sideElement",
        "/rotation",
        "/reboundBar",
        "/ownConditions",
        "/harness/covers",
        "/permissions/americanRouting",
        "/permissions/europeanRouting"
    })
    void whatIsTakenOutIsMissed(String pointer) throws IOException {
        SheetWork work = SheetWork.of(Files.readString(Path.of("../examples/sheets/wrenfold-thimble.json")));
        work.forget(SheetFields.at(pointer).orElseThrow());
        assertThat(gaps(work)).contains(pointer);
    }
}
