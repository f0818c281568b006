package app.layette.web.found;

import app.layette.core.drawing.AsFoundView;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Misuse;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingState;
import app.layette.core.misuse.AsFound;
import app.layette.core.misuse.Misuses;
import app.layette.core.misuse.Misuses.Area;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The walk round the seat as it arrived, and as it was left beside it. */
@Controller
@RequestMapping("/fittings/{id}/as-found")
class AsFoundController {
    /** Something that may be found. */
    public record Choice(String misuse, String says, String weight, String weightSays, boolean found) {}

    /** Something that was found, and how it stands now. */
    public record Line(String says, String area, String now, String nowSays, String step) {}

    private final Fittings fittings;
    private final Viewing viewing;

    AsFoundController(Fittings fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String area,
            Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        AsFound asFound = AsFound.of(fitting.plan());
        Optional<Area> looked = Arrays.stream(Area.values())
                .filter(each -> each.name().equals(area))
                .findFirst();
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("open", fitting.plan().state() == FittingState.OPEN);
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute(
                "before",
                SvgWriter.write(
                        AsFoundView.of(marks(asFound, found -> true), true),
                        words,
                        link -> Optional.of("/fittings/" + id + "/as-found?area="
                                + link.target().substring("area-".length()) + "#area")));
        model.addAttribute(
                "after",
                SvgWriter.write(
                        AsFoundView.of(marks(asFound, found -> found.now() == AsFound.Now.STILL_SO), false), words));
        model.addAttribute("area", looked.map(Enum::name).orElse(""));
        model.addAttribute(
                "areaSays",
                looked.map(each -> words.say("drawing.asFound." + each)).orElse(""));
        model.addAttribute(
                "choices", looked.map(each -> choices(each, asFound, words)).orElse(List.of()));
        model.addAttribute(
                "lines",
                asFound.found().stream().map(found -> line(found, words)).toList());
        return "found/as-found";
    }

    private static Map<Area, Integer> marks(AsFound asFound, Predicate<AsFound.Found> counted) {
        Map<Area, Integer> marks = new EnumMap<>(Area.class);
        asFound.found().stream()
                .filter(counted)
                .forEach(found -> marks.merge(Misuses.of(found.misuse()).area(), 1, Integer::sum));
        return marks;
    }

    private static List<Choice> choices(Area area, AsFound asFound, Wording words) {
        return Misuses.in(area).stream()
                .map(misuse -> new Choice(
                        misuse.name(),
                        words.say("misuse." + misuse),
                        Misuses.of(misuse).weight().name().toLowerCase(Locale.ROOT),
                        words.say("weight." + Misuses.of(misuse).weight()),
                        asFound.found().stream().anyMatch(found -> found.misuse() == misuse)))
                .toList();
    }

    private static Line line(AsFound.Found found, Wording words) {
        Misuses.Row row = Misuses.of(found.misuse());
        return new Line(
                words.say("misuse." + found.misuse()),
                words.say("drawing.asFound." + row.area()),
                found.now().name().toLowerCase(Locale.ROOT),
                words.say(
                        "found." + found.now(),
                        Map.of(
                                "by",
                                new Argument.OfKey("conclusion." + row.putRightBy()),
                                "seq",
                                Argument.of(found.since()))),
                app.layette.core.run.StepKey.serving(row.putRightBy()).name());
    }

    @PostMapping
    String found(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam int seen,
            @RequestParam Misuse misuse,
            @RequestParam boolean there,
            RedirectAttributes after) {
        Fact fact = new Fact.FoundSo("u1", misuse, there);
        try {
            fittings.append(
                    id, new EntryDraft(entry, seen, null, How.MEASURED, null, fact), user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
        }
        return "redirect:/fittings/" + id + "/as-found?area="
                + Misuses.of(misuse).area() + "#area";
    }
}
