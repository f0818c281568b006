package app.layette.web.quick;

import app.layette.core.drawing.BaselessView;
import app.layette.core.evidence.Complete;
import app.layette.core.finding.Finding;
import app.layette.core.ride.RideCard;
import app.layette.core.ride.Routing;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.svg.FamilyPictures;
import app.layette.formats.svg.ReadingPicture;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A ride card ready to be shown.
 *
 * @param routing the way in words; empty where nothing may be used
 * @param picture the belt as it lies, its hands numbered
 * @param steps what each hand does, the first about the child, the last about the level
 * @param level how the carrier's own indicator will look; empty where nobody has looked it up
 * @param levelPicture the same, drawn
 * @param handle where the handle stands for driving
 * @param handlePicture the same, drawn
 * @param findings what it rests on and what stands against it
 * @param prove what has to be proved at the car
 * @param says what the sheet says in its own words
 */
@Complete
public record CardView(
        String seatName,
        String routing,
        String picture,
        List<String> steps,
        String level,
        String levelPicture,
        String handle,
        String handlePicture,
        List<Line> findings,
        List<Line> prove,
        List<String> says) {
    private static final int STEPS = 5;

    /** A finding on the card. */
    public record Line(String weight, String weightWord, String code, String text) {}

    static CardView of(RideCard card, SeatSheet seat, Wording words) {
        Optional<Routing> routing = card.routing();
        Optional<Indicator> indicator = card.indicator();
        List<String> steps = new ArrayList<>();
        for (int step = 1; step <= STEPS && routing.isPresent(); step++) {
            steps.add(words.say("ride." + routing.get() + "." + step));
        }
        return CardViewParts.builder()
                .seatName(seat.identity().fullName())
                .routing(routing.map(each -> words.say("routing." + each)).orElse(""))
                .picture(routing.map(each -> SvgWriter.write(BaselessView.of(each), words))
                        .orElse(""))
                .steps(steps)
                .level(indicator
                        .map(each ->
                                Wording.capital(words.say("reading." + each.kind() + "." + Indicator.Reading.INSIDE)))
                        .orElse(""))
                .levelPicture(indicator
                        .map(each -> ReadingPicture.of(each.kind(), Indicator.Reading.INSIDE))
                        .orElse(""))
                .handle(card.handles().stream()
                        .findFirst()
                        .map(each -> Wording.capital(words.say("handle." + each)))
                        .orElse(""))
                .handlePicture(card.handles().stream()
                        .findFirst()
                        .map(FamilyPictures::handle)
                        .orElse(""))
                .findings(
                        card.findings().stream().map(each -> line(each, words)).toList())
                .prove(card.prove().stream().map(each -> line(each, words)).toList())
                .says(card.says().stream()
                        .map(each -> words.say(each.message(), each.arguments()))
                        .toList())
                .build();
    }

    /** Without what a weight alone says, for a card that stands for a whole band of weights. */
    CardView ofAnyWeight() {
        List<Line> others = findings.stream()
                .filter(each -> !each.code().equals("SUIT-1") || !each.weight().equals("holds"))
                .toList();
        return CardViewParts.builder()
                .seatName(seatName)
                .routing(routing)
                .picture(picture)
                .steps(steps)
                .level(level)
                .levelPicture(levelPicture)
                .handle(handle)
                .handlePicture(handlePicture)
                .findings(others)
                .prove(prove)
                .says(says)
                .build();
    }

    private static Line line(Finding finding, Wording words) {
        return new Line(
                finding.weight().name().toLowerCase(Locale.ROOT),
                words.say("weight." + finding.weight()),
                finding.code().text(),
                words.say(finding));
    }
}
