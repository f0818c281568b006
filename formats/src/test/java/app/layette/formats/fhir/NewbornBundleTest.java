package app.layette.formats.fhir;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.child.Sex;
import app.layette.formats.document.RefusedDocumentException;
import java.time.LocalDate;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NewbornBundleTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);
    private static final String PATIENT =
            "{\"resourceType\":\"Patient\",\"id\":\"p\",\"name\":[{\"given\":[\"Aurel\"]}],"
                    + "\"identifier\":[{\"value\":\"K-1\"}],\"gender\":\"male\",\"birthDate\":\"2026-11-20\"}";

    private static String bundle(String... resources) {
        StringBuilder entries = new StringBuilder();
        for (String each : resources) {
            entries.append(entries.isEmpty() ? "" : ",")
                    .append("{\"resource\":")
                    .append(each)
                    .append('}');
        }
        return "{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"entry\":[" + entries + "]}";
    }

    private static String observation(String code, String value, String unit, String day, String status) {
        return "{\"resourceType\":\"Observation\",\"subject\":{\"reference\":\"Patient/p\"},\"status\":\"" + status
                + "\",\"code\":{\"coding\":[{\"system\":"
                + "\"http://loinc.org\",\"code\":\"" + code + "\"}]},\"effectiveDateTime\":\"" + day
                + "\",\"valueQuantity\":{\"value\":" + value
                + (unit.isEmpty() ? "" : ",\"system\":\"http://unitsofmeasure.org\",\"code\":\"" + unit + "\"")
                + "}}";
    }

    @ParameterizedTest
    @CsvSource({
        "29463-7, 3.18, kg, 3180",
        "29463-7, 3180, g, 3180",
        "29463-7, 7, [lb_av], 3175",
        "3141-9, 112, [oz_av], 3175",
        "8339-4, 2950, g, 0",
    })
    void weighsInEveryUnitThatIsSaid(String code, String value, String unit, long grams) {
        Newborn read =
                NewbornBundle.read(bundle(PATIENT, observation(code, value, unit, "2026-11-27", "final")), TODAY);
        assertThat(read.weight().map(each -> Math.round(each.value().grams())).orElse(0L))
                .isEqualTo(grams);
        assertThat(read.born()).isEqualTo("2026-11-20");
        assertThat(read.sex()).contains(Sex.MALE);
        assertThat(read.given()).isEqualTo("Aurel");
        assertThat(read.birthWeight().isPresent()).isEqualTo(code.equals("8339-4"));
    }

    @ParameterizedTest
    @CsvSource({"8306-3, 50.2, cm, 502", "8302-2, 502, mm, 502", "89269-5, 0.502, m, 502", "8306-3, 20, [in_i], 508"})
    void measuresInEveryUnitThatIsSaid(String code, String value, String unit, long millimetres) {
        Newborn read =
                NewbornBundle.read(bundle(PATIENT, observation(code, value, unit, "2026-11-27", "final")), TODAY);
        assertThat(read.length().map(each -> Math.round(each.value().millimetres())))
                .contains(millimetres);
    }

    @ParameterizedTest
    @CsvSource({"76516-4, 36.5, wk, 256", "18185-9, 39, wk, 273", "11884-4, 240, d, 240"})
    void countsGestationInDays(String code, String value, String unit, int days) {
        Newborn read =
                NewbornBundle.read(bundle(PATIENT, observation(code, value, unit, "2026-11-20", "final")), TODAY);
        assertThat(read.gestationDays()).isEqualTo(OptionalInt.of(days));
    }

    /** What is refused, and by which words. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "29463-7 | 3180 | | 2026-11-27 | final | /entry/1/resource/valueQuantity/code () is refused: allowed is a UCUM code",
                "29463-7 | 3180 | grams | 2026-11-27 | final | valueQuantity/code (grams)",
                "29463-7 | 3.18 | g | 2026-11-27 | final | 300 to 20000 g",
                "29463-7 | 3180 | kg | 2026-11-27 | final | 300 to 20000 g",
                "8306-3 | 50 | mm | 2026-11-27 | final | 200 to 1200 mm",
                "76516-4 | 39 | d | 2026-11-27 | final | 154 to 308 d",
                "29463-7 | 3180 | g | 2026-11-30 | final | 2026-11-20 to 2026-11-29",
                "29463-7 | 3180 | g | 2026-11-19 | final | 2026-11-20 to 2026-11-29",
                "8339-4 | 3180 | g | 2026-11-30 | final | a day up to 2026-11-29",
                "29463-7 | 3180 | g | 2026-11 | final | effectiveDateTime (2026-11)",
            })
    void refusesWhatIsNotSaidOrCannotBe(String code, String value, String unit, String day, String status, String why) {
        assertThatThrownBy(() -> NewbornBundle.read(
                        bundle(PATIENT, observation(code, value, unit == null ? "" : unit, day, status)), TODAY))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining(why);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{} | allowed is a FHIR R4 Bundle",
                "<html> | allowed is a FHIR R4 Bundle",
                "{\"resourceType\":\"Patient\"} | allowed is a Bundle",
                "{\"resourceType\":\"Bundle\",\"type\":\"collection\"} | 0 Patients",
                "{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"unheard\":1} | allowed is a FHIR R4 Bundle",
                "{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"entry\":[{\"resource\":{\"resourceType\":\"Patient\",\"birthDate\":\"2026-11\"}}]} | a whole day",
                "{\"resourceType\":\"Bundle\",\"type\":\"collection\",\"entry\":[{\"resource\":{\"resourceType\":\"Patient\",\"birthDate\":\"2020-11-01\"}}]} | 2023-11-29 to 2026-11-29",
            })
    void refusesWhatIsNoNewborn(String json, String why) {
        assertThatThrownBy(() -> NewbornBundle.read(json, TODAY))
                .isInstanceOf(RefusedDocumentException.class)
                .hasMessageContaining(why);
    }

    @Test
    void theNewestCountsAndWhatIsNotFinalDoesNot() {
        Newborn read = NewbornBundle.read(
                bundle(
                        PATIENT,
                        observation("29463-7", "3180", "g", "2026-11-25", "final"),
                        observation("29463-7", "3240", "g", "2026-11-28T08:00:00Z", "corrected"),
                        observation("29463-7", "9999", "g", "2026-11-29", "entered-in-error"),
                        observation("29463-7", "3100", "g", "2026-11-21", "final"),
                        observation("8867-4", "140", "/min", "2026-11-28", "final")),
                TODAY);
        assertThat(read.weight().orElseThrow().day()).isEqualTo("2026-11-28");
        assertThat(read.weight().orElseThrow().value().grams()).isEqualTo(3240);
    }

    /** A ward sends the mother's weight in the same Bundle; what names nobody, or somebody who is not here, is refused alike. */
    @ParameterizedTest
    @CsvSource({"Patient/mother, Patient/mother", "Patient/nobody, Patient/nobody", "'', null"})
    void aMeasureOfSomebodyElseIsNeverTheNewborns(String subject, String shown) {
        String hers = observation("29463-7", "3180", "g", "2026-11-27", "final")
                .replace(
                        "\"subject\":{\"reference\":\"Patient/p\"},",
                        subject.isEmpty() ? "" : "\"subject\":{\"reference\":\"" + subject + "\"},");
        String mother =
                "{\"resourceType\":\"RelatedPerson\",\"id\":\"mother\",\"patient\":{\"reference\":\"Patient/p\"}}";
        assertThatThrownBy(() -> NewbornBundle.read(bundle(PATIENT, mother, hers), TODAY))
                .hasMessageContaining("/entry/2/resource/subject/reference (" + shown + ")");
    }

    /** Bundles of another make name their entries by address. */
    @Test
    void aSubjectIsFoundByItsFullAddressToo() {
        String json = bundle(PATIENT, observation("29463-7", "3180", "g", "2026-11-27", "final"))
                .replace("\"id\":\"p\",", "")
                .replace("Patient/p", "urn:uuid:00000000-0000-4000-8000-000000000001")
                .replaceFirst(
                        "\\{\"resource\"",
                        "{\"fullUrl\":\"urn:uuid:00000000-0000-4000-8000-000000000001\",\"resource\"");
        assertThat(NewbornBundle.read(json, TODAY).weight()).isPresent();
    }

    @Test
    void twinsComeInABundleEach() {
        assertThatThrownBy(() -> NewbornBundle.read(bundle(PATIENT, PATIENT), TODAY))
                .hasMessageContaining("2 Patients");
    }
}
