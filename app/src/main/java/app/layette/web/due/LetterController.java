package app.layette.web.due;

import app.layette.core.finding.Argument;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.LetterAddresses;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A letter to a family about one thing that comes due: read it, change it, send it. */
@Controller
@RequestMapping("/due/{fitting}/letter")
class LetterController {
    private static final int LONGEST_SUBJECT = 200;
    private static final int LONGEST_BODY = 4000;
    private static final int MOST_IN_ONE = 20;
    private static final String AT = "@";

    private final DueItems items;
    private final Fittings fittings;
    private final Mail mail;
    private final Viewing viewing;
    private final TransactionTemplate transactions;
    private final LetterAddresses addresses;

    LetterController(
            DueItems items,
            Fittings fittings,
            Mail mail,
            Viewing viewing,
            TransactionTemplate transactions,
            LetterAddresses addresses) {
        this.addresses = addresses;
        this.items = items;
        this.fittings = fittings;
        this.mail = mail;
        this.viewing = viewing;
        this.transactions = transactions;
    }

    @GetMapping
    String letter(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID fitting,
            @RequestParam String what,
            @RequestParam LocalDate dueOn,
            @RequestParam(defaultValue = "") List<String> also,
            @RequestParam(required = false) String lang,
            RedirectAttributes after,
            Model model) {
        Fittings.Planned planned = fittings.planned(fitting, user.pointId());
        Optional<DueItems.Item> item = items.find(user.pointId(), fitting, what, dueOn);
        if (item.isEmpty()) {
            after.addFlashAttribute("refused", List.of(viewing.wording(user).say("due.refused.gone")));
            return "redirect:/due";
        }
        Wording words = viewing.wording(user, lang);
        model.addAttribute("mail", mail.way().name());
        if (!model.containsAttribute("address")) {
            model.addAttribute("address", addresses.of(user.pointId(), fitting));
        }
        model.addAttribute("fitting", fitting);
        model.addAttribute("child", planned.childName());
        model.addAttribute("reference", planned.reference());
        model.addAttribute("what", what);
        List<DueItems.Item> all = new ArrayList<>(List.of(item.get()));
        all.addAll(others(user.pointId(), fitting, also));
        Wording own = viewing.wording(user);
        model.addAttribute(
                "also", all.stream().skip(1).map(LetterController::also).toList());
        model.addAttribute(
                "whatSays", all.stream().map(each -> own.say(each.what())).collect(Collectors.joining(" · ")));
        model.addAttribute("dueOn", dueOn);
        model.addAttribute("lang", words.language());
        model.addAttribute("others", Languages.others(words.locale()));
        Argument child = Argument.of(planned.childName());
        if (!model.containsAttribute("subject")) {
            model.addAttribute("subject", words.say("letter.subject", Map.of("child", child)));
            model.addAttribute(
                    "body",
                    all.size() > 1
                            ? several(all, child, point(user), words)
                            : words.say(
                                    "letter.body",
                                    Map.of(
                                            "child",
                                            child,
                                            "what",
                                            new Argument.OfKey(what),
                                            "when",
                                            Argument.of(DueWords.when(item.get(), words)),
                                            "point",
                                            Argument.of(viewing.point(user).name()))));
        }
        return "due/letter";
    }

    private Argument point(SignedIn user) {
        return Argument.of(viewing.point(user).name());
    }

    private static String several(List<DueItems.Item> all, Argument child, Argument point, Wording words) {
        String list = all.stream()
                .map(each -> "- " + words.say(each.what()) + ", " + DueWords.when(each, words))
                .collect(Collectors.joining("\n"));
        return words.say("letter.several", Map.of("child", child, "list", Argument.of(list), "point", point));
    }

    /** Another thing of the same family, as an address names it. */
    static String also(DueItems.Item item) {
        return item.what() + AT + item.likely();
    }

    /** What else the letter is about, as far as it is still due. */
    private List<DueItems.Item> others(UUID point, UUID fitting, List<String> also) {
        List<DueItems.Item> others = new ArrayList<>();
        for (String each : also) {
            String[] parts = each.split(AT);
            if (parts.length == 2 && parts[1].matches("\\d{4}-\\d{2}-\\d{2}") && others.size() < MOST_IN_ONE) {
                try {
                    items.find(point, fitting, parts[0], LocalDate.parse(parts[1]))
                            .ifPresent(others::add);
                } catch (DateTimeParseException e) {
                    // No day: nothing of this family is due on it.
                }
            }
        }
        return others;
    }

