package app.layette.web.stock;

import app.layette.core.condition.Expiry;
import app.layette.core.condition.NoCrash;
import app.layette.core.condition.PartsComplete;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.finding.Weight;
import app.layette.core.seat.SeatSheet;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FamilyErased;
import app.layette.web.fitting.Fittings;
import app.layette.web.recall.Recalls;
import app.layette.web.shelf.SheetTakenIn;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.TypedText;
import app.layette.web.stock.StockSeat.State;
import java.sql.Timestamp;
import java.sql.Types;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The seats that a fitting point keeps. A seat that is over its life, or named by a recall, is lent to nobody. */
@Service
public class Stock {
    private static final String COLUMNS = "select id, sheet_id, model, made, serial, state, fitting_id, until,"
            + " washed_on, counted_on, remedied_on, history, no_crash,"
            + " label_photo is not null as has_photo from stock_seat";
    /** How it came here; nothing where nobody knows. */
    private static final List<String> HISTORIES = Stream.concat(
                    Stream.of(""),
                    Answers.to(Question.HISTORY).stream()
                            .filter(each -> Answers.weight(Question.HISTORY, each)
                                    .filter(weight -> weight == Weight.HOLDS)
                                    .isPresent()))
            .toList();

    private static final int LONGEST = 200;
    private static final int LONGEST_SERIAL = 80;
    private static final int LONGEST_LOAN_DAYS = 730;

    private final JdbcClient jdbc;
    private final Shelf shelf;
    private final Fittings fittings;
    private final Recalls recalls;
    private final Viewing viewing;

    Stock(JdbcClient jdbc, Shelf shelf, Fittings fittings, Recalls recalls, Viewing viewing) {
        this.jdbc = jdbc;
        this.shelf = shelf;
        this.fittings = fittings;
        this.recalls = recalls;
        this.viewing = viewing;
    }

    /** Why a seat cannot be lent. */
    public enum Bar {
        OVER_ITS_LIFE,
        LIFE_NOT_KNOWN,
        RECALL_OPEN,
        /** The recall service never answered about its model: somebody has to look it up elsewhere. */
        RECALL_NOT_KNOWN,
        NOT_READY
    }

    /** Something that happened to a seat. */
    public record Event(String at, String by, String what, String about) {}

    @Transactional(readOnly = true)
    public List<StockSeat> of(UUID point) {
        return jdbc.sql(COLUMNS + " where point_id = :point order by state, sheet_id, serial")
                .param("point", point)
                .query(Stock::seat)
                .list();
    }

    private static StockSeat seat(java.sql.ResultSet row, int number) throws java.sql.SQLException {
        return StockSeatParts.builder()
                .id(row.getObject("id", UUID.class))
                .sheetId(row.getString("sheet_id"))
                .model(row.getString("model"))
                .made(PartialDate.parse(row.getString("made")))
                .serial(row.getString("serial"))
                .state(State.valueOf(row.getString("state")))
                .fitting(Optional.ofNullable(row.getObject("fitting_id", UUID.class)))
                .until(Optional.ofNullable(row.getObject("until", LocalDate.class)))
                .washedOn(Optional.ofNullable(row.getObject("washed_on", LocalDate.class)))
                .countedOn(Optional.ofNullable(row.getObject("counted_on", LocalDate.class)))
                .remediedOn(Optional.ofNullable(row.getObject("remedied_on", LocalDate.class)))
                .history(Optional.ofNullable(row.getString("history")))
                .noCrash(row.getBoolean("no_crash"))
                .hasPhoto(row.getBoolean("has_photo"))
                .build();
    }

    /** When it may last be used, as CND-1 counts it; empty where that is not known. */
    Optional<Expiry.LastDay> lastDay(UUID point, StockSeat seat) {
        Fact.LabelRead label = new Fact.LabelRead(UnitId.FIRST, Fact.Part.CARRIER, seat.model(), seat.made(), null);
        return shelf.newestSeat(point, seat.sheetId())
                .map(SeatSheet::asReliedOn)
                .flatMap(sheet -> Expiry.lastDay(label, sheet));
    }

    /** What keeps it from being lent; empty where nothing does. What nobody looked up is not taken for good. */
    @Transactional(readOnly = true)
    public Optional<Bar> bar(Point point, StockSeat seat) {
        if (seat.state() != State.READY) {
            return Optional.of(Bar.NOT_READY);
        }
        Optional<Expiry.LastDay> last = lastDay(point.id(), seat);
        if (last.isEmpty()) {
            return Optional.of(Bar.LIFE_NOT_KNOWN);
        }
        if (last.get().lastDay().filter(viewing.today(point)::isAfter).isPresent()) {
            return Optional.of(Bar.OVER_ITS_LIFE);
        }
        Recalls.Heard heard = recalls.heard(seat.model(), seat.made(), seat.remediedOn(), point.zone());
        if (heard.openSince().isPresent()) {
            return Optional.of(Bar.RECALL_OPEN);
        }
        return heard.known() ? Optional.empty() : Optional.of(Bar.RECALL_NOT_KNOWN);
    }

