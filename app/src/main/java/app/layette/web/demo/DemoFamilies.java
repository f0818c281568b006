package app.layette.web.demo;

import static app.layette.web.demo.FamilyScript.RIDER;
import static app.layette.web.demo.FamilyScript.UNIT;
import static app.layette.web.demo.FamilyScript.acted;
import static app.layette.web.demo.FamilyScript.answer;
import static app.layette.web.demo.FamilyScript.base;
import static app.layette.web.demo.FamilyScript.car;
import static app.layette.web.demo.FamilyScript.child;
import static app.layette.web.demo.FamilyScript.childIn;
import static app.layette.web.demo.FamilyScript.cleared;
import static app.layette.web.demo.FamilyScript.height;
import static app.layette.web.demo.FamilyScript.inThimbleOnAnchors;
import static app.layette.web.demo.FamilyScript.insert;
import static app.layette.web.demo.FamilyScript.labels;
import static app.layette.web.demo.FamilyScript.measures;
import static app.layette.web.demo.FamilyScript.taughtAndCheckedAgain;
import static app.layette.web.demo.FamilyScript.threaded;

import app.layette.core.cabin.FloorAndLeg;
import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.cabin.OneSystem;
import app.layette.core.cabin.SitsWhole;
import app.layette.core.child.Sex;
import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.condition.KnownHistory;
import app.layette.core.condition.NoCrash;
import app.layette.core.entry.Act;
import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.handover.CautionsGiven;
import app.layette.core.harness.NothingThickUnder;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.recline.GroundLevel;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.SettingId;
import app.layette.core.secure.BeltPath;
import app.layette.core.secure.InchTest;
import app.layette.core.secure.LockOffClosed;
import app.layette.core.secure.LockProof;
import app.layette.core.secure.OwnBuckle;
import app.layette.core.secure.Windows;
import app.layette.core.suit.HeadRoom;
import app.layette.core.vehicle.PositionId;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.NewFamily;
import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** The families of the demo, dated from the day it is loaded so that they never go stale. */
@Component
class DemoFamilies {
    private static final Author MARIT = new Author("marit", Author.Role.TECHNICIAN);
    private static final Author TOVE = new Author("tove", Author.Role.TECHNICIAN);
    private static final Author ANSEL = new Author("ansel", Author.Role.TECHNICIAN);
    private static final Author PIM = new Author("pim", Author.Role.TRAINEE);

    private final Fittings fittings;
    private final Beginnings beginnings;
    private final Viewing viewing;
    private final TransactionTemplate transactions;

    DemoFamilies(Fittings fittings, Beginnings beginnings, Viewing viewing, TransactionTemplate transactions) {
        this.fittings = fittings;
        this.beginnings = beginnings;
        this.viewing = viewing;
        this.transactions = transactions;
    }

    void load(Point point) {
        store(slotAboveShoulder(point), point, MARIT);
        store(expiredSeat(point), point, ANSEL);
        store(unansweredHandle(point), point, TOVE);
        store(earlyAndUnscreened(point), point, TOVE);
        store(legOverStorage(point), point, ANSEL);
        store(winterCoat(point), point, PIM);
        store(beltPulledAgain(point), point, MARIT);
        ReclineFamilies recline = new ReclineFamilies(viewing.today(point));
        store(
                recline.slopingYard(begin(point, "W-1049", "Aldis", new SheetVersion("tansy-rook-skein", 2), 20)),
                point,
                TOVE);
        store(
                recline.rigidArms(begin(point, "W-1050", "Petra", new SheetVersion("tansy-rook-skein-swivel", 1), 16)),
                point,
                ANSEL);
        store(
                recline.rolledTowel(begin(point, "W-1051", "Halvard", new SheetVersion("ostler-heddle", 1), 12)),
                point,
                MARIT);
        FlatAndBaselessFamilies others = new FlatAndBaselessFamilies(viewing.today(point));
        store(
                others.carBed(begin(point, "W-1052", "Isolde", new SheetVersion("wrenfold-shuttle", 1), 10)),
                point,
                TOVE);
        store(others.layFlat(begin(point, "W-1053", "Rowan", new SheetVersion("ostler-selvedge", 1), 8)), point, ANSEL);
        store(others.taxi(begin(point, "W-1054", "Bastian", new SheetVersion("tansy-rook-skein", 2), 6)), point, MARIT);
        TwinFamilies twins = new TwinFamilies(viewing.today(point));
        store(twins.ida(begin(point, "W-1055", "Ida", new SheetVersion("wrenfold-thimble", 3), 5)), point, MARIT);
        store(twins.otto(begin(point, "W-1056", "Otto", new SheetVersion("wrenfold-bobbin", 1), 4)), point, MARIT);
        HarnessFamilies harness = new HarnessFamilies(viewing.today(point));
        store(
                harness.grownPastTheInsert(
                        begin(point, "W-1057", "Philippa", new SheetVersion("wrenfold-thimble", 3), 3)),
                point,
                MARIT);
        RecordFamilies over = new RecordFamilies(viewing.today(point));
        int day = (int) Duration.ofDays(1).toMinutes();
        store(
                over.sealed(begin(
                        point,
                        "W-1031",
                        "Ottilie",
                        new SheetVersion("wrenfold-thimble", 3),
                        RecordFamilies.SEALED_DAYS_AGO * day)),
                point,
                MARIT);
        store(
                over.leftOpen(begin(
                        point,
                        "W-1036",
                        "Caspian",
                        new SheetVersion("wrenfold-thimble", 3),
                        RecordFamilies.LEFT_DAYS_AGO * day)),
                point,
                TOVE);
        store(ready(point), point, MARIT);
    }

