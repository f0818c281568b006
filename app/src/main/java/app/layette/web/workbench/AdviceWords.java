package app.layette.web.workbench;

import app.layette.core.drawing.side.PoseTable;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineAdvice.Setting;
import app.layette.core.recline.WayOut;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline.DeviceKind;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The recline advice in sentences. */
final class AdviceWords {
    private static final int TENTHS = 10;

    private final ReclineAdvice advice;
    private final DeviceKind device;
    private final Optional<Indicator.Kind> indicator;
    private final Wording words;

    AdviceWords(ReclineAdvice advice, DeviceKind device, Optional<Indicator.Kind> indicator, Wording words) {
        this.advice = advice;
        this.device = device;
        this.indicator = indicator;
        this.words = words;
    }

    /** What a setting is called when hands are to make it so. */
    String setTo(Setting setting) {
        boolean noRoll = advice.byRoll() && !setting.lift().isMoreThan(Length.ZERO);
        return noRoll ? words.say("device.noRoll") : say("device.setTo." + device, setting);
    }

    /** What a setting is called when it is so. */
    String isOn(Setting setting) {
        return advice.byRoll() ? setTo(setting) : say("device.isOn." + device, setting);
    }

    private String say(String key, Setting setting) {
        return words.say(key, Map.of("step", Argument.of(setting.name()), "lift", Argument.of(setting.lift())));
    }

    /** The chance in tenths; empty where no band is known. */
    String chance(Setting setting) {
        return advice.band().isEmpty()
                ? ""
                : words.say("device.chance", Map.of("tenths", Argument.of(Math.round(setting.likelihood() * TENTHS))));
    }

    /** What to expect of a setting. */
    List<String> expect(Setting setting, Optional<PoseTable.Row> row) {
        List<String> said = new ArrayList<>();
        said.add(setting.shows()
                .map(reading -> words.say(
                        "advice.expect",
                        Map.of(
                                "recline",
                                Argument.of(setting.recline()),
                                "reading",
                                new Argument.OfKey(
                                        "reading." + indicator.orElse(Indicator.Kind.BUBBLE) + "." + reading))))
                .orElse(words.say("advice.expectAngle", Map.of("recline", Argument.of(setting.recline())))));
        said.add(words.say("advice.tight", Map.of("recline", Argument.of(setting.tight()))));
        row.flatMap(PoseTable.Row::gap)
                .ifPresent(gap -> said.add(words.say("advice.gap", Map.of("gap", Argument.of(gap)))));
        return said;
    }

    /** What holds for the advice as a whole. */
    List<String> basis(boolean newborn) {
        List<String> said = new ArrayList<>();
        advice.press().ifPresent(point -> said.add(words.say("advice.press." + point)));
        if (advice.lookAgain()) {
            said.add(words.say("advice.lookAgain"));
        }
        if (advice.tips()) {
            said.add(words.say("advice.tips"));
        }
        switch (advice.basis()) {
            case ADVICE_BAND -> said.add(words.say("advice.adviceBand"));
            case STEP_AND_LOOK -> said.add(words.say("advice.stepAndLook"));
            case BAND -> {
                if (newborn) {
                    said.add(words.say("advice.newborn"));
                }
            }
        }
        said.add(words.say("advice.looks", Map.of("looks", Argument.of(advice.looks()))));
        return said;
    }

    /** What would reach a band that no setting reaches; empty while one does. */
    List<String> waysOut() {
        return advice.waysOut().stream().map(this::wayOut).toList();
    }

    private String wayOut(WayOut way) {
        return switch (way.kind()) {
            case ROLL, ROLL_IF_ALLOWED ->
                words.say(
                        "advice.way." + way.kind(),
                        Map.of("lift", Argument.of(way.lift().orElseThrow())));
            case OTHER_PLACE ->
                words.say(
                        "advice.way.OTHER_PLACE",
                        Map.of(
                                "place",
                                new Argument.OfKey("place." + way.place().orElseThrow())));
            case OTHER_METHOD_OR_SEAT -> words.say("advice.way.OTHER_METHOD_OR_SEAT");
        };
    }
}
