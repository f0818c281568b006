package app.layette.web.found;

import app.layette.core.drawing.AsFoundView;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Misuse;
import app.layette.core.evidence.Complete;
import app.layette.core.finding.Argument;
import app.layette.core.misuse.AsFound;
import app.layette.core.misuse.Misuses;
import app.layette.core.rule.Rules;
import app.layette.formats.rules.RuleWords;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.photo.Photographs;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
    /** A place of the walk, and what is known of it. */
    public record Place(String key, String says, String look, String lookSays, String mark) {}

    /** Something that may be found, and how it is seen. */
    public record Choice(String misuse, String says, String seen, String weight, String weightSays, boolean found) {}

    /**
     * Something that was found, why it matters and the rule that it is against, how it stands now, since which entry, and
     * the pictures of its area.
     */
    @Complete
    public record Line(
            String says,
            String why,
            String rule,
            String area,
            String areaKey,
            String now,
            String nowSays,
            String step,
            int since,
            List<Photographs.Shown> photos) {}

    private final Fittings fittings;
    private final Photographs photographs;
    private final Viewing viewing;

    AsFoundController(Fittings fittings, Photographs photographs, Viewing viewing) {
        this.fittings = fittings;
        this.photographs = photographs;
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
        List<Photographs.Shown> photos = photographs.of(fitting.plan(), words);
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("open", fitting.plan().state().isUnderWay());
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute(
                "before",
                SvgWriter.write(
                        AsFoundView.asFound(asFound),
                        words,
                        link -> Optional.of(walk(id, Area.valueOf(link.target().substring("area-".length()))))));
        model.addAttribute("after", SvgWriter.write(AsFoundView.asItStands(asFound), words));
        model.addAttribute(
                "walked",
                words.say(
                        "found.walked",
                        Map.of(
                                "looked", Argument.of(asFound.looked()),
                                "all", Argument.of(Area.values().length))));
        asFound.nextAfter(Area.PLACE).ifPresent(next -> model.addAttribute("next", next.name()));
        model.addAttribute(
                "places",
                Arrays.stream(Area.values())
                        .map(each -> place(each, asFound, words))
                        .toList());
        model.addAttribute("lines", lines(asFound, photos, words));
        Arrays.stream(Area.values())
                .filter(each -> each.name().equals(area))
                .findFirst()
                .ifPresent(each -> show(each, asFound, photos, words, model));
        return "found/as-found";
    }

    private static void show(Area area, AsFound asFound, List<Photographs.Shown> photos, Wording words, Model model) {
        model.addAttribute("area", area.name());
        model.addAttribute("areaSays", words.say("drawing.asFound." + area));
        model.addAttribute("look", asFound.look(area).name());
        model.addAttribute("choices", choices(area, asFound, words));
        model.addAttribute("aboutFound", Photographs.asFound(area));
        model.addAttribute("aboutLeft", Photographs.asLeft(area));
        model.addAttribute("photos", ofArea(area, photos));
    }

    private static Place place(Area area, AsFound asFound, Wording words) {
        AsFound.Look look = asFound.look(area);
        long found = asFound.found().stream()
                .filter(each -> Misuses.of(each.misuse()).area() == area)
                .count();
        String mark = switch (look) {
            case NOT_LOOKED -> "?";
            case NOTHING_WRONG -> "✓";
            case FOUND -> String.valueOf(found);
        };
        return new Place(
                area.name(),
                words.say("drawing.asFound." + area),
                look.name(),
                words.say("found.look." + look, Map.of("count", Argument.of(found))),
                mark);
    }

    private static List<Photographs.Shown> ofArea(Area area, List<Photographs.Shown> photos) {
        return photos.stream()
                .filter(photo -> photo.about().equals(Photographs.asFound(area))
                        || photo.about().equals(Photographs.asLeft(area)))
                .toList();
    }

    private static String walk(UUID id, Area area) {
        return "/fittings/" + id + "/as-found?area=" + area + "#area";
    }

    private static List<Line> lines(AsFound asFound, List<Photographs.Shown> photos, Wording words) {
        return asFound.found().stream()
                .map(found -> line(found, ofArea(Misuses.of(found.misuse()).area(), photos), words))
                .toList();
    }

    private static List<Choice> choices(Area area, AsFound asFound, Wording words) {
        return Misuses.in(area).stream()
                .map(misuse -> new Choice(
                        misuse.name(),
                        words.say("misuse." + misuse),
                        new RuleWords(words).seen(misuse),
                        Misuses.of(misuse).weight().name().toLowerCase(Locale.ROOT),
                        words.say("weight." + Misuses.of(misuse).weight()),
                        asFound.found().stream().anyMatch(found -> found.misuse() == misuse)))
                .toList();
    }

    private static Line line(AsFound.Found found, List<Photographs.Shown> photos, Wording words) {
        Misuses.Row row = Misuses.of(found.misuse());
        return AsFoundControllerLineParts.builder()
                .says(words.say("misuse." + found.misuse()))
                .why(new RuleWords(words).why(found.misuse()))
                .rule(RuleWords.rule(found.misuse()).text())
                .area(words.say("drawing.asFound." + row.area()))
                .areaKey(row.area().name())
                .now(found.now().name().toLowerCase(Locale.ROOT))
                .nowSays(words.say(
                        "found." + found.now(),
                        Map.of(
                                "by",
                                new Argument.OfKey("conclusion." + row.putRightBy()),
                                "seq",
                                Argument.of(found.since()))))
                .step(Rules.stepOf(row.putRightBy()).name())
                .since(found.since())
                .photos(photos)
                .build();
    }

    @PostMapping
    String found(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Misuse misuse,
            @RequestParam boolean there,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        enter(user, id, fields, new Fact.FoundSo(fittings.unit(id, user.pointId()), misuse, there), after);
        return "redirect:" + walk(id, Misuses.of(misuse).area());
    }

    /** Looked here and nothing is wrong: the walk goes on to where nobody has looked. */
    @PostMapping("/looked")
    String looked(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Area area,
            @RequestParam boolean clear,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        Optional<AsFound> now =
                enter(user, id, fields, new Fact.AreaLooked(fittings.unit(id, user.pointId()), area, clear), after);
        Area next = now.filter(each -> clear)
                .flatMap(walked -> walked.nextAfter(area))
                .orElse(area);
        return "redirect:" + walk(id, next);
    }

    private Optional<AsFound> enter(
            SignedIn user, UUID id, Map<String, String> fields, Fact fact, RedirectAttributes after) {
        try {
            EntryDraft draft = new EntryForm(fields, viewing.clock()).draft(fact, How.MEASURED);
            Fittings.Appended appended = fittings.append(id, draft, user.pointId(), user.author());
            return Optional.of(AsFound.of(appended.after().plan()));
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            return Optional.empty();
        }
    }
}
