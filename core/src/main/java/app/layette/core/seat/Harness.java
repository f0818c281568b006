package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.SnugTest;
import java.util.List;

/**
 * The harness.
 *
 * @param loops of the webbing on the splitter plate and the slots each is for
 * @param snugTest the manual's own test, which wins over the profile's (HAR-7)
 * @param clip whether there is a chest clip (HAR-8)
 * @param covers whether the sheet wants covers on the straps (HAR-11)
 * @param adjuster where the adjuster is released
 * @param shortestSnugFrom lightest child for whom the shortest setting is snug (SUIT-5)
 * @param snugTestWords the manual's own words for its test
 */
@Built
public record Harness(
        Evidence<List<Loop>> loops,
        Evidence<SnugTest> snugTest,
        Evidence<Boolean> clip,
        Evidence<Covers> covers,
        Evidence<Adjuster> adjuster,
        Evidence<Mass> shortestSnugFrom,
        @Written(longest = 2000) Evidence<String> snugTestWords) {
    static final Harness NOT_LOOKED = HarnessParts.builder().build();

    /** Where the harness adjuster is. */
    public enum Adjuster {
        FRONT,
        BACK
    }

    /** What the sheet says about covers on the shoulder straps. */
    public enum Covers {
        REQUIRED,
        OPTIONAL,
        NONE
    }

    public Harness {
        loops = orNotLooked(loops);
        snugTest = orNotLooked(snugTest);
        clip = orNotLooked(clip);
        covers = orNotLooked(covers).silentMeans(Covers.NONE);
        adjuster = orNotLooked(adjuster);
        shortestSnugFrom = orNotLooked(shortestSnugFrom);
        snugTestWords = orNotLooked(snugTestWords);
    }

    /**
     * A loop of the shoulder webbing (HAR-4).
     *
     * @param name short or long, as the manual calls it
     * @param fromSlot lowest slot it is for, from 1
     * @param toSlot highest slot it is for
     */
    public record Loop(
            @Written(needed = true) String name,
            @Written(needed = true, from = 1) int fromSlot,
            @Written(needed = true, from = 1) int toSlot) {
        public boolean isFor(int slot) {
            return slot >= fromSlot && slot <= toSlot;
        }
    }
}
