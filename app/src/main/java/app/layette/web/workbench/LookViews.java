package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.finding.Argument;
import app.layette.core.look.Mark;
import app.layette.core.look.OneLook;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.wording.Wording;
import app.layette.web.workbench.Workbench.LookView;
import app.layette.web.workbench.Workbench.MarkView;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Shows a look: each mark as it should be, with the ways to say that it is not. */
final class LookViews {
    private final Optional<SeatSheet> seat;
    private final Wording words;
    private final AskViews views;

    LookViews(Optional<SeatSheet> seat, Wording words, AskViews views) {
        this.seat = seat;
        this.words = words;
        this.views = views;
    }

    LookView look(OneLook look) {
        List<MarkView> marks = new ArrayList<>();
        for (Mark mark : look.marks()) {
            AskView ask = views.of(mark.ask());
            boolean taught = mark.fact() instanceof Fact.Taught;
            String label = label(mark, ask);
            // What the caregiver does or is told comes first: what to say, or that it was done, stands beside it.
            String beside = !taught ? ask.title() : CarAsks.isTold(mark.ask()) ? ask.help() : label;
            marks.add(new MarkView(marks.size() + 1, mark.token(), taught ? ask.title() : label, beside, ask));
        }
        return new LookView(look.key().name(), words.say("look." + look.key()), marks);
    }

    private String label(Mark mark, AskView ask) {
        Fact fact = mark.fact();
        if (fact instanceof Fact.Answered) {
            return button(ask, "answer", mark.drawn()).orElse(mark.drawn());
        }
        if (fact instanceof Fact.Taught) {
            return button(ask, "outcome", "DONE").orElse(mark.drawn());
        }
        if (fact instanceof Fact.Acted acted) {
            return Wording.capital(words.say("act." + acted.act()));
        }
        if (fact instanceof Fact.InsertSet piece) {
            return Wording.capital(words.say(
                    piece.in() ? "look.pieceIn" : "look.pieceOut", Map.of("piece", Argument.of(name(piece.piece())))));
        }
        if (fact instanceof Fact.ShoulderSeen) {
            return button(ask, "slotAtOrBelow", mark.drawn()).orElse(mark.drawn());
        }
        if (fact instanceof Fact.SlotsSet slots) {
            return words.say("slots.allAt", Map.of("slot", Argument.of(slots.leftShell())));
        }
        if (fact instanceof Fact.CrotchSet) {
            return button(ask, "opening", mark.drawn()).orElse(mark.drawn());
        }
        if (fact instanceof Fact.DeviceSet) {
            return button(ask, "step", mark.drawn()).orElse(mark.drawn());
        }
        if (fact instanceof Fact.HandleSet handle) {
            return Wording.capital(words.say("handle." + handle.position()));
        }
        if (fact instanceof Fact.LengthMeasured gap) {
            return words.say("look.atLeast", Map.of("length", Argument.of(gap.length())));
        }
        throw new IllegalStateException("Nobody knows the words for " + mark.token());
    }

    private String name(PieceId key) {
        return seat.flatMap(sheet -> sheet.insert().value()).orElse(List.of()).stream()
                .filter(piece -> piece.key().equals(key))
                .map(InsertPiece::name)
                .findFirst()
                .orElseGet(key::text);
    }

    private static Optional<String> button(AskView ask, String name, String value) {
        return ask.forms().stream()
                .flatMap(form -> form.buttons().stream())
                .filter(button -> button.name().equals(name) && button.value().equals(value))
                .map(AskView.Button::label)
                .findFirst();
    }
}
