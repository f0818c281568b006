package app.layette.web.quick;

import app.layette.core.drawing.BaselessView;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.measure.UnreadableMeasureException;
import app.layette.core.practice.Practice;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.ride.Ride;
import app.layette.core.ride.RideCard;
import app.layette.core.ride.Routing;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.Fittings.ClearedBefore;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Three answers in, one card out; the address holds the answers, so that a card can be opened again. */
@Controller
class QuickController {
    private static final int STEPS = 5;

    /** A finding on the card. */
    public record Line(String weight, String weightWord, String code, String text) {}

    private final Shelf shelf;
    private final Fittings fittings;
    private final Profiles profiles;
    private final Viewing viewing;

    QuickController(Shelf shelf, Fittings fittings, Profiles profiles, Viewing viewing) {
        this.shelf = shelf;
        this.profiles = profiles;
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/quick")
    ModelAndView quick(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String family,
            @RequestParam(defaultValue = "") String weight,
            @RequestParam(defaultValue = "") String seat,
            @RequestParam(defaultValue = "") String shows,
            @RequestParam(defaultValue = "") String alone) {
        Wording words = viewing.wording(user);
        ModelAndView page = new ModelAndView("quick/quick");
        page.addObject("seats", shelf.seats(user.pointId()));
        page.addObject("words", words);
        page.addObject(
                "typed", Map.of("family", family, "weight", weight, "seat", seat, "shows", shows, "alone", alone));
        if (family.isBlank() && weight.isBlank() && seat.isBlank()) {
            return page;
        }
        List<String> problems = new ArrayList<>();
        Optional<Mass> typed = weight.isBlank() && !family.isBlank() ? Optional.empty() : mass(weight, words, problems);
        Optional<ClearedBefore> before = family.isBlank()
                ? Optional.empty()
                : fittings.clearedBefore(user.pointId(), family.strip(), typed, user.author());
        if (!family.isBlank() && before.isEmpty()) {
            problems.add(words.say(
                    "problem.UNKNOWN_FAMILY",
                    Map.of("field", Argument.of(words.say("field.reference")), "value", Argument.of(family))));
        }
        Optional<SeatSheet> sheet = seat.isBlank() ? before.map(ClearedBefore::seat) : newest(user, seat);
        if (sheet.isEmpty()) {
            problems.add(words.say("problem.NEEDED", Map.of("field", Argument.of(words.say("field.seat")))));
        }
        Optional<Mass> mass = typed.or(() -> before.flatMap(ClearedBefore::weight));
        if (mass.isEmpty() && problems.isEmpty()) {
            problems.add(words.say("problem.NEEDED", Map.of("field", Argument.of(words.say("field.mass")))));
        }
        // What the sheet itself says is not asked again.
        page.addObject(
                "asksAlone", sheet.filter(QuickController::isSilentOnBase).isPresent());
        page.addObject("problems", problems);
        page.addObject("wrongWeight", mass.isEmpty());
        page.addObject("wrongSeat", sheet.isEmpty());
        page.addObject("wrongFamily", !family.isBlank() && before.isEmpty());
        if (!problems.isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        Point point = viewing.point(user);
        Practice practice = new Practice(profiles.current(point), point.lawCountry(), point.zone());
        Ride ride = Ride.of(practice, sheet.get().asReliedOn(), mass.get(), shown(shows), viewing.today(point));
        Ride read = says(alone).map(ride::reading).orElse(ride);
        RideCard card =
                RideCard.plan(before.map(each -> read.after(each.plan())).orElse(read));
        Optional<EarlierClearing> clearing = before.filter(each ->
                        each.seat().sheet().id().equals(sheet.get().sheet().id()))
                .map(ClearedBefore::clearing);
        before.ifPresent(each -> showClearing(page, each, clearing, words));
        show(page, card, sheet.get(), words);
        return page;
    }

    private static boolean isSilentOnBase(SeatSheet sheet) {
        return sheet.asReliedOn()
                .says(PermissionKey.CARRIER_WITHOUT_BASE)
                .value()
                .isEmpty();
    }

    /** What a page at hand says of the carrier without its base; empty when nobody has looked. */
    private static Optional<Fact.PageSays> says(String alone) {
        return switch (alone) {
            case "ALLOWED" -> Optional.of(Fact.PageSays.ALLOWED);
            case "NOT_ALLOWED" -> Optional.of(Fact.PageSays.NOT_ALLOWED);
            default -> Optional.empty();
        };
    }

    /** What an earlier fitting of the same child in the same seat is worth today. */
    private static void showClearing(
            ModelAndView page, ClearedBefore before, Optional<EarlierClearing> clearing, Wording words) {
        String key = clearing.map(each -> each.holds() ? "clearing.holds" : "clearing.open")
                .orElse("clearing.otherSeat");
        page.addObject(
                "clearing",
                words.say(
                        key,
                        Map.of(
                                "child", Argument.of(before.childName()),
                                "day", Argument.of(before.clearing().on()))));
        page.addObject("cleared", clearing.map(EarlierClearing::holds).orElse(false));
        page.addObject(
                "lookAgain",
                clearing.map(EarlierClearing::open).orElse(List.of()).stream()
                        .map(state -> words.say("conclusion." + state.conclusion()) + ": "
                                + words.say("gateState." + state.state()))
                        .toList());
    }

    private static Optional<Mass> mass(String typed, Wording words, List<String> problems) {
        try {
            return Optional.of(Mass.parse(typed, MassRange.CHILD));
        } catch (UnreadableMeasureException e) {
            problems.add(words.say(new FieldProblem("mass", e.typed(), e.key(), e.lowest(), e.highest())));
            return Optional.empty();
        }
    }

    private Optional<SeatSheet> newest(SignedIn user, String id) {
        return shelf.newestSeat(user.pointId(), id);
    }

    /** What the manual shows; empty when nobody has looked. */
    private static Optional<Set<Routing>> shown(String shows) {
        return switch (shows) {
            case "EUROPEAN" -> Optional.of(EnumSet.of(Routing.EUROPEAN));
            case "AMERICAN" -> Optional.of(EnumSet.of(Routing.AMERICAN));
            case "BOTH" -> Optional.of(EnumSet.allOf(Routing.class));
            case "NEITHER" -> Optional.of(EnumSet.noneOf(Routing.class));
            default -> Optional.empty();
        };
    }

    private static void show(ModelAndView page, RideCard card, SeatSheet seat, Wording words) {
        page.addObject("card", true);
        page.addObject("seatName", seat.identity().fullName());
        page.addObject(
                "findings",
                card.findings().stream().map(each -> line(each, words)).toList());
        page.addObject(
                "prove", card.prove().stream().map(each -> line(each, words)).toList());
        page.addObject(
                "says",
                card.says().stream()
                        .map(each -> words.say(each.message(), each.arguments()))
                        .toList());
        card.routing().ifPresent(routing -> {
            page.addObject("routing", words.say("routing." + routing));
            page.addObject("picture", SvgWriter.write(BaselessView.of(routing), words));
            List<String> steps = new ArrayList<>();
            for (int step = 1; step <= STEPS; step++) {
                steps.add(words.say("ride." + routing + "." + step));
            }
            page.addObject("steps", steps);
        });
    }

    private static Line line(Finding finding, Wording words) {
        return new Line(
                finding.weight().name().toLowerCase(Locale.ROOT),
                words.say("weight." + finding.weight()),
                finding.code().text(),
                words.say(finding));
    }
}
