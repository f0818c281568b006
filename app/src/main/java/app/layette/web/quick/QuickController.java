package app.layette.web.quick;

import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.measure.UnreadableMeasureException;
import app.layette.core.ride.EarlierClearing;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.svg.FamilyPictures;
import app.layette.formats.svg.QrPicture;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.Beginnings.ClearedBefore;
import app.layette.web.fitting.FittingLists;
import app.layette.web.shell.Address;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Who, which carrier, which way: the card grows beside the answers, which the address holds. */
@Controller
class QuickController {
    private static final int FAMILIES = 4;

    private final Rides rides;
    private final SentCards sent;
    private final Beginnings beginnings;
    private final FittingLists lists;
    private final Viewing viewing;
    private final Address address;

    QuickController(
            Rides rides, SentCards sent, Beginnings beginnings, FittingLists lists, Viewing viewing, Address address) {
        this.rides = rides;
        this.sent = sent;
        this.beginnings = beginnings;
        this.lists = lists;
        this.viewing = viewing;
        this.address = address;
    }

    @GetMapping("/quick")
    ModelAndView quick(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            HttpServletRequest request) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        Answers answers = Answers.of(fields);
        ModelAndView page = new ModelAndView("quick/quick");
        page.addObject("carriers", rides.carriers(point));
        page.addObject("ways", ways());
        page.addObject("families", lists.recent(user).stream().limit(FAMILIES).toList());
        page.addObject("words", words);
        page.addObject("typed", answers.typed());
        page.addObject("problems", List.of());
        if (answers.isNothing()) {
            return page;
        }
        List<String> problems = new ArrayList<>();
        Optional<Mass> typed = answers.weight().isBlank() ? Optional.empty() : mass(answers.weight(), words, problems);
        Optional<ClearedBefore> before = answers.family().isBlank()
                ? Optional.empty()
                : beginnings.clearedBefore(user.pointId(), answers.family(), typed, user.author());
        if (!answers.family().isBlank() && before.isEmpty()) {
            problems.add(words.say(
                    "problem.UNKNOWN_FAMILY",
                    Map.of(
                            "field",
                            Argument.of(words.say("field.reference")),
                            "value",
                            Argument.of(answers.family()))));
        }
        Optional<SeatSheet> sheet =
                answers.seat().isBlank() ? before.map(ClearedBefore::seat) : rides.seat(point, answers.seat());
        Optional<Mass> mass = typed.or(() -> before.flatMap(ClearedBefore::weight));
        // What the sheet itself says is not asked again.
        page.addObject("asksAlone", sheet.filter(Rides::isSilentOnBase).isPresent());
        page.addObject("problems", problems);
        page.addObject("wrongWeight", mass.isEmpty() && !answers.weight().isBlank());
        page.addObject("wrongFamily", !answers.family().isBlank() && before.isEmpty());
        page.addObject("knowsWho", mass.isPresent());
        page.addObject("seatId", sheet.map(each -> each.sheet().id()).orElse(""));
        if (!problems.isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        if (mass.isPresent() && sheet.isPresent()) {
            card(page, user, answers, mass.get(), sheet.get(), before, request);
        }
        return page;
    }

    /** Each answer about the manual, with its drawing where it has one. */
    private static Map<String, String> ways() {
        Map<String, String> ways = new LinkedHashMap<>();
        ways.put("EUROPEAN", FamilyPictures.belt(FamilyPictures.Fixing.EUROPEAN));
        ways.put("AMERICAN", FamilyPictures.belt(FamilyPictures.Fixing.AMERICAN));
        ways.put("BOTH", "");
        ways.put("NEITHER", "");
        ways.put("UNKNOWN", "");
        return ways;
    }

    private void card(
            ModelAndView page,
            SignedIn user,
            Answers answers,
            Mass mass,
            SeatSheet sheet,
            Optional<ClearedBefore> before,
            HttpServletRequest request) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        CardView card = CardView.of(rides.card(point, sheet, mass, answers, before), sheet, words);
        page.addObject("card", card);
        Optional<EarlierClearing> clearing = before.filter(
                        each -> each.seat().sheet().id().equals(sheet.sheet().id()))
                .map(ClearedBefore::clearing);
        before.ifPresent(each -> showClearing(page, each, clearing, words));
        if (!card.routing().isEmpty() && !answers.shows().isBlank()) {
            // The way that was planned, and nothing of the family.
            Answers alone = new Answers("", mass.grams() + " g", sheet.sheet().id(), answers.shows(), answers.alone());
            String where = address.of("/r/" + sent.address(user.pointId(), alone), request);
            page.addObject("sentTo", where);
            page.addObject("qr", QrPicture.of(where));
        }
    }

    /** A card on a family's phone: no name, nothing kept, over after a day. */
    @GetMapping("/r/{card}")
    String sent(
            @PathVariable String card,
            @RequestParam(required = false) String lang,
            Locale locale,
            Model model,
            HttpServletResponse response) {
        Optional<SentCards.Sent> open = sent.open(card);
        Optional<Point> point = open.map(each -> viewing.point(each.point()));
        Wording words = Viewing.wording(
                lang == null ? locale : Languages.of(lang),
                point.map(Point::units).orElse(Wording.DEFAULT_UNITS));
        model.addAttribute("words", words);
        model.addAttribute("lang", words.language());
        model.addAttribute("others", Languages.others(words.locale()));
        Optional<SeatSheet> seat = open.flatMap(
                each -> rides.seat(point.orElseThrow(), each.answers().seat()));
        if (seat.isEmpty()) {
            response.setStatus(open.isEmpty() ? HttpStatus.NOT_FOUND.value() : HttpStatus.GONE.value());
            return "quick/over";
        }
        Answers answers = open.get().answers();
        Mass weight = Mass.parse(answers.weight(), MassRange.CHILD);
        model.addAttribute("address", card);
        model.addAttribute(
                "until",
                words.say(
                        "quick.until",
                        Map.of(
                                "until",
                                Argument.of(words.moment(
                                        open.get().until().atZone(point.get().zone()))))));
        model.addAttribute(
                "card",
                CardView.of(rides.card(point.get(), seat.get(), weight, answers, Optional.empty()), seat.get(), words));
        return "quick/phone";
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
}
