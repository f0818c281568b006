package app.layette.formats.fhir;

import app.layette.core.child.Sex;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.fhir.Newborn.On;
import ca.uhn.fhir.parser.DataFormatException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.DoubleFunction;
import org.hl7.fhir.instance.model.api.IBaseResource;
import org.hl7.fhir.r4.model.Bundle;
import org.hl7.fhir.r4.model.Bundle.BundleEntryComponent;
import org.hl7.fhir.r4.model.DateTimeType;
import org.hl7.fhir.r4.model.Observation;
import org.hl7.fhir.r4.model.Observation.ObservationStatus;
import org.hl7.fhir.r4.model.Patient;
import org.hl7.fhir.r4.model.Period;
import org.hl7.fhir.r4.model.Quantity;
import org.hl7.fhir.r4.model.Type;
import org.jspecify.annotations.Nullable;

/**
 * Reads a newborn out of a FHIR R4 Bundle: one Patient, and of the Observations weight, length and gestational age. Units
 * count by their UCUM code alone, and a measure is the newborn's only where its subject says so: what is not said is
 * refused, never guessed. A ward sends mothers' weights in the same Bundle.
 */
public final class NewbornBundle {
    private static final int OLDEST_YEARS = 3;
    private static final int LEAST_GRAMS = 300;
    private static final int MOST_GRAMS = 20_000;
    private static final int LEAST_MM = 200;
    private static final int MOST_MM = 1200;
    private static final int LEAST_GESTATION_DAYS = 154;
    private static final int MOST_GESTATION_DAYS = 308;
    private static final int DAYS_A_WEEK = 7;
    private static final int MOST_ENTRIES = 500;
    private static final int LONGEST_SHOWN = 40;
    private static final int LONGEST_NAME = 80;

    private static final Set<ObservationStatus> COUNTS =
            Set.of(ObservationStatus.FINAL, ObservationStatus.AMENDED, ObservationStatus.CORRECTED);

    private static final Map<String, DoubleFunction<Mass>> MASSES = Map.of(
            "g", Mass::ofGrams,
            "kg", Mass::ofKilograms,
            "[lb_av]", Mass::ofPounds,
            "[oz_av]", ounces -> Mass.ofPoundsAndOunces(0, ounces));
    private static final Map<String, DoubleFunction<Length>> LENGTHS = Map.of(
            "mm", Length::ofMillimetres,
            "cm", Length::ofCentimetres,
            "m", metres -> Length.ofCentimetres(metres * 100),
            "[in_i]", Length::ofInches);
    private static final Map<String, Integer> AGES = Map.of("d", 1, "wk", DAYS_A_WEEK);

    private final List<DocumentProblem> problems = new ArrayList<>();
    private final Newest<Mass> weight = new Newest<>();
    private final Newest<Mass> birthWeight = new Newest<>();
    private final Newest<Length> length = new Newest<>();
    private final Newest<Integer> gestationDays = new Newest<>();
    private final LocalDate today;

    /** The latest of the measures of one kind; of two on one day the one that comes later in the document. */
    private static final class Newest<T> {
        private @Nullable On<T> held;

        void keep(On<T> other) {
            held = held != null && other.day().isBefore(held.day()) ? held : other;
        }

        Optional<On<T>> dated() {
            return Optional.ofNullable(held);
        }

        Optional<T> value() {
            return dated().map(On::value);
        }
    }

    private NewbornBundle(LocalDate today) {
        this.today = today;
    }

    /**
     * Reads it.
     *
     * @param today at the fitting point: no measure is of a later day
     * @throws RefusedDocumentException with everything that is wrong, by place, value and what is allowed
     */
    public static Newborn read(String json, LocalDate today) {
        return new NewbornBundle(today).newborn(bundle(json));
    }