    @PostMapping
    String send(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID fitting,
            @RequestParam UUID id,
            @RequestParam String what,
            @RequestParam LocalDate dueOn,
            @RequestParam(defaultValue = "") String address,
            @RequestParam(defaultValue = "") String subject,
            @RequestParam(defaultValue = "") String body,
            @RequestParam(required = false) String lang,
            @RequestParam(defaultValue = "") List<String> also,
            RedirectAttributes after) {
        Fittings.Planned planned = fittings.planned(fitting, user.pointId());
        Wording words = viewing.wording(user);
        List<String> problems = new ArrayList<>();
        check("subject", subject, LONGEST_SUBJECT, words, problems);
        check("body", body, LONGEST_BODY, words, problems);
        boolean addressed = mail.way() == Mail.Way.TO_AN_ADDRESS;
        if (mail.way() == Mail.Way.NONE) {
            problems.add(words.say("letter.refused.noMail"));
        }
        if (addressed && !mail.takes(address.strip())) {
            problems.add(words.say("letter.refused.address", Map.of("address", Argument.of(address))));
        }
        Mail.Letter letter =
                new Mail.Letter(planned.reference(), addressed ? address.strip() : "", subject.strip(), body.strip());
        Sent sent = problems.isEmpty() ? sendOnce(id, user.pointId(), letter) : Sent.NOT_TAKEN;
        if (problems.isEmpty() && sent == Sent.NOT_TAKEN) {
            problems.add(words.say("letter.refused.notTaken"));
        }
        if (!problems.isEmpty()) {
            after.addFlashAttribute("refused", problems);
            after.addFlashAttribute("address", address);
            after.addFlashAttribute("subject", subject);
            after.addFlashAttribute("body", body);
            after.addAttribute("what", what);
            after.addAttribute("dueOn", dueOn);
            after.addAttribute("lang", lang);
            after.addAttribute("also", String.join(",", also));
            return "redirect:/due/" + fitting + "/letter";
        }
        if (sent == Sent.UNDER_WAY) {
            // The first press tells what came of it; this one knows nothing, and so says nothing.
            return "redirect:/due";
        }
        LocalDate today = viewing.today(viewing.point(user));
        List<DueItems.Item> besides = others(user.pointId(), fitting, also);
        transactions.executeWithoutResult(status -> {
            items.mark(
                    user.pointId(),
                    id,
                    written(fitting, what, dueOn, user, today, words),
                    viewing.clock().instant());
            for (DueItems.Item each : besides) {
                UUID own = UUID.nameUUIDFromBytes((id + each.what()).getBytes(StandardCharsets.UTF_8));
                items.mark(
                        user.pointId(),
                        own,
                        written(fitting, each.what(), each.likely(), user, today, words),
                        viewing.clock().instant());
            }
            if (addressed) {
                addresses.keep(user.pointId(), fitting, letter.address());
            }
        });
        return "redirect:/due";
    }

    private static DueItems.Mark written(
            UUID fitting, String what, LocalDate dueOn, SignedIn user, LocalDate today, Wording words) {
        return new DueItems.Mark(
                fitting,
                what,
                dueOn,
                DueItems.Mark.Kind.CONTACT,
                null,
                words.say("due.letterSent"),
                user.author().id(),
                today);
    }

    /** What came of a letter. */
    private enum Sent {
        TAKEN,
        NOT_TAKEN,
        /** The same one is being sent by an earlier press. */
        UNDER_WAY
    }

    /**
     * Sends it outside any transaction: a slow mail server holds no connection to the database. Pressed twice it is one
     * letter.
     */
    private Sent sendOnce(UUID id, UUID point, Mail.Letter letter) {
        if (items.isMarked(point, id)) {
            return Sent.TAKEN;
        }
        if (!items.beginsToSend(point, id, viewing.clock().instant())) {
            return Sent.UNDER_WAY;
        }
        try {
            mail.send(point, letter);
            return Sent.TAKEN;
        } catch (Mail.NotTakenException e) {
            return Sent.NOT_TAKEN;
        } finally {
            items.isSent(point, id);
        }
    }

    private static void check(String field, String typed, int longest, Wording words, List<String> problems) {
        if (typed.isBlank() || typed.length() > longest) {
            problems.add(words.say(
                    "letter.refused." + field,
                    Map.of("length", Argument.of(typed.strip().length()), "longest", Argument.of(longest))));
        }
    }
}
