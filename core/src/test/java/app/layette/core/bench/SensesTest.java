package app.layette.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.bench.act.Hand;
import app.layette.core.bench.act.Senses;
import app.layette.core.entry.Act;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Area;
import app.layette.core.entry.Question;
import app.layette.core.finding.Weight;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** {@code bench.csv} a second time, laid together the other way: by area, by what finds out, by what is touched. */
class SensesTest {
    private static Set<Question> named(String questions) {
        return List.of(questions.split(" ")).stream()
                .map(Question::valueOf)
                .collect(Collectors.toCollection(() -> new LinkedHashSet<>()));
    }

    @ParameterizedTest
    @CsvSource({
        "LABEL, HISTORY CRASH REGISTRATION RECALL MANUALS APPROVAL PARTS",
        "CHILD, CONDITION LIFTING SUPPORT CLOTHING LIES_FLAT",
        "LEVEL, GROUND",
        "ANCHORS, ANCHORS_HOOKED STRAP SYSTEMS",
        "BELT, BELT_ROUTE BUCKLE LOCK_OFF LOCK_PROOF PANEL END_STRAPS",
        "BASE, BASE_SET_UP SITS_WHOLE MOVEMENT WINDOWS BAR SIDE_ELEMENT TURNED_BACK CLICK",
        "HARNESS, WEBBING SNUG_SHORTEST COVERS SNUG CLIP",
        "LEG, LEG",
        "PLACE, GAP"
    })
    void eachIsSeenInItsArea(Area area, String questions) {
        assertThat(Senses.questions().stream().filter(each -> Senses.of(each).area() == area))
                .containsExactlyInAnyOrderElementsOf(named(questions));
    }

    @ParameterizedTest
    @CsvSource({
        "ASK_FAMILY, CONDITION HISTORY CRASH REGISTRATION LIFTING",
        "LOOK_UP_RECALL, RECALL",
        "READ_MANUALS, MANUALS",
        "READ_LABEL, APPROVAL",
        "TUG_ANCHORS, ANCHORS_HOOKED",
        "PULL_BELT, LOCK_PROOF",
        "TUG, MOVEMENT",
        "PINCH, SNUG",
        "LIFT, CLICK"
    })
    void eachIsFoundOutByItsHandAndAllElseByALook(Hand hand, String questions) {
        assertThat(Senses.questions().stream().filter(each -> Senses.of(each).sense() == hand))
                .containsExactlyInAnyOrderElementsOf(named(questions));
        Set<Question> byHand =
                named("CONDITION HISTORY CRASH REGISTRATION LIFTING RECALL MANUALS APPROVAL ANCHORS_HOOKED"
                        + " LOCK_PROOF MOVEMENT SNUG CLICK");
        assertThat(Senses.questions().stream().filter(each -> Senses.of(each).sense() != Hand.LOOK))
                .containsExactlyInAnyOrderElementsOf(byHand);
    }

    @ParameterizedTest
    @CsvSource({
        "CAR_MOVED, GROUND",
        "ANCHOR_TOUCHED, ANCHORS_HOOKED",
        "BELT_TOUCHED, BELT_ROUTE BUCKLE",
        "TURNED_TO_DOOR, TURNED_BACK",
        "COVER_CHANGED, COVERS",
        "HARNESS_OPENED, SUPPORT LIES_FLAT",
        "CLOTHING_CHANGED, CLOTHING",
        "CLIP_MOVED, CLIP"
    })
    void whatIsMadeSoTouchesWhatItTouches(Act act, String questions) {
        assertThat(Senses.questions().stream()
                        .filter(each ->
                                Senses.of(each).touches().filter(act::equals).isPresent()))
                .containsExactlyInAnyOrderElementsOf(named(questions));
        assertThat(Senses.questions().stream()
                        .filter(each -> Senses.of(each).touches().isPresent()))
                .hasSize(10);
    }

    /** What is in order is an answer that the question takes, and the first of those that hold by themselves. */
    @ParameterizedTest
    @MethodSource("app.layette.core.entry.Question#values")
    void whatIsInOrderHolds(Question question) {
        if (!Senses.questions().contains(question)
                || Senses.of(question).inOrder().isEmpty()) {
            assertThat(question == Question.SYSTEMS || !Senses.questions().contains(question))
                    .isTrue();
            return;
        }
        String inOrder = Senses.of(question).inOrder().get();
        assertThat(Answers.to(question).get(0)).isEqualTo(inOrder);
        assertThat(Answers.weight(question, inOrder))
                .satisfiesAnyOf(
                        weight -> assertThat(weight).isEmpty(),
                        weight -> assertThat(weight).contains(Weight.HOLDS));
    }
}
