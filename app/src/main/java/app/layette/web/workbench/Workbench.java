package app.layette.web.workbench;

import app.layette.core.entry.Author;
import app.layette.core.evidence.Built;
import app.layette.core.evidence.Complete;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.seat.SettingId;
import app.layette.core.step.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.Fittings;
import app.layette.web.workbench.AskForms.Typed;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * The workbench of one fitting, ready to be shown.
 *
 * @param unit what the actual seat is called in its entries
 * @param mayGoOn whether the carrier may go on into another car
 * @param walkFirst whether the seat still is as it arrived and nobody has looked round it
 */
@Complete
public record Workbench(
        UUID id,
        String unit,
        Head head,
        List<PhaseView> phases,
        Now now,
        Board board,
        List<FindingGroup> groups,
        List<Blocker> blockers,
        Map<String, String> changes,
        int lastSeq,
        boolean walkFirst,
        boolean open,
        boolean mayGoOn) {

    /** Who, which seat, which car, and whether it may be handed over. */
    @Complete
    public record Head(
            String child,
            String childLine,
            String seat,
            String seatLine,
            String car,
            String carLine,
            String practice,
            String practiceLine,
            String state,
            String stateLine,
            boolean ready,
            boolean quickCar,
            List<Fittings.Beside> others) {}

    /** Steps that stand together. */
    public record PhaseView(String name, List<StepView> steps) {}

    /** A step in the run. */
    public record StepView(String key, String name, String note, String state, String stateWord, boolean current) {}

    /** The step that is open. */
    @Complete
    public record Now(
            String key,
            int place,
            int of,
            String phase,
            String title,
            String what,
            String stance,
            String stancePicture,
            Optional<LookView> look,
            List<AskView> asks,
            String activeAsk,
            List<Line> findings,
            List<String> problems,
            List<String> changed,
            Optional<Advised> advised,
            Optional<PlaceWhy> placeWhy,
            List<PlaceWhy.Line> places,
            List<Due> coming,
            List<String> removal,
            List<String> says,
            String saysTitle,
            String saysPicture,
            Optional<GoOn> goOn,
            Optional<LastAnswer> last) {}

    /**
     * What one look shows together.
     *
     * @param key which look
     * @param title where one stands
     * @param marks in the order in which they are numbered
     */
    public record LookView(String key, String title, List<MarkView> marks) {}

    /**
     * One mark of a look.
     *
     * @param token names its question and how it is drawn
     * @param label how it should be, in words
     * @param about the question, in words
     * @param ask how else it may be told
     */
    public record MarkView(int number, String token, String label, String about, AskView ask) {}

    /** The answer that was given last and can still be taken back, and the question it was given to. */
    public record LastAnswer(String says, String step, String ask) {}

    /** Something that comes due, and when. */
    public record Due(String what, String when) {}

    /** Where to go on to when nothing more need be entered here. */
    public record GoOn(String step, String words) {}

    /** A finding in words, with its why. */
    public record Line(
            String weight,
            String weightWord,
            String code,
            String text,
            String step,
            List<String> values,
            List<String> sources,
            List<String> changes) {}

    /** Findings of one weight. */
    public record FindingGroup(String weight, String title, List<Line> lines) {}

    /** A conclusion that keeps the gate shut. */
    public record Blocker(String conclusion, String state, String text, String step) {}

    /** The drawing board, with the ladder of settings under the side view. */
    public record Board(
            String view, String svg, Optional<Ladder> ladder, List<Tab> tabs, Optional<String> scrolledAlong) {}

    /** A view that can be looked at. */
    public record Tab(String view, String name, String shortcut, boolean current) {}

    /** The setting to make, in words, and one more reclined that is offered beside it; empty where none is. */
    public record Advised(String title, List<String> sentences, String offered, List<String> waysOut) {}

    /** Who looks, and when. */
    record Looking(Author by, Instant at) {}

    /** The question that was just answered: where Undo leads back to. */
    record Answered(String step, String ask) {
        static final Answered NONE = new Answered("", "");
    }

    /** What to show: which step and ask are open, which view is up, and what was refused. */
    @Built
    record Focus(
            Optional<StepKey> step,
            String ask,
            String view,
            Typed typed,
            List<String> problems,
            Optional<PlanDifference> changed,
            Optional<SettingId> tried,
            String picked,
            Stock stock,
            Optional<Looking> looking,
            Answered answered) {
        Focus(Optional<StepKey> step, String ask, String view, Typed typed, List<String> problems) {
            this(
                    step,
                    ask,
                    view,
                    typed,
                    problems,
                    Optional.empty(),
                    Optional.empty(),
                    "",
                    Stock.NONE,
                    Optional.empty(),
                    Answered.NONE);
        }

        /** The same, with a setting that is only tried. */
        Focus trying(Optional<SettingId> setting) {
            return WorkbenchFocusParts.builder(this).tried(setting).build();
        }

        /** The same, with a place and method that were tapped. */
        Focus picking(String place) {
            return WorkbenchFocusParts.builder(this).picked(place).build();
        }

        /** The same, with what there is to roll up. */
        Focus with(Stock goods) {
            return WorkbenchFocusParts.builder(this).stock(goods).build();
        }

        /** The same, after an entry that changed this. */
        Focus after(PlanDifference difference) {
            return WorkbenchFocusParts.builder(this)
                    .changed(Optional.of(difference))
                    .build();
        }

        /** The same, after this question was answered. */
        Focus answeredAt(String stepKey, String askKey) {
            Answered at = new Answered(stepKey, askKey);
            return WorkbenchFocusParts.builder(this).answered(at).build();
        }

        /** The same, looked at by somebody. */
        Focus seenBy(Author author, Instant at) {
            Optional<Looking> by = Optional.of(new Looking(author, at));
            return WorkbenchFocusParts.builder(this).looking(by).build();
        }
    }

    /** A piece that shows paths of this fitting. */
    public record OnPage(UUID fitting, Object piece) {}

    /** A step or a line with the fitting that its paths lead to: all that the piece follows from. */
    public OnPage onPage(Object piece) {
        return new OnPage(id, piece);
    }

    static Workbench of(Fittings.Planned fitting, Wording words, Focus focus) {
        return new WorkbenchBuilder(fitting, words, focus).build();
    }
}
