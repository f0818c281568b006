package app.layette.web.lesson;

import app.layette.core.entry.Situation;
import app.layette.core.lesson.Worksheet;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The class run: the families that are there, each with questions about its own set-up. */
@Controller
class LessonController {
    private static final int MOST_FAMILIES = 12;

    /** A family's part of the worksheet. */
    public record Sheet(String child, String seat, List<Line> lines) {}

    /** A question, and its answer where answers are printed. */
    public record Line(String question, String answer) {}

    private final Fittings fittings;
    private final Viewing viewing;

    LessonController(Fittings fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/class")
    String lesson(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(name = "with", defaultValue = "") List<UUID> with,
            @RequestParam(defaultValue = "false") boolean answers,
            Model model) {
        Wording words = viewing.wording(user);
        List<UUID> families = with.stream().distinct().limit(MOST_FAMILIES).toList();
        List<Sheet> sheets = new ArrayList<>();
        for (UUID id : families) {
            sheets.add(sheet(fittings.planned(id, user.pointId()), words));
        }
        model.addAttribute("point", viewing.point(user).name());
        model.addAttribute("day", words.say(viewing.today(viewing.point(user))));
        model.addAttribute("families", fittings.openOnes(user, families));
        model.addAttribute("most", MOST_FAMILIES);
        model.addAttribute("answers", answers);
        model.addAttribute("sheets", sheets);
        return "lesson/lesson";
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
                lines);
    }
}
