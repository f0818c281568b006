package app.layette.web.day;

import app.layette.core.day.FreeTimes;
import app.layette.core.day.Span;
import app.layette.core.day.Wish;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingState;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.day.Appointment.Place;
import app.layette.web.day.Appointment.State;
import app.layette.web.day.Appointment.What;
import app.layette.web.fitting.FittingLists;
import app.layette.web.workbench.TodayPlan;
import app.layette.web.workbench.TodayPlanBoardParts;
import app.layette.web.workbench.TodayPlanCardParts;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Draws a day by bay: each appointment with how its fitting stands, where it hangs, and what is free from now on. */
@Component
class DayBoard implements TodayPlan {
    private static final int WIDTH = 900;
    private static final int LEFT = 116;
    private static final int TOP = 30;
    private static final int LANE = 118;
    private static final int MOST_NEXT = 12;
    private static final int MOST_OFFERED = 5;
    private static final int OFFERED_AHEAD_DAYS = 21;
    private static final LocalTime USUAL_FROM = LocalTime.of(9, 0);
    private static final LocalTime USUAL_TO = LocalTime.of(17, 0);
    private static final int MINUTES_AN_HOUR = 60;

    private static final String YESTERDAY =
            " where point_id = :point and touched_at >= (cast(:day as timestamp) at time zone :zone)"
                    + " and touched_at < (cast(:next as timestamp) at time zone :zone)";

    private final Appointments appointments;
    private final Openings openings;
    private final FittingLists lists;
    private final Viewing viewing;
    private final JdbcClient jdbc;

    DayBoard(Appointments appointments, Openings openings, FittingLists lists, Viewing viewing, JdbcClient jdbc) {
        this.appointments = appointments;
        this.openings = openings;
        this.lists = lists;
        this.viewing = viewing;
        this.jdbc = jdbc;
    }

    /** The hours that are drawn: whole ones, round what is open and what is booked. */
    private record Axis(int from, int to) {
        static Axis round(List<Span> open, List<Appointment> booked) {
            List<Span> spans = new ArrayList<>(open);
            booked.forEach(each -> each.place().map(Place::span).ifPresent(spans::add));
            LocalTime from = spans.stream()
                    .map(Span::from)
                    .min(Comparator.naturalOrder())
                    .orElse(USUAL_FROM);
            LocalTime to =
                    spans.stream().map(Span::to).max(Comparator.naturalOrder()).orElse(USUAL_TO);
            int last = to.getMinute() == 0 ? to.getHour() : to.getHour() + 1;
            return new Axis(from.getHour(), Math.max(from.getHour() + 1, last));
        }

        int x(LocalTime time) {
            double minutes = (time.toSecondOfDay() / (double) MINUTES_AN_HOUR) - from * MINUTES_AN_HOUR;
            return LEFT + (int) Math.round(minutes * (WIDTH - LEFT) / ((to - from) * MINUTES_AN_HOUR));
        }

        boolean holds(LocalTime time) {
            return time.getHour() >= from && time.getHour() < to;
        }
    }

