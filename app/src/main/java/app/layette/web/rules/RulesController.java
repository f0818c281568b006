package app.layette.web.rules;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.misuse.Misuses;
import app.layette.formats.rules.RuleWords;
import app.layette.formats.svg.AnswerPicture;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Viewing;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/**
 * The page of each rule, in each language. It tells of nobody and asks for nobody: a family comes here from its own
 * page, without signing in.
 */
@Controller
class RulesController {
    /** Slots and the slot at the shoulder in the picture of HAR-1. */
    private static final int SLOTS = 4;

    private static final int AT_SHOULDER = 2;

    /** The words of one language. */
    private record Tongue(RuleWords rules, Wording words) {
        Tongue(Wording words) {
            this(new RuleWords(words), words);
        }
    }

    /** A misuse that the rule is there for: its weight, its name, how it is seen and why it matters. */
    public record Wrong(String weight, String name, String seen, String why) {}

    /** How an answer looks, whether that is as it should be, and which answer it is. */
    public record Drawn(String picture, String weight, String judged, String says) {}

    /** A family of rules. */
    public record Family(String name, List<RuleWords.Page> rules) {}

    @GetMapping("/rules")
    String all(@RequestParam(required = false) String lang, Locale locale, Model model) {
        RuleWords words = spoken(lang, locale, model).rules();
        model.addAttribute(
                "families",
                words.families().entrySet().stream()
                        .map(family -> new Family(
                                family.getKey(),
                                family.getValue().stream().map(words::page).toList()))
                        .toList());
        return "rules/all";
    }

    @GetMapping("/rules/{code}")
    String one(@PathVariable String code, @RequestParam(required = false) String lang, Locale locale, Model model) {
        RuleCode rule = named(code);
        Tongue tongue = spoken(lang, locale, model);
        List<RuleCode> all = RuleWords.codes();
        int at = all.indexOf(rule);
        model.addAttribute("rule", tongue.rules().page(rule));
        model.addAttribute("code", rule.text());
        model.addAttribute(
                "before",
                at == 0 ? Optional.empty() : Optional.of(all.get(at - 1).text()));
        model.addAttribute(
                "next",
                at == all.size() - 1
                        ? Optional.empty()
                        : Optional.of(all.get(at + 1).text()));
        model.addAttribute("drawn", drawn(rule, tongue));
        model.addAttribute(
                "wrongs",
                RuleWords.against(rule).stream()
                        .map(misuse -> new Wrong(
                                Misuses.of(misuse).weight().name().toLowerCase(Locale.ROOT),
                                tongue.words().say("misuse." + misuse),
                                tongue.rules().seen(misuse),
                                tongue.rules().why(misuse)))
                        .toList());
        return "rules/one";
    }

    private static Tongue spoken(String lang, Locale own, Model model) {
        Tongue tongue = new Tongue(Viewing.wording(lang == null ? own : Languages.of(lang), Wording.DEFAULT_UNITS));
        model.addAttribute("lang", tongue.words().language());
        model.addAttribute("others", Languages.others(tongue.words().locale()));
        // Whoever chose a language here goes on in it.
        model.addAttribute("here", lang == null ? "" : "?lang=" + tongue.words().language());
        model.addAttribute("say", tongue.rules());
        return tongue;
    }

    private static RuleCode named(String code) {
        return RuleWords.codes().stream()
                .filter(rule -> rule.text().equalsIgnoreCase(code))
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /** The pictures of the answers that this rule decides, in order first. */
    private static List<Drawn> drawn(RuleCode rule, Tongue tongue) {
        List<Drawn> drawn = new ArrayList<>();
        if (rule == RuleCode.HAR_1) {
            String holds = tongue.rules().say("holds");
            drawn.add(new Drawn(AnswerPicture.shoulder(SLOTS, AT_SHOULDER), "holds", holds, holds));
        }
        for (Question question : Question.values()) {
            if (question.rule() == rule) {
                Answers.to(question)
                        .forEach(answer -> AnswerPicture.of(question.name(), answer)
                                .ifPresent(picture -> drawn.add(drawn(question, answer, picture, tongue))));
            }
        }
        return drawn;
    }

    private static Drawn drawn(Question question, String answer, String picture, Tongue tongue) {
        Optional<Weight> weight = Answers.weight(question, answer);
        String judged =
                weight.map(each -> each == Weight.HOLDS ? "holds" : "wrong").orElse("depends");
        return new Drawn(
                picture,
                weight.map(each -> each.name().toLowerCase(Locale.ROOT)).orElse("advise"),
                tongue.rules().say(judged),
                tongue.words().say("answer." + question + "." + answer));
    }
}