    /**
     * Takes a seat into the stock: it has to be washed and counted before anybody gets it.
     *
     * @param label its label as it was photographed, a small JPEG; empty where none was
     * @return what is wrong with the form; empty when it was taken in
     */
    @Transactional
    public List<FieldProblem> add(SignedIn user, Map<String, String> fields, Optional<byte[]> label) {
        List<FieldProblem> problems = new ArrayList<>();
        String sheet = TypedText.needed(fields, "seat", LONGEST, problems);
        String model = TypedText.needed(fields, "modelNumber", LONGEST, problems);
        String serial = TypedText.needed(fields, "serial", LONGEST_SERIAL, problems);
        Optional<PartialDate> made = made(fields.getOrDefault("made", ""), problems);
        String history = fields.getOrDefault("history", "");
        if (!HISTORIES.contains(history)) {
            problems.add(FieldProblem.notAmong("history", history, HISTORIES));
        }
        if (!sheet.isEmpty() && shelf.newestSeat(user.pointId(), sheet).isEmpty()) {
            problems.add(FieldProblem.notAmong("seat", sheet, "the shelf"));
        }
        if (problems.isEmpty()) {
            UUID id = UUID.randomUUID();
            jdbc.sql("insert into stock_seat (id, point_id, sheet_id, model, made, serial, state, history)"
                            + " values (:id, :point, :sheet, :model, :made, :serial, 'CLEANING', :history)")
                    .param("id", id)
                    .param("point", user.pointId())
                    .param("sheet", sheet)
                    .param("model", model)
                    .param("made", made.orElseThrow().toString())
                    .param("serial", serial)
                    .param("history", history.isEmpty() ? null : history, Types.VARCHAR)
                    .update();
            label.ifPresent(
                    jpeg -> jdbc.sql("update stock_seat set label_photo = :jpeg where point_id = :point and id = :id")
                            .param("jpeg", jpeg)
                            .param("point", user.pointId())
                            .param("id", id)
                            .update());
            happened(id, user, "ADDED", model);
        }
        return problems;
    }

    /**
     * Lends a ready seat to a family until a day.
     *
     * @param lookedUp whether whoever lends it says to have looked recalls up elsewhere, and found none open; it counts
     *     only where the recall service is not known to have answered
     * @return what is wrong; empty when it was lent
     */
    @Transactional
    public List<FieldProblem> lend(SignedIn user, UUID id, UUID fitting, String day, boolean lookedUp) {
        Point point = viewing.point(user);
        LocalDate today = viewing.today(point);
        LocalDate farthest = today.plusDays(LONGEST_LOAN_DAYS);
        StockSeat seat = locked(user, id);
        Optional<Bar> bar = bar(point, seat).filter(each -> each != Bar.RECALL_NOT_KNOWN || !lookedUp);
        if (bar.isPresent()) {
            return List.of(new FieldProblem("seat", seat.serial(), "STOCK_" + bar.get(), "", ""));
        }
        LocalDate until;
        try {
            until = LocalDate.parse(day.strip());
        } catch (DateTimeParseException e) {
            return List.of(FieldProblem.outside("until", day, today, farthest));
        }
        if (until.isBefore(today) || until.isAfter(farthest)) {
            return List.of(FieldProblem.outside("until", day, today, farthest));
        }
        String reference = fittings.planned(fitting, user.pointId()).reference();
        jdbc.sql(
                        "update stock_seat set state = 'LENT', fitting_id = :fitting, until = :until, lent_on = :today where point_id = :point and id = :id")
                .param("fitting", fitting)
                .param("until", until)
                .param("today", today)
                .param("point", user.pointId())
                .param("id", id)
                .update();
        happened(id, user, lookedUp ? "LENT_LOOKED_UP" : "LENT", reference + " " + until);
        planAgain(user.pointId(), fitting);
        return List.of();
    }

    /** The label as it was photographed; empty where none was, or there is no such seat here. */
    @Transactional(readOnly = true)
    public Optional<byte[]> label(UUID point, UUID id) {
        return jdbc.sql(
                        "select label_photo from stock_seat where point_id = :point and id = :id and label_photo is not null")
                .param("point", point)
                .param("id", id)
                .query((row, number) -> row.getBytes("label_photo"))
                .optional();
    }

