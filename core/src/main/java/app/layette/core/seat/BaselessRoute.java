package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;

/**
 * How much belt a carrier without its base takes.
 *
 * @param guides where its belt guides are, in words
 * @param overShell X, from guide to guide over the shell
 * @param roundShell R, from the latch plate round behind the shell to the upper belt guide
 * @param whenBuckledFirst O, extra to lift the shoulder part over the shell when the belt is buckled already
 */
@Built
public record BaselessRoute(
        Evidence<String> guides,
        Evidence<Length> overShell,
        Evidence<Length> roundShell,
        Evidence<Length> whenBuckledFirst) {
    static final BaselessRoute NOT_LOOKED = BaselessRouteParts.builder().build();

    public BaselessRoute {
        guides = orNotLooked(guides);
        overShell = orNotLooked(overShell);
        roundShell = orNotLooked(roundShell);
        whenBuckledFirst = orNotLooked(whenBuckledFirst);
    }
}
