package app.layette.web.roll;

import app.layette.core.entry.Fact.Softness;
import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/** The list of cloths and noodles. */
@Controller
@RequestMapping("/rolls")
class RollController {
    private final RollGoods goods;
    private final Viewing viewing;

    RollController(RollGoods goods, Viewing viewing) {
        this.goods = goods;
        this.viewing = viewing;
    }

    /** A good in words, and how it lies under a foot end. */
    public record Row(UUID id, String name, String sizes, String high, String picture) {}

    @GetMapping
    ModelAndView list(@AuthenticationPrincipal SignedIn user) {
        return page(user, Map.of(), List.of());
    }

    @PostMapping
    ModelAndView keep(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields) {
        RollGoodForm form = RollGoodForm.kept(fields);
        if (form.good().isEmpty()) {
            ModelAndView page = page(user, fields, form.problems());
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        goods.keep(user.pointId(), form.good().get());
        return new ModelAndView("redirect:/rolls");
    }

    @PostMapping("/{id}/drop")
    String drop(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        if (!goods.drop(user.pointId(), id)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/rolls";
    }

    private ModelAndView page(SignedIn user, Map<String, String> typed, List<FieldProblem> problems) {
        Wording words = viewing.wording(user);
        ModelAndView page = new ModelAndView("roll/list");
        page.addObject(
                "goods",
                goods.of(user.pointId()).stream().map(kept -> row(kept, words)).toList());
        page.addObject("typed", typed);
        Map<String, String> said = new LinkedHashMap<>();
        problems.forEach(problem -> said.put(problem.field(), words.say(problem)));
        page.addObject("problems", said);
        return page;
    }

    private static Row row(RollGoods.Kept kept, Wording words) {
        String sizes = kept.good() instanceof RollGood.OfNoodle noodle
                ? words.say(
                        noodle.softness() == Softness.SOFT ? "roll.softNoodle" : "roll.firmNoodle",
                        Map.of("diameter", Argument.of(noodle.diameter())))
                : cloth((RollGood.OfCloth) kept.good(), words);
        return new Row(
                kept.id(),
                kept.good().name(),
                sizes,
                kept.good().high(words),
                kept.good().picture());
    }

    private static String cloth(RollGood.OfCloth cloth, Wording words) {
        return words.say(
                "roll.clothSizes",
                Map.of(
                        "length", Argument.of(cloth.cloth().length()),
                        "width", Argument.of(cloth.cloth().width()),
                        "thickness",
                                Argument.of(Math.round(cloth.cloth().thickness().millimetres() * 10) / 10.0 + " mm")));
    }
}
