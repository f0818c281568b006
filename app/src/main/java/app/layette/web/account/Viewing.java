package app.layette.web.account;

import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Wording;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a user sees things: language, units, and which day it is at the fitting point. */
@Service
public class Viewing {
    private final Users users;
    private final Points points;
    private final Clock clock;
    private final Map<UnitSystem, Wording> wordings = new ConcurrentHashMap<>();

    Viewing(Users users, Points points, Clock clock) {
        this.users = users;
        this.points = points;
        this.clock = clock;
    }

    /** Words in the user's units. */
    @Transactional(readOnly = true)
    public Wording wording(SignedIn user) {
        UnitSystem units = unitsOf(user);
        return wordings.computeIfAbsent(units, each -> new Wording(Locale.ENGLISH, each));
    }

    @Transactional
    public void switchUnits(SignedIn user) {
        User stored = users.findById(user.userId()).orElseThrow();
        stored.see(unitsOf(user).other());
    }

    private UnitSystem unitsOf(SignedIn user) {
        return users.findById(user.userId())
                .flatMap(User::units)
                .orElseGet(() -> points.findById(user.pointId()).orElseThrow().units());
    }

    /** The fitting point of the user. */
    @Transactional(readOnly = true)
    public Point point(SignedIn user) {
        return point(user.pointId());
    }

    @Transactional(readOnly = true)
    public Point point(UUID id) {
        return points.findById(id).orElseThrow();
    }

    /** The day at a fitting point. */
    public LocalDate today(Point point) {
        return LocalDate.now(clock.withZone(point.zone()));
    }

    public Clock clock() {
        return clock;
    }
}
