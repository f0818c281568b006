package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Rights.Way;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The table of rights, cell by cell against what the contract says in words. */
class RightsTest {
    /** Answered by further entries, never changed: signatures, words, moves, the box, sheets. */
    private static final Set<Class<? extends Fact>> FOR_GOOD = Set.of(
            Fact.Ended.class,
            Fact.Prepared.class,
            Fact.Countersigned.class,
            Fact.CorrectionSigned.class,
            Fact.Noted.class,
            Fact.Withdrawn.class,
            Fact.WebbingMoved.class,
            Fact.BoxChosen.class,
            Fact.CameBack.class,
            Fact.UnitJoined.class,
            Fact.SheetAdopted.class);

    @SuppressWarnings("unchecked")
    private static List<Class<? extends Fact>> kinds() {
        return Arrays.stream(Fact.class.getPermittedSubclasses())
                .map(each -> (Class<? extends Fact>) each)
                .collect(Collectors.toList());
    }

    @ParameterizedTest
    @EnumSource(Author.Role.class)
    void everyCellIsAsTheContractSays(Author.Role role) {
        for (Class<? extends Fact> kind : kinds()) {
            for (boolean open : new boolean[] {true, false}) {
                for (Way way : Way.values()) {
                    assertThat(Rights.allows(role, kind, way, open))
                            .as("%s, %s, %s, %s", role, Rights.kind(kind), way, open ? "open" : "closed")
                            .isEqualTo(expected(role, kind, way, open));
                }
            }
        }
    }

    private static boolean expected(Author.Role role, Class<? extends Fact> kind, Way way, boolean open) {
        boolean trainee = role == Author.Role.TRAINEE;
        return switch (way) {
            case NEW -> {
                boolean adds = kind == Fact.Noted.class || kind == Fact.PhotoTaken.class;
                boolean signs =
                        kind == Fact.Ended.class || kind == Fact.Prepared.class || kind == Fact.Countersigned.class;
                boolean afterwards = kind == Fact.CrashedSince.class;
                boolean signsAfterwards = kind == Fact.CorrectionSigned.class;
                yield signsAfterwards
                        ? !open && !trainee
                        : afterwards ? !open : kind != Fact.Withdrawn.class && (adds || open && !(signs && trainee));
            }
            case NEWER -> kind == Fact.SheetAdopted.class && role == Author.Role.LEAD && open;
            // After the end it waits for a signature; a picture goes at once, and a trainee takes none from a family.
            case WITHDRAW -> !FOR_GOOD.contains(kind) && (open || !trainee || kind != Fact.PhotoTaken.class);
            // An act either was or was not, and a picture is what it is: withdrawn, never corrected.
            case CORRECT -> !FOR_GOOD.contains(kind) && kind != Fact.Acted.class && kind != Fact.PhotoTaken.class;
        };
    }

    @Test
    void whatCannotBeWithdrawnByItsKindHasNoRightToBe() {
        assertThat(FOR_GOOD)
                .allSatisfy(kind -> assertThat(Rights.allows(Author.Role.LEAD, kind, Way.WITHDRAW, true))
                        .isFalse());
    }
}
