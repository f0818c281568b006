package app.layette.formats.taps;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.gate.ConclusionState;
import app.layette.formats.Examples;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * How many answers the work takes, method by method, and the limits that hold. What it counts is written down in {@code
 * docs/taps.md}; run with {@code -Dtaps.write=true} to write it anew.
 */
class TapsTest {
    private static final Path PAGE = Path.of("..", "docs", "taps.md");

    /** What is walked, from which document, and how many answers it may take. */
    private record Walk(String what, String example, int most) {}

    private static final List<Walk> FITTINGS = List.of(
            new Walk("Base, flexible anchors", "ready", 24),
            new Walk("Rotating base, rigid anchors, leg, bar", "ready-rotating-base", 24),
            new Walk("Base by belt, lock-off", "ready-belt-lock-off", 26),
            new Walk("Base by belt, switchable retractor", "ready-belt-switchable", 26),
            new Walk("Base by belt, locking latch plate", "ready-belt-latch-plate", 26),
            new Walk("Base by belt, locking clip", "ready-belt-locking-clip", 26),
            new Walk("Base by belt, slide", "ready-belt-slide", 26),
            new Walk("Baseless, American routing", "ready-baseless-american", 20),
            new Walk("Baseless, European routing", "ready-baseless-european", 20),
            new Walk("Convertible by belt", "ready-convertible-belt", 22),
            new Walk("Convertible by anchors", "ready-convertible-anchors", 22),
            new Walk("Car bed", "ready-car-bed", 18),
            new Walk("Lay-flat carrier across two places", "ready-lay-flat", 20));

    private static final List<Walk> RECHECKS = List.of(
            new Walk("Re-check, base by flexible anchors", "ready", 10),
            new Walk("Re-check, rotating base", "ready-rotating-base", 10),
            new Walk("Re-check, base by belt", "ready-belt-lock-off", 10),
            new Walk("Re-check, convertible by anchors", "ready-convertible-anchors", 10),
            new Walk("Re-check, base by belt, slide", "ready-belt-slide", 10),
            new Walk("Re-check, baseless, American routing", "ready-baseless-american", 10),
            new Walk("Re-check, baseless, European routing", "ready-baseless-european", 10),
            new Walk("Re-check, convertible by belt", "ready-convertible-belt", 10),
            new Walk("Re-check, car bed", "ready-car-bed", 10),
            new Walk("Re-check, lay-flat carrier", "ready-lay-flat", 10));

    private final StringBuilder page = new StringBuilder();

    @Test
    void theWorkTakesNoMoreAnswersThanItMay() throws IOException {
        page.append("""
                # How many answers the work takes
                Counted by a test that walks the run as the screen asks it, from *Begin* with seat and car from the shelf \
                and nothing going wrong. One answer is one press, key or submitted value that appends at least one entry; \
                a look told with one press is one. The signature and going from step to step are counted apart.

                | | answers | of at most | values typed | pages read | steps gone to |
                | --- | --- | --- | --- | --- | --- |
                """);
        List<String> walks = new ArrayList<>();
        for (Walk walk : FITTINGS) {
            walks.add(line(walk, new Walker(Examples.read(walk.example()), Walker::isOfBegin).toTheSignature()));
        }
        Walk bedside = new Walk("Bedside", "ready", 10);
        walks.add(line(
                bedside,
                new Walker(Examples.read("ready"), Walker::isOfBegin)
                        .with(new Fact.BoxChosen(UnitId.FIRST, Fact.TimeBox.BEDSIDE))
                        .toTheSignature()));
        Walk moved = new Walk("Slots moved on a fitting that was ready", "ready", 5);
        walks.add(line(
                moved,
                new Walker(Examples.read("ready"), fact -> true)
                        .with(new Fact.ShoulderSeen(RiderId.FIRST, 2))
                        .toTheSignature()));
        for (Walk walk : RECHECKS) {
            walks.add(line(
                    walk,
                    Walker.comingBack(Examples.read(walk.example()), Examples.plan(walk.example()))
                            .toTheSignature()));
        }
        page.append("\nThe quick ride takes three answers: who, which seat, which routings its manual shows.\n");
        page.append("\n## What was pressed\nA look stands with the number of its marks.\n\n");
        walks.forEach(walk -> page.append("- ").append(walk).append('\n'));
        if (Boolean.getBoolean("taps.write")) {
            Files.writeString(PAGE, page);
        }
        assertThat(Files.readString(PAGE)).as("docs/taps.md").isEqualTo(page.toString());
    }

    private String line(Walk walk, Walker.Walked walked) {
        boolean bedside = walked.plan().situation().isBedside();
        assertThat(walked.plan().gate().blocking())
                .as("%s, after %s", walk.what(), walked.presses())
                .filteredOn(state -> !bedside)
                .extracting(ConclusionState::conclusion)
                .isEmpty();
        assertThat(walked.presses()).as(walk.what()).hasSizeLessThanOrEqualTo(walk.most());
        page.append("| %s | %d | %d | %d | %d | %d |\n"
                .formatted(
                        walk.what(),
                        walked.presses().size(),
                        walk.most(),
                        walked.typed(),
                        walked.pages(),
                        walked.moves()));
        return walk.what() + ": " + String.join(", ", walked.presses());
    }
}