    private static Bundle bundle(String json) {
        IBaseResource resource;
        try {
            resource = Fhir.parser().parseResource(json);
        } catch (DataFormatException | IllegalArgumentException e) {
            throw RefusedDocumentException.because(
                    "", shortened(json), "allowed is a FHIR R4 Bundle: " + e.getMessage());
        }
        if (!(resource instanceof Bundle bundle)) {
            throw RefusedDocumentException.because(
                    "/resourceType", resource.fhirType(), "allowed is a Bundle with one Patient and its Observations");
        }
        if (bundle.getEntry().size() > MOST_ENTRIES) {
            throw RefusedDocumentException.because(
                    "/entry",
                    String.valueOf(bundle.getEntry().size()),
                    "allowed are up to " + MOST_ENTRIES + " entries");
        }
        return bundle;
    }

    private Newborn newborn(Bundle bundle) {
        List<Patient> patients = new ArrayList<>();
        for (BundleEntryComponent entry : bundle.getEntry()) {
            if (entry.getResource() instanceof Patient patient) {
                patients.add(patient);
            }
        }
        if (patients.size() != 1) {
            throw RefusedDocumentException.because(
                    "/entry", patients.size() + " Patients", "allowed is exactly one; twins come in a Bundle each");
        }
        Patient patient = patients.get(0);
        LocalDate born = born(patient);
        for (int i = 0; i < bundle.getEntry().size(); i++) {
            if (bundle.getEntry().get(i).getResource() instanceof Observation observation) {
                observed(observation, patient, born, "/entry/" + i + "/resource");
            }
        }
        String given = patient.getName().stream()
                .flatMap(name -> name.getGiven().stream())
                .map(name -> name.getValueNotNull().strip())
                .filter(name -> !name.isEmpty())
                .findFirst()
                .orElse("");
        if (given.length() > LONGEST_NAME) {
            refuse("/Patient/name/given", given, "up to " + LONGEST_NAME + " letters");
        }
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
        return new Newborn(
                given,
                patient.getIdentifier().stream()
                        .map(each -> String.valueOf(each.getValue()))
                        .findFirst()
                        .orElse(""),
                born,
                sex(patient),
                gestationDays.value().map(OptionalInt::of).orElse(OptionalInt.empty()),
                birthWeight.value(),
                weight.dated(),
                length.dated());
    }

    private LocalDate born(Patient patient) {
        String text = patient.getBirthDateElement().getValueAsString();
        if (text == null || text.length() != "2026-11-29".length()) {
            refuse("/Patient/birthDate", String.valueOf(text), "a whole day such as 2026-11-20");
            return today;
        }
        LocalDate born = LocalDate.parse(text);
        if (born.isAfter(today) || born.isBefore(today.minusYears(OLDEST_YEARS))) {
            refuse("/Patient/birthDate", text, today.minusYears(OLDEST_YEARS) + " to " + today);
        }
        return born;
    }

    private static Optional<Sex> sex(Patient patient) {
        if (patient.getGender() == null) {
            return Optional.empty();
        }
        return switch (patient.getGender()) {
            case FEMALE -> Optional.of(Sex.FEMALE);
            case MALE -> Optional.of(Sex.MALE);
            default -> Optional.empty();
        };
    }

    private void observed(Observation observation, Patient patient, LocalDate born, String place) {
        Optional<Code> code = Code.of(observation.getCode()).filter(each -> COUNTS.contains(observation.getStatus()));
        if (code.isEmpty()) {
            // Of everything else a ward knows nothing is read.
            return;
        }
        // The parser has tied every reference inside the Bundle to what it names.
        if (observation.getSubject().getResource() != patient) {
            refuse(
                    place + "/subject/reference",
                    String.valueOf(observation.getSubject().getReference()),
                    "a reference to the Patient of this Bundle; measures of another person do not belong in it");
            return;
        }
        if (!(observation.getValue() instanceof Quantity quantity) || quantity.getValue() == null) {
            refuse(
                    place + "/value",
                    observation.hasValue() ? observation.getValue().fhirType() : "",
                    "a valueQuantity");
            return;
        }
        if (quantity.hasComparator()) {
            refuse(place + "/valueQuantity/comparator", quantity.getComparator().toCode(), "a measure, not a bound");
            return;
        }
        Optional<LocalDate> day = day(observation.getEffective());
        boolean ofBirth = code.get() == Code.GESTATION || code.get() == Code.BIRTH_WEIGHT;
        if (day.isEmpty() && !ofBirth) {
            refuse(
                    place + "/effectiveDateTime",
                    observation.hasEffective() ? observation.getEffective().primitiveValue() : "",
                    "the day on which it was taken");
            return;
        }
        // What is told of the birth may carry the day of an examination before it.
        LocalDate first = ofBirth ? LocalDate.MIN : born;
        if (day.filter(each -> each.isAfter(today) || each.isBefore(first)).isPresent()) {
            refuse(
                    place + "/effectiveDateTime",
                    day.get().toString(),
                    ofBirth ? "a day up to " + today : born + " to " + today);
            return;
        }
        keep(code.get(), quantity, day.orElse(LocalDate.MIN), place);
    }

