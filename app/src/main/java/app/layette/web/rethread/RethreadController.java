package app.layette.web.rethread;

import app.layette.core.drawing.ShellBackView;
import app.layette.core.drawing.ShellFrontView;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.rethread.Move;
import app.layette.core.rethread.ShellBack;
import app.layette.core.rethread.StrapState;
import app.layette.core.rethread.StrapTable;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
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

/** The rethread of one fitting: the back of the shell as the hands have it, the next move, and the moves made so far. */
@Controller
@RequestMapping("/fittings/{id}/rethread")
class RethreadController {
    private static final int LINES_OF_COVER = 8;

    /** A move that can be made now. */
    public record MoveView(String kind, String strap, String slot, String words, boolean next) {}

    private final Fittings fittings;
    private final Viewing viewing;

    RethreadController(Fittings fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping
    String show(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Situation situation = fitting.plan().situation();
        Wording words = viewing.wording(user);
        Optional<ShellBack> back = ShellBack.in(situation);
        Optional<Integer> target = ShellBack.target(situation);
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("unit", situation.unit().id().text());
        model.addAttribute("open", fitting.plan().state().isUnderWay());
        model.addAttribute("lastSeq", situation.lastSeq());
        model.addAttribute("target", target.orElse(0));
        model.addAttribute("slotsSeen", back.isPresent());
        model.addAttribute("made", made(situation, words));
        model.addAttribute("cover", cover(words));
        if (back.isPresent() && target.isPresent()) {
            ShellBack now = back.get();
            model.addAttribute("svg", SvgWriter.write(ShellBackView.of(situation, now), words));
            model.addAttribute("front", SvgWriter.write(ShellFrontView.of(situation, now), words));
            model.addAttribute("moves", moves(now, target.get(), words));
            if (fitting.plan().state().isUnderWay()) {
                model.addAttribute("table", table(situation, now, target.get(), words));
            }
            model.addAttribute(
                    "next", now.next(target.get()).map(move -> say(move, words)).orElse(""));
            model.addAttribute(
                    "loop",
                    ShellBack.loopAt(situation, target.get())
                            .map(loop -> words.say("rethread.loop", Map.of("loop", Argument.of(loop))))
                            .orElse(""));
            now.asSet(situation).ifPresent(set -> model.addAttribute("set", set));
        }
        return "rethread/rethread";
    }

    @PostMapping
    String move(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Fact.WebbingMove move,
            @RequestParam(required = false) Fact.Strap strap,
            @RequestParam(required = false) Integer slot,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        Fact fact = new Fact.WebbingMoved(
                fittings.planned(id, user.pointId()).plan().situation().unit().id(), move, strap, slot);
        try {
            EntryDraft draft = new EntryForm(fields, viewing.clock()).draft(fact, How.MEASURED);
            fittings.append(id, draft, user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            String reason = e.reason().isEmpty() ? "RETHREAD_UNREADABLE" : e.reason();
            after.addFlashAttribute("refused", viewing.wording(user).say("refused." + reason));
        }
        return "redirect:/fittings/" + id + "/rethread";
    }

    /** What the page looks moves up in, with and without a signal. */
    private static String table(Situation situation, ShellBack now, int target, Wording words) {
        StrapTable table = StrapTable.of(now, target);
        Map<String, Map<String, String>> straps = new LinkedHashMap<>();
        Map<String, Map<String, String>> fronts = new LinkedHashMap<>();
        List<Map<String, Object>> states = new ArrayList<>();
        for (StrapTable.State state : table.states()) {
            Map<String, Object> row = new LinkedHashMap<>();
            for (Fact.Strap strap : Fact.Strap.values()) {
                StrapState its = state.back().strap(strap);
                String key = its.onPlate() + "-" + its.shellSlot() + "-" + its.padSlot() + "-" + its.twisted();
                straps.computeIfAbsent(strap.name(), side -> new LinkedHashMap<>())
                        .computeIfAbsent(
                                key, drawn -> SvgWriter.inner(ShellBackView.strap(situation, strap, its), words));
                fronts.computeIfAbsent(strap.name(), side -> new LinkedHashMap<>())
                        .computeIfAbsent(
                                key, drawn -> SvgWriter.inner(ShellFrontView.strap(situation, strap, its), words));
                row.put(strap.name(), key);
            }
            Optional<Move> next = state.back().next(target);
            row.put("next", next.map(move -> say(move, words)).orElse(""));
            row.put(
                    "moves",
                    state.moves().stream()
                            .map(tried -> move(tried, next, words))
                            .toList());
            states.add(row);
        }
        return LayetteJson.strict()
                .writeValueAsString(Map.of("states", states, "straps", straps, "fronts", fronts, "target", target))
                .replace("<", "\\u003c");
    }

    private static Map<String, Object> move(StrapTable.Tried tried, Optional<Move> next, Wording words) {
        Move move = tried.move();
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("kind", move.kind().name());
        row.put("strap", move.strap().map(Enum::name).orElse(""));
        row.put("slot", move.slot().isPresent() ? String.valueOf(move.slot().getAsInt()) : "");
        row.put("words", say(move, words));
        row.put("next", next.filter(move::equals).isPresent());
        row.put("to", tried.to());
        row.put(
                "refused",
                tried.refusal()
                        .map(refusal -> words.say("refused.RETHREAD_" + refusal))
                        .orElse(""));
        return row;
    }

    private static List<MoveView> moves(ShellBack now, int target, Wording words) {
        Optional<Move> next = now.next(target);
        return now.possible(target).stream()
                // The right one first; the wrong ones after it, since hands make them.
                .sorted(Comparator.comparing(move -> next.filter(move::equals).isEmpty()))
                .map(move -> new MoveView(
                        move.kind().name(),
                        move.strap().map(Enum::name).orElse(""),
                        move.slot().isPresent() ? String.valueOf(move.slot().getAsInt()) : "",
                        say(move, words),
                        next.filter(move::equals).isPresent()))
                .toList();
    }

    /** The moves made since the slots were looked at last. */
    private static List<String> made(Situation situation, Wording words) {
        int since = situation.newest(Fact.SlotsSet.class).map(set -> set.seq()).orElse(0);
        return situation.history(Fact.WebbingMoved.class).stream()
                .filter(moved -> moved.seq() > since)
                .map(moved -> say(Move.from(moved.value()), words))
                .toList();
    }

    private static String say(Move move, Wording words) {
        return words.say(
                "rethread." + move.kind(),
                Map.of(
                        "strap",
                        move.strap()
                                .<Argument>map(strap -> new Argument.OfKey("rethread.strap." + strap))
                                .orElse(Argument.of("")),
                        "slot",
                        Argument.of(move.slot().orElse(0))));
    }

    private static List<String> cover(Wording words) {
        List<String> lines = new ArrayList<>();
        for (int line = 1; line <= LINES_OF_COVER; line++) {
            lines.add(words.say("cover." + line));
        }
        return lines;
    }
}
