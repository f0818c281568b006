package app.layette.core.misuse;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.misuse.AsFound.Found;
import app.layette.core.misuse.AsFound.Look;
import app.layette.core.misuse.AsFound.Now;
import app.layette.core.misuse.AsFound.Standing;
import app.layette.core.rule.Conclusion;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class AsFoundTest {
    private static final int LEAST = 60;

    private static List<Found> found(FittingBuilder fitting) {
        return AsFound.of(fitting.plan()).found();
    }

    /** Every conclusion that puts something right has one place to look for it. */
    @Test
    void everyConclusionOfTheCatalogueHasOneHome() {
        List<Conclusion> homes = Arrays.stream(Area.values())
                .flatMap(area -> Misuses.lookedForAt(area).stream())
                .toList();
        assertThat(homes)
                .doesNotHaveDuplicates()
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(Misuse.values())
                        .map(misuse -> Misuses.of(misuse).putRightBy())
                        .distinct()
                        .toList());
        assertThat(Misuses.lookedForAt(Area.LEVEL)).contains(Conclusion.LEVEL);
        assertThat(Misuses.lookedForAt(Area.BELT)).doesNotContain(Conclusion.LEVEL);
    }

    @Test
    void theCatalogueIsWholeAndEveryAreaHasSomethingToFind() {
        assertThat(Misuse.values()).hasSizeGreaterThanOrEqualTo(LEAST);
        assertThat(Area.values()).allMatch(area -> !Misuses.in(area).isEmpty());
    }

    /** Found when everything had been looked at before: no look was made since, so it is still so. */
    @ParameterizedTest
    @EnumSource(
            value = Misuse.class,
            names = {"HARNESS_LOOSE", "CLIP_LOW", "BASE_LOOSE", "ANCHOR_NOT_CLICKED", "HANDLE_WRONG", "TOO_UPRIGHT"})
    void aLookThatWasMadeBeforePutsNothingRight(Misuse misuse) {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new Fact.FoundSo(UnitId.FIRST, misuse, true));
        assertThat(found(fitting)).extracting(Found::now).containsExactly(Now.STILL_SO);
    }

    @Test
    void aLookMadeSinceSaysWhatPutItRight() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.HARNESS_LOOSE, true));
        fitting.answer(Question.SNUG, "SNUG");
        Found snug = found(fitting).get(0);
        assertThat(snug.now()).isEqualTo(Now.PUT_RIGHT);
        assertThat(snug.since()).isEqualTo(fitting.lastSeq());
        fitting.answer(Question.SNUG, "LOOSE");
        assertThat(found(fitting).get(0).now()).isEqualTo(Now.STILL_SO);
    }

    @Test
    void whatTheMethodHasNotFallsAway() {
        FittingBuilder fitting = FittingBuilder.ready(Method.BASE_BELT);
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.ANCHOR_NOT_CLICKED, true));
        assertThat(found(fitting)).extracting(Found::now).containsExactly(Now.FALLS_AWAY);
    }

    @Test
    void aWalkThatFoundNothingAndNoWalkStayApart() {
        FittingBuilder fitting = FittingBuilder.ready();
        assertThat(AsFound.of(fitting.plan()).looked()).isZero();
        fitting.add(new Fact.AreaLooked(UnitId.FIRST, Area.HARNESS, true));
        fitting.add(new Fact.AreaLooked(UnitId.FIRST, Area.BASE, true));
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.BASE_LOOSE, true));
        fitting.add(new Fact.AreaLooked(UnitId.FIRST, Area.PLACE, true));
        fitting.add(new Fact.AreaLooked(UnitId.FIRST, Area.PLACE, false));
        AsFound walk = AsFound.of(fitting.plan());
        assertThat(walk.looks())
                .containsEntry(Area.HARNESS, Look.NOTHING_WRONG)
                .containsEntry(Area.BASE, Look.FOUND)
                .containsEntry(Area.PLACE, Look.NOT_LOOKED)
                .containsEntry(Area.LABEL, Look.NOT_LOOKED);
        assertThat(walk.looked()).isEqualTo(2);
        assertThat(walk.nextAfter(Area.CHILD)).contains(Area.HANDLE);
        assertThat(walk.nextAfter(Area.PLACE)).contains(Area.LABEL);
    }

    /** Found, taken back, looked at, and found anew: the look in between proves nothing. */
    @Test
    void foundAnewOnlyALaterLookPutsItRight() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.HARNESS_LOOSE, true));
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.HARNESS_LOOSE, false));
        fitting.answer(Question.SNUG, "SNUG");
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.HARNESS_LOOSE, true));
        assertThat(found(fitting)).extracting(Found::now).containsExactly(Now.STILL_SO);
        fitting.answer(Question.SNUG, "SNUG");
        assertThat(found(fitting)).extracting(Found::now).containsExactly(Now.PUT_RIGHT);
    }

    /** What was fine when it came says nothing about now: that is for the looks since. */
    @Test
    void howAnAreaStandsNowIsNotHowItWasFound() {
        FittingBuilder fitting = FittingBuilder.ready();
        for (Area area : Area.values()) {
            fitting.add(new Fact.AreaLooked(UnitId.FIRST, area, true));
        }
        assertThat(standing(fitting, Area.HARNESS)).isEqualTo(new AsFound.Stands(Standing.IN_ORDER, 0));
        fitting.answer(Question.SNUG, "LOOSE");
        fitting.answer(Question.CLIP, "LOWER");
        assertThat(standing(fitting, Area.HARNESS)).isEqualTo(new AsFound.Stands(Standing.WRONG, 2));
        fitting.acted(Act.TIGHTENED);
        assertThat(standing(fitting, Area.BASE))
                .as("the inch test was made before it was tightened again")
                .isEqualTo(new AsFound.Stands(Standing.NOT_LOOKED, 0));
        assertThat(standing(FittingBuilder.ready(), Area.BELT))
                .as("nothing of a belt was looked at where there is none")
                .isEqualTo(new AsFound.Stands(Standing.NOT_THERE, 0));
        assertThat(standing(FittingBuilder.ready(Method.BASELESS_EUROPEAN), Area.LEG))
                .as("a carrier without its base has no leg")
                .isEqualTo(new AsFound.Stands(Standing.NOT_THERE, 0));
    }

    private static AsFound.Stands standing(FittingBuilder fitting, Area area) {
        return AsFound.of(fitting.plan()).now().get(area);
    }

    /** Where nobody looked nothing is said, whatever the order in which the areas are looked at. */
    @ParameterizedTest
    @EnumSource(Area.class)
    void theWalkComesToItsEndFromAnyBeginning(Area beginning) {
        FittingBuilder fitting = FittingBuilder.ready();
        Area here = beginning;
        for (int step = 1; step <= Area.values().length; step++) {
            fitting.add(new Fact.AreaLooked(UnitId.FIRST, here, true));
            AsFound walk = AsFound.of(fitting.plan());
            assertThat(walk.looked()).isEqualTo(step);
            here = walk.nextAfter(here).orElse(here);
        }
        assertThat(AsFound.of(fitting.plan()).nextAfter(here)).isEmpty();
    }

    @Test
    void takenBackNothingWasFoundAndTwiceIsOnce() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.CLIP_LOW, true));
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.CLIP_LOW, true));
        assertThat(found(fitting)).hasSize(1);
        fitting.add(new Fact.FoundSo(UnitId.FIRST, Misuse.CLIP_LOW, false));
        assertThat(found(fitting)).isEmpty();
        assertThat(fitting.plan().mayHandOver())
                .as("what was found blocks nothing by itself")
                .isTrue();
    }
}