    private void keep(Code code, Quantity quantity, LocalDate day, String place) {
        switch (code) {
            case WEIGHT -> mass(quantity, place).ifPresent(mass -> weight.keep(new On<>(day, mass)));
            case BIRTH_WEIGHT -> mass(quantity, place).ifPresent(mass -> birthWeight.keep(new On<>(day, mass)));
            case LENGTH -> length(quantity, place).ifPresent(read -> length.keep(new On<>(day, read)));
            case GESTATION -> days(quantity, place).ifPresent(days -> gestationDays.keep(new On<>(day, days)));
        }
    }

    private Optional<Mass> mass(Quantity quantity, String place) {
        return unit(MASSES, quantity, place)
                .map(each -> each.apply(quantity.getValue().doubleValue()))
                .filter(mass -> isWithin(mass.grams(), LEAST_GRAMS, MOST_GRAMS, "g", quantity, place));
    }

    private Optional<Length> length(Quantity quantity, String place) {
        return unit(LENGTHS, quantity, place)
                .map(each -> each.apply(quantity.getValue().doubleValue()))
                .filter(read -> isWithin(read.millimetres(), LEAST_MM, MOST_MM, "mm", quantity, place));
    }

    private Optional<Integer> days(Quantity quantity, String place) {
        return unit(AGES, quantity, place)
                .map(each -> quantity.getValue().doubleValue() * each)
                .filter(days -> isWithin(days, LEAST_GESTATION_DAYS, MOST_GESTATION_DAYS, "d", quantity, place))
                .map(days -> (int) Math.round(days));
    }

    private <T> Optional<T> unit(Map<String, T> known, Quantity quantity, String place) {
        String unit = Fhir.UCUM.equals(quantity.getSystem()) && quantity.hasCode() ? quantity.getCode() : "";
        if (!known.containsKey(unit)) {
            refuse(
                    place + "/valueQuantity/code",
                    unit,
                    "a UCUM code among "
                            + String.join(", ", known.keySet().stream().sorted().toList()) + ", with system "
                            + Fhir.UCUM);
        }
        return Optional.ofNullable(known.get(unit));
    }

    private boolean isWithin(double value, int least, int most, String unit, Quantity quantity, String place) {
        // A number that is none or beyond all measure comes to no comparison.
        if (!(value >= least && value <= most)) {
            refuse(
                    place + "/valueQuantity/value",
                    shortened(quantity.getValue().toPlainString()) + " " + quantity.getCode(),
                    least + " to " + most + " " + unit);
            return false;
        }
        return true;
    }

    private static Optional<LocalDate> day(Type effective) {
        String text = null;
        if (effective instanceof DateTimeType moment) {
            text = moment.getValueAsString();
        } else if (effective instanceof Period period && period.hasStart()) {
            text = period.getStartElement().getValueAsString();
        }
        return Optional.ofNullable(text)
                .filter(each -> each.length() >= "2026-11-29".length())
                .map(each -> LocalDate.parse(each.substring(0, "2026-11-29".length())));
    }

    private void refuse(String place, String value, String allowed) {
        problems.add(new DocumentProblem(place, shortened(value), "allowed is " + allowed));
    }

    private static String shortened(String text) {
        String plain = text.strip();
        return plain.length() <= LONGEST_SHOWN ? plain : plain.substring(0, LONGEST_SHOWN) + "…";
    }
}
