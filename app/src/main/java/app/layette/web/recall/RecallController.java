package app.layette.web.recall;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The recall look-up of one fitting. */
@Controller
class RecallController {
    private final Fittings fittings;
    private final Recalls recalls;
    private final Viewing viewing;

    RecallController(Fittings fittings, Recalls recalls, Viewing viewing) {
        this.fittings = fittings;
        this.recalls = recalls;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/recall")
    String recall(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Situation situation = fitting.plan().situation();
        Wording words = viewing.wording(user);
        Recalls.Answer answer = recalls.about(situation);
        model.addAttribute("id", id);
        model.addAttribute("unit", situation.unit().id().text());
        model.addAttribute("lastSeq", situation.lastSeq());
        model.addAttribute("open", fitting.plan().state().isUnderWay());
        model.addAttribute(
                "seat", situation.seat().map(seat -> seat.identity().fullName()).orElse(""));
        model.addAttribute(
                "label",
                situation
                        .label(Fact.Part.CARRIER)
                        .map(label -> label.value().model()
                                + (label.value().made() == null
                                        ? ""
                                        : " · " + label.value().made()))
                        .orElse(""));
        model.addAttribute("state", answer.state().name());
        model.addAttribute("notices", answer.notices());
        model.addAttribute(
                "at",
                answer.at()
                        .map(at -> words.moment(at.atZone(viewing.point(user).zone())))
                        .orElse(""));
        model.addAttribute("simulated", recalls.isSimulated());
        return "recall/recall";
    }
}
