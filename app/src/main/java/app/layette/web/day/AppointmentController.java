package app.layette.web.day;

import app.layette.core.coming.Preparation;
import app.layette.core.day.FreeTimes;
import app.layette.core.day.Wish;
import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.formats.calendar.AppointmentCalendar;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.day.Appointment.Place;
import app.layette.web.day.Appointment.State;
import app.layette.web.day.Appointment.What;
import app.layette.web.due.Mail;
import app.layette.web.fitting.FittingLists;
import app.layette.web.fitting.LetterAddresses;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Appointments: a free time searched and booked, moved by drag, keys and form, and what became of it. */
@Controller
@RequestMapping("/appointments")
class AppointmentController {
    private static final String DAY = "20\\d{2}-\\d{2}-\\d{2}";
    private static final int LONGEST_SUBJECT = 200;
    private static final int LONGEST_BODY = 4000;
    private static final int MOST_OFFERED = 12;
    private static final int MOST_LOOKED_AT = 120;
    private static final int MOST_A_DAY = 4;
    private static final int APART_MINUTES = 60;
    private static final int SEARCHED_DAYS = 120;

    private final Appointments appointments;
    private final Openings openings;
    private final FittingLists lists;
    private final Mail mail;
    private final LetterAddresses addresses;
    private final Viewing viewing;

    AppointmentController(
            Appointments appointments,
            Openings openings,
            FittingLists lists,
            Mail mail,
            LetterAddresses addresses,
            Viewing viewing) {
        this.mail = mail;
        this.addresses = addresses;
        this.appointments = appointments;
        this.openings = openings;
        this.lists = lists;
        this.viewing = viewing;
    }

    /** Something to be done, and how long it takes here. */
    public record WhatTile(String what, String name, int minutes) {}

    /** A free time to choose. */
    public record Offered(String value, String words) {}

    /** What a due date proposes. */
    public record Proposed(String words, String house) {}

    @GetMapping("/new")
    String form(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        fill(user, fields, List.of(), Optional.empty(), model);
        return "day/new";
    }

