package app.layette.core.entry;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * What is so now in one fitting, for one unit and its rider: the newest of the best-known facts, read from the entries
 * that count. Estimates answer nothing here; rules that want them ask for them by name.
 *
 * <p>It is seen in parts, each on what the one before it knows: what the papers say ({@link PapersNow}), the child
 * ({@link ChildNow}), the restraint ({@link RestraintNow}), its place ({@link PlaceNow}). A rule receives the part that it
 * judges (decision 81); the whole, with who else is fitted here, how the fitting ended and what would be so if, is for the
 * planner, and for the few rules that ask about another place.
 *
 * <p>It is read out of one log ({@link Facts}): which entries of an earlier fitting count ({@link ComingBack}), which
 * sheets are in use and what fills them ({@link SheetsNow}), what the manuals say ({@link ManualPages}), the child's heights
 * in the insert ({@link Heights}), who else is fitted here ({@link Neighbours}), and what would be so if ({@link Thought}).
 */
public final class Situation implements PlaceNow {
    private final Practice practice;
    private final LocalDate today;
    private final Unit unit;
    private final List<Entry> all;
    private final Facts facts;
    private final List<Changes.Placed> changes;
    private final AdoptedSheets sheets;
    private final Optional<VehicleSheet> carInstead;
    private final Optional<SeatSheet> seatInstead;
    private final Optional<SeatSheet> seatNow;
    private final Optional<VehicleSheet> carNow;
    private final ManualPages manuals;
    private final boolean alone;
    private final Neighbours neighbours;
    private final About ofUnit;
    private final Map<Function<Situation, ?>, Object> followed = new ConcurrentHashMap<>();

    private Situation(
            Practice practice, Sheets sheets, FittingRecord record, Unit unit, boolean alone, LocalDate today) {
        this.practice = practice;
        this.today = today;
        this.unit = unit;
        this.all = record.entries();
        // Told once in the fitting point's zone: asking for a day comes back thousands of times in a plan.
        AfterTheEnd afterwards = AfterTheEnd.in(record.entries());
        List<Entry> counting =
                record.entries().stream().filter(afterwards::counts).toList();
        List<Entry> effective = Replay.effective(counting);
        this.ofUnit = new About(record, unit, sheets, effective);
        List<Entry> about = effective.stream()
                .filter(ofUnit::covers)
                .map(entry -> entry.at(practice.zone()))
                .toList();
        this.facts = new Facts(ComingBack.counting(about, record.entries()));
        this.alone = alone;
        this.neighbours = Neighbours.of(record, unit, sheets, effective);
        this.changes = Changes.in(facts.entries(), asSent(counting, ofUnit), neighbours.sheets(unit));
        this.sheets = AdoptedSheets.of(sheets, unit.sheet(), facts.entries());
        this.carInstead = Optional.empty();
        this.seatInstead = Optional.empty();
        SheetsNow now = sheetsNow();
        this.seatNow = now.seat(isQuickSeat(), child().map(Stamped::value), practice, today);
        this.carNow = now.car();
        this.manuals = manuals();
    }

    private Situation(
            Situation other, List<Entry> entries, Optional<VehicleSheet> carInstead, Optional<SeatSheet> seatInstead) {
        this.practice = other.practice;
        this.today = other.today;
        this.unit = other.unit;
        this.all = other.all;
        this.facts = new Facts(entries);
        this.alone = other.alone;
        this.neighbours = other.neighbours;
        this.ofUnit = other.ofUnit;
        this.changes = Changes.in(entries, List.of(), neighbours.sheets(unit));
        this.sheets = other.sheets;
        this.carInstead = carInstead;
        this.seatInstead = seatInstead;
        SheetsNow now = sheetsNow();
        this.seatNow = seatInstead.or(() -> now.seat(isQuickSeat(), child().map(Stamped::value), practice, today));
        this.carNow = carInstead.or(now::car);
        this.manuals = manuals();
    }

