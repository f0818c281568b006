package app.layette.core.bench.view;

import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.scene.BenchPractice;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Hold;
import app.layette.core.bench.state.Truth;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.FromTheFront;
import app.layette.core.drawing.side.FromTheDoor;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.harness.NothingThickUnder;
import app.layette.core.measure.Length;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** The bench drawn as it is: the picture shows what eyes would see from there, and no number. */
public final class BenchView {
    /** From where one looks. */
    public enum From {
        DOOR,
        CHILD,
        BACK
    }

    private BenchView() {}

    /**
     * The bench as it was after so many doings; 0 as it began.
     *
     * @param hands whether the places for hands and eyes are drawn
     */
    public static Drawing of(DryRun run, From from, int moment, boolean hands) {
        Scene scene = run.scene();
        Truth truth = moment == 0
                ? scene.truth()
                : run.moments().get(moment - 1).outcome().truth();
        Situation situation = drawnFrom(scene, truth);
        FromTheFront.Lies lies = new FromTheFront.Lies(
                truth.threading().leftShell(),
                truth.threading().rightShell(),
                truth.straps().shoulderMm() + truth.straps().hipMm() / 2,
                truth.straps().latched(),
                truth.straps().clipMm(),
                truth.straps().clipClosed(),
                !truth.answer(Question.CLOTHING).equals(NothingThickUnder.Answer.THIN.name()));
        return switch (from) {
            case DOOR -> FromTheDoor.of(situation, stands(scene, truth), hands);
            case CHILD -> FromTheFront.child(situation, lies, hands);
            case BACK -> FromTheFront.back(situation, lies, hands);
        };
    }

    private static FromTheDoor.Stands stands(Scene scene, Truth truth) {
        Hold hold = truth.hold();
        boolean onBase = scene.method().isOnBase();
        return new FromTheDoor.Stands(
                hold.recline(truth.ground()),
                hold.heldUpMm(),
                !onBase || hold.loaded(),
                onBase ? hold.loaded() : truth.straps().latched(),
                truth.gapMm(),
                hold.fastened(),
                hold.tight() && hold.tensionNewtons() > 0);
    }

    /** What the drawing needs to know of papers and doll. */
    private static Situation drawnFrom(Scene scene, Truth truth) {
        List<Fact> facts = List.of(
                new Fact.SheetAdopted(scene.seat().sheet(), Fact.Adoption.ADOPTED, null),
                new Fact.SheetAdopted(scene.car().sheet(), Fact.Adoption.ADOPTED, null),
                new Fact.Placed(UnitId.FIRST, scene.place(), scene.method()),
                new Fact.HandleSet(UnitId.FIRST, truth.handle()),
                height(Fact.Dimension.SHOULDER, truth.child().shoulderMm()),
                height(Fact.Dimension.CROWN, truth.child().crownMm()));
        List<Entry> entries = new ArrayList<>();
        for (Fact fact : facts) {
            int seq = entries.size() + 1;
            entries.add(new Entry(
                    new UUID(0, seq),
                    seq,
                    seq - 1,
                    OffsetDateTime.of(scene.today(), LocalTime.of(9, 0), ZoneOffset.UTC),
                    new Author("bench", Author.Role.TECHNICIAN),
                    How.MEASURED,
                    null,
                    fact));
        }
        FittingRecord record = new FittingRecord(
                List.of(RiderId.FIRST),
                List.of(FittingRecord.Unit.first(SheetId.of(scene.seat().sheet()))),
                entries);
        return Situation.of(BenchPractice.usual(), scene.sheets(), record, scene.today());
    }

    private static Fact height(Fact.Dimension what, double millimetres) {
        return new Fact.LengthMeasured(
                RiderId.FIRST, what, Length.ofMillimetres(millimetres), Fact.InsertState.AS_IT_WILL_BE);
    }
}
