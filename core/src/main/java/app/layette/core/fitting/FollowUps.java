package app.layette.core.fitting;

import app.layette.core.coming.Coming;
import app.layette.core.coming.DueKind;
import app.layette.core.coming.Preparation;
import app.layette.core.coming.WhatComesNext;
import app.layette.core.condition.Expiry;
import app.layette.core.condition.Registration;
import app.layette.core.entry.AfterTheEnd;
import app.layette.core.entry.Fact.CrashedSince;
import app.layette.core.entry.Fact.Ended;
import app.layette.core.entry.Fact.Ending;
import app.layette.core.entry.Fact.Expected;
import app.layette.core.entry.Fact.Ordered;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.growth.Outlook;
import app.layette.core.suit.Orders;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What comes due for a family: looks that come again, papers, what growing brings, and what was left open. */
public final class FollowUps {
    private static final Period INCH_TEST = Period.ofMonths(1);
    private static final Period REGISTRATION = Period.ofDays(14);
    /** A family that left with something open is asked within a week how it stands. */
    private static final Period LEFT_OPEN = Period.ofDays(7);

    private final Situation situation;
    private final List<DatedEvent> dates = new ArrayList<>();

    private FollowUps(Situation situation) {
        this.situation = situation;
    }

    /**
     * Every date, the first one first.
     *
     * @param rulesDiffer whether newer rules would judge a signed hand-over otherwise
     */
    static List<DatedEvent> of(Situation situation, boolean rulesDiffer) {
        FollowUps due = new FollowUps(situation);
        Optional<Stamped<CrashedSince>> crash = situation.newest(CrashedSince.class);
        if (crash.isPresent()) {
            // CND-3: nothing else matters to a seat that is not to be used.
            return List.of(
                    DatedEvent.once(DueKind.CRASHED_SINCE, crash.get().value().on()));
        }
        due.papers();
        if (rulesDiffer) {
            due.dates.add(DatedEvent.once(DueKind.RULES_DIFFER, situation.today()));
        }
        if (AfterTheEnd.in(situation.everything()).isAnyWaiting()) {
            due.dates.add(DatedEvent.once(DueKind.CORRECTION_WAITS, situation.today()));
        }
        situation.expected().ifPresent(due::beforeBirth);
        situation.ended().ifPresent(due::afterTheEnd);
        WhatComesNext.of(situation).forEach(due::growing);
        // Two pieces of an insert that must be out at one weight are one date.
        return due.dates.stream()
                .distinct()
                .sorted(Comparator.comparing(DatedEvent::on))
                .toList();
    }

    /**
     * Everything that comes due of a fitting, with what is known of it elsewhere at its point.
     *
     * @return nothing for a seat that was never fitted
     */
    public static List<DatedEvent> of(FittingPlan plan, Elsewhere elsewhere) {
        if (plan.state() == FittingState.NOT_FITTED || plan.state() == FittingState.TAUGHT) {
            return List.of();
        }
        List<DatedEvent> all = new ArrayList<>(plan.dates());
        elsewhere.seatBack().ifPresent(day -> all.add(DatedEvent.once(DueKind.SEAT_BACK, day)));
        elsewhere.lentSheet().ifPresent(day -> all.add(DatedEvent.once(DueKind.LENT_SHEET, day)));
        elsewhere.recallOpen().ifPresent(day -> all.add(DatedEvent.once(DueKind.RECALL_OPEN, day)));
        // While a fitting is open a newer sheet keeps its gate shut; afterwards somebody has to be told.
        if (!plan.state().isUnderWay()) {
            elsewhere.newerSheets().stream()
                    .max(LocalDate::compareTo)
                    .ifPresent(day -> all.add(DatedEvent.once(DueKind.NEWER_SHEET, day)));
        }
        return List.copyOf(all);
    }

    /** CND-1, CND-4 and SUIT-7: expiry, recall look-up and the review of an order. */
    private void papers() {
        Expiry.of(situation)
                .flatMap(Expiry.LastDay::lastDay)
                .ifPresent(day -> dates.add(DatedEvent.once(DueKind.EXPIRY, day)));
        Orders.standing(situation)
                .map(Ordered::reviewOn)
                .ifPresent(day -> dates.add(DatedEvent.once(DueKind.ORDER_REVIEW, day)));
        Period recall = Period.ofDays(situation.practice().profile().recallDays());
        situation
                .answer(Question.RECALL)
                .ifPresent(answer -> dates.add(
                        DatedEvent.again(DueKind.RECALL_AGAIN, answer.on().plus(recall), recall)));
    }

    /** What stays in the car goes in before the birth; from the day that it is due somebody asks whether it is born. */
    private void beforeBirth(Stamped<Expected> expected) {
        LocalDate due = expected.value().due();
        if (situation.prepared().isEmpty() && situation.ended().isEmpty()) {
            Preparation proposed = Preparation.of(due, false, Optional.empty(), expected.on());
            dates.add(DatedEvent.once(DueKind.PREPARE_BASE, proposed.by()));
        }
        if (situation.ended().isEmpty()) {
            dates.add(DatedEvent.once(DueKind.BIRTH_DUE, due));
        }
    }

    private void afterTheEnd(Stamped<Ended> ended) {
        LocalDate day = ended.on();
        Ending ending = ended.value().ending();
        if (ending == Ending.HANDED_OVER) {
            dates.add(DatedEvent.again(DueKind.MONTHLY_INCH_TEST, day.plus(INCH_TEST), INCH_TEST));
            if (!Registration.isSettled(situation)) {
                dates.add(DatedEvent.once(DueKind.REGISTRATION_CARD, day.plus(REGISTRATION)));
            }
        }
        if (ending == Ending.LEFT_WITH_OPEN_FINDINGS) {
            dates.add(DatedEvent.once(DueKind.LEFT_OPEN, day.plus(LEFT_OPEN)));
        }
    }

    /** Listed when any of the three days lies before the end of the growth table; the others are after it. */
    private void growing(Coming coming) {
        Outlook outlook = coming.outlook();
        if (!outlook.reached() && outlook.earliest().isPresent()) {
            dates.add(dated(DueKind.of(coming.what()), outlook));
        }
    }

    private static DatedEvent dated(DueKind kind, Outlook outlook) {
        if (outlook.likely().isEmpty()) {
            return DatedEvent.after(kind, outlook.horizon(), outlook.earliest());
        }
        boolean fixed = outlook.earliest().equals(outlook.latest());
        LocalDate likely = outlook.likely().get();
        return fixed
                ? DatedEvent.once(kind, likely)
                : DatedEvent.between(kind, likely, outlook.earliest(), outlook.latest());
    }
}