    private static List<Entry> asSent(List<Entry> entries, About unit) {
        return entries.stream()
                .filter(entry -> entry.fact() instanceof Fact.Withdrawn || unit.covers(entry))
                .sorted(Comparator.comparingInt(Entry::seq))
                .toList();
    }

    private ManualPages manuals() {
        return new ManualPages(seat(), car(), facts, practice.profile().rollsBeside());
    }

    /**
     * Reads a fitting for its first unit. Where there are more nobody said which is meant, and the gate stays shut.
     *
     * @param today the day in the fitting point's zone
     * @throws UnusableEntriesException when the entries contradict each other or there is no unit
     */
    public static Situation of(Practice practice, Sheets sheets, FittingRecord record, LocalDate today) {
        Unit unit = record.units().stream()
                .findFirst()
                .orElseThrow(() -> new UnusableEntriesException("The fitting has no unit; allowed 1 or more"));
        boolean alone = record.riders().size() == 1 && record.units().size() == 1;
        return new Situation(practice, sheets, record, unit, alone, today);
    }

    /**
     * Reads a fitting for one of its units.
     *
     * @param unit its id
     * @param today the day in the fitting point's zone
     * @throws UnusableEntriesException when the entries contradict each other or there is no such unit
     */
    public static Situation of(Practice practice, Sheets sheets, FittingRecord record, UnitId unit, LocalDate today) {
        List<Unit> meant =
                record.units().stream().filter(each -> each.id().equals(unit)).toList();
        if (meant.isEmpty()) {
            throw new UnusableEntriesException("The fitting has no unit " + unit + "; allowed "
                    + record.units().stream().map(each -> each.id().text()).collect(Collectors.joining(", ")));
        }
        if (meant.size() > 1) {
            // What was seen on the one would count for the other.
            throw new UnusableEntriesException("The fitting has the unit " + unit + " " + meant.size()
                    + " times; allowed is a name of its own for each");
        }
        return new Situation(practice, sheets, record, meant.get(0), true, today);
    }

    @Override
    public Practice practice() {
        return practice;
    }

    @Override
    public LocalDate today() {
        return today;
    }

    @Override
    public Unit unit() {
        return unit;
    }

    @Override
    public Optional<SeatSheet> seat() {
        return seatNow;
    }

    @Override
    public boolean isQuickSeat() {
        return seatInstead.isEmpty() && unit.sheet().equals(QuickSeat.SHEET);
    }

    @Override
    public Optional<VehicleSheet> car() {
        return carNow;
    }

    private SheetsNow sheetsNow() {
        return new SheetsNow(facts, sheets, kinds -> lastChange(kinds, 0), weight().map(Stamped::value));
    }

    @Override
    public List<SheetVersion> pendingVersions() {
        return sheets.pending();
    }

    @Override
    public Optional<Stamped<Child>> child() {
        return facts.best(Fact.ChildDescribed.class, fact -> fact.of().is(unit.rider()))
                .map(stamped -> stamped.with(stamped.value().child()));
    }

    @Override
    public OptionalLong ageDays() {
        return child().map(child -> OptionalLong.of(child.value().ageDays(today)))
                .orElse(OptionalLong.empty());
    }

    @Override
    public Optional<Stamped<Mass>> weight() {
        return facts.best(Fact.Weighed.class, fact -> fact.of().is(unit.rider()))
                .map(stamped -> stamped.with(stamped.value().mass()));
    }

    @Override
    public Optional<Stamped<Fact.LengthMeasured>> measured(Dimension what) {
        return facts.best(Fact.LengthMeasured.class, fact -> fact.what() == what)
                .filter(length -> switch (what) {
                    case BODY -> true;
                    case SHOULDER, CROWN ->
                        length.how().isSeenHere() || length.how().kind() == How.Kind.CARRIED_FROM;
                    case MOVEMENT, GAP -> length.how().isSeenHere();
                });
    }

    @Override
    public <F extends Fact> boolean isToldLater(Stamped<?> inForce, Class<F> kind, Predicate<F> fits) {
        return facts.last(kind, fits)
                .filter(last -> last.seq() > inForce.seq() && last.how().isOnlyTold())
                .filter(last -> inForce.how().isSeenHere() && !last.on().isBefore(inForce.on()))
                .isPresent();
    }

