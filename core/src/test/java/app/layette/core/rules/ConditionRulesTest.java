package app.layette.core.rules;

import static app.layette.core.finding.Weight.ADVISE;
import static app.layette.core.finding.Weight.FIX;
import static app.layette.core.finding.Weight.HOLDS;
import static app.layette.core.finding.Weight.NOT_KNOWN;
import static app.layette.core.finding.Weight.STOP;
import static app.layette.core.fixture.SeatSheetBuilder.silent;
import static app.layette.core.fixture.SeatSheetBuilder.stated;
import static app.layette.core.rules.RuleCase.row;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.How;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Argument;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.CrashRule;
import app.layette.core.seat.ServiceLife;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ConditionRulesTest {
    static Stream<RuleCase> cases() {
        LocalDate lastDay = FittingBuilder.TODAY;
        return Stream.of(
                row(
                        "CND-1",
                        "in date on its very last day",
                        f -> made(f, "2019-03-10"),
                        HOLDS,
                        "inDate",
                        "lastDay",
                        lastDay),
                row(
                        "CND-1",
                        "expired the day after",
                        f -> made(f, "2019-03-09"),
                        STOP,
                        "expired",
                        "lastDay",
                        lastDay.minusDays(1)),
                row(
                        "CND-1",
                        "a month alone counts from its first day",
                        f -> made(f, "2019-03"),
                        STOP,
                        "expired",
                        "lastDay",
                        LocalDate.of(2026, 3, 1)),
                row(
                        "CND-1",
                        "29 February and seven years end on 28 February",
                        f -> made(f, "2020-02-29"),
                        HOLDS,
                        "inDate",
                        "lastDay",
                        LocalDate.of(2027, 2, 28)),
                row(
                        "CND-1",
                        "a printed month lasts to its last day",
                        f -> printed(f, "2026-03"),
                        HOLDS,
                        "inDate",
                        "lastDay",
                        LocalDate.of(2026, 3, 31)),
                row(
                        "CND-1",
                        "the base's own earlier date counts",
                        f -> f.label(Part.BASE, "B-1", "2019-01"),
                        STOP,
                        "expired",
                        "part",
                        new Argument.OfKey("part.BASE")),
                row(
                        "CND-1",
                        "the base has a shorter life of its own",
                        ConditionRulesTest::shortLivedBase,
                        STOP,
                        "expired",
                        "part",
                        new Argument.OfKey("part.BASE")),
                row(
                        "CND-1",
                        "no life stated is a note, not a stop",
                        f -> f.seat.life = stated(new ServiceLife(ServiceLife.Kind.NOT_STATED, null)),
                        ADVISE,
                        "notStated"),
                row(
                        "CND-1",
                        "nobody looked the life up",
                        f -> f.seat.life = Evidence.notLooked(),
                        NOT_KNOWN,
                        "lifeNotLooked",
                        "part",
                        new Argument.OfKey("part.CARRIER")),
                row(
                        "CND-2",
                        "owned from new",
                        f -> f.answer(Question.HISTORY, "OWNED_FROM_NEW"),
                        HOLDS,
                        "ownedFromNew"),
                row("CND-2", "unknown history", f -> f.answer(Question.HISTORY, "UNKNOWN"), STOP, "unknown"),
                row(
                        "CND-3",
                        "a minor crash, and the maker lets it stay",
                        f -> f.answer(Question.CRASH, "MINOR"),
                        HOLDS,
                        "minor"),
                row(
                        "CND-3",
                        "a minor crash, and the manual is silent: the public rule",
                        f -> {
                            f.seat.crash = silent();
                            f.answer(Question.CRASH, "MINOR");
                        },
                        HOLDS,
                        "minor"),
                row(
                        "CND-3",
                        "a minor crash, and the maker replaces always",
                        f -> {
                            f.seat.crash = stated(CrashRule.REPLACE_ALWAYS);
                            f.answer(Question.CRASH, "MINOR");
                        },
                        STOP,
                        "makerSaysReplace"),
                row(
                        "CND-3",
                        "a minor crash, and nobody looked",
                        f -> {
                            f.seat.crash = Evidence.notLooked();
                            f.answer(Question.CRASH, "MINOR");
                        },
                        NOT_KNOWN,
                        "makerRuleNotLooked"),
                row("CND-3", "unsure is not minor", f -> f.answer(Question.CRASH, "UNSURE"), STOP, "unsure"),
                row("CND-4", "nobody was asked about the card", f -> {}, HOLDS, "cardNotAsked"),
                row("CND-4", "the card was sent", f -> f.answer(Question.REGISTRATION, "SENT"), HOLDS, "cardSent"),
                row("CND-4", "no card for it", f -> f.answer(Question.REGISTRATION, "NO_CARD"), HOLDS, "noCard"),
                row(
                        "CND-4",
                        "a card not sent is said and keeps nothing shut",
                        f -> f.answer(Question.REGISTRATION, "NOT_YET"),
                        ADVISE,
                        "cardNotSent"),
                row("CND-4", "an open recall", f -> f.answer(Question.RECALL, "OPEN"), STOP, "open"),
                row(
                        "CND-4",
                        "not looked up",
                        f -> f.answer(Question.RECALL, "NOT_LOOKED_UP"),
                        NOT_KNOWN,
                        "notLookedUp"),
                row(
                        "CND-5",
                        "all parts here",
                        f -> f.answer(Question.PARTS, "COMPLETE"),
                        HOLDS,
                        "complete",
                        "count",
                        2),
                row("CND-5", "no list to check against", f -> f.seat.parts = Evidence.notLooked(), NOT_KNOWN, "noList"),
                row("CND-5", "something added", f -> f.answer(Question.PARTS, "ADDED_THINGS"), FIX, "addedThings"),
                row("CND-6", "no vehicle manual", f -> f.answer(Question.MANUALS, "SEAT_ONLY"), NOT_KNOWN, "seatOnly"),
                row(
                        "CND-7",
                        "an approval that counts",
                        f -> f.answer(Question.APPROVAL, "ON_LABEL"),
                        HOLDS,
                        "counts",
                        "country",
                        "US"),
                row(
                        "CND-7",
                        "an approval of another country",
                        f -> f.seat.approvals = stated(List.of("CA")),
                        STOP,
                        "otherCountry",
                        "country",
                        "US"),
                row(
                        "CND-7",
                        "nothing on the label",
                        f -> f.answer(Question.APPROVAL, "NOT_ON_LABEL"),
                        STOP,
                        "notOnLabel"),
                row(
                        "CND-8",
                        "a base from the list",
                        f -> f.label(Part.BASE, "b-1", "2022-05"),
                        HOLDS,
                        "belongs",
                        "model",
                        "b-1"),
                row(
                        "CND-8",
                        "a base of another carrier",
                        f -> f.label(Part.BASE, "B-9", "2022-05"),
                        STOP,
                        "otherBase",
                        "model",
                        "B-9"),
                row("CND-8", "no list", f -> f.seat.bases = Evidence.notLooked(), NOT_KNOWN, "noList"),
                row(
                        "CND-8",
                        "set up for another seat",
                        f -> {
                            setUp(f);
                            f.answer(Question.BASE_SET_UP, "OTHERWISE");
                        },
                        FIX,
                        "otherwise"),
                row(
                        "CND-9",
                        "label and sheet agree",
                        f -> f.label(Part.CARRIER, "m-1", "2022-05"),
                        HOLDS,
                        "matches",
                        "model",
                        "m-1",
                        "made",
                        "2022-05"),
                row(
                        "CND-9",
                        "another model number",
                        f -> f.label(Part.CARRIER, "M-2", "2022-05"),
                        STOP,
                        "otherModel",
                        "model",
                        "M-2"),
                row(
                        "CND-9",
                        "made before the sheet's range",
                        f -> f.label(Part.CARRIER, "M-1", "2018-12"),
                        STOP,
                        "otherDate",
                        "made",
                        "2018-12"),
                row(
                        "CND-9",
                        "picked by name alone",
                        f -> f.label(Part.CARRIER, null, null),
                        NOT_KNOWN,
                        "labelIncomplete"),
                row(
                        "CND-9",
                        "a draft counts for nothing",
                        f -> f.seat.status = SheetStatus.DRAFT,
                        NOT_KNOWN,
                        "draft",
                        "seat",
                        "Testmaker Seat"),
                row(
                        "CND-9",
                        "a newer version waits for a lead",
                        ConditionRulesTest::newerVersion,
                        NOT_KNOWN,
                        "newerVersion",
                        "sheet",
                        "test-seat 2"),
                row(
                        "CND-9",
                        "a technician cannot take the newer version",
                        f -> {
                            newerVersion(f);
                            f.add(adopt(2, Fact.Adoption.ADOPTED));
                        },
                        NOT_KNOWN,
                        "newerVersion"),
                row(
                        "CND-9",
                        "a lead declined it",
                        f -> {
                            newerVersion(f);
                            f.add(How.MEASURED, FittingBuilder.LEAD, f.lastSeq(), adopt(2, Fact.Adoption.DECLINED));
                        },
                        HOLDS,
                        "current"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void rule(RuleCase each) {
        each.check();
    }

    private static void made(FittingBuilder fitting, String made) {
        relabel(fitting, Part.CARRIER, "M-1", made, null);
    }

    private static void printed(FittingBuilder fitting, String month) {
        fitting.seat.life = stated(new ServiceLife(ServiceLife.Kind.PRINTED, null));
        for (Part part : Part.values()) {
            String model = part == Part.CARRIER ? "M-1" : "B-1";
            relabel(fitting, part, model, "2020-01", month);
        }
    }

    /** Another label in the place of the one that was read. */
    private static void relabel(FittingBuilder fitting, Part part, String model, String made, String notAfter) {
        fitting.replace(
                fact -> fact instanceof Fact.LabelRead label && label.part() == part,
                new Fact.LabelRead(
                        UnitId.FIRST,
                        part,
                        model,
                        PartialDate.parse(made),
                        notAfter == null ? null : PartialDate.parse(notAfter)));
    }

    private static void shortLivedBase(FittingBuilder fitting) {
        fitting.seat.bases = stated(List.of(new BaseFit("Base", List.of("B-1"), 3, null)));
    }

    private static void setUp(FittingBuilder fitting) {
        fitting.seat.bases = stated(List.of(new BaseFit("Base", List.of("B-1"), null, "long end up")));
    }

    private static void newerVersion(FittingBuilder fitting) {
        SeatSheetBuilder newer = new SeatSheetBuilder();
        newer.sheet = new SheetVersion("test-seat", 2);
        fitting.moreSeats.add(newer.build());
    }

    private static Fact adopt(int version, Fact.Adoption adoption) {
        return new Fact.SheetAdopted(new SheetVersion("test-seat", version), adoption, "tested");
    }
}
