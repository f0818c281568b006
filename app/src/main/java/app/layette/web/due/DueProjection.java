package app.layette.web.due;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.Elsewhere;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FollowUps;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FamilyErased;
import app.layette.web.fitting.FittingPlanned;
import app.layette.web.recall.Recalls;
import app.layette.web.shelf.Shelf;
import app.layette.web.stock.Stock;
import java.time.LocalDate;
import java.time.Period;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes what comes due after each press, in its transaction: a new weight re-plans it all. */
@Component
class DueProjection {
    private final DueItems items;
    private final Shelf shelf;
    private final Viewing viewing;
    private final Recalls recalls;
    private final Stock stock;

    DueProjection(DueItems items, Shelf shelf, Viewing viewing, Recalls recalls, Stock stock) {
        this.stock = stock;
        this.recalls = recalls;
        this.items = items;
        this.shelf = shelf;
        this.viewing = viewing;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onPlanned(FittingPlanned planned) {
        project(planned.fitting(), planned.point(), planned.plan());
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        items.forgetNotes(erased.point(), erased.fittings());
    }

    /** Writes what comes due from a plan and from what was done since. */
    private void project(UUID fitting, UUID point, FittingPlan plan) {
        List<DueItems.Mark> marks = items.marks(point, List.of(fitting));
        String person = whoSeesToIt(plan);
        List<DueItems.Item> due = FollowUps.of(plan, elsewhere(fitting, plan, viewing.point(point))).stream()
                .map(event -> item(fitting, event, marks, person))
                .distinct()
                .toList();
        items.replace(fitting, point, due);
        if (!plan.state().isUnderWay()) {
            items.takeOver(fitting, point);
        }
    }

    private Elsewhere elsewhere(UUID fitting, FittingPlan plan, Point point) {
        Stock.Loan loan = stock.loan(fitting, point);
        return new Elsewhere(
                loan.backOn(),
                loan.newerSheet(),
                recalls.openSince(plan.situation(), point.zone()),
                plan.situation().pendingVersions().stream()
                        .map(sheet -> arrived(sheet, plan, point))
                        .toList());
    }

    /** The last who may sign and entered something; where nobody did, who entered last. */
    private static String whoSeesToIt(FittingPlan plan) {
        List<Author> authors = plan.situation().everything().stream()
                .sorted(Comparator.comparingInt(Entry::seq).reversed())
                .map(Entry::by)
                .toList();
        return authors.stream()
                .filter(author -> author.role() != Author.Role.TRAINEE)
                .findFirst()
                .or(() -> authors.stream().findFirst())
                .map(Author::id)
                .orElse("");
    }

    private LocalDate arrived(SheetVersion sheet, FittingPlan plan, Point point) {
        return shelf.arrived(point.id(), sheet)
                .map(at -> at.atZone(point.zone()).toLocalDate())
                .orElse(plan.situation().today());
    }

    /** What comes once is done when it was done for that day. */
    private static DueItems.Item item(UUID fitting, DatedEvent event, List<DueItems.Mark> marks, String person) {
        List<DueItems.Mark> about =
                marks.stream().filter(mark -> mark.what().equals(event.key())).toList();
        LocalDate on = event.after(about.stream()
                .filter(mark -> mark.kind() == DueItems.Mark.Kind.DONE)
                .map(DueItems.Mark::day)
                .toList());
        List<DueItems.Mark> onThatDay =
                about.stream().filter(mark -> mark.dueOn().equals(on)).toList();
        return DueItemsItemParts.builder()
                .fittingId(fitting)
                .child("")
                .reference("")
                .what(event.key())
                .earliest(event.earliest().orElse(on))
                .likely(on)
                .latest(event.latest().orElse(event.earliest().isPresent() ? null : on))
                .every(event.every().map(Period::toString).orElse(null))
                .done(onThatDay.stream().anyMatch(mark -> mark.kind() == DueItems.Mark.Kind.DONE))
                .hiddenUntil(onThatDay.stream()
                        .map(DueItems.Mark::until)
                        .filter(Objects::nonNull)
                        .max(LocalDate::compareTo)
                        .orElse(null))
                .person(person)
                .revision(0)
                .build();
    }
}
