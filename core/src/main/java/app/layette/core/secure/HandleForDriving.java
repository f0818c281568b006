package app.layette.core.secure;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Change;
import app.layette.core.entry.Fact.HandlePositionRead;
import app.layette.core.entry.Fact.HandleSet;
import app.layette.core.entry.Fact.QuickSeatRead;
import app.layette.core.entry.Method;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.RestraintNow;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.Said;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * SEC-9: the handle is in a position that the seat manual allows for driving. Not known stays not known: a silent manual
 * allows nothing, and only a page read for this fitting can fill the gap.
 */
@AutoService(Asking.class)
public final class HandleForDriving implements Rule.OfRestraint {
    private static final RuleCard CARD = RuleCard.of(Conclusion.HANDLE, RuleCode.SEC_9)
            .requiredOf(Method::isCarried)
            .reopenedBy(Change.CARRIER_ON_OFF, Change.HANDLE_MOVED)
            .reopenedElsewhere()
            .at(StepKey.HANDLE_AND_GAP, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        return List.of(looks.looked(Kind.HANDLE, conclusion()));
    }

    @Override
    public Verdict judge(RestraintNow situation) {
        Optional<Stamped<HandleSet>> set = situation.seen(HandleSet.class);
        if (set.isEmpty() || situation.seat().isEmpty()) {
            return Verdict.open(Missing.Entry.HANDLE);
        }
        HandlePosition position = set.get().value().position();
        Finding.Builder finding = switch (permission(situation, position)) {
            case ALLOWED -> Finding.of(Weight.HOLDS, "finding.SEC-9.allowed");
            case NOT_ALLOWED ->
                Finding.of(Weight.FIX, "finding.SEC-9.notAllowed").changedBy("HANDLE");
            case NOT_KNOWN ->
                Finding.of(Weight.NOT_KNOWN, "finding.SEC-9.notKnown").changedBy("SEAT_MANUAL");
        };
        return Verdict.judged(finding.with("position", Argument.key("handle", position))
                        .from(situation.seat().map(SeatSheet::handle).orElseThrow()))
                .restingOn(set.get());
    }

    @Override
    public List<String> pages(Finding finding, Situation situation) {
        return finding.weight() == Weight.NOT_KNOWN
                ? situation.newest(HandleSet.class).stream()
                        .map(set -> "HANDLE:" + set.value().position())
                        .toList()
                : List.of();
    }

    /** Whether a position is allowed for driving: the sheet's answer, or the agreeing pages read where it has none. */
    public static Permission permission(PapersNow situation, HandlePosition position) {
        Evidence<List<HandlePosition>> sheet =
                situation.seat().map(SeatSheet::handle).orElse(Evidence.notLooked());
        Permission bySheet = sheet.value()
                .map(allowed -> allowed.contains(position) ? Permission.ALLOWED : Permission.NOT_ALLOWED)
                .orElse(Permission.NOT_KNOWN);
        // A lay-flat carrier's own word on its handle stands beside the list of positions.
        if (situation.seat().filter(seat -> seat.kind() == SeatKind.LAY_FLAT).isPresent()) {
            Optional<HandlePosition> lying =
                    situation.seat().flatMap(seat -> seat.layFlat().handle().value());
            if (lying.isPresent()) {
                Permission byWord = lying.get() == position ? Permission.ALLOWED : Permission.NOT_ALLOWED;
                bySheet = sheet.isLooked() ? bySheet.and(byWord) : byWord;
            } else if (sheet.value().filter(list -> list.size() > 1).isPresent()) {
                // Which of several it is when lying flat, nobody has looked up.
                bySheet = bySheet.and(Permission.NOT_KNOWN);
            }
        }
        List<Said> pages = pages(situation, position);
        if (pages.isEmpty()) {
            return bySheet;
        }
        Permission byPage = pages.size() > 1
                ? Permission.NOT_KNOWN
                : pages.get(0) == Said.ALLOWED ? Permission.ALLOWED : Permission.NOT_ALLOWED;
        return bySheet == Permission.NOT_KNOWN ? byPage : bySheet.and(byPage);
    }

    /** What the pages read here say; a seat read on the spot names one allowed position and no more. */
    private static List<Said> pages(PapersNow situation, HandlePosition position) {
        Stream<Said> pages = situation.pages(HandlePositionRead.class).stream()
                .filter(read -> read.position() == position)
                .map(HandlePositionRead::says);
        Stream<Said> quick = situation
                .newest(QuickSeatRead.class)
                .filter(read -> situation.isQuickSeat() && read.how().isReadInDocument())
                .filter(read -> read.value().handle() == position)
                .map(read -> Said.ALLOWED)
                .stream();
        return Stream.concat(pages, quick).distinct().toList();
    }
}