    private void fill(
            SignedIn user,
            Map<String, String> fields,
            List<FieldProblem> problems,
            Optional<FreeTimes.Free> next,
            Model model) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        What what = Arrays.stream(What.values())
                .filter(each -> each.name().equals(fields.get("what")))
                .findFirst()
                .orElse(What.FULL);
        Optional<LocalDate> due = day(fields.getOrDefault("due", ""));
        Optional<Preparation> proposed = due.map(each -> Preparation.of(
                each, fields.containsKey("several"), day(fields.getOrDefault("soonerBy", "")), viewing.today(point)));
        boolean beforeBirth = what == What.BEFORE_BIRTH && proposed.isPresent();
        LocalDate from = day(fields.getOrDefault("earliest", ""))
                .or(() -> proposed.filter(each -> beforeBirth).map(Preparation::from))
                .orElse(viewing.today(point));
        Wish wish = appointments.wish(point, what, from, Optional.of(from.plusDays(SEARCHED_DAYS)));
        model.addAttribute(
                "whats",
                Arrays.stream(What.values())
                        .map(each -> new WhatTile(
                                each.name(), words.say("day.what." + each), appointments.minutes(point.id(), each)))
                        .toList());
        model.addAttribute("what", what.name());
        model.addAttribute("from", from);
        model.addAttribute("typed", fields);
        model.addAttribute("today", viewing.today(point));
        model.addAttribute(
                "offered",
                spread(appointments.free(point, wish, MOST_LOOKED_AT)).stream()
                        .map(free -> offered(user, free, words))
                        .toList());
        model.addAttribute(
                "proposed",
                proposed.map(each -> new Proposed(
                                words.say(
                                        "day.proposed",
                                        Map.of("from", Argument.of(each.from()), "by", Argument.of(each.by()))),
                                words.say("day.house", Map.of("by", Argument.of(each.by())))))
                        .orElse(null));
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        model.addAttribute("next", next.map(free -> offered(user, free, words)).orElse(null));
    }

    /** A few of each day, an hour apart: nobody chooses among quarters of an hour. */
    private static List<FreeTimes.Free> spread(List<FreeTimes.Free> free) {
        List<FreeTimes.Free> some = new ArrayList<>();
        for (FreeTimes.Free each : free) {
            List<FreeTimes.Free> sameDay = some.stream()
                    .filter(other -> other.day().equals(each.day()))
                    .toList();
            boolean apart = sameDay.isEmpty()
                    || !each.span()
                            .from()
                            .isBefore(sameDay.get(sameDay.size() - 1)
                                    .span()
                                    .from()
                                    .plusMinutes(APART_MINUTES));
            if (apart && sameDay.size() < MOST_A_DAY && some.size() < MOST_OFFERED) {
                some.add(each);
            }
        }
        return some;
    }

    private static Optional<LocalDate> day(String text) {
        try {
            return text.strip().matches(DAY) ? Optional.of(LocalDate.parse(text.strip())) : Optional.empty();
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private Offered offered(SignedIn user, FreeTimes.Free free, Wording words) {
        String bay = openings.bays(user.pointId()).stream()
                .filter(each -> each.id().toString().equals(free.bay()))
                .map(each -> DayBoard.name(each, words))
                .findFirst()
                .orElse("");
        return new Offered(
                free.bay() + " " + free.day() + " " + DayBoard.time(free.span().from()),
                words.say(
                        "day.at",
                        Map.of(
                                "day", Argument.of(free.day()),
                                "time", Argument.of(DayBoard.time(free.span().from())),
                                "bay", Argument.of(bay))));
    }

    @PostMapping
    ModelAndView book(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam UUID id,
            @RequestParam Map<String, String> fields,
            Model model) {
        if (fields.containsKey("show")) {
            fill(user, fields, List.of(), Optional.empty(), model);
            return new ModelAndView("day/new", model.asMap());
        }
        Appointments.Outcome outcome;
        try {
            outcome = appointments.book(user, id, fields);
        } catch (DataIntegrityViolationException e) {
            // Somebody took it at the same moment: by now it is seen.
            outcome = appointments.book(user, id, fields);
        }
        if (outcome.id().isPresent()) {
            return new ModelAndView("redirect:/appointments/" + outcome.id().get());
        }
        fill(user, fields, outcome.problems(), outcome.next(), model);
        return new ModelAndView("day/new", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @GetMapping("/{id}")
    String one(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        Appointment of = appointments.one(user.pointId(), id).orElseThrow(Appointments.NoSuchAppointmentException::new);
        model.addAttribute("id", id);
        model.addAttribute("who", of.who());
        model.addAttribute("reference", of.reference());
        model.addAttribute("what", words.say("day.what." + of.what()));
        model.addAttribute("state", of.state().name());
        model.addAttribute("stateWords", words.say("day.state." + of.state()));
        model.addAttribute(
                "when", of.place().map(place -> when(user, place, words)).orElse(""));
        model.addAttribute(
                "day", of.place().map(place -> place.day().toString()).orElse(""));
        model.addAttribute("due", of.due().map(words::say).orElse(""));
        model.addAttribute("dueOn", of.due().map(LocalDate::toString).orElse(""));
        model.addAttribute(
                "proposed",
                appointments
                        .proposed(point, of)
                        .map(each -> words.say(
                                "day.proposed", Map.of("from", Argument.of(each.from()), "by", Argument.of(each.by()))))
                        .orElse(""));
        model.addAttribute("fitting", of.fitting().orElse(null));
        model.addAttribute(
                "fittingState",
                of.fitting()
                        .flatMap(fitting -> lists.listed(fitting, user.pointId()))
                        .map(listed -> words.say("state." + listed.state()))
                        .orElse(""));
        LocalDate from = of.place().map(Place::day).orElse(viewing.today(point));
        Wish wish = appointments.wish(point, of.what(), from, Optional.of(from.plusDays(SEARCHED_DAYS)));
        model.addAttribute(
                "offered",
                spread(appointments.free(point, wish, MOST_LOOKED_AT)).stream()
                        .map(free -> offered(user, free, words))
                        .toList());
        model.addAttribute(
                "bring",
                Arrays.stream(words.say("day.bring." + (of.due().isPresent() ? "BEFORE_BIRTH" : "CHILD"))
                                .split(";"))
                        .map(String::strip)
                        .toList());
        model.addAttribute("told", of.told().isEmpty() ? "NOT" : of.told().get() == of.revision() ? "YES" : "CHANGED");
        model.addAttribute("toldOf", of.told().map(String::valueOf).orElse(""));
        model.addAttribute("mail", mail.way().name());
        if (!model.containsAttribute("body")) {
            model.addAttribute("subject", words.say("day.letter.subject", Map.of("point", Argument.of(point.name()))));
            model.addAttribute("body", body(user, of, point, words));
            model.addAttribute(
                    "address",
                    of.fitting()
                            .map(fitting -> addresses.of(point.id(), fitting))
                            .orElse(""));
        }
        return "day/appointment";
    }

    private String body(SignedIn user, Appointment of, Point point, Wording words) {
        boolean isOver = of.state() == State.CANCELLED || of.place().isEmpty();
        String key = isOver ? "day.letter.over" : of.told().isPresent() ? "day.letter.changed" : "day.letter.new";
        return words.say(
                key,
                Map.of(
                        "what",
                        new Argument.OfKey("day.what." + of.what()),
                        "when",
                        Argument.of(of.place()
                                .map(place -> when(user, place, words))
                                .orElse("")),
                        "bring",
                        new Argument.OfKey("day.bring." + (of.due().isPresent() ? "BEFORE_BIRTH" : "CHILD")),
                        "point",
                        Argument.of(point.name())));
    }

    /** Writes to the family: the appointment, or its change, and what to bring. */
    @PostMapping("/{id}/letter")
    String letter(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String subject,
            @RequestParam(defaultValue = "") String body,
            @RequestParam(defaultValue = "") String address,
            @RequestParam(defaultValue = "") String told,
            RedirectAttributes after) {
        Wording words = viewing.wording(user);
        Appointment of = appointments.one(user.pointId(), id).orElseThrow(Appointments.NoSuchAppointmentException::new);
        List<String> problems = new ArrayList<>();
        if (mail.way() == Mail.Way.NONE) {
            problems.add(words.say("letter.refused.noMail"));
        }
        if (subject.isBlank() || subject.length() > LONGEST_SUBJECT || body.isBlank() || body.length() > LONGEST_BODY) {
            problems.add(words.say(new FieldProblem("body", "", "TOO_LONG", "1", String.valueOf(LONGEST_BODY))));
        }
        boolean addressed = mail.way() == Mail.Way.TO_AN_ADDRESS;
        if (addressed && !mail.takes(address.strip())) {
            problems.add(words.say("letter.refused.address", Map.of("address", Argument.of(address))));
        }
        Optional<Integer> before = told.matches("\\d{1,9}") ? Optional.of(Integer.valueOf(told)) : Optional.empty();
        if (problems.isEmpty() && appointments.claimLetter(user, of, before)) {
            try {
                mail.send(
                        user.pointId(),
                        new Mail.Letter(
                                of.reference(), addressed ? address.strip() : "", subject.strip(), body.strip()));
            } catch (Mail.NotTakenException e) {
                appointments.notTold(user, of, before);
                problems.add(words.say("letter.refused.notTaken"));
            }
        }
        if (!problems.isEmpty()) {
            after.addFlashAttribute("refused", problems);
            after.addFlashAttribute("subject", subject);
            after.addFlashAttribute("body", body);
            after.addFlashAttribute("address", address);
        }
        return "redirect:/appointments/" + id;
    }

    private String when(SignedIn user, Place place, Wording words) {
        return offered(user, new FreeTimes.Free(place.bay().toString(), place.day(), place.span()), words)
                .words();
    }

    @PostMapping("/{id}/move")
    String move(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam String time,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes after) {
        Appointments.Outcome outcome;
        try {
            outcome = appointments.move(user, id, time);
        } catch (DataIntegrityViolationException e) {
            outcome = appointments.move(user, id, time);
        }
        Wording words = viewing.wording(user);
        if (outcome.id().isEmpty()) {
            after.addFlashAttribute(
                    "refused", outcome.problems().stream().map(words::say).toList());
            outcome.next().map(free -> offered(user, free, words)).ifPresent(free -> {
                after.addFlashAttribute("nextTime", free.value());
                after.addFlashAttribute("nextWords", free.words());
                after.addFlashAttribute("nextOf", id);
            });
        }
        return day(back).map(day -> "redirect:/?day=" + day).orElse("redirect:/appointments/" + id);
    }

    @PostMapping("/{id}/came")
    String came(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        appointments.mark(user, id, State.CAME);
        Appointment of = appointments.one(user.pointId(), id).orElseThrow(Appointments.NoSuchAppointmentException::new);
        return of.fitting().map(fitting -> "redirect:/fittings/" + fitting).orElse("redirect:/appointments/" + id);
    }

    @PostMapping("/{id}/absent")
    String absent(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        appointments.mark(user, id, State.NO_SHOW);
        return "redirect:/appointments/" + id;
    }

    @PostMapping("/{id}/cancel")
    String cancel(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        appointments.mark(user, id, State.CANCELLED);
        return "redirect:/appointments/" + id;
    }

    /** For the family's calendar: the same appointment keeps its id, so that a change updates what is there. */
    @GetMapping("/{id}/calendar.ics")
    ResponseEntity<String> calendar(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        Appointment of = appointments.one(user.pointId(), id).orElseThrow(Appointments.NoSuchAppointmentException::new);
        return of.place()
                .map(place -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"appointment.ics\"")
                        .body(AppointmentCalendar.of(
                                new AppointmentCalendar.Event(
                                        id.toString(),
                                        place.day().atTime(place.span().from()).atZone(point.zone()),
                                        place.day().atTime(place.span().to()).atZone(point.zone()),
                                        words.say("day.what." + of.what()) + " · " + point.name(),
                                        words.say("day.bring." + (of.due().isPresent() ? "BEFORE_BIRTH" : "CHILD")),
                                        of.revision(),
                                        of.state() == State.CANCELLED || of.state() == State.NO_SHOW),
                                viewing.clock().instant())))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