    /** It is back: nobody gets it before it was washed and its parts were counted. */
    @Transactional
    public void takeBack(SignedIn user, UUID id) {
        StockSeat seat = locked(user, id);
        seat.fitting().ifPresent(fitting -> {
            jdbc.sql(
                            "update stock_seat set state = 'CLEANING', fitting_id = null, until = null, lent_on = null, counted_on = null,"
                                    + " no_crash = false where point_id = :point and id = :id")
                    .param("point", user.pointId())
                    .param("id", id)
                    .update();
            happened(id, user, "BACK", "");
            planAgain(user.pointId(), fitting);
        });
    }

    /**
     * Washed as its manual says, every part of its list counted, and in no crash since it was counted last.
     *
     * @return what is wrong; empty when it is ready
     */
    @Transactional
    public List<FieldProblem> ready(SignedIn user, UUID id, boolean noCrash) {
        StockSeat seat = locked(user, id);
        if (seat.state() != State.CLEANING) {
            return List.of();
        }
        if (!noCrash) {
            // CND-3: a seat of which nobody can say that goes to nobody.
            return List.of(new FieldProblem("seat", seat.serial(), "STOCK_CRASH_NOT_KNOWN", "", ""));
        }
        LocalDate today = viewing.today(viewing.point(user));
        jdbc.sql("update stock_seat set state = 'READY', washed_on = :today, counted_on = :today, no_crash = true"
                        + " where point_id = :point and id = :id")
                .param("today", today)
                .param("point", user.pointId())
                .param("id", id)
                .update();
        happened(id, user, "READY", "");
        return List.of();
    }

    /**
     * What a fitting with a kept seat begins with: its label, how it came here, no crash and its parts, each as
     * somebody of this point knew it on the day of its last count. Nothing that is only known beside the car.
     *
     * @return empty where the seat is not ready, or not of this point
     */
    @Transactional(readOnly = true)
    public Optional<Known> known(UUID point, UUID id) {
        return of(point).stream()
                .filter(seat -> seat.id().equals(id) && seat.state() == State.READY)
                .findFirst()
                .flatMap(seat -> seat.countedOn().map(day -> new Known(seat.sheetId(), day, facts(seat))));
    }

    /**
     * What is known of a kept seat.
     *
     * @param on the day of its last count
     */
    public record Known(String sheetId, LocalDate on, List<Fact> facts) {}

