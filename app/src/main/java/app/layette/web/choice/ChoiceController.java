package app.layette.web.choice;

import app.layette.core.choice.SeatAnswer;
import app.layette.core.choice.WhichRestraint;
import app.layette.core.coming.Coming;
import app.layette.core.coming.DueKind;
import app.layette.core.drawing.InSeatView;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Complete;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.growth.Outlook;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.svg.UntilBar;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Ranks the shelf for one child. */
@Controller
class ChoiceController {
    /**
     * One restraint.
     *
     * @param answer allowed, not_allowed or not_known, for the mark beside the word
     * @param rooms what is left to each limit
     * @param svg the child in it, all at one scale
     * @param bar how long it lasts, on an axis that all share
     * @param reasons every finding, what forbids first
     */
    @Complete
    public record Choice(
            String id,
            String name,
            String kind,
            boolean present,
            String answer,
            String answerWord,
            String deciding,
            String insert,
            List<String> rooms,
            String until,
            String car,
            String carry,
            String svg,
            String bar,
            List<Reason> reasons) {}

    /** Why. */
    public record Reason(String weight, String weightWord, String code, String text) {}

    private static final int A_PAGE = 40;
    private static final int AXIS_MONTHS = 24;

    private final Fittings fittings;
    private final Shelf shelf;
    private final Viewing viewing;

    ChoiceController(Fittings fittings, Shelf shelf, Viewing viewing) {
        this.fittings = fittings;
        this.shelf = shelf;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/restraints")
    String restraints(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Situation situation = fitting.plan().situation();
        Wording words = viewing.wording(user);
        List<Choice> choices = new ArrayList<>();
        Page<SeatAnswer> shown = Page.of(WhichRestraint.among(newest(user.pointId()), situation), page, A_PAGE);
        for (SeatAnswer answer : shown.items()) {
            boolean present =
                    SheetId.of(answer.seat().sheet()).equals(situation.unit().sheet());
            choices.add(choice(answer, present, words));
        }
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("reference", fitting.reference());
        model.addAttribute(
                "car", situation.car().map(car -> car.fullName().strip()).orElse(""));
        model.addAttribute("measured", situation.weight().isPresent());
        model.addAttribute("choices", choices);
        model.addAttribute("page", shown);
        return "choice/restraints";
    }

    /** The newest version of every seat sheet. */
    private List<SeatSheet> newest(UUID point) {
        Map<String, Integer> shelved =
                shelf.seats(point).stream().collect(Collectors.toMap(SheetSummary::id, SheetSummary::version));
        return shelf.sheets(point, List.copyOf(shelved.keySet())).seats().stream()
                .filter(sheet -> sheet.sheet().version()
                        == shelved.getOrDefault(sheet.sheet().id(), 0))
                .toList();
    }

    private static Choice choice(SeatAnswer answer, boolean present, Wording words) {
        List<Reason> reasons = answer.findings().stream()
                .map(finding -> new Reason(
                        finding.weight().name().toLowerCase(Locale.ROOT),
                        words.say("weight." + finding.weight()),
                        finding.code().text(),
                        words.say(finding)))
                .toList();
        String insert = answer.pieces().isEmpty()
                ? ""
                : words.say(
                        "choice.with",
                        Map.of(
                                "pieces",
                                Argument.of(String.join(
                                        ", ",
                                        answer.pieces().stream()
                                                .map(piece -> answer.seat().named(piece, words.language()))
                                                .toList()))));
        return ChoiceControllerChoiceParts.builder()
                .id(answer.seat().sheet().id())
                .name(answer.seat().identity().fullName())
                .kind(words.say("seatKind." + answer.seat().kind()))
                .present(present)
                .answer(answer.answer().name().toLowerCase(Locale.ROOT))
                .answerWord(words.say("choice." + answer.answer()))
                .deciding(answer.deciding().map(words::say).orElse(""))
                .insert(insert)
                .rooms(rooms(answer, words))
                .until(until(answer, words))
                .car(car(answer, words))
                .carry(answer.carry()
                        .map(mass -> words.say("choice.carry", Map.of("mass", Argument.of(mass))))
                        .orElse(""))
                .svg(SvgWriter.picture(InSeatView.of(answer), words))
                .bar(UntilBar.of(
                        answer.there().today(),
                        answer.answer() == Permission.NOT_ALLOWED
                                ? Optional.empty()
                                : answer.until().map(Coming::outlook),
                        AXIS_MONTHS))
                .reasons(reasons)
                .build();
    }

    private static List<String> rooms(SeatAnswer answer, Wording words) {
        List<String> rooms = new ArrayList<>();
        SeatAnswer.Rooms room = answer.rooms();
        room.weight().ifPresent(left -> rooms.add(words.say("choice.room.weight", Map.of("left", Argument.of(left)))));
        room.length().ifPresent(left -> rooms.add(words.say("choice.room.length", Map.of("left", Argument.of(left)))));
        room.head().ifPresent(left -> rooms.add(words.say("choice.room.head", Map.of("left", Argument.of(left)))));
        room.slot()
                .ifPresent(slot -> rooms.add(words.say(
                        "choice.room.slot", Map.of("slot", Argument.of(slot), "slots", Argument.of(room.slots())))));
        return rooms;
    }

    private static String until(SeatAnswer answer, Wording words) {
        if (answer.answer() == Permission.NOT_ALLOWED) {
            return answer.from()
                    .flatMap(Outlook::likely)
                    .map(day -> words.say("choice.from", Map.of("day", Argument.of(day))))
                    .orElse("");
        }
        return answer.until()
                .map(coming -> coming.outlook()
                        .likely()
                        .map(day -> words.say(
                                "choice.until",
                                Map.of(
                                        "day",
                                        Argument.of(day),
                                        "what",
                                        new Argument.OfKey(
                                                DueKind.of(coming.what()).key()))))
                        .orElse(words.say("choice.beyond")))
                .orElse("");
    }

    private static String car(SeatAnswer answer, Wording words) {
        if (!answer.carKnown() || answer.answer() == Permission.NOT_ALLOWED) {
            return "";
        }
        return answer.place()
                .filter(each -> each.answer() == Permission.ALLOWED)
                .map(each -> words.say(
                        "place.by",
                        Map.of(
                                "place", new Argument.OfKey("place." + each.place()),
                                "method", new Argument.OfKey("method." + each.method()))))
                .orElseGet(() -> words.say(
                        answer.place().map(PlaceAnswer::answer).orElse(Permission.NOT_ALLOWED) == Permission.NOT_KNOWN
                                ? "choice.carNotKnown"
                                : "choice.noPlace"));
    }
}