    @Override
    public Optional<Stamped<Fact.LabelRead>> label(Part part) {
        return facts.best(Fact.LabelRead.class, fact -> fact.part() == part)
                .filter(read -> read.how().isSeenHere()
                        || read.how().isReadInDocument()
                        || read.how().isCarried());
    }

    @Override
    public Optional<Stamped<String>> answer(Question question) {
        PositionId here = placed().map(placed -> placed.value().position()).orElse(null);
        return answer(
                question,
                fact -> fact.place() == null || here == null || fact.place().equals(here));
    }

    @Override
    public Optional<Stamped<String>> answerAt(Question question, PositionId place) {
        return answer(question, fact -> place.equals(fact.place()));
    }

    private Optional<Stamped<String>> answer(Question question, Predicate<Fact.Answered> about) {
        return newest(Fact.Answered.class, fact -> fact.question() == question && about.test(fact))
                .map(stamped -> stamped.with(stamped.value().answer()));
    }

    @Override
    public <F extends Fact> Optional<Stamped<F>> newest(Class<F> kind) {
        return newest(kind, fact -> true);
    }

    @Override
    public <F extends Fact> Optional<Stamped<F>> newest(Class<F> kind, Predicate<F> fits) {
        return facts.best(kind, fits);
    }

    @Override
    public <F extends Fact> Optional<Stamped<F>> seen(Class<F> kind, Predicate<F> fits) {
        return facts.best(kind, fits).filter(each -> each.how().isSeenHere());
    }

    @Override
    public <F extends Fact> Optional<Stamped<F>> seen(Class<F> kind) {
        return seen(kind, fact -> true);
    }

    @Override
    public <F extends Fact> Optional<Stamped<F>> set(Class<F> kind, Predicate<F> fits) {
        return facts.best(kind, fits)
                .filter(each -> each.how().isSeenHere() || each.how().isCarried());
    }

    @Override
    public <F extends Fact> List<Stamped<F>> history(Class<F> kind) {
        return facts.history(kind);
    }

    @Override
    public Optional<Stamped<Fact.LevelRead>> level(Stage stage) {
        return seen(Fact.LevelRead.class, fact -> fact.stage() == stage);
    }

    @Override
    public Optional<Stamped<Fact.Placed>> placed() {
        return newest(Fact.Placed.class);
    }

    @Override
    public Optional<Method> method() {
        return placed().map(placed -> placed.value().method());
    }

    @Override
    public int placeSince() {
        int since = 0;
        PositionId before = null;
        for (Stamped<Fact.Placed> placed : history(Fact.Placed.class)) {
            PositionId here = placed.value().position();
            since = here.equals(before) ? since : placed.seq();
            before = here;
        }
        return since;
    }

    @Override
    public Optional<Stamped<Mass>> weightAsSeen(int seen) {
        List<Entry> then = all.stream()
                .filter(entry -> entry.seq() <= seen && isWeighing(entry))
                .sorted(Comparator.comparingInt(Entry::seq))
                .toList();
        return new Facts(Replay.effective(then))
                .best(Fact.Weighed.class, fact -> true)
                .map(stamped -> stamped.with(stamped.value().mass()));
    }

    private boolean isWeighing(Entry entry) {
        boolean withdrawsOne = entry.fact() instanceof Fact.Withdrawn
                && all.stream()
                        .anyMatch(each -> each.id().equals(entry.corrects()) && each.fact() instanceof Fact.Weighed);
        return entry.fact() instanceof Fact.Weighed weighed && weighed.of().is(unit.rider()) || withdrawsOne;
    }

    /** Whether it is said which child and which seat this is about: of several none is taken for granted. */
    public boolean isOfOneRiderAndUnit() {
        return alone;
    }

    /** The other seats of the same fitting, and where they are. */
    public Neighbours neighbours() {
        return neighbours;
    }

