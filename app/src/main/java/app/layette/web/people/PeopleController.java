package app.layette.web.people;

import app.layette.core.entry.Author;
import app.layette.core.evidence.Complete;
import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.User;
import app.layette.web.account.Viewing;
import app.layette.web.shell.Address;
import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page on which a lead keeps the people of a fitting point. */
@Controller
@RequestMapping("/people")
class PeopleController {
    private static final int BAR_WIDTH = 600;
    private static final int MONTHS_A_MARK = 6;

    private final People people;
    private final Viewing viewing;
    private final Address address;
    private final SafeKeys keys;

    PeopleController(People people, Viewing viewing, Address address, SafeKeys keys) {
        this.keys = keys;
        this.people = people;
        this.viewing = viewing;
        this.address = address;
    }

    /**
     * Somebody as the page shows them.
     *
     * @param until the certificate's last day as it can be typed again
     * @param over whether that day is over
     * @param share for how much of the time drawn they sign, as a share of the bar's width
     * @param open whether they sign beyond what is drawn
     * @param signs until when they sign, in words
     */
    @Complete
    public record Row(
            UUID id,
            String name,
            String shown,
            Author.Role role,
            String certificate,
            String until,
            boolean over,
            boolean works,
            boolean second,
            int share,
            boolean open,
            String signs) {}

    /** Who signs how long, in sentences; the days over the bars, and where in them each begins. */
    public record Ahead(List<String> says, Optional<String> warns, List<String> days, List<Integer> marks) {}

    @GetMapping
    ModelAndView list(@AuthenticationPrincipal SignedIn user) {
        return page(user, Map.of(), "", Map.of());
    }

    @PostMapping
    ModelAndView add(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            HttpServletRequest request,
            RedirectAttributes after) {
        try {
            after.addFlashAttribute("link", address.of(people.add(user, fields, today(user)), request));
            return new ModelAndView("redirect:/people");
        } catch (RefusedPersonException e) {
            return refused(user, fields, "new", e);
        }
    }

