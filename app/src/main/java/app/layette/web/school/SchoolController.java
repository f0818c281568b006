package app.layette.web.school;

import app.layette.core.entry.FieldProblem;
import app.layette.core.practice.PracticeProfile;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.ProfileField;
import app.layette.formats.sheet.Shape;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Tried;
import app.layette.web.practice.Profiles;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The three schools side by side with what is in use here, and a practice to try. */
@Controller
class SchoolController {
    private static final String PUT = "put";
    private static final int LAST = 100;
    private static final int FARTHEST_DAYS = 366;

    private final Profiles profiles;
    private final Tried tried;
    private final Viewing viewing;

    SchoolController(Profiles profiles, Tried tried, Viewing viewing) {
        this.profiles = profiles;
        this.tried = tried;
        this.viewing = viewing;
    }

    /** A school. */
    public record School(String name, boolean inUse) {}

    /**
     * A setting.
     *
     * @param says what each school says, in their order
     * @param options words to choose from; empty where a value is typed
     * @param value what is tried
     */
    public record Setting(
            String key,
            String name,
            String means,
            List<String> says,
            boolean differs,
            List<Option> options,
            String value,
            boolean wrong) {}

    /** A word to choose. */
    public record Option(String value, String label, boolean chosen) {}

    /** A fitting that would have come out otherwise, and in what. */
    public record Fitting(UUID id, String child, String reference, List<String> changes) {}

    /** What a form made of the practice that is tried. */
    private record Trial(ObjectNode document, Map<String, String> typed, Map<String, FieldForm.Problem> problems) {}

    @GetMapping("/practice")
    String practice(@AuthenticationPrincipal SignedIn user, Model model) {
        fill(user, trial(user, Map.of()), model);
        return "school/practice";
    }

