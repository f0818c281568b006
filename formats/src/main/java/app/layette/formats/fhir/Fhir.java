package app.layette.formats.fhir;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.parser.IParser;
import ca.uhn.fhir.parser.StrictErrorHandler;

/** The library's own knowledge of FHIR R4; read in when it is first asked for, because it takes a second. */
final class Fhir {
    static final String LOINC = "http://loinc.org";
    static final String UCUM = "http://unitsofmeasure.org";

    private Fhir() {}

    private static final class Held {
        private static final FhirContext R4 = FhirContext.forR4Cached();
    }

    /** Reads what FHIR knows and refuses the rest; writes in one lasting order. */
    static IParser parser() {
        return Held.R4
                .newJsonParser()
                .setParserErrorHandler(new StrictErrorHandler())
                .setPrettyPrint(true);
    }
}
