package app.layette.formats.fhir;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Coding;

/** What is observed, by its LOINC codes; the first is the one that is written. */
enum Code {
    WEIGHT("Body weight", "29463-7", "3141-9"),
    BIRTH_WEIGHT("Birth weight Measured", "8339-4", "56056-5"),
    LENGTH("Body height --lying", "8306-3", "8302-2", "89269-5"),
    GESTATION("Gestational age --at birth", "76516-4", "18185-9", "11884-4", "11885-1");

    private final String says;
    private final List<String> loinc;

    Code(String says, String... loinc) {
        this.says = says;
        this.loinc = List.of(loinc);
    }

    /** Which one a concept is; empty for all that is not read here. */
    static Optional<Code> of(CodeableConcept concept) {
        return concept.getCoding().stream()
                .filter(coding -> Fhir.LOINC.equals(coding.getSystem()))
                .flatMap(coding -> Arrays.stream(values()).filter(each -> each.loinc.contains(coding.getCode())))
                .findFirst();
    }

    CodeableConcept concept() {
        return new CodeableConcept(new Coding(Fhir.LOINC, loinc.get(0), says));
    }
}
