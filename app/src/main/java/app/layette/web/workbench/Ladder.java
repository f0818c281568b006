package app.layette.web.workbench;

import app.layette.core.drawing.side.PoseTable;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Complete;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.recline.ReclineAdvice.Setting;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline;
import app.layette.core.seat.Recline.DeviceKind;
import app.layette.core.seat.SettingId;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The settings of the recline device as rungs under the side view, and the one that is tried: what to expect of it.
 *
 * @param title what is set
 * @param rungs one for each setting, from the most upright on
 * @param now index of the rung that it stands at; −1 when nobody set it
 * @param tried index of the rung that is drawn
 * @param setTo what posts the tried setting; empty where it is as it stands, or where a roll sets it
 * @param expect what to expect of the tried setting
 * @param byRoll whether the rungs are lifts of a roll
 * @param poses where everything in the drawing stands at each rung, as JSON for the script that moves it
 */
public record Ladder(
        String title,
        String chanceOf,
        List<Rung> rungs,
        int now,
        int tried,
        String setTo,
        List<String> expect,
        boolean byRoll,
        String poses) {
    private static final int BAR_STEPS = 10;

    /**
     * One setting.
     *
     * @param name as printed on the seat
     * @param label beside its bar
     * @param chance in words
     * @param bar height of its bar, 0 to 10
     * @param mark where it stands, what to try, or empty
     * @param best whether it is the one to try
     */
    public record Rung(String name, String label, String chance, int bar, String mark, boolean best) {}

    /** The pose table as the script reads it: places as pairs, angles in degrees, lengths in mm. */
    record Moves(double[] dial, double @Nullable [] indicator, List<Move> rows) {}

    /** One row of it, with what the labels say there. */
    @Complete
    record Move(
            double[] foot,
            double turn,
            double[] pivot,
            double slide,
            double recline,
            double spread,
            double along,
            double mark,
            double lift,
            double gap,
            String says,
            String liftSays,
            String gapSays) {}

    /** The ladder of a fitting; empty when the angle cannot be computed or there is nothing to set. */
    static Optional<Ladder> of(FittingPlan plan, Wording words, Optional<SettingId> tried) {
        Optional<ReclineAdvice> advice =
                plan.recline().filter(each -> each.settings().size() > 1);
        return advice.flatMap(each -> PoseTable.of(plan.situation(), tried).map(table -> of(plan, each, table, words)));
    }

    static DeviceKind device(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.recline().device().value())
                .map(Recline.Device::kind)
                .orElse(DeviceKind.NONE);
    }

    static AdviceWords words(Situation situation, ReclineAdvice advice, Wording words) {
        Optional<Indicator.Kind> kind = situation
                .seat()
                .flatMap(seat -> seat.recline().indicator().value())
                .map(Indicator::kind);
        return new AdviceWords(advice, device(situation), kind, words);
    }

    private static Ladder of(FittingPlan plan, ReclineAdvice advice, PoseTable table, Wording words) {
        AdviceWords said = words(plan.situation(), advice, words);
        List<Rung> rungs = new ArrayList<>();
        List<Move> moves = new ArrayList<>();
        int now = -1;
        for (int i = 0; i < table.rows().size(); i++) {
            Setting setting = advice.settings().get(i);
            boolean isNow = advice.settingNow().filter(setting.name()::equals).isPresent();
            boolean isTry = advice.recommended().filter(setting.name()::equals).isPresent();
            now = isNow ? i : now;
            String mark = isNow && isTry ? "device.nowAndTry" : isNow ? "device.now" : "device.tryIt";
            rungs.add(new Rung(
                    setting.name().text(),
                    advice.byRoll()
                            ? words.say(Argument.of(setting.lift()))
                            : setting.name().text(),
                    said.chance(setting),
                    (int) Math.round(setting.likelihood() * BAR_STEPS),
                    isNow || isTry ? words.say(mark) : "",
                    isTry));
            moves.add(move(plan, advice, setting, table.rows().get(i), words));
        }
        Setting drawn = advice.settings().get(table.now());
        boolean open = plan.state().isUnderWay();
        return new Ladder(
                words.say("device.title." + device(plan.situation())),
                words.say(advice.band().isPresent() ? "device.chanceOf" : "device.noLikelihood"),
                List.copyOf(rungs),
                now,
                table.now(),
                open && table.now() != now && !advice.byRoll() ? said.setTo(drawn) : "",
                said.expect(drawn, Optional.of(table.rows().get(table.now()))),
                advice.byRoll(),
                LayetteJson.lenient()
                        .writeValueAsString(new Moves(
                                pair(table.dial()),
                                table.indicator().map(Ladder::pair).orElse(null),
                                moves)));
    }

    private static double[] pair(PoseTable.Place place) {
        return new double[] {place.x(), place.y()};
    }

    private static Move move(
            FittingPlan plan, ReclineAdvice advice, Setting setting, PoseTable.Row row, Wording words) {
        String lift = "drawing." + SideView.lifts(advice.byRoll(), device(plan.situation()), setting.lift());
        return LadderMoveParts.builder()
                .foot(pair(row.foot()))
                .turn(row.turn())
                .pivot(pair(row.pivot()))
                .slide(row.slide())
                .recline(row.recline().degrees())
                .spread(row.spread().degrees())
                .along(row.markAlong())
                .mark(row.markTurn())
                .lift(setting.lift().millimetres())
                .gap(row.gap().map(Length::millimetres).orElse(0.0))
                .says(words.say("drawing.side.recline", Map.of("recline", Argument.of(setting.recline()))))
                .liftSays(words.say(
                        lift, Map.of("step", Argument.of(setting.name()), "lift", Argument.of(setting.lift()))))
                .gapSays(row.gap()
                        .map(gap -> words.say("drawing.side.gap", Map.of("gap", Argument.of(gap))))
                        .orElse(""))
                .build();
    }
}