    /** Tries a practice on the last fittings, which changes nothing; or, for a lead, puts it in force from a day on. */
    @PostMapping("/practice")
    ModelAndView practice(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            Model model,
            RedirectAttributes flash) {
        Trial trial = trial(user, fields);
        if (PUT.equals(fields.get("does"))) {
            return putInForce(user, fields, trial, model, flash);
        }
        fill(user, trial, model);
        if (trial.problems().isEmpty()) {
            Wording words = viewing.wording(user);
            PracticeProfile profile = SheetReader.profile(trial.document().toString());
            Tried.Result result = tried.byPractice(viewing.point(user), profile, LAST);
            model.addAttribute("last", result.tried());
            model.addAttribute(
                    "otherwise",
                    result.otherwise().stream()
                            .map(each -> fitting(each, words))
                            .toList());
        }
        return new ModelAndView(
                "school/practice",
                model.asMap(),
                trial.problems().isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private ModelAndView putInForce(
            SignedIn user, Map<String, String> fields, Trial trial, Model model, RedirectAttributes flash) {
        if (!user.isLead()) {
            throw new AccessDeniedException("Only a lead puts a practice in force");
        }
        Point point = viewing.point(user);
        LocalDate today = viewing.today(point);
        String typed = fields.getOrDefault("from", "");
        Optional<LocalDate> from = day(typed, today);
        if (from.isEmpty() || !trial.problems().isEmpty()) {
            fill(user, trial, model);
            if (from.isEmpty()) {
                FieldProblem problem = FieldProblem.outside("inForceFrom", typed, today, today.plusDays(FARTHEST_DAYS));
                List<String> all = new ArrayList<>(said(trial, viewing.wording(user)));
                all.add(viewing.wording(user).say(problem));
                model.addAttribute("problems", all);
            }
            return new ModelAndView("school/practice", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        int version = profiles.putInForce(point, trial.document().toString(), from.get(), user.getUsername());
        flash.addFlashAttribute("version", version);
        flash.addFlashAttribute("from", viewing.wording(user).say(from.get()));
        return new ModelAndView("redirect:/practice");
    }

    private static Optional<LocalDate> day(String typed, LocalDate today) {
        try {
            LocalDate day = LocalDate.parse(typed.strip());
            boolean fits = !day.isBefore(today) && !day.isAfter(today.plusDays(FARTHEST_DAYS));
            return fits ? Optional.of(day) : Optional.empty();
        } catch (DateTimeParseException notADay) {
            return Optional.empty();
        }
    }

    private Trial trial(SignedIn user, Map<String, String> fields) {
        ObjectNode document = (ObjectNode) Schemas.parse(profiles.document(viewing.point(user)));
        Map<String, String> typed = new HashMap<>();
        Map<String, FieldForm.Problem> problems = new HashMap<>();
        for (ProfileField field : ProfileField.all()) {
            String sent = fields.get(field.key());
            if (sent == null) {
                typed.put(field.key(), text(document, field));
                continue;
            }
            typed.put(field.key(), sent);
            FieldForm.Read read = FieldForm.read(field.shape(), Map.of(FieldForm.ROOT, sent));
            boolean mayBeEmpty = field.pointer().equals("/rearFacing/length");
            if (read.value().isPresent()) {
                set(document, field.pointer(), read.value().get());
            } else if (read.problems().isEmpty() && mayBeEmpty) {
                ((ObjectNode) document.path("rearFacing")).remove("length");
            } else {
                problems.put(
                        field.key(),
                        read.problems().isEmpty()
                                ? new FieldForm.Problem(field.key(), sent, FieldForm.Allowed.SOMETHING)
                                : read.problems().get(0));
            }
        }
        return new Trial(document, typed, problems);
    }

    private static void set(ObjectNode document, String pointer, JsonNode value) {
        String[] names = pointer.substring(1).split("/");
        ObjectNode home = document;
        for (int i = 0; i < names.length - 1; i++) {
            home = home.path(names[i]).isObject() ? (ObjectNode) home.get(names[i]) : home.putObject(names[i]);
        }
        home.set(names[names.length - 1], value);
    }

    /** What a document says, or what a setting comes to that it leaves out. */
    private static String text(JsonNode document, ProfileField field) {
        JsonNode there = document.at(field.pointer());
        if (!there.isMissingNode()) {
            return there.asString();
        }
        return switch (field.pointer()) {
            case "/routingFirst" -> "european";
            case "/retractorBesides" -> "lockOffAlone";
            case "/rearFacing/months" -> "24";
            case "/breaks/firstWeeksMinutes" -> "30";
            case "/breaks/laterMinutes" -> "120";
            default -> "";
        };
    }

    private void fill(SignedIn user, Trial trial, Model model) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        List<JsonNode> schools = ShippedProfiles.IDS.stream()
                .map(id -> Schemas.parse(ShippedProfiles.json(id)))
                .toList();
        model.addAttribute(
                "schools",
                ShippedProfiles.IDS.stream()
                        .map(id -> new School(
                                words.say("profile." + id),
                                id.equals(profiles.current(point).id())))
                        .toList());
        model.addAttribute(
                "settings",
                ProfileField.all().stream()
                        .map(field -> setting(field, schools, trial, words))
                        .toList());
        model.addAttribute("lead", user.isLead());
        model.addAttribute("today", viewing.today(point));
        model.addAttribute(
                "waiting", profiles.waiting(point).map(PracticeProfile::version).orElse(0));
        model.addAttribute("problems", said(trial, words));
    }

    private static List<String> said(Trial trial, Wording words) {
        List<String> said = new ArrayList<>();
        trial.problems().forEach((key, problem) -> said.add(problem.says(words.say("practice.name." + key), words)));
        return said;
    }

    private static Setting setting(ProfileField field, List<JsonNode> schools, Trial trial, Wording words) {
        List<String> says = schools.stream()
                .map(school -> said(field, text(school, field), words))
                .toList();
        String value = trial.typed().getOrDefault(field.key(), "");
        List<Option> options = field.shape() instanceof Shape.Choice choice
                ? choice.words().stream()
                        .map(word -> new Option(word, words.say("practice.word." + word), word.equals(value)))
                        .toList()
                : List.of();
        return new Setting(
                field.key(),
                words.say("practice.name." + field.key()),
                words.say("practice.means." + field.key()),
                says,
                says.stream().distinct().count() > 1,
                options,
                value,
                trial.problems().containsKey(field.key()));
    }

    private static String said(ProfileField field, String text, Wording words) {
        return field.shape() instanceof Shape.Choice ? words.say("practice.word." + text) : text;
    }

    private static Fitting fitting(Tried.Otherwise otherwise, Wording words) {
        return new Fitting(otherwise.id(), otherwise.child(), otherwise.reference(), otherwise.says(words));
    }
}
