package app.layette.web.people;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.core.measure.DateReader;
import app.layette.core.measure.UnreadableDateException;
import app.layette.web.account.SignedIn;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.factor.Factors;
import app.layette.web.trail.Trail;
import app.layette.web.wall.Wall;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.server.ResponseStatusException;

/** The people of a fitting point, as a lead keeps them. Nobody is ever deleted: entries keep their author. */
@Service
public class People {
    private static final int LONGEST_SHOWN = 80;
    private static final int LONGEST_CERTIFICATE = 40;

    private final Users users;
    private final PasswordEncoder passwords;
    private final PasswordLinks links;
    private final Sessions sessions;
    private final Trail trail;
    private final Clock clock;
    private final TransactionTemplate anew;
    private final Factors factors;

    People(
            Users users,
            PasswordEncoder passwords,
            PasswordLinks links,
            Sessions sessions,
            Trail trail,
            Clock clock,
            Factors factors,
            PlatformTransactionManager manager) {
        this.anew = new TransactionTemplate(manager);
        this.anew.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.factors = factors;
        this.users = users;
        this.passwords = passwords;
        this.links = links;
        this.sessions = sessions;
        this.trail = trail;
        this.clock = clock;
    }

    /** What a form says of somebody. */
    private record Typed(
            String shown,
            Author.Role role,
            @Nullable String certificate,
            @Nullable LocalDate until) {}

    /** Everybody of the lead's point, who works before who is retired. */
    @Transactional(readOnly = true)
    public List<User> of(SignedIn lead) {
        needLead(lead);
        List<User> all = new ArrayList<>(users.findByPointIdOrderByName(lead.pointId()));
        all.sort((one, other) -> Boolean.compare(other.works(), one.works()));
        return all;
    }

    /**
     * Adds somebody, and makes the link by which they set their password.
     *
     * @return the path of the link
     * @throws RefusedPersonException with every problem found
     */
    @Transactional
    public String add(SignedIn lead, Map<String, String> fields, LocalDate today) {
        needLead(lead);
        List<FieldProblem> problems = new ArrayList<>();
        String name = fields.getOrDefault("person", "").strip();
        if (!User.isName(name)) {
            problems.add(new FieldProblem("person", name, "NOT_A_SIGN_IN_NAME", "2", "40"));
        } else if (isTaken(name)) {
            problems.add(new FieldProblem("person", name, "PERSON_TAKEN", "", ""));
        }
        Typed typed = read(fields, today, problems);
        if (!problems.isEmpty()) {
            throw new RefusedPersonException(problems);
        }
        // Until the link was used nobody knows the password.
        String nobodys =
                Objects.requireNonNull(passwords.encode(UUID.randomUUID().toString() + UUID.randomUUID()));
        User added = users.saveAndFlush(new User(lead.pointId(), name, typed.shown(), nobodys, typed.role())
                .become(typed.shown(), typed.role(), typed.certificate(), typed.until()));
        trail.add(lead.pointId(), lead.getUsername(), Trail.What.PERSON_ADDED, name + " " + typed.role());
        return link(lead, added);
    }

    /**
     * Changes what is said of somebody.
     *
     * @throws RefusedPersonException with every problem found
     */
    @Transactional
    public void change(SignedIn lead, UUID id, Map<String, String> fields, LocalDate today) {
        User person = find(lead, id);
        List<FieldProblem> problems = new ArrayList<>();
        Typed typed = read(fields, today, problems);
        if (typed.role() != Author.Role.LEAD) {
            checkAnotherLead(person, problems);
        }
        if (!problems.isEmpty()) {
            throw new RefusedPersonException(problems);
        }
        person.become(typed.shown(), typed.role(), typed.certificate(), typed.until());
        trail.add(
                lead.pointId(),
                lead.getUsername(),
                Trail.What.PERSON_CHANGED,
                person.name() + " " + typed.role() + (typed.until() == null ? "" : " until " + typed.until()));
    }

