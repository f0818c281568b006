package app.layette.web.workbench;

import app.layette.core.belt.Reach;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.measure.Length;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Why a place and a method are answered as they are.
 *
 * @param title place and method
 * @param answer the word for it
 * @param weight style of the answer
 * @param reasons in sentences, what forbids first
 * @param choice what choosing it posts; empty where it is chosen already or nothing can be chosen
 */
public record PlaceWhy(String title, String answer, String weight, List<Reason> reasons, String choice) {
    private static final int TENTHS = 10;

    /** A reason with its weight and rule. */
    public record Reason(String weight, String weightWord, String text, String code) {}

    /**
     * The why of a place.
     *
     * @param picked place and method that were tapped; empty for the chosen, or else the best one
     */
    static Optional<PlaceWhy> of(FittingPlan plan, Wording words, String picked) {
        CabinAnswers answers = CabinAnswers.of(plan.situation());
        Optional<PlaceAnswer> chosen = plan.situation()
                .placed()
                .flatMap(placed ->
                        answers.about(placed.value().position(), placed.value().method()));
        Optional<PlaceAnswer> shown = answers.answers().stream()
                .filter(each -> picked.equals(each.place() + "/" + each.method()))
                .findFirst()
                .or(() -> chosen)
                .or(answers::first)
                .or(() -> answers.answers().stream().findFirst());
        boolean open = plan.state() == FittingState.OPEN;
        return shown.map(
                answer -> of(answer, words, open && !Optional.of(answer).equals(chosen)));
    }

    /** A place with a method as a line of a list: for a screen on which the cabin is too small to be tapped. */
    public record Line(String pick, String place, String method, String answer, String weight, boolean shown) {}

    /** Every place and method, the best first. */
    static List<Line> lines(FittingPlan plan, Wording words, String picked) {
        return CabinAnswers.of(plan.situation()).answers().stream()
                .map(each -> new Line(
                        each.place() + "/" + each.method(),
                        words.say("place." + each.place()),
                        words.say("method." + each.method()),
                        words.say("permission." + each.answer()),
                        weight(each),
                        picked.equals(each.place() + "/" + each.method())))
                .toList();
    }

    private static String weight(PlaceAnswer answer) {
        return switch (answer.answer()) {
            case ALLOWED -> "holds";
            case NOT_ALLOWED -> "stop";
            case NOT_KNOWN -> "not_known";
        };
    }

    private static PlaceWhy of(PlaceAnswer answer, Wording words, boolean canChoose) {
        List<Reason> reasons = new ArrayList<>();
        answer.findings().forEach(finding -> reasons.add(reason(finding, words)));
        numbers(answer, words).forEach(text -> reasons.add(new Reason("advise", words.say("weight.ADVISE"), text, "")));
        return new PlaceWhy(
                words.say(
                        "place.by",
                        Map.of(
                                "place", new Argument.OfKey("place." + answer.place()),
                                "method", new Argument.OfKey("method." + answer.method()))),
                words.say("permission." + answer.answer()),
                weight(answer),
                List.copyOf(reasons),
                canChoose ? answer.place() + "/" + answer.method() : "");
    }

    private static Reason reason(Finding finding, Wording words) {
        return new Reason(
                finding.weight().name().toLowerCase(Locale.ROOT),
                words.say("weight." + finding.weight()),
                words.say(finding),
                finding.code().text());
    }

    private static List<String> numbers(PlaceAnswer answer, Wording words) {
        List<String> said = new ArrayList<>();
        answer.likelihood()
                .ifPresent(likelihood -> said.add(words.say(
                        "why.chance",
                        Map.of(
                                "chance",
                                Argument.of(words.say(
                                        "device.chance",
                                        Map.of("tenths", Argument.of(Math.round(likelihood * TENTHS)))))))));
        answer.gap()
                .ifPresent(gap -> said.add(
                        words.say(answer.gapEnough() ? "why.gap" : "why.gapLess", Map.of("gap", Argument.of(gap)))));
        answer.reach().ifPresent(reach -> said.add(reach(reach, words)));
        return said;
    }

    private static String reach(Reach reach, Wording words) {
        return words.say(
                "why.reach." + reach.answer(),
                Map.of(
                        "spare",
                        Argument.of(Length.ofMillimetres(Math.max(0, reach.marginMm()))),
                        "way",
                        new Argument.OfKey("reach." + reach.way())));
    }
}
