package app.layette.web.lesson;

import app.layette.core.entry.SheetId;
import app.layette.core.entry.Situation;
import app.layette.core.lesson.Worksheet;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.svg.CarrierPicture;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FittingLists;
import app.layette.web.fitting.Fittings;
import app.layette.web.paper.PaperSize;
import app.layette.web.paper.PdfPrinter;
import app.layette.web.shelf.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The class run: the families that are there, each with questions about its own set-up; blank or answered, on screen and
 * as a PDF, in English and Spanish.
 */
@Controller
class LessonController {
    private static final int MOST_FAMILIES = 12;

    /**
     * A family to choose from, by the seat that it brought.
     *
     * @param seat its name; empty where it is on no shelf
     */
    public record Family(UUID id, String child, String reference, String seat, String picture, boolean chosen) {}

    /** A family's part of the worksheet. */
    public record Sheet(String child, String seat, String picture, List<Line> lines) {}

    /** A question, and its answer where answers are printed. */
    public record Line(String question, String answer) {}

    private final Fittings fittings;
    private final FittingLists lists;
    private final Shelf shelf;
    private final PdfPrinter printer;
    private final Viewing viewing;

    LessonController(Fittings fittings, FittingLists lists, Shelf shelf, PdfPrinter printer, Viewing viewing) {
        this.fittings = fittings;
        this.lists = lists;
        this.shelf = shelf;
        this.printer = printer;
        this.viewing = viewing;
    }

    @GetMapping("/class")
    String lesson(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(name = "with", defaultValue = "") List<UUID> with,
            @RequestParam(defaultValue = "false") boolean answers,
            @RequestParam(required = false) String lang,
            Model model) {
        List<UUID> families = chosen(with);
        model.addAttribute("point", viewing.point(user).name());
        model.addAttribute("day", viewing.wording(user).say(viewing.today(viewing.point(user))));
        model.addAttribute("families", families(user.pointId(), lists.openOnes(user, families)));
        model.addAttribute("with", families);
        model.addAttribute("most", MOST_FAMILIES);
        model.addAttribute("answers", answers);
        Wording words = viewing.wording(user, lang);
        model.addAttribute("lang", words.language());
        model.addAttribute("others", Languages.others(viewing.wording(user).locale()));
        model.addAttribute("sheets", sheets(user, families, words));
        return "lesson/lesson";
    }

    @GetMapping(path = "/class.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(name = "with", defaultValue = "") List<UUID> with,
            @RequestParam(defaultValue = "false") boolean answers,
            @RequestParam(required = false) String lang) {
        Wording words = viewing.wording(user, lang);
        byte[] document = printer.print(
                "lesson/pdf",
                words.language(),
                Map.of(
                        "sheets", sheets(user, chosen(with), words),
                        "answers", answers,
                        "lang", words.language(),
                        "title", words.say("worksheet.title"),
                        "cautions", words.say("worksheet.cautions"),
                        "point", viewing.point(user).name(),
                        "day", words.say(viewing.today(viewing.point(user))),
                        "paper", PaperSize.in(viewing.point(user).lawCountry()).css()));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"worksheet.pdf\"")
                .body(document);
    }

    private List<Family> families(UUID point, List<FittingLists.OpenOne> open) {
        Map<SheetId, Optional<SeatSheet>> seats = open.stream()
                .map(FittingLists.OpenOne::seat)
                .distinct()
                .collect(Collectors.toMap(Function.identity(), id -> shelf.newestSeat(point, id.text())));
        return open.stream()
                .map(each -> family(point, each, seats.getOrDefault(each.seat(), Optional.empty())))
                .toList();
    }

    private Family family(UUID point, FittingLists.OpenOne one, Optional<SeatSheet> seat) {
        return new Family(
                one.id(),
                one.child(),
                one.reference(),
                seat.map(each -> each.identity().fullName()).orElse(""),
                seat.map(each -> shelf.pictures().seat(point, each)).orElse(""),
                one.chosen());
    }

    private static List<UUID> chosen(List<UUID> with) {
        return with.stream().distinct().limit(MOST_FAMILIES).toList();
    }

    private List<Sheet> sheets(SignedIn user, List<UUID> families, Wording words) {
        return families.stream()
                .map(id -> sheet(fittings.planned(id, user.pointId()), words))
                .toList();
    }

    private static Sheet sheet(Fittings.Planned fitting, Wording words) {
        Situation situation = fitting.plan().situation();
        List<Line> lines = Worksheet.of(situation).items().stream()
                .map(item -> new Line(
                        words.say("worksheet." + item.key() + ".q", item.arguments()),
                        words.say("worksheet." + item.key() + "." + item.answer(), item.arguments())))
                .toList();
        return new Sheet(
                fitting.childName(),
                situation.seat().map(seat -> seat.identity().fullName()).orElse(""),
                situation.seat().map(CarrierPicture::of).orElse(""),
                lines);
    }
}
