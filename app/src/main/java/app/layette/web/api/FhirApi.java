package app.layette.web.api;

import app.layette.core.measure.UnitSystem;
import app.layette.formats.fhir.MeasuresBundle;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Viewing;
import app.layette.web.api.Problems.ApiException;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.NoSuchFittingException;
import app.layette.web.ward.BroughtIn;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Newborns in and measures out, as wards speak (FHIR R4). */
@RestController
@RequestMapping("/api/v1/fhir")
class FhirApi {
    private static final MediaType FHIR = MediaType.parseMediaType("application/fhir+json;charset=UTF-8");

    private final BroughtIn broughtIn;
    private final Fittings fittings;
    private final Viewing viewing;
    private final Answers answers;

    FhirApi(BroughtIn broughtIn, Fittings fittings, Viewing viewing, Answers answers) {
        this.broughtIn = broughtIn;
        this.fittings = fittings;
        this.viewing = viewing;
        this.answers = answers;
    }

    /** Takes a newborn in, to wait for a fitting; the same Bundle twice is one. */
    @PostMapping(
            path = "/bundles",
            consumes = {"application/fhir+json", MediaType.APPLICATION_JSON_VALUE})
    ResponseEntity<String> bring(
            @AuthenticationPrincipal Program program,
            @RequestBody String body,
            @RequestHeader(name = "Idempotency-Key", required = false) String key) {
        return answers.once(program, key, "fhir/bundles", body, () -> {
                    BroughtIn.Kept kept = broughtIn.take(program.pointId(), body, program.name(), program.author());
                    return new Answers.Answer(
                            kept.isNew() ? HttpStatus.CREATED.value() : HttpStatus.OK.value(),
                            "",
                            JsonMapper.shared().writeValueAsString(Map.of("id", kept.id())));
                })
                .entity();
    }

    /** The measures of a fitting and how it stands, without a name. */
    @GetMapping("/fittings/{id}")
    ResponseEntity<String> measures(@AuthenticationPrincipal Program program, @PathVariable UUID id) {
        try {
            Fittings.Planned fitting = fittings.planned(id, program.pointId());
            return ResponseEntity.ok()
                    .contentType(FHIR)
                    .body(MeasuresBundle.of(
                            fitting.id(),
                            fitting.plan(),
                            viewing.clock().instant(),
                            new Wording(Locale.ENGLISH, UnitSystem.METRIC)));
        } catch (NoSuchFittingException e) {
            throw ApiException.nothing("The fitting " + id);
        }
    }
}
