package app.layette.web.api;

import app.layette.core.entry.UnusableEntriesException;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.PlanDocument;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.api.Problems.ApiException;
import java.util.Objects;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Plans a case and keeps nothing: the same case is the same plan. */
@RestController
class PlanApi {
    private final FittingPlanner planner = new FittingPlanner();

    @PostMapping(path = "/api/v1/plans", produces = MediaType.APPLICATION_JSON_VALUE)
    String plan(
            @RequestBody String body,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "metric") String units,
            @RequestParam(defaultValue = "false") boolean drawings) {
        Optional<Wording> words = wording(text, units);
        try {
            CaseDocument document = CaseDocument.read(body, name -> {
                throw RefusedDocumentException.because(
                        "/", name, "allowed is the sheet itself, not the name of a file");
            });
            FittingPlan plan = planner.plan(document.practice(), document.sheets(), document.record(), document.date());
            return PlanDocument.of(plan, words, drawings).toString();
        } catch (UnusableEntriesException e) {
            throw new ApiException(
                    HttpStatus.UNPROCESSABLE_CONTENT, "document", Objects.requireNonNullElse(e.getMessage(), ""));
        }
    }

    private static Optional<Wording> wording(String text, String units) {
        if (!units.equals("metric") && !units.equals("customary")) {
            throw ApiException.field("units", units, "metric, customary");
        }
        if (text.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Wording(
                Languages.known(text).orElseThrow(() -> ApiException.field("text", text, "a language such as en, es")),
                units.equals("metric") ? UnitSystem.METRIC : UnitSystem.CUSTOMARY));
    }
}
