package app.layette.web.trip;

import app.layette.core.child.Child;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.journey.Trip;
import app.layette.formats.svg.TripLine;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Plans a drive: legs, stops, total; nothing is kept. */
@Controller
class TripController {
    private static final Pattern HOURS = Pattern.compile("(?:(\\d{1,2})\\s*(?:h|:)\\s*)?(?:(\\d{1,3})\\s*(?:m|min)?)?");
    private static final String USUAL_STOP = "20";
    private static final int LATEST_DAYS = 730;
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm");

    /** A leg or a stop of the printed plan. */
    public record Line(String from, String to, String what, boolean stop) {}

    private final Fittings fittings;
    private final Viewing viewing;

    TripController(Fittings fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/trip")
    String trip(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String driving,
            @RequestParam(defaultValue = USUAL_STOP) String stop,
            @RequestParam(defaultValue = "9:00") String leaving,
            @RequestParam(defaultValue = "") String on,
            @RequestParam(defaultValue = "") String legs,
            Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        LocalDate today = fitting.plan().situation().today();
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("driving", driving);
        model.addAttribute("stop", stop);
        model.addAttribute("leaving", leaving);
        model.addAttribute("on", on.isBlank() ? today.toString() : on);
        model.addAttribute("flat", !fitting.plan().method().isReclined());
        Optional<Child> child = fitting.plan().situation().child().map(Stamped::value);
        model.addAttribute("born", child.isPresent());
        if (child.isEmpty() || driving.isBlank()) {
            return "trip/trip";
        }
        List<String> problems = new ArrayList<>();
        Optional<Duration> drive = within("driving", driving, Trip.SHORTEST, Trip.LONGEST, words, problems);
        Optional<Duration> pause = within("stop", stop, Duration.ZERO, Trip.LONGEST_STOP, words, problems);
        Optional<LocalTime> start = time(leaving, words, problems);
        Optional<LocalDate> day = day(on, today, child.get().born(), words, problems);
        model.addAttribute("problems", problems);
        if (problems.isEmpty()) {
            Duration atMost = Trip.atMost(
                    child.get(),
                    day.orElseThrow(),
                    fitting.plan().situation().practice().profile());
            Trip trip = laid(legs, drive.orElseThrow())
                    .map(own -> Trip.laid(own, atMost, pause.orElseThrow()))
                    .orElseGet(() -> Trip.plan(drive.orElseThrow(), atMost, pause.orElseThrow()));
            show(trip, start.orElseThrow(), words, model);
        }
        return "trip/trip";
    }

    /** Legs that were dragged, in minutes; empty where they are not those of this drive. */
    private static Optional<List<Duration>> laid(String legs, Duration driving) {
        if (!legs.matches("\\d{1,4}(,\\d{1,4}){0,60}")) {
            return Optional.empty();
        }
        List<Duration> own = Arrays.stream(legs.split(","))
                .map(Long::parseLong)
                .map(Duration::ofMinutes)
                .toList();
        Duration sum = own.stream().reduce(Duration.ZERO, Duration::plus);
        boolean fits = sum.equals(driving) && own.stream().noneMatch(Duration::isZero);
        return fits ? Optional.of(own) : Optional.empty();
    }

    private static void show(Trip trip, LocalTime start, Wording words, Model model) {
        List<Line> lines = new ArrayList<>();
        Duration before = null;
        for (Trip.Leg leg : trip.legs()) {
            if (before != null) {
                lines.add(new Line(
                        CLOCK.format(start.plus(before)),
                        CLOCK.format(start.plus(leg.from())),
                        words.say("trip.stop"),
                        true));
            }
            lines.add(new Line(
                    CLOCK.format(start.plus(leg.from())),
                    CLOCK.format(start.plus(leg.to())),
                    words.say("trip.drive", Map.of("time", Argument.of(say(leg.driving())))),
                    false));
            before = leg.to();
        }
        model.addAttribute("lines", lines);
        model.addAttribute("line", TripLine.of(trip, start, words));
        model.addAttribute(
                "legs",
                trip.legs().stream()
                        .map(leg -> String.valueOf(leg.driving().toMinutes()))
                        .collect(Collectors.joining(",")));
        model.addAttribute(
                "tooLong",
                trip.tooLong() == 0
                        ? ""
                        : words.say(
                                "trip.tooLong",
                                Map.of(
                                        "legs", Argument.of(trip.tooLong()),
                                        "atMost", Argument.of(say(trip.atMost())))));
        model.addAttribute(
                "sum",
                words.say(
                        "trip.sum",
                        Map.of(
                                "legs", Argument.of(trip.legs().size()),
                                "stops", Argument.of(trip.stops()),
                                "total", Argument.of(say(trip.total())),
                                "atMost", Argument.of(say(trip.atMost())))));
    }

    private static String say(Duration time) {
        long hours = time.toHours();
        String minutes = time.toMinutesPart() + " min";
        return hours == 0 ? minutes : time.toMinutesPart() == 0 ? hours + " h" : hours + " h " + minutes;
    }

    /** Hours and minutes as people write them: {@code 3 h 20}, {@code 3:20}, {@code 200}. */
    private static Optional<Duration> within(
            String field, String text, Duration least, Duration most, Wording words, List<String> problems) {
        Matcher matcher = HOURS.matcher(text.strip().toLowerCase(java.util.Locale.ROOT));
        boolean readable = matcher.matches() && !text.isBlank();
        Duration read = readable
                ? Duration.ofHours(number(matcher.group(1))).plusMinutes(number(matcher.group(2)))
                : Duration.ofSeconds(-1);
        if (!readable || read.compareTo(least) < 0 || read.compareTo(most) > 0) {
            problems.add(refused(field, text, say(least), say(most), words));
            return Optional.empty();
        }
        return Optional.of(read);
    }

    private static long number(String text) {
        return text == null ? 0 : Long.parseLong(text);
    }

    private static Optional<LocalTime> time(String text, Wording words, List<String> problems) {
        try {
            return Optional.of(LocalTime.parse(text.strip(), CLOCK));
        } catch (DateTimeException e) {
            problems.add(refused("leaving", text, "0:00", "23:59", words));
            return Optional.empty();
        }
    }

    private static Optional<LocalDate> day(
            String text, LocalDate today, LocalDate born, Wording words, List<String> problems) {
        LocalDate last = today.plusDays(LATEST_DAYS);
        try {
            LocalDate day = text.isBlank() ? today : LocalDate.parse(text.strip());
            if (!day.isBefore(born) && !day.isAfter(last)) {
                return Optional.of(day);
            }
        } catch (DateTimeException e) {
            // Said below, like a day out of range.
        }
        problems.add(refused("on", text, born.toString(), last.toString(), words));
        return Optional.empty();
    }

    private static String refused(String field, String text, String least, String most, Wording words) {
        return words.say(
                "trip.refused",
                Map.of(
                        "field", new Argument.OfKey("field.trip." + field),
                        "value", Argument.of(text),
                        "lowest", Argument.of(least),
                        "highest", Argument.of(most)));
    }
}