    /**
     * Retires somebody, who is out at once, or takes them back.
     *
     * @throws RefusedPersonException when no lead would be left
     */
    @Transactional
    public void retire(SignedIn lead, UUID id, boolean retires) {
        User person = find(lead, id);
        if (person.works() != retires) {
            return;
        }
        List<FieldProblem> problems = new ArrayList<>();
        if (retires) {
            checkAnotherLead(person, problems);
        }
        if (!problems.isEmpty()) {
            throw new RefusedPersonException(problems);
        }
        person.retire(retires ? clock.instant() : null);
        if (retires) {
            sessions.endAll(person.name());
        }
        trail.add(
                lead.pointId(),
                lead.getUsername(),
                retires ? Trail.What.PERSON_RETIRED : Trail.What.PERSON_BACK,
                person.name());
    }

    /** Makes a link by which somebody sets a new password; what they had goes on until it is used. */
    @Transactional
    public String link(SignedIn lead, UUID id) {
        return link(lead, find(lead, id));
    }

    private String link(SignedIn lead, User person) {
        trail.add(lead.pointId(), lead.getUsername(), Trail.What.PASSWORD_LINK_MADE, person.name());
        return "/password/" + links.make(person.id());
    }

    /** Takes the second factor from somebody who lost it, and signs them out; they set up another one. */
    @Transactional
    public void removeSecondFactor(SignedIn lead, UUID id) {
        User person = find(lead, id);
        sessions.endAll(person.name());
        factors.removeAll(id, lead.getUsername());
    }

    /** Signs somebody out wherever they are signed in. */
    @Transactional
    public void signOut(SignedIn lead, UUID id) {
        User person = find(lead, id);
        sessions.endAll(person.name());
        trail.add(lead.pointId(), lead.getUsername(), Trail.What.SESSIONS_ENDED, person.name());
    }

    private User find(SignedIn lead, UUID id) {
        needLead(lead);
        return users.findById(id)
                .filter(each -> each.pointId().equals(lead.pointId()))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private void checkAnotherLead(User person, List<FieldProblem> problems) {
        boolean isLead = person.role() == Author.Role.LEAD && person.works();
        boolean another = users.findByPointIdOrderByName(person.pointId()).stream()
                .anyMatch(each -> each.works()
                        && each.role() == Author.Role.LEAD
                        && !each.id().equals(person.id()));
        if (isLead && !another) {
            problems.add(new FieldProblem("role", person.name(), "LAST_LEAD", "", ""));
        }
    }

    private static Typed read(Map<String, String> fields, LocalDate today, List<FieldProblem> problems) {
        String shown = fields.getOrDefault("shown", "").strip();
        if (shown.isEmpty()) {
            problems.add(new FieldProblem("shown", "", "NEEDED", "", ""));
        } else if (shown.length() > LONGEST_SHOWN) {
            problems.add(new FieldProblem("shown", shown, "TOO_LONG", "1", String.valueOf(LONGEST_SHOWN)));
        }
        Optional<Author.Role> role = Arrays.stream(Author.Role.values())
                .filter(each -> each.name().equals(fields.get("role")))
                .findFirst();
        if (role.isEmpty()) {
            problems.add(FieldProblem.notAmong(
                    "role",
                    fields.getOrDefault("role", ""),
                    Arrays.stream(Author.Role.values())
                            .map(each -> each.name().toLowerCase(java.util.Locale.ROOT))
                            .toList()));
        }
        String certificate = fields.getOrDefault("certificate", "").strip();
        if (certificate.length() > LONGEST_CERTIFICATE) {
            problems.add(
                    new FieldProblem("certificate", certificate, "TOO_LONG", "1", String.valueOf(LONGEST_CERTIFICATE)));
        }
        String until = fields.getOrDefault("certificateUntil", "").strip();
        LocalDate last = null;
        if (!until.isEmpty()) {
            try {
                last = DateReader.day(until, today);
            } catch (UnreadableDateException e) {
                problems.add(new FieldProblem("certificateUntil", until, "NOT_A_DATE", "", ""));
            }
        }
        // What is refused becomes nobody; were it taken all the same, it would be the least.
        return new Typed(shown, role.orElse(Author.Role.TRAINEE), certificate.isEmpty() ? null : certificate, last);
    }

    /** Whether anybody signs in so, at whichever point: asked in a transaction of its own, outside the wall. */
    private boolean isTaken(String name) {
        return Wall.outside(() -> Boolean.TRUE.equals(
                anew.execute(status -> users.findByName(name).isPresent())));
    }

    static void needLead(SignedIn user) {
        if (user.role() != Author.Role.LEAD) {
            throw new AccessDeniedException("Only a lead does this");
        }
    }
}
