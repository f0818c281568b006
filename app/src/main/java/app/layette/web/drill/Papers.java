package app.layette.web.drill;

import app.layette.core.finding.Argument;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.ServiceLife;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What the manual of a restraint of the bench says, in a few lines. */
final class Papers {
    private Papers() {}

    /** A word of the papers and what it says. */
    public record Line(String term, String says) {}

    /** Limits and slots first. */
    static List<Line> of(SeatSheet seat, Wording words) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                words.say("drill.paper.weight"),
                words.say(
                        "drill.paper.fromTo",
                        Map.of(
                                "from", Argument.of(seat.weightMin().value().orElseThrow()),
                                "to", Argument.of(seat.weightMax().value().orElseThrow())))));
        seat.lengthMax()
                .value()
                .flatMap(limit -> limit.max())
                .ifPresent(most -> lines.add(new Line(words.say("drill.paper.length"), words.both(most))));
        lines.add(new Line(
                words.say("drill.paper.slots"),
                String.join(
                        " · ",
                        seat.shell().slots().value().orElse(List.of()).stream()
                                .map(words::both)
                                .toList())));
        seat.insert()
                .value()
                .orElse(List.of())
                .forEach(piece -> lines.add(new Line(
                        words.say("drill.piece." + piece.key()),
                        words.say("drill.paper.piece." + (isForNewborns(piece) ? "IN" : "OUT")))));
        seat.handle()
                .value()
                .orElse(List.of())
                .forEach(position ->
                        lines.add(new Line(words.say("drill.paper.handle"), words.say("handle." + position))));
        lines.add(new Line(words.say("drill.paper.level"), words.say("drill.paper.levelSays")));
        seat.life()
                .value()
                .map(ServiceLife::years)
                .ifPresent(years -> lines.add(new Line(
                        words.say("drill.paper.life"),
                        words.say("drill.paper.lifeSays", Map.of("years", Argument.of(years))))));
        lines.add(new Line(words.say("drill.paper.rolls"), words.say("drill.paper.rollsSays")));
        return lines;
    }

    /** As the lightest band of the piece says. */
    private static boolean isForNewborns(InsertPiece piece) {
        return piece.bands().get(0).use() == InsertPiece.Use.REQUIRED;
    }
}
