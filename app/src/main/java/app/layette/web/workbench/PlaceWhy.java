package app.layette.web.workbench;

import app.layette.core.belt.Reach;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.measure.Length;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Why a place and a method are answered as they are.
 *
 * @param title the method
 * @param place the seating position
 * @param ways every way of fixing it there, in the same order at each place
 * @param answer the word for it
 * @param weight style of the answer
 * @param reasons in sentences, what forbids first
 * @param changes what choosing it would change
 * @param choice what choosing it posts; empty where it is chosen already or nothing can be chosen
 */
public record PlaceWhy(
        String title,
        String place,
        List<Way> ways,
        String answer,
        String weight,
        List<Reason> reasons,
        List<String> changes,
        String choice) {
    private static final int TENTHS = 10;

    /**
     * A way of fixing the restraint at the place that is shown.
     *
     * @param key the letter that shows it
     * @param says the one reason that tells most
     */
    public record Way(String pick, String key, String name, String answer, String says, String weight, boolean shown) {}

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
        boolean open = plan.state().isUnderWay();
        return shown.map(answer ->
                of(plan, answers, answer, words, open && !Optional.of(answer).equals(chosen)));
    }

    private static List<Way> ways(CabinAnswers answers, PlaceAnswer shown, Wording words) {
        List<PlaceAnswer> here = answers.at(shown.place()).stream()
                .sorted(Comparator.comparing(PlaceAnswer::method))
                .toList();
        List<Way> ways = new ArrayList<>();
        for (PlaceAnswer each : here) {
            ways.add(new Way(
                    each.place() + "/" + each.method(),
                    String.valueOf((char) ('a' + ways.size())),
                    words.say("method." + each.method()),
                    words.say("permission." + each.answer()),
                    words.say("drawing." + each.telling().key(), each.telling().arguments()),
                    weight(each),
                    each.equals(shown)));
        }
        return ways;
    }

    /** What choosing it would change, where something was chosen before. */
    private static List<String> changes(FittingPlan plan, PlaceAnswer answer, Wording words) {
        if (plan.situation().placed().isEmpty()) {
            return List.of();
        }
        FittingPlan after = new FittingPlanner().asIfPlaced(plan, answer.place(), answer.method());
        return new ChangeWords(after, words).changed(PlanDifference.between(plan, after));
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

    private static PlaceWhy of(
            FittingPlan plan, CabinAnswers answers, PlaceAnswer answer, Wording words, boolean canChoose) {
        List<Reason> reasons = new ArrayList<>();
        answer.findings().forEach(finding -> reasons.add(reason(finding, words)));
        numbers(answer, words).forEach(text -> reasons.add(new Reason("advise", words.say("weight.ADVISE"), text, "")));
        return new PlaceWhy(
                words.say("method." + answer.method()),
                words.say("place." + answer.place()),
                ways(answers, answer, words),
                words.say("permission." + answer.answer()),
                weight(answer),
                List.copyOf(reasons),
                canChoose ? changes(plan, answer, words) : List.of(),
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
