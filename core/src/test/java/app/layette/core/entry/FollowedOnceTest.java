package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.coming.WhatComesNext;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.recline.ReclineAdvice;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What follows from a situation alone is computed once a plan, and never handed on to another situation. */
class FollowedOnceTest {
    static Stream<Function<Situation, Object>> all() {
        return Stream.of(CabinAnswers::of, WhatComesNext::of, ReclineAdvice::of);
    }

    @ParameterizedTest
    @MethodSource("all")
    void onceAPlan(Function<Situation, Object> what) {
        Situation situation = FittingBuilder.ready().plan().situation();

        assertThat(what.apply(situation)).isSameAs(what.apply(situation));
    }

    @ParameterizedTest
    @MethodSource("all")
    void whatIsThoughtOfIsComputedForItself(Function<Situation, Object> what) {
        Situation situation = FittingBuilder.ready().plan().situation();
        Object here = what.apply(situation);
        Situation same = situation.asIfPlaced(
                situation.position().orElseThrow().id(), situation.method().orElseThrow());

        assertThat(what.apply(same)).isNotSameAs(here).isEqualTo(here);
    }
}