    @Override
    @Transactional
    public Board on(SignedIn user, LocalDate day) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        List<Span> open = openings.hours(point.id()).on(day);
        List<Appointment> booked = appointments.on(point.id(), day);
        Axis axis = Axis.round(open, booked);
        List<Openings.NamedBay> bays = openings.bays(point.id());
        ZonedDateTime now = ZonedDateTime.now(viewing.clock().withZone(point.zone()));
        boolean isToday = now.toLocalDate().equals(day);
        List<Lane> lanes = new ArrayList<>();
        List<Card> cards = new ArrayList<>();
        for (Openings.NamedBay bay : bays) {
            List<Card> here = booked.stream()
                    .filter(each -> each.place()
                            .filter(place -> place.bay().equals(bay.id()))
                            .isPresent())
                    .map(each -> card(point, each, axis, words))
                    .toList();
            cards.addAll(here);
            List<Gap> gaps = isToday && !bay.ward() ? gaps(point, bay, open, booked, axis, now, words) : List.of();
            lanes.add(new Lane(bay.id().toString(), name(bay, words), TOP + lanes.size() * LANE, here, gaps));
        }
        List<Waiting> waiting = waiting(point, bays, axis, words);
        return TodayPlanBoardParts.builder()
                .day(day.toString())
                .dayWords(words.say(day))
                .before(day.minusDays(1).toString())
                .after(day.plusDays(1).toString())
                .width(WIDTH)
                .height(TOP + lanes.size() * LANE + 26)
                .hours(hours(open, words))
                .now(isToday && axis.holds(now.toLocalTime()) ? axis.x(now.toLocalTime()) : -1)
                .nowWords(time(now.toLocalTime()))
                .ticks(ticks(axis))
                .lanes(lanes)
                .waiting(waiting)
                .yesterday(isToday ? yesterday(point, day.minusDays(1), words) : "")
                .next(cards.stream()
                        .filter(each -> !each.over())
                        .sorted(Comparator.comparing(Card::from))
                        .limit(MOST_NEXT)
                        .toList())
                .build();
    }

    /** Who waits longest is offered first, and what is offered to one is offered to nobody else. */
    private List<Waiting> waiting(Point point, List<Openings.NamedBay> bays, Axis axis, Wording words) {
        List<Waiting> waiting = new ArrayList<>();
        Set<FreeTimes.Free> offered = new HashSet<>();
        LocalDate today = viewing.today(point);
        for (Appointment each : appointments.waiting(point.id())) {
            Card card = card(point, each, axis, words);
            Optional<FreeTimes.Free> free = waiting.size() >= MOST_OFFERED
                    ? Optional.empty()
                    : appointments
                            .free(
                                    point,
                                    appointments.wish(
                                            point, each.what(), today, Optional.of(today.plusDays(OFFERED_AHEAD_DAYS))),
                                    MOST_NEXT * (offered.size() + 1))
                            .stream()
                            .filter(time -> offered.stream().noneMatch(other -> clash(other, time)))
                            .findFirst();
            free.ifPresent(offered::add);
            waiting.add(new Waiting(
                    card,
                    free.map(time -> time.bay() + " " + time.day() + " "
                                    + time(time.span().from()))
                            .orElse(""),
                    free.map(time -> words.say(
                                    "day.at",
                                    Map.of(
                                            "day",
                                            Argument.of(time.day()),
                                            "time",
                                            Argument.of(time(time.span().from())),
                                            "bay",
                                            Argument.of(bays.stream()
                                                    .filter(bay ->
                                                            bay.id().toString().equals(time.bay()))
                                                    .map(bay -> name(bay, words))
                                                    .findFirst()
                                                    .orElse("")))))
                            .orElse("")));
        }
        return waiting;
    }

    private static boolean clash(FreeTimes.Free one, FreeTimes.Free other) {
        return one.bay().equals(other.bay())
                && one.day().equals(other.day())
                && one.span().overlaps(other.span());
    }

    static String name(Openings.NamedBay bay, Wording words) {
        return bay.name().matches("\\d+")
                ? words.say("day.bay", Map.of("number", Argument.of(bay.name())))
                : bay.name();
    }

    private static List<Tick> ticks(Axis axis) {
        List<Tick> ticks = new ArrayList<>();
        for (int hour = axis.from(); hour <= axis.to(); hour++) {
            LocalTime time = LocalTime.of(hour % 24, 0);
            ticks.add(new Tick(hour == axis.to() ? WIDTH : axis.x(time), hour + ":00"));
        }
        return ticks;
    }

    private static String hours(List<Span> open, Wording words) {
        return open.isEmpty()
                ? words.say("day.closed")
                : words.say("day.open", Map.of("hours", Argument.of(Openings.text(open))));
    }

    static String time(LocalTime time) {
        return time.getHour() + ":" + (time.getMinute() < 10 ? "0" : "") + time.getMinute();
    }

    private Card card(Point point, Appointment of, Axis axis, Wording words) {
        Optional<Span> span = of.place().map(Place::span);
        int x = span.map(each -> axis.x(each.from())).orElse(0);
        int width = span.map(each -> axis.x(each.to()) - axis.x(each.from())).orElse(0);
        Optional<FittingLists.Listed> fitting = of.fitting().flatMap(id -> lists.listed(id, point.id()));
        String mark = mark(of, fitting);
        boolean isOver = of.state() == State.NO_SHOW
                || of.state() == State.CAME
                        && fitting.filter(each -> !each.state().isUnderWay()).isPresent();
        return TodayPlanCardParts.builder()
                .id(of.id().toString())
                .address(fitting.filter(each -> of.state() == State.CAME)
                        .map(each -> "/fittings/" + each.id())
                        .orElse("/appointments/" + of.id()))
                .x(x)
                .width(width)
                .from(span.map(each -> time(each.from())).orElse(""))
                .who(of.who())
                .what(of.due()
                        .map(due -> words.say(
                                "day.due",
                                Map.of("what", new Argument.OfKey("day.what." + of.what()), "due", Argument.of(due))))
                        .orElseGet(() -> words.say("day.what." + of.what())))
                .mark(mark)
                .state(state(of, fitting, words))
                .over(isOver)
                .build();
    }

    private static String mark(Appointment of, Optional<FittingLists.Listed> fitting) {
        if (of.state() == State.NO_SHOW) {
            return "fix";
        }
        if (of.state() != State.CAME || fitting.isEmpty()) {
            return "advise";
        }
        FittingState state = fitting.get().state();
        if (state == FittingState.LEFT_WITH_OPEN_FINDINGS || state == FittingState.NOT_FITTED) {
            return "fix";
        }
        return state == FittingState.OPEN && fitting.get().blocking() > 0 ? "not_known" : "holds";
    }

    /** How its fitting stands and where it hangs; before it came, that it is to come. */
    private static String state(Appointment of, Optional<FittingLists.Listed> fitting, Wording words) {
        if (of.state() != State.CAME || fitting.isEmpty()) {
            return words.say("day.state." + of.state());
        }
        FittingLists.Listed listed = fitting.get();
        boolean hangs = listed.state() == FittingState.OPEN && listed.nextStep() != null && listed.blocking() > 0;
        return hangs ? words.say("step." + listed.nextStep()) : words.say("state." + listed.state());
    }

    /** What a family that walks in could have from now on. */
    private List<Gap> gaps(
            Point point,
            Openings.NamedBay bay,
            List<Span> open,
            List<Appointment> booked,
            Axis axis,
            ZonedDateTime now,
            Wording words) {
        Wish wish =
                new Wish(What.FOLLOW_UP.floorMinutes(), false, now.toLocalDate(), now.toLocalTime(), now.toLocalDate());
        return appointments.free(point, wish, MOST_NEXT * MOST_NEXT).stream()
                .filter(free -> free.bay().equals(bay.id().toString()))
                .findFirst()
                .map(free -> gap(point, free, open, booked, axis, words))
                .stream()
                .toList();
    }

    private Gap gap(
            Point point, FreeTimes.Free free, List<Span> open, List<Appointment> booked, Axis axis, Wording words) {
        LocalTime from = free.span().from();
        LocalTime closes = open.stream()
                .filter(each -> each.holds(free.span()))
                .map(Span::to)
                .findFirst()
                .orElse(free.span().to());
        LocalTime until = booked.stream()
                .flatMap(each -> each.place().stream())
                .filter(place -> place.bay().toString().equals(free.bay()))
                .map(place -> place.span().from())
                .filter(each -> !each.isBefore(free.span().to()))
                .min(Comparator.naturalOrder())
                .filter(each -> each.isBefore(closes))
                .orElse(closes);
        int minutes = (until.toSecondOfDay() - from.toSecondOfDay()) / MINUTES_AN_HOUR;
        int whole = appointments.minutes(point.id(), What.FULL);
        return new Gap(
                "/appointments/new?what=" + (minutes >= whole ? What.FULL : What.FOLLOW_UP) + "&earliest=" + free.day(),
                axis.x(from),
                axis.x(until) - axis.x(from),
                words.say("day.freeUntil", Map.of("time", Argument.of(time(until)))),
                minutes >= whole
                        ? words.say("day.wholeFits", Map.of("minutes", Argument.of(whole)))
                        : words.say("day.shortFits", Map.of("minutes", Argument.of(minutes))));
    }

    /** What came of the day before, in a sentence; empty where nothing was done. */
    private String yesterday(Point point, LocalDate day, Wording words) {
        Object[] spanOf = {day.atStartOfDay(), day.plusDays(1).atStartOfDay()};
        String counted = jdbc.sql("select count(*) as fittings, count(*) filter (where state = 'HANDED_OVER') as over,"
                        + " count(*) filter (where state = 'LEFT_WITH_OPEN_FINDINGS') as left_open from fitting"
                        + YESTERDAY)
                .param("point", point.id())
                .param("day", spanOf[0])
                .param("next", spanOf[1])
                .param("zone", point.zone().getId())
                .query((row, number) -> row.getInt("fittings") == 0
                        ? ""
                        : words.say(
                                "day.yesterday",
                                Map.of(
                                        "fittings",
                                        Argument.of(row.getInt("fittings")),
                                        "over",
                                        Argument.of(row.getInt("over")),
                                        "open",
                                        Argument.of(row.getInt("left_open")))))
                .single();
        return counted.isEmpty() ? "" : counted + often(point, spanOf, words);
    }

    /** What was most often found wrong on arrival that day; empty where nothing was. */
    private String often(Point point, Object[] spanOf, Wording words) {
        // By the day on which it was found, along the index of what was found: of the entries nothing else is read.
        return jdbc.sql("select document #>> '{fact,misuse}' as misuse, count(*) as times from entry"
                        + YESTERDAY.replace("touched_at", "at")
                        + " and document #>> '{fact,kind}' = 'foundSo'"
                        + " and document #>> '{fact,there}' = 'true' group by 1 order by 2 desc, 1 limit 1")
                .param("point", point.id())
                .param("day", spanOf[0])
                .param("next", spanOf[1])
                .param("zone", point.zone().getId())
                .query((row, number) -> " "
                        + words.say(
                                "day.foundMost",
                                Map.of(
                                        "misuse",
                                        new Argument.OfKey("misuse." + constant(row.getString("misuse"))),
                                        "times",
                                        Argument.of(row.getInt("times")))))
                .optional()
                .orElse("");
    }

    /** A constant as an entry's document spells it. */
    private static String constant(String spelled) {
        return spelled.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT);
    }
}