    private static List<Fact> facts(StockSeat seat) {
        UnitId unit = UnitId.FIRST;
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact.LabelRead(unit, Fact.Part.CARRIER, seat.model(), seat.made(), null));
        seat.history().ifPresent(history -> facts.add(new Fact.Answered(unit, Question.HISTORY, history, null)));
        if (seat.noCrash()) {
            facts.add(new Fact.Answered(unit, Question.CRASH, NoCrash.Answer.NONE));
        }
        facts.add(new Fact.Answered(unit, Question.PARTS, PartsComplete.Answer.COMPLETE));
        return facts;
    }

    /** Whom a newer sheet of a lent seat concerns: it is due with them. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onSheet(SheetTakenIn taken) {
        jdbc.sql("insert into fitting_stale (point_id, fitting_id) select point_id, fitting_id from stock_seat"
                        + " where point_id = :point and sheet_id = :sheet and state = 'LENT' on conflict do nothing")
                .param("point", taken.point())
                .param("sheet", taken.sheet().id())
                .update();
    }

    /**
     * What a fitting has on loan comes to.
     *
     * @param backOn the day on which it is to be back; empty where it has nothing
     * @param newerSheet the day on which a newer sheet came of a seat it has; empty where none did since
     */
    public record Loan(Optional<LocalDate> backOn, Optional<LocalDate> newerSheet) {}

    /** What a fitting has on loan; asked with each of its entries, and so with one question. */
    @Transactional(readOnly = true)
    public Loan loan(UUID fitting, Point point) {
        record Lent(String sheet, LocalDate lentOn, LocalDate until) {}
        List<Lent> lent = jdbc.sql("select sheet_id, lent_on, until from stock_seat"
                        + " where point_id = :point and fitting_id = :fitting")
                .param("point", point.id())
                .param("fitting", fitting)
                .query((row, number) -> new Lent(
                        row.getString("sheet_id"),
                        row.getObject("lent_on", LocalDate.class),
                        row.getObject("until", LocalDate.class)))
                .list();
        return new Loan(
                lent.stream().map(Lent::until).filter(Objects::nonNull).min(LocalDate::compareTo),
                lent.stream()
                        .filter(each -> each.lentOn() != null)
                        .flatMap(each -> newerThan(point, each.sheet(), each.lentOn()).stream())
                        .min(LocalDate::compareTo));
    }

    private Optional<LocalDate> newerThan(Point point, String sheet, LocalDate lentOn) {
        return shelf.newestSeat(point.id(), sheet)
                .filter(seat -> seat.status() == SheetStatus.CONFIRMED)
                .flatMap(seat -> shelf.arrived(point.id(), seat.sheet()))
                .map(at -> at.atZone(point.zone()).toLocalDate())
                .filter(lentOn::isBefore);
    }

    /** Who has a seat of a sheet on loan, in words. */
    @Transactional(readOnly = true)
    public List<StockSeat> lent(UUID point, String sheet) {
        return of(point).stream()
                .filter(seat -> seat.state() == State.LENT && seat.sheetId().equals(sheet))
                .toList();
    }

    /** CND-4: what a recall asks for was done to this very seat; one that is published later is open again. */
    @Transactional
    public void remedied(SignedIn user, UUID id) {
        StockSeat seat = locked(user, id);
        if (seat.state() == State.READY || seat.state() == State.CLEANING) {
            jdbc.sql("update stock_seat set remedied_on = :today where point_id = :point and id = :id")
                    .param("today", viewing.today(viewing.point(user)))
                    .param("point", user.pointId())
                    .param("id", id)
                    .update();
            happened(id, user, "REMEDIED", "");
        }
    }

    /** Out of use, for good; one that is lent has to come back first. */
    @Transactional
    public void takeOut(SignedIn user, UUID id) {
        StockSeat seat = locked(user, id);
        if (seat.state() == State.READY || seat.state() == State.CLEANING) {
            jdbc.sql("update stock_seat set state = 'OUT' where point_id = :point and id = :id")
                    .param("point", user.pointId())
                    .param("id", id)
                    .update();
            happened(id, user, "OUT", "");
        }
    }

    @Transactional(readOnly = true)
    public List<Event> events(SignedIn user, UUID id) {
        Point point = viewing.point(user);
        return jdbc.sql("select e.at, e.by_user, e.what, e.about from stock_event e"
                        + " where e.seat_id = :id and e.point_id = :point order by e.seq desc limit 50")
                .param("id", id)
                .param("point", user.pointId())
                .query((row, number) -> new Event(
                        viewing.wording(user)
                                .moment(row.getTimestamp("at").toInstant().atZone(point.zone())),
                        row.getString("by_user"),
                        row.getString("what"),
                        row.getString("about")))
                .list();
    }

    /** Of whom it was lent to nothing is left where the family is erased. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        jdbc.sql("update stock_event e set about = '' where e.point_id = :point"
                        + " and split_part(e.about, ' ', 1) = :reference")
                .param("point", erased.point())
                .param("reference", erased.reference())
                .update();
    }

    private StockSeat locked(SignedIn user, UUID id) {
        return jdbc.sql(COLUMNS + " where point_id = :point and id = :id for update")
                .param("point", user.pointId())
                .param("id", id)
                .query(Stock::seat)
                .optional()
                .orElseThrow(NoSuchSeatException::new);
    }

    private void happened(UUID seat, SignedIn user, String what, String about) {
        jdbc.sql(
                        "insert into stock_event (point_id, seat_id, seq, at, by_user, what, about) select :point, :id,"
                                + " coalesce(max(seq), 0) + 1, :at, :by, :what, :about from stock_event where point_id = :point and seat_id = :id")
                .param("point", user.pointId())
                .param("id", seat)
                .param("at", Timestamp.from(viewing.clock().instant()))
                .param("by", user.getUsername())
                .param("what", what)
                .param("about", about)
                .update();
    }

    private void planAgain(UUID point, UUID fitting) {
        jdbc.sql("insert into fitting_stale (point_id, fitting_id) values (:point, :fitting) on conflict do nothing")
                .param("point", point)
                .param("fitting", fitting)
                .update();
    }

    private static Optional<PartialDate> made(String text, List<FieldProblem> problems) {
        if (text.isBlank()) {
            problems.add(new FieldProblem("made", text, "NEEDED", "", ""));
            return Optional.empty();
        }
        try {
            return Optional.of(PartialDate.typed(text.strip()));
        } catch (IllegalArgumentException e) {
            problems.add(FieldProblem.outside("made", text, "1990-01", "2099-12"));
            return Optional.empty();
        }
    }

    /** There is no such seat here. */
    @org.springframework.web.bind.annotation.ResponseStatus(org.springframework.http.HttpStatus.NOT_FOUND)
    static class NoSuchSeatException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
