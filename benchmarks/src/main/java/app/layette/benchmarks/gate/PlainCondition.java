package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/** What has to be so of the restraint itself. */
final class PlainCondition extends PlainFitting {
    PlainCondition(PlainFitting fitting) {
        super(fitting);
    }

    private boolean sheetsAreCurrent() {
        return sheets.seats().stream()
                        .noneMatch(each -> each.sheet().id().equals(seat.sheet().id())
                                && each.sheet().version() > seat.sheet().version())
                && sheets.cars().stream()
                        .noneMatch(each -> each.sheet().id().equals(car.sheet().id())
                                && each.sheet().version() > car.sheet().version());
    }

    void condition(List<String> wrong, Method method) {
        require(
                wrong,
                "one rider, one unit",
                record.riders().size() == 1 && record.units().size() == 1);
        require(wrong, "sheets", sheetsAreCurrent());
        Optional<Line> shell = label(Fact.Part.CARRIER);
        require(
                wrong,
                "label",
                shell.isPresent() && labelMatches((Fact.LabelRead) shell.get().fact()));
        require(
                wrong,
                "expiry of the shell",
                shell.isPresent() && isInDate((Fact.LabelRead) shell.get().fact()));
        if (method.isOnBase()) {
            Optional<Line> base = label(Fact.Part.BASE);
            require(
                    wrong,
                    "base",
                    base.isPresent() && baseBelongs((Fact.LabelRead) base.get().fact()));
            require(
                    wrong,
                    "expiry of the base",
                    base.isPresent() && isInDate((Fact.LabelRead) base.get().fact()));
        }
        require(wrong, "history", looked(Question.HISTORY, "HISTORY", "OWNED_FROM_NEW", "KNOWN_DONOR"));
        boolean minorStays = seat.crash().isLooked()
                && seat.crash()
                        .value()
                        .map(rule -> rule.name().equals("MINOR_MAY_STAY"))
                        .orElse(true);
        require(
                wrong,
                "crash",
                looked(Question.CRASH, "CRASH", "NONE") || minorStays && looked(Question.CRASH, "CRASH", "MINOR"));
        require(wrong, "recall", recall());
        require(
                wrong,
                "parts",
                looked(Question.PARTS, "PARTS", "COMPLETE")
                        && seat.parts().value().isPresent());
        require(wrong, "manuals", looked(Question.MANUALS, "MANUALS", "BOTH"));
        require(
                wrong,
                "approval",
                looked(Question.APPROVAL, "APPROVAL", "ON_LABEL")
                        && practice.lawCountry().isPresent()
                        && seat.approvals()
                                .value()
                                .filter(list ->
                                        list.contains(practice.lawCountry().get()))
                                .isPresent());
        boolean noConditions =
                seat.ownConditions().value().filter(List::isEmpty).isPresent();
        require(
                wrong,
                "own conditions",
                noConditions
                        || seat.ownConditions().value().isPresent()
                                && looked(Question.OWN_CONDITIONS, "OWN_CONDITIONS", "MET"));
    }

    private boolean labelMatches(Fact.LabelRead label) {
        if (label.model() == null || label.model().isBlank() || label.made() == null) {
            return false;
        }
        LocalDate from = seat.identity().manufacturedFrom();
        LocalDate to = seat.identity().manufacturedTo();
        return isAmong(label.model(), seat.identity().modelNumbers())
                && (from == null || !label.made().firstDay().isBefore(from))
                && (to == null || !label.made().lastDay().isAfter(to));
    }

    private boolean isInDate(Fact.LabelRead label) {
        LocalDate last =
                label.doNotUseAfter() == null ? null : label.doNotUseAfter().lastDay();
        Integer years = seat.life().value().map(life -> life.years()).orElse(null);
        boolean known = seat.life().isLooked();
        boolean notStated = seat.life().isSilent() || seat.life().value().isPresent() && years == null;
        if (label.part() == Fact.Part.BASE && label.model() != null) {
            for (var base : seat.bases().value().orElse(List.of())) {
                if (isAmong(label.model(), base.modelNumbers()) && base.lifeYears() != null) {
                    years = base.lifeYears();
                    known = true;
                    notStated = false;
                    break;
                }
            }
        }
        if (years != null && label.made() != null) {
            LocalDate counted = label.made().firstDay().plusYears(years);
            last = last == null || counted.isBefore(last) ? counted : last;
        }
        if (last != null) {
            return !today.isAfter(last);
        }
        return known && notStated;
    }

    private boolean baseBelongs(Fact.LabelRead label) {
        if (label.model() == null || seat.bases().value().isEmpty()) {
            return false;
        }
        for (var base : seat.bases().value().get()) {
            if (isAmong(label.model(), base.modelNumbers())) {
                return base.setUp() == null || looked(Question.BASE_SET_UP, "BASE_FITS_CARRIER", "AS_SHEET");
            }
        }
        return false;
    }

    private boolean recall() {
        if (!looked(Question.RECALL, "RECALL", "NONE_OPEN", "REMEDY_DONE")) {
            return false;
        }
        Optional<LocalDate> on = answered(Question.RECALL).orElseThrow().day();
        return on.isPresent()
                && ChronoUnit.DAYS.between(on.get(), today)
                        <= practice.profile().recallDays();
    }
}