    /** The key to what waits of somebody in this browser, and the note that goes with each of their fittings. */
    @PostMapping("/waiting")
    ResponseEntity<Object> handOver(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "") String why) {
        Wording words = viewing.wording(user);
        try {
            String key = keys.handOver(user, person, why);
            String note = words.say(
                    "waiting.note",
                    Map.of(
                            "person", Argument.of(person),
                            "lead", Argument.of(user.getUsername()),
                            "why", Argument.of(why.strip())));
            return ResponseEntity.ok(Map.of("key", key, "note", note));
        } catch (RefusedPersonException e) {
            return ResponseEntity.unprocessableContent()
                    .contentType(MediaType.TEXT_PLAIN)
                    .body(words.say(e.problems().get(0)));
        }
    }

    @PostMapping("/{id}")
    ModelAndView change(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        try {
            people.change(user, id, fields, today(user));
            after.addFlashAttribute("said", viewing.wording(user).say("people.kept"));
            return new ModelAndView("redirect:/people");
        } catch (RefusedPersonException e) {
            return refused(user, fields, id.toString(), e);
        }
    }

    @PostMapping("/{id}/link")
    ModelAndView link(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            HttpServletRequest request,
            RedirectAttributes after) {
        after.addFlashAttribute("link", address.of(people.link(user, id), request));
        return new ModelAndView("redirect:/people");
    }

    @PostMapping("/{id}/sign-out")
    ModelAndView signOut(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, RedirectAttributes after) {
        people.signOut(user, id);
        after.addFlashAttribute("said", viewing.wording(user).say("people.signedOut"));
        return new ModelAndView("redirect:/people");
    }

    @PostMapping("/{id}/second/remove")
    ModelAndView removeSecondFactor(
            @AuthenticationPrincipal SignedIn user, @PathVariable UUID id, RedirectAttributes after) {
        people.removeSecondFactor(user, id);
        after.addFlashAttribute("said", viewing.wording(user).say("people.secondGone"));
        return new ModelAndView("redirect:/people");
    }

    @PostMapping("/{id}/retire")
    ModelAndView retire(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        boolean retires = !fields.containsKey("back");
        try {
            people.retire(user, id, retires);
            after.addFlashAttribute("said", viewing.wording(user).say(retires ? "people.retired" : "people.back"));
            return new ModelAndView("redirect:/people");
        } catch (RefusedPersonException e) {
            return refused(user, fields, id.toString(), e);
        }
    }

    private LocalDate today(SignedIn user) {
        return viewing.today(viewing.point(user));
    }

    private ModelAndView refused(SignedIn user, Map<String, String> fields, String where, RefusedPersonException e) {
        Wording words = viewing.wording(user);
        Map<String, String> wrong = new LinkedHashMap<>();
        e.problems().forEach(problem -> wrong.put(problem.field(), words.say(problem)));
        ModelAndView page = page(user, fields, where, wrong);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private ModelAndView page(SignedIn user, Map<String, String> typed, String where, Map<String, String> wrong) {
        LocalDate today = today(user);
        ModelAndView page = new ModelAndView("people/list");
        Wording words = viewing.wording(user);
        Signers signers = new Signers(people.of(user), today, User.certificatesDay(viewing.clock()));
        page.addObject(
                "people",
                signers.people().stream().map(each -> row(each, signers, words)).toList());
        page.addObject("ahead", ahead(signers, words));
        page.addObject("barWidth", BAR_WIDTH);
        page.addObject("forOrganisation", user.isForOrganisation());
        page.addObject("typed", typed);
        page.addObject("where", where);
        page.addObject("wrong", wrong);
        page.addObject("roles", List.of(Author.Role.values()));
        return page;
    }

    private static Row row(User user, Signers signers, Wording words) {
        Signers.Hand hand = signers.hand(user);
        double share = signers.share(user);
        return PeopleControllerRowParts.builder()
                .id(user.id())
                .name(user.name())
                .shown(user.displayName())
                .role(user.role())
                .certificate(user.certificate().orElse(""))
                .until(user.certificateUntil().map(LocalDate::toString).orElse(""))
                .over(hand == Signers.Hand.OVER)
                .works(user.works())
                .second(user.hasSecondFactor())
                .share(width(share))
                .open(share == 1)
                .signs(words.say("people.hand." + hand, until(user)))
                .build();
    }

    private static int width(double share) {
        return (int) Math.round(share * BAR_WIDTH);
    }

    private static Map<String, Argument> until(User user) {
        return user.certificateUntil()
                .map(last -> Map.of("day", Argument.of(last)))
                .orElse(Map.of());
    }

    private static Ahead ahead(Signers signers, Wording words) {
        List<String> says = new ArrayList<>();
        int signing = signers.signing().size();
        if (signing > 0) {
            says.add(words.say("people.signToday", Map.of("count", Argument.of(signing))));
        }
        signers.next()
                .ifPresent(next -> says.add(words.say(
                        "people.nextToEnd",
                        Map.of(
                                "person", Argument.of(next.displayName()),
                                "day", Argument.of(next.certificateUntil().orElseThrow())))));
        // What lies beyond the bars is nothing to see to yet.
        Optional<String> warns = signers.nobodyFrom()
                .filter(day -> signers.share(day) < 1)
                .map(day -> words.say(
                        signing == 0 ? "people.nobodySigns" : "people.nobodyFrom", Map.of("day", Argument.of(day))));
        List<LocalDate> days = IntStream.range(0, Signers.MONTHS / MONTHS_A_MARK)
                .mapToObj(mark -> signers.today().plusMonths((long) mark * MONTHS_A_MARK))
                .toList();
        List<Integer> marks =
                days.stream().map(day -> width(signers.share(day))).toList();
        return new Ahead(says, warns, days.stream().map(words::say).toList(), marks);
    }
}
