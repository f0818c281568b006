package app.layette.core.run;

import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.harness.HarnessAnswers;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask.Kind;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.Harness;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.suit.FeetPastEnd;
import app.layette.core.suit.OwnConditions;
import app.layette.core.suit.ScreeningDone;
import java.util.ArrayList;
import java.util.List;

/** What is asked about the seat, the child, and the child in the harness. */
final class SeatAndChildAsks {
    private final Situation situation;
    private final Looks looks;

    SeatAndChildAsks(Looks looks) {
        this.situation = looks.situation();
        this.looks = looks;
    }

    List<Ask> child() {
        List<Ask> asks = new ArrayList<>();
        if (situation.expected().isPresent()) {
            // Its birth is told here; until then nothing about it is asked.
            return List.of(Ask.offered(Kind.CHILD, "", false));
        }
        if (situation.cameBack().isPresent()) {
            // Measured first: what an earlier fitting says of insert and straps is then judged for today's child.
            asks.add(weight());
            asks.add(length());
            asks.add(new Ask(
                    Kind.QUESTION,
                    Question.SINCE.name(),
                    situation.answer(Question.SINCE).isPresent()));
        }
        asks.add(new Ask(Kind.CHILD, "", situation.child().isPresent()));
        asks.add(looks.question(Question.CONDITION, Conclusion.SCREENING));
        asks.add(new Ask(Kind.ORDER, "", situation.newest(Fact.Ordered.class).isPresent()));
        if (situation.child().isPresent() && ScreeningDone.isAsked(situation)) {
            asks.add(new Ask(
                    Kind.SCREENING, "", situation.newest(Fact.Screened.class).isPresent()));
        }
        return asks;
    }

    List<Ask> label() {
        List<Ask> asks = new ArrayList<>();
        if (situation.isQuickSeat()) {
            asks.add(new Ask(Kind.QUICK_SEAT, "", situation.seat().isPresent()));
        }
        situation
                .pendingVersions()
                .forEach(newer -> asks.add(new Ask(Kind.NEWER_SHEET, newer.id() + ":" + newer.version(), false)));
        for (Part part : Part.values()) {
            if (part == Part.BASE && !situation.usualMethod().isOnBase()) {
                continue;
            }
            boolean read = situation.label(part).isPresent();
            // Whether there will be a base is known once a method is chosen.
            boolean later = part == Part.BASE && situation.method().isEmpty();
            asks.add(later ? Ask.offered(Kind.LABEL, part.name(), read) : new Ask(Kind.LABEL, part.name(), read));
        }
        asks.add(looks.question(Question.APPROVAL, Conclusion.APPROVAL));
        boolean setUp = BaseFitsCarrier.fitting(situation).map(BaseFit::setUp).isPresent();
        if (setUp) {
            asks.add(looks.question(Question.BASE_SET_UP, Conclusion.BASE_FITS_CARRIER));
        }
        return asks;
    }

    List<Ask> history() {
        List<Ask> asks = new ArrayList<>(looks.questions(Question.HISTORY, Question.CRASH, Question.RECALL));
        asks.add(Ask.offered(
                Kind.QUESTION,
                Question.REGISTRATION.name(),
                situation.answer(Question.REGISTRATION).isPresent()));
        return asks;
    }

    List<Ask> fits() {
        List<Ask> asks = new ArrayList<>();
        asks.add(weight());
        asks.add(length());
        if (OwnConditions.isAsked(situation)) {
            asks.add(looks.question(Question.OWN_CONDITIONS, Conclusion.OWN_CONDITIONS));
        }
        if (looks.isRequired(Conclusion.FEET) && FeetPastEnd.isAsked(situation)) {
            asks.add(looks.question(Question.FEET, Conclusion.FEET));
        }
        if (looks.isRequired(Conclusion.LIFTING)) {
            asks.add(Ask.offered(
                    Kind.QUESTION,
                    Question.LIFTING.name(),
                    situation.answer(Question.LIFTING).isPresent()));
        }
        return asks;
    }

    private Ask weight() {
        return new Ask(Kind.WEIGHT, "", situation.weight().isPresent() && looks.isSettled(Conclusion.WEIGHT));
    }

    private Ask length() {
        return new Ask(
                Kind.LENGTH, "", situation.measured(Dimension.BODY).isPresent() && looks.isSettled(Conclusion.LENGTH));
    }

    List<Ask> insert() {
        List<InsertPiece> pieces =
                situation.seat().map(SeatSheet::insert).flatMap(Evidence::value).orElse(List.of());
        return pieces.stream()
                .map(piece -> new Ask(
                        Kind.INSERT,
                        piece.key(),
                        situation.insert(piece).isPresent() && looks.isSettled(Conclusion.INSERT)))
                .toList();
    }

    List<Ask> thread() {
        List<Ask> asks = new ArrayList<>(List.of(
                new Ask(
                        Kind.SLOTS,
                        "",
                        situation.newest(Fact.SlotsSet.class).isPresent()
                                && looks.isSettled(Conclusion.SLOT)
                                && looks.isSettled(Conclusion.THREADED_ALIKE)),
                new Ask(
                        Kind.CROTCH,
                        "",
                        situation.newest(Fact.CrotchSet.class).isPresent() && looks.isSettled(Conclusion.CROTCH)),
                looks.question(Question.WEBBING, Conclusion.WEBBING),
                looks.question(Question.SNUG_SHORTEST, Conclusion.SNUG_AT_SHORTEST)));
        if (HarnessAnswers.COVERS.isThereIn(situation)) {
            asks.add(looks.question(Question.COVERS, Conclusion.COVERS));
        }
        return asks;
    }

    List<Ask> harness() {
        List<Ask> asks = new ArrayList<>();
        // What lies beside the child comes first: putting it there would ask for all the others once more.
        asks.add(looks.question(Question.SUPPORT, Conclusion.SUPPORT));
        asks.add(looks.question(Question.CLOTHING, Conclusion.CLOTHING));
        if (isThick()) {
            asks.add(Ask.offered(
                    Kind.LAYER, "", situation.newest(Fact.LayerSeen.class).isPresent()));
        }
        asks.add(looks.question(Question.SNUG, Conclusion.SNUG_TEST));
        boolean statedNone = situation
                .seat()
                .map(SeatSheet::harness)
                .map(Harness::clip)
                .flatMap(Evidence::value)
                .map(has -> !has)
                .orElse(false);
        if (!statedNone) {
            asks.add(looks.question(Question.CLIP, Conclusion.CLIP));
        }
        if (looks.isRequired(Conclusion.LIES_FLAT)) {
            asks.add(looks.question(Question.LIES_FLAT, Conclusion.LIES_FLAT));
        }
        return asks;
    }

    private boolean isThick() {
        return situation
                .answer(Question.CLOTHING)
                .filter(answer -> !answer.value().equals("THIN"))
                .isPresent();
    }
}
