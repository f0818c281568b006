package app.layette.web.workbench;

import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Rights;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.step.Ask;
import app.layette.formats.wording.Wording;
import app.layette.web.workbench.Workbench.Focus;
import java.util.List;

/** Shows what a step asks; each kind of ask has its own form. */
final class AskViews {
    private final ChildAsks child;
    private final SeatAsks seat;
    private final CarAsks car;
    private final ReclineAsks recline;
    private final ValueAsks values;
    private final Wording words;
    private final Author.Role role;

    AskViews(FittingPlan plan, Wording words, Focus focus) {
        this.child = new ChildAsks(plan, words, focus.typed());
        this.seat = new SeatAsks(plan, words, focus.typed());
        this.car = new CarAsks(plan, words, focus.typed(), focus.stock());
        this.values = new ValueAsks(plan, words, focus.typed());
        this.words = words;
        // Where nobody looks, an answer is only held against its question.
        this.role = focus.looking().map(looking -> looking.by().role()).orElse(Author.Role.LEAD);
        this.recline = new ReclineAsks(plan, words, focus.typed(), focus.stock());
    }

    /** What a trainee would be refused is not offered; who does it is said instead. */
    private AskView signed(AskView ask) {
        return !Rights.signs(role) ? ask.refusedTo(words.say("ask.technicianSigns")) : ask;
    }

    AskView of(Ask ask) {
        return switch (ask.kind()) {
            case QUESTION -> question(ask);
            case CHILD -> child.child(ask);
            case WEIGHT -> child.weight(ask);
            case LENGTH -> child.length(ask);
            case ORDER -> child.order(ask);
            case SCREENING -> child.screening(ask);
            case LABEL -> seat.label(ask);
            case INSERT -> child.insert(ask);
            case SHOULDER -> child.shoulder(ask);
            case HEAD_ROOM -> child.headRoom(ask);
            case LAYER -> child.layer(ask);
            case SLOTS -> seat.slots(ask);
            case CROTCH -> seat.crotch(ask);
            case PLACE -> car.place(ask);
            case GROUND -> recline.ground(ask);
            case ACT -> car.act(ask);
            case DEVICE -> recline.device(ask);
            case ROLL -> recline.roll(ask);
            case LEVEL -> recline.level(ask);
            case HANDLE -> seat.handle(ask);
            case GAP -> seat.gap(ask);
            case MOVEMENT -> seat.movement(ask);
            case TEACH -> car.teach(ask);
            case COUNTERSIGN -> signed(car.countersign(ask));
            case INITIALS -> car.initials(ask);
            case PAGE -> car.page(ask);
            case SHEET_VALUE -> values.of(ask);
            case END -> signed(car.end(ask));
            case QUICK_SEAT -> seat.quickSeat(ask);
            case NEWER_SHEET ->
                Rights.allows(role, Fact.SheetAdopted.class, Rights.Way.NEWER, true)
                        ? seat.newerSheet(ask)
                        : seat.newerSheet(ask).refusedTo(words.say("ask.leadAdopts"));
        };
    }

    private AskView question(Ask ask) {
        Question question = Question.valueOf(ask.question());
        return switch (question.name()) {
            case "SNUG" -> seat.snug(ask);
            case "PARTS" -> seat.parts(ask);
            case "SINCE" -> seat.since(ask);
            default -> seat.question(ask, question, List.of());
        };
    }
}
