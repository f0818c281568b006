package app.layette.formats.fhir;

import app.layette.core.child.Sex;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.formats.wording.Wording;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Date;
import java.util.UUID;
import org.hl7.fhir.r4.model.Bundle;
import org.hl7.fhir.r4.model.Bundle.BundleType;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Coding;
import org.hl7.fhir.r4.model.Composition;
import org.hl7.fhir.r4.model.Composition.CompositionStatus;
import org.hl7.fhir.r4.model.Composition.SectionComponent;
import org.hl7.fhir.r4.model.DateTimeType;
import org.hl7.fhir.r4.model.DateType;
import org.hl7.fhir.r4.model.Enumerations.AdministrativeGender;
import org.hl7.fhir.r4.model.Narrative;
import org.hl7.fhir.r4.model.Narrative.NarrativeStatus;
import org.hl7.fhir.r4.model.Observation;
import org.hl7.fhir.r4.model.Observation.ObservationStatus;
import org.hl7.fhir.r4.model.Patient;
import org.hl7.fhir.r4.model.Quantity;
import org.hl7.fhir.r4.model.Reference;
import org.hl7.fhir.r4.model.Resource;
import org.hl7.fhir.utilities.xhtml.NodeType;
import org.hl7.fhir.utilities.xhtml.XhtmlNode;

/**
 * Writes a fitting for a ward as a FHIR R4 document: the child's measures as Observations, and how the fitting stands as a
 * short text. Only what was measured here is final; what was told or brought over from earlier is sent back as of unknown
 * status, with a note that says so, and a later reader takes it for no measure. No name, no reference of the family, nothing clinical beside what was measured here; of immunisations and
 * illnesses it says nothing, because nothing is known of them.
 */
public final class MeasuresBundle {
    private final Bundle bundle = new Bundle();
    private final UUID fitting;
    private final Reference child;

    private MeasuresBundle(UUID fitting) {
        this.fitting = fitting;
        this.child = new Reference(urn("patient"));
    }

    /** The document; the same for the same fitting at the same moment. */
    public static String of(UUID fitting, FittingPlan plan, Instant now, Wording words) {
        MeasuresBundle document = new MeasuresBundle(fitting);
        document.write(plan, now, words);
        return Fhir.parser().encodeResourceToString(document.bundle);
    }

    private void write(FittingPlan plan, Instant now, Wording words) {
        Situation situation = plan.situation();
        bundle.setType(BundleType.DOCUMENT).setTimestamp(Date.from(now));
        bundle.getIdentifier().setSystem("urn:ietf:rfc:3986").setValue(urn("document"));
        add("composition", composition(plan, now, words));
        add("patient", patient(situation));
        situation.child().ifPresent(child -> {
            LocalDate born = child.value().born();
            child.value()
                    .birthWeight()
                    .ifPresent(mass ->
                            add("birth-weight", observation(Code.BIRTH_WEIGHT, grams(mass), born, child.how(), words)));
            child.value().gestationDays().ifPresent(days -> {
                Quantity age = quantity(BigDecimal.valueOf(days), "d", "days");
                add("gestation", observation(Code.GESTATION, age, born, child.how(), words));
            });
        });
        situation
                .weight()
                .ifPresent(weight -> add(
                        "weight", observation(Code.WEIGHT, grams(weight.value()), weight.on(), weight.how(), words)));
        situation.measured(Fact.Dimension.BODY).ifPresent(length -> {
            Quantity size = millimetres(length.value().length());
            add("length", observation(Code.LENGTH, size, length.on(), length.how(), words));
        });
    }

    private void add(String what, Resource resource) {
        bundle.addEntry().setFullUrl(urn(what)).setResource(resource);
    }

    private String urn(String what) {
        UUID id = UUID.nameUUIDFromBytes((fitting + " " + what).getBytes(StandardCharsets.UTF_8));
        return "urn:uuid:" + id;
    }

    private Composition composition(FittingPlan plan, Instant now, Wording words) {
        Composition composition = new Composition();
        composition
                .setStatus(CompositionStatus.FINAL)
                .setType(new CodeableConcept(new Coding(Fhir.LOINC, "34133-9", "Summary of episode note")))
                .setSubject(child)
                .setDate(Date.from(now))
                .setTitle(words.say("fhir.heading"));
        composition.addAuthor(new Reference().setDisplay("Layette"));
        composition.addSection(section(
                words.say("fhir.state"),
                words.say("state." + plan.state())
                        + plan.situation()
                                .seat()
                                .map(seat -> " · " + seat.identity().fullName())
                                .orElse("")
                        + plan.situation()
                                .method()
                                .map(method -> " · " + words.say("method." + method))
                                .orElse("")));
        composition.addSection(section(words.say("fhir.caution"), words.say("fhir.cautionSays")));
        return composition;
    }

    private static SectionComponent section(String title, String text) {
        XhtmlNode div = new XhtmlNode(NodeType.Element, "div");
        div.addTag("p").addText(text);
        Narrative narrative = new Narrative();
        narrative.setStatus(NarrativeStatus.GENERATED);
        narrative.setDiv(div);
        return new SectionComponent().setTitle(title).setText(narrative);
    }

    private static Patient patient(Situation situation) {
        Patient patient = new Patient();
        situation.child().map(Stamped::value).ifPresent(described -> {
            patient.setBirthDateElement(new DateType(described.born().toString()));
            described
                    .sex()
                    .ifPresent(sex -> patient.setGender(
                            sex == Sex.FEMALE ? AdministrativeGender.FEMALE : AdministrativeGender.MALE));
        });
        return patient;
    }

    private Observation observation(Code code, Quantity value, LocalDate day, How how, Wording words) {
        Observation observation = new Observation();
        observation
                .setStatus(how.isSeenHere() ? ObservationStatus.FINAL : ObservationStatus.UNKNOWN)
                .setCode(code.concept())
                .setSubject(child)
                .setEffective(new DateTimeType(day.toString()))
                .setValue(value);
        if (!how.isSeenHere()) {
            observation.addNote().setText(words.say("fhir.notMeasured"));
        }
        return observation;
    }

    private static Quantity grams(Mass mass) {
        return quantity(rounded(mass.grams()), "g", "g");
    }

    private static Quantity millimetres(Length length) {
        return quantity(rounded(length.millimetres()), "mm", "mm");
    }

    private static BigDecimal rounded(double value) {
        return BigDecimal.valueOf(value).setScale(0, RoundingMode.HALF_UP);
    }

    private static Quantity quantity(BigDecimal value, String code, String unit) {
        return new Quantity().setValue(value).setSystem(Fhir.UCUM).setCode(code).setUnit(unit);
    }
}
