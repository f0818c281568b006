package app.layette.web.standin;

import app.layette.core.condition.RecallNotice;
import app.layette.core.entry.FieldProblem;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.recall.RecallPublished;
import app.layette.web.recall.RecallService;
import app.layette.web.shell.TypedText;
import java.sql.Timestamp;
import java.sql.Types;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** A recall service that pretends: recalls are published on its own page, and it can be slow or dead. */
@StandIn
@Controller
class SimulatedRecalls implements RecallService {
    private static final int LONGEST = 200;
    private static final long SLOW_MS = 3_000;
    /** Whoever asks waits no longer than this. */
    private static final long PATIENCE_MS = 2_000;

    /** How it behaves. */
    enum Mood {
        WELL,
        SLOW,
        DEAD
    }

    private final JdbcClient jdbc;
    private final Viewing viewing;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transactions;
    private volatile Mood mood = Mood.WELL;

    SimulatedRecalls(
            JdbcClient jdbc, Viewing viewing, ApplicationEventPublisher events, TransactionTemplate transactions) {
        this.jdbc = jdbc;
        this.viewing = viewing;
        this.events = events;
        this.transactions = transactions;
    }

    @Override
    public List<RecallNotice> about(String model) throws UnreachableException {
        boolean answers = mood == Mood.WELL;
        if (!answers) {
            pause(mood == Mood.SLOW ? Math.min(SLOW_MS, PATIENCE_MS) : 0);
            throw new UnreachableException("the recall service is " + mood);
        }
        return jdbc.sql("select id, model, made_from, made_to, title, remedy, published_at from simulated_recall"
                        + " where lower(model) = lower(:model) order by published_at")
                .param("model", model.strip())
                .query(SimulatedRecalls::notice)
                .list();
    }

    private static void pause(long milliseconds) {
        try {
            Thread.sleep(milliseconds);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isSimulated() {
        return true;
    }

    private static RecallNotice notice(java.sql.ResultSet row, int number) throws java.sql.SQLException {
        return new RecallNotice(
                row.getObject("id", UUID.class),
                row.getString("model"),
                row.getObject("made_from", LocalDate.class),
                row.getObject("made_to", LocalDate.class),
                row.getString("title"),
                row.getString("remedy"),
                row.getTimestamp("published_at").toInstant());
    }

    private List<RecallNotice> all() {
        return jdbc.sql("select id, model, made_from, made_to, title, remedy, published_at from simulated_recall"
                        + " order by published_at desc limit 200")
                .query(SimulatedRecalls::notice)
                .list();
    }

    /** What the service publishes, as other programs read it. */
    @GetMapping("/recalls/feed.json")
    @ResponseBody
    List<RecallNotice> feed() throws UnreachableException {
        return all();
    }

    @GetMapping("/recalls")
    String page(Model model) {
        fill(model, Map.of(), List.of());
        return "standin/recalls";
    }

    private void fill(Model model, Map<String, String> typed, List<String> problems) {
        model.addAttribute("notices", all());
        model.addAttribute("mood", mood.name());
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems);
    }

    @PostMapping("/recalls")
    ModelAndView publish(
            @AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        List<FieldProblem> problems = new ArrayList<>();
        String number = TypedText.needed(fields, "modelNumber", LONGEST, problems);
        String title = TypedText.needed(fields, "title", LONGEST, problems);
        String remedy = TypedText.needed(fields, "remedy", LONGEST, problems);
        Optional<LocalDate> from = day(fields, "madeFrom", problems);
        Optional<LocalDate> to = day(fields, "madeTo", problems);
        if (!problems.isEmpty()) {
            fill(
                    model,
                    fields,
                    problems.stream().map(viewing.wording(user)::say).toList());
            return new ModelAndView("standin/recalls", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        Instant now = viewing.clock().instant();
        transactions.executeWithoutResult(status -> {
            jdbc.sql("insert into simulated_recall (id, model, made_from, made_to, title, remedy, published_at)"
                            + " values (:id, :model, :from, :to, :title, :remedy, :at)")
                    .param("id", UUID.randomUUID())
                    .param("model", number)
                    .param("from", from.orElse(null), Types.DATE)
                    .param("to", to.orElse(null), Types.DATE)
                    .param("title", title)
                    .param("remedy", remedy)
                    .param("at", Timestamp.from(now))
                    .update();
            events.publishEvent(new RecallPublished(number));
        });
        return new ModelAndView("redirect:/recalls");
    }

    @PostMapping("/recalls/{id}/take-back")
    String takeBack(@PathVariable UUID id) {
        all().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .ifPresent(each -> transactions.executeWithoutResult(status -> {
                    jdbc.sql("delete from simulated_recall where id = :id")
                            .param("id", id)
                            .update();
                    events.publishEvent(new RecallPublished(each.model()));
                }));
        return "redirect:/recalls";
    }

    @PostMapping("/recalls/mood")
    String behave(@RequestParam Mood mood) {
        this.mood = mood;
        return "redirect:/recalls";
    }

    private static Optional<LocalDate> day(Map<String, String> fields, String name, List<FieldProblem> problems) {
        String text = fields.getOrDefault(name, "").strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(text));
        } catch (DateTimeParseException e) {
            problems.add(FieldProblem.outside(name, text, LocalDate.of(1990, 1, 1), LocalDate.of(2099, 12, 31)));
            return Optional.empty();
        }
    }
}
