package app.layette.core.condition;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact.LabelRead;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.Method;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.ServiceLife;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * CND-1: carrier and base are inside their service life; the earlier last day counts. The last day is itself usable.
 *
 * <p>Counting: first day of manufacture + years (a month alone counts from its first; 29 February + n years is 28
 * February); a printed month lasts to its last day.
 */
@AutoService(Asking.class)
public final class Expiry implements Rule.OfPlace {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("EXPIRY"), RuleCode.CND_1)
            .countsBeforeBirth()
            .clearedEarlier()
            .decidedBy(SheetValue.LIFE)
            .at(StepKey.LABEL, 300);

    /**
     * When a part may last be used.
     *
     * @param part carrier or base
     * @param lastDay inclusive; empty when the maker states no life
     */
    public record LastDay(Part part, Optional<LocalDate> lastDay) {}

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        Optional<SeatSheet> seat = situation.seat();
        List<LabelRead> labels = new ArrayList<>();
        for (Part part : parts(situation)) {
            situation.label(part).map(Stamped::value).ifPresent(labels::add);
        }
        if (seat.isEmpty() || labels.size() < parts(situation).size()) {
            return Verdict.open(Missing.Entry.LABEL);
        }
        List<LastDay> lastDays = new ArrayList<>();
        for (LabelRead label : labels) {
            Optional<LastDay> last = lastDay(label, seat.get());
            if (last.isEmpty()) {
                return Verdict.judged(undated(label, seat.get()));
            }
            lastDays.add(last.get());
        }
        return Verdict.judged(earliest(lastDays)
                .map(last -> dated(last, situation.today()))
                .orElseGet(() ->
                        Finding.of(Weight.ADVISE, "finding.CND-1.notStated").changedBy("ASK_MAKER"))
                .from(seat.get().life()));
    }

    /** The last usable day of the whole restraint, as far as the labels and the sheet give one. */
    public static Optional<LastDay> of(PlaceNow situation) {
        List<LastDay> lastDays = new ArrayList<>();
        for (Part part : parts(situation)) {
            situation
                    .label(part)
                    .flatMap(label -> situation.seat().flatMap(seat -> lastDay(label.value(), seat)))
                    .ifPresent(lastDays::add);
        }
        return earliest(lastDays);
    }

    /** A base has a date of its own; a restraint without one has the label of its shell. */
    private static List<Part> parts(PlaceNow situation) {
        // Whether there will be a base is known once a method is chosen.
        boolean onBase = situation.method().filter(Method::isOnBase).isPresent();
        return onBase ? List.of(Part.CARRIER, Part.BASE) : List.of(Part.CARRIER);
    }

    private static Optional<LastDay> earliest(List<LastDay> lastDays) {
        return lastDays.stream()
                .filter(last -> last.lastDay().isPresent())
                .min(Comparator.comparing(last -> last.lastDay().get()));
    }

    /**
     * CND-1: when one part may last be used, by its label and its sheet.
     *
     * @return empty when the label or the sheet does not say enough: then it is not known, and nothing may rest on it
     */
    public static Optional<LastDay> lastDay(LabelRead label, SeatSheet seat) {
        Optional<LocalDate> printed = Optional.ofNullable(label.doNotUseAfter()).map(PartialDate::lastDay);
        Optional<ServiceLife> life = life(label, seat);
        if (life.isEmpty()) {
            return printed.map(day -> new LastDay(label.part(), Optional.of(day)));
        }
        PartialDate made = label.made();
        Integer years = life.get().years();
        Optional<LocalDate> counted = life.get().kind() == ServiceLife.Kind.YEARS && made != null && years != null
                ? Optional.of(made.firstDay().plusYears(years))
                : Optional.empty();
        Optional<LocalDate> earlier =
                Stream.of(printed, counted).flatMap(Optional::stream).min(LocalDate::compareTo);
        if (earlier.isPresent()) {
            return Optional.of(new LastDay(label.part(), earlier));
        }
        boolean noneStated = life.get().kind() == ServiceLife.Kind.NOT_STATED;
        return noneStated ? Optional.of(new LastDay(label.part(), Optional.empty())) : Optional.empty();
    }

    private static Optional<ServiceLife> life(LabelRead label, SeatSheet seat) {
        if (label.part() == Part.BASE && label.model() != null) {
            Optional<Integer> own = seat.bases().value().orElse(List.of()).stream()
                    .filter(base -> base.coversModel(label.model()))
                    .map(BaseFit::lifeYears)
                    .filter(Objects::nonNull)
                    .findFirst();
            if (own.isPresent()) {
                return Optional.of(new ServiceLife(ServiceLife.Kind.YEARS, own.get()));
            }
        }
        Evidence<ServiceLife> life = seat.life();
        return life.isSilent() ? Optional.of(new ServiceLife(ServiceLife.Kind.NOT_STATED, null)) : life.value();
    }

    private static Finding.Builder undated(LabelRead label, SeatSheet seat) {
        boolean lifeKnown = life(label, seat).isPresent();
        Finding.Builder finding = lifeKnown
                ? Finding.of(Weight.STOP, "finding.CND-1.unreadable")
                : Finding.of(Weight.NOT_KNOWN, "finding.CND-1.lifeNotLooked").lacks(SheetValue.LIFE);
        return finding.with("part", Argument.key("part", label.part())).changedBy("LABEL");
    }

    private static Finding.Builder dated(LastDay last, LocalDate today) {
        LocalDate day = last.lastDay().orElseThrow();
        boolean expired = today.isAfter(day);
        return Finding.of(
                        expired ? Weight.STOP : Weight.HOLDS,
                        expired ? "finding.CND-1.expired" : "finding.CND-1.inDate")
                .with("part", Argument.key("part", last.part()))
                .with("lastDay", day)
                .changedBy("OTHER_SEAT");
    }
}