    /** The earlier fitting of the same seat, where the family comes back with it. */
    public Optional<Stamped<Fact.CameBack>> cameBack() {
        return newest(Fact.CameBack.class);
    }

    /** Whether it is a re-check: the family came back, and nothing was done to the seat since. */
    public boolean isAsBefore() {
        return ComingBack.isAsBefore(facts.entries());
    }

    @Override
    public Optional<Stamped<Fact.Expected>> expected() {
        return child().isPresent()
                ? Optional.empty()
                : newest(Fact.Expected.class, fact -> fact.of().is(unit.rider()));
    }

    /** Who signed that what stays in the car is in and tested, before the birth. */
    public Optional<Stamped<Fact.Prepared>> prepared() {
        return newest(Fact.Prepared.class);
    }

    @Override
    public boolean isBedside() {
        return newest(Fact.BoxChosen.class)
                .filter(chosen -> chosen.value().box() == Fact.TimeBox.BEDSIDE)
                .isPresent();
    }

    @Override
    public Method usualMethod() {
        return method().orElseGet(() -> Method.usual(seat().map(SeatSheet::kind).orElse(SeatKind.REAR_FACING_ONLY)));
    }

    /** The same fitting as if it were in another car, to ask the rules about it. It is never stored. */
    public Situation asIfIn(VehicleSheet otherCar) {
        return new Situation(this, facts.entries(), Optional.of(otherCar), seatInstead);
    }

    /**
     * The same child and car as if another restraint were thought of, set up as {@code insert} says, to ask the rules
     * about it. What was read, seen or set on the present restraint is forgotten, and heights measured on its insert are
     * taken without it. It is never stored.
     */
    public Situation asIfInSeat(SeatSheet other, List<Fact.InsertSet> insert) {
        boolean same = SheetId.of(other.sheet()).equals(unit.sheet());
        List<Entry> kept = thought().withoutSeat(same, heights(), insert);
        return new Situation(this, kept, carInstead, Optional.of(other.asReliedOn()));
    }

    /**
     * The same fitting as if this place and method had just been chosen, to ask the rules about it. It is never stored.
     */
    public Situation asIfPlaced(PositionId place, Method byMethod) {
        return asIf(new Fact.Placed(unit.id(), place, byMethod));
    }

    /** The same fitting as if this had just been read on a page of a manual. It is never stored. */
    public Situation asIfRead(String page, Fact fact) {
        return thinking(thought().then(lastSeq(), How.manual(page), fact));
    }

    /** The same fitting as if this had just been seen or set, to ask the rules about it. It is never stored. */
    public Situation asIf(Fact fact) {
        return thinking(thought().then(lastSeq(), How.MEASURED, fact));
    }

    /**
     * The same fitting as if a piece of the insert were in or out, heights on the child moved by its lift. It is never
     * stored.
     */
    public Situation asIfInsert(InsertPiece piece, boolean in) {
        return thinking(thought().onBareShell(heights())).asIf(new Fact.InsertSet(unit.id(), piece.key(), in));
    }

    /**
     * What follows from this situation alone, computed once and handed on to whoever asks again.
     *
     * @param how a constant: the same one finds what it computed before
     */
    @SuppressWarnings("unchecked")
    public <T> T once(Function<Situation, T> how) {
        // Not computeIfAbsent: what is computed may ask for something else that follows.
        Object known = followed.get(how);
        if (known == null) {
            known = how.apply(this);
            followed.put(how, known);
        }
        return (T) known;
    }

    private Thought thought() {
        return new Thought(facts.entries(), today.atStartOfDay(practice.zone()).toOffsetDateTime());
    }

    private Situation thinking(List<Entry> entries) {
        return new Situation(this, entries, carInstead, seatInstead);
    }

    @Override
    public Optional<SeatingPosition> position() {
        return placed().flatMap(placed ->
                car().flatMap(car -> car.position(placed.value().position())));
    }