    /** Each family is stored whole or not at all, and only once. */
    private void store(NewFamily family, Point point, Author author) {
        if (!beginnings.knowsFamily(point.id(), family.reference())) {
            transactions.executeWithoutResult(status -> family.store(beginnings, fittings, point.id(), author));
        }
    }

    private OffsetDateTime ago(Point point, int minutes) {
        return OffsetDateTime.now(viewing.clock().withZone(point.zone()))
                .truncatedTo(ChronoUnit.MINUTES)
                .minusMinutes(minutes);
    }

    private LocalDate born(Point point, int daysAgo) {
        return viewing.today(point).minusDays(daysAgo);
    }

    /** Tamsin: everything looked at and in order, ready to be handed over. */
    private NewFamily ready(Point point) {
        NewFamily family = begin(point, "W-1041", "Tamsin", new SheetVersion("wrenfold-thimble", 3), 55);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 6), 279, Sex.FEMALE, Mass.ofGrams(3080)));
        measures(family, Mass.ofGrams(2950), Length.ofCentimetres(49.5));
        labels(family, "WT-210", "2023-04", "WB-21", "2023-03");
        cleared(family);
        inThimbleOnAnchors(family, true, 210, 336);
        answer(family, Question.GAP, GapToFrontSeat.Answer.FLAT_HAND);
        taughtAndCheckedAgain(family, HandlePosition.UP);
        answer(family, Question.CAUTIONS, CautionsGiven.Answer.GIVEN);
        return family;
    }

    /** Osric: a kind gift, and out of date since last spring. */
    private NewFamily expiredSeat(Point point) {
        NewFamily family = begin(point, "W-1042", "Osric", new SheetVersion("tansy-rook-skein", 2), 38);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 19), 275, Sex.MALE, Mass.ofGrams(3360)));
        measures(family, Mass.ofPoundsAndOunces(8, 6), Length.ofInches(21));
        LocalDate made = viewing.today(point).minusYears(9).minusMonths(7);
        String month = made.toString().substring(0, 7);
        labels(family, "SK8-A", month, "SKB-1", month);
        answer(family, Question.HISTORY, KnownHistory.Answer.KNOWN_DONOR);
        answer(family, Question.CRASH, NoCrash.Answer.NONE);
        return family;
    }

    /** Linnea: a small baby, and the straps are still where the last child left them. */
    private NewFamily slotAboveShoulder(Point point) {
        NewFamily family = begin(point, "W-1043", "Linnea", new SheetVersion("wrenfold-bobbin", 1), 24);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 11), 262, Sex.FEMALE, Mass.ofGrams(2740)));
        measures(family, Mass.ofPoundsAndOunces(6, 2), Length.ofCentimetres(48));
        labels(family, "WN-330", "2024-09", "WNB-33", "2024-09");
        cleared(family);
        insert(family, "insert", true);
        family.add(How.MEASURED, new Fact.ShoulderSeen(RIDER, 1));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 3, 1, "short");
        return family;
    }

    /** Bramwell: nearly done; nobody has read what the seat manual says about the handle. */
    private NewFamily unansweredHandle(Point point) {
        NewFamily family = begin(point, "W-1044", "Bramwell", new SheetVersion("ostler-heddle", 1), 45);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 33), 281, Sex.MALE, Mass.ofGrams(3520)));
        measures(family, Mass.ofGrams(4310), Length.ofCentimetres(54));
        labels(family, "H-40", "2022-11", "HS-4", "2022-11");
        cleared(family);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 232));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "only loop");
        car(family, "corvane-estate", 2, "2-LEFT");
        base(family, "");
        childIn(family);
        family.add(How.MEASURED, new Fact.HandleSet(UNIT, HandlePosition.TOWARDS_FOOT_END));
        return family;
    }

    /** Edda: born at 35 weeks, and nobody has answered for the screening. */
    private NewFamily earlyAndUnscreened(Point point) {
        NewFamily family = begin(point, "W-1045", "Edda", new SheetVersion("wrenfold-bobbin", 1), 31);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 16), 246, Sex.FEMALE, Mass.ofGrams(2180)));
        measures(family, Mass.ofGrams(2310), Length.ofCentimetres(46));
        labels(family, "WN-330", "2025-02", "WNB-33", "2025-02");
        cleared(family);
        insert(family, "insert", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 201));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "short");
        return family;
    }

    /** Juniper: the load leg stands on a lid over storage. */
    private NewFamily legOverStorage(Point point) {
        NewFamily family = begin(point, "W-1046", "Juniper", new SheetVersion("tansy-rook-skein", 2), 62);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 40), 283, Sex.FEMALE, Mass.ofGrams(3610)));
        measures(family, Mass.ofPoundsAndOunces(10, 2), Length.ofInches(22));
        labels(family, "SK8-B", "2023-10", "SKB-2", "2023-10");
        answer(family, Question.BASE_SET_UP, BaseFitsCarrier.Answer.AS_SHEET);
        cleared(family);
        insert(family, "insert", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 246));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "");
        car(family, "pallander-dray", 1, "2-RIGHT");
        base(family, "4");
        answer(family, Question.LEG, FloorAndLeg.Answer.LOCKED_ON_FLOOR);
        return family;
    }

    /** Soren: everything by a trainee so far, and a padded coat under the straps. */
    private NewFamily winterCoat(Point point) {
        NewFamily family = begin(point, "W-1047", "Soren", new SheetVersion("wrenfold-thimble", 3), 50);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 25), 277, Sex.MALE, Mass.ofGrams(3400)));
        measures(family, Mass.ofGrams(3790), Length.ofCentimetres(52));
        labels(family, "WT-211", "2024-06", "WB-21", "2024-06");
        cleared(family);
        insert(family, "head", false);
        insert(family, "body", true);
        family.add(How.MEASURED, new Fact.ShoulderSeen(RIDER, 1));
        answer(family, Question.HEAD_ROOM, HeadRoom.Answer.AT_LEAST_50);
        threaded(family, 1, 1, "short");
        car(family, "corvane-estate", 2, "2-RIGHT");
        base(family, "5");
        answer(family, Question.CLOTHING, NothingThickUnder.Answer.COAT_UNDER_STRAPS);
        return family;
    }

    /** Maren: in the middle by the belt; it was in order until somebody pulled the belt again. */
    private NewFamily beltPulledAgain(Point point) {
        NewFamily family = begin(point, "W-1048", "Maren", new SheetVersion("wrenfold-thimble", 3), 58);
        child(family, new Fact.ChildDescribed(RIDER, born(point, 12), 280, Sex.FEMALE, Mass.ofGrams(3300)));
        measures(family, Mass.ofPoundsAndOunces(7, 5), Length.ofInches(20));
        labels(family, "WT-210", "2025-01", "WB-21", "2025-01");
        cleared(family);
        insert(family, "head", true);
        insert(family, "body", true);
        family.add(How.MEASURED, height(Fact.Dimension.SHOULDER, 221));
        family.add(How.MEASURED, height(Fact.Dimension.CROWN, 348));
        threaded(family, 1, 1, "short");
        family.add(
                How.MEASURED,
                new Fact.SheetAdopted(new SheetVersion("corvane-estate", 2), Fact.Adoption.ADOPTED, null));
        family.add(How.MEASURED, new Fact.Placed(UNIT, PositionId.parse("2-MIDDLE"), Method.BASE_BELT));
        answer(family, Question.GROUND, GroundLevel.Answer.LEVEL);
        acted(family, Act.PREPARED);
        family.add(How.MEASURED, new Fact.DeviceSet(UNIT, new SettingId("2")));
        answer(family, Question.BELT_ROUTE, BeltPath.Answer.STRAIGHT_IN_PATH);
        answer(family, Question.BUCKLE, OwnBuckle.Answer.ITS_OWN);
        acted(family, Act.TIGHTENED);
        answer(family, Question.LOCK_OFF, LockOffClosed.Answer.CLOSED);
        answer(family, Question.LOCK_PROOF, LockProof.Answer.HELD);
        answer(family, Question.SITS_WHOLE, SitsWhole.Answer.WHOLE);
        answer(family, Question.SYSTEMS, OneSystem.Answer.BELT_ALONE);
        answer(family, Question.MOVEMENT, InchTest.Answer.UNDER_AN_INCH);
        answer(family, Question.WINDOWS, Windows.Answer.ALL_LOCKED);
        childIn(family);
        acted(family, Act.TIGHTENED);
        return family;
    }

    private NewFamily begin(Point point, String reference, String child, SheetVersion seat, int minutesAgo) {
        return new NewFamily(reference, child, seat, ago(point, minutesAgo + 40))
                .add(How.MEASURED, new Fact.SheetAdopted(seat, Fact.Adoption.ADOPTED, null));
    }
}