    @Override
    public int slotCount() {
        return newest(Fact.QuickSeatRead.class)
                .filter(read -> isQuickSeat() && read.value().slots() != null)
                .map(read -> read.value().slots())
                .or(() -> seat().flatMap(seat -> seat.shell().slots().value()).map(List::size))
                .or(() -> sheetsNow().slots())
                .orElse(0);
    }

    @Override
    public Optional<InsertPiece.Use> useOf(InsertPiece piece) {
        return weight().flatMap(weight -> piece.useAt(weight.value(), ageDays()));
    }

    @Override
    public Optional<Stamped<Fact.InsertSet>> insert(InsertPiece piece) {
        return heights().insert(piece);
    }

    @Override
    public Length insertLift() {
        return heights().lift();
    }

    @Override
    public Optional<Stamped<Length>> shoulder() {
        return measured(Dimension.SHOULDER).flatMap(heights()::withInsert);
    }

    @Override
    public Optional<Stamped<Length>> crown() {
        return measured(Dimension.CROWN).flatMap(heights()::withInsert);
    }

    private Heights heights() {
        return new Heights(facts, seatNow);
    }

    @Override
    public Permission permission(PermissionKey key) {
        return manuals.permission(key);
    }

    @Override
    public Permission permission(PermissionKey key, Speaker speaker) {
        return manuals.permission(key, speaker);
    }

    @Override
    public Permission permission(PermissionKey key, Speaker speaker, Permission ofPlace) {
        return manuals.permission(key, speaker, ofPlace);
    }

    @Override
    public <F extends Fact> List<F> pages(Class<F> kind) {
        return facts.pages(kind).stream().map(Stamped::value).toList();
    }

    @Override
    public Evidence<Mass> anchorLimit(Speaker speaker) {
        return manuals.anchorLimit(speaker);
    }

    @Override
    public Evidence<Length> gapAsked(Speaker speaker) {
        return manuals.gapAsked(speaker);
    }

    @Override
    public Evidence<Length> headRoomAsked() {
        return manuals.headRoomAsked();
    }

    @Override
    public Evidence<Mass> weightMin() {
        return manuals.weightMin();
    }

    @Override
    public Evidence<Mass> weightMax() {
        return manuals.weightMax();
    }

    @Override
    public Evidence<LengthLimit> lengthMax() {
        return manuals.lengthMax();
    }

    @Override
    public Evidence<Length> borrowedSpacingMost() {
        return manuals.borrowedSpacingMost();
    }

    @Override
    public int lastChange(Set<Change> kinds, int exceptSeq) {
        return changes.stream()
                .filter(change -> kinds.contains(change.change()) && change.seq() != exceptSeq)
                .mapToInt(Changes.Placed::seq)
                .max()
                .orElse(0);
    }

    @Override
    public List<Integer> changes(Set<Change> kinds) {
        return changes.stream()
                .filter(change -> kinds.contains(change.change()))
                .map(Changes.Placed::seq)
                .toList();
    }

    @Override
    public int lastDeviceChange() {
        return facts.lastPlace(fact ->
                fact instanceof Fact.DeviceSet || fact instanceof Fact.RollPlaced || fact instanceof Fact.Placed);
    }

    /** Every entry as it was sent, corrections in their own places. */
    public List<Entry> everything() {
        return all;
    }

    /** What was sent about this unit, its rider or the car, corrections in their own places. */
    public List<Entry> own() {
        return neighbours.isAlone() ? all : asSent(all, ofUnit);
    }

    /** The last place in the fitting; 0 when it is empty. */
    public int lastSeq() {
        return all.stream().mapToInt(Entry::seq).max().orElse(0);
    }

    public Optional<Stamped<Fact.Ended>> ended() {
        return newest(Fact.Ended.class);
    }

    /** An estimated length, where nothing better is known; only ever shown as an estimate. */
    public Optional<Stamped<Fact.LengthMeasured>> estimated(Dimension what) {
        return facts.estimates(Fact.LengthMeasured.class).stream()
                .filter(length -> length.value().what() == what)
                .reduce((first, second) -> second);
    }
}
