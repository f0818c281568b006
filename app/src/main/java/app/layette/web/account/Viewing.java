package app.layette.web.account;

import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** How a user sees things: language, units, and which day it is at the fitting point. */
@Service
public class Viewing {
    private static final String UNITS = Viewing.class.getName() + ".units.";
    /** Marks a request of somebody who chose no units of their own. */
    private static final String POINTS_UNITS = UNITS + "of the point ";

    private static final String POINT = Viewing.class.getName() + ".point.";

    /** As many as there are languages, for each system of units. */
    private static final Map<Locale, Wording> METRIC = new ConcurrentHashMap<>();

    private static final Map<Locale, Wording> CUSTOMARY = new ConcurrentHashMap<>();

    private final Users users;
    private final Points points;
    private final Clock clock;

    Viewing(Users users, Points points, Clock clock) {
        this.users = users;
        this.points = points;
        this.clock = clock;
    }

    /** Words in the user's language and units. */
    public Wording wording(SignedIn user) {
        return wording(user, null);
    }

    /**
     * Words in the user's units, in the language that a page was asked for in.
     *
     * @param lang its tag; null is the user's own
     */
    public Wording wording(SignedIn user, @Nullable String lang) {
        Locale own = LocaleContextHolder.getLocale();
        return wording(lang == null ? Languages.of(own.getLanguage()) : Languages.of(lang), unitsOf(user));
    }

    /** Words for what is done in somebody's name while they are away; English where they are gone or chose nothing. */
    @Transactional(readOnly = true)
    public Wording wordingOf(String name) {
        Optional<User> user = users.findByName(name);
        return wording(
                user.flatMap(User::language).orElse(Locale.ENGLISH),
                user.flatMap(User::units).orElse(UnitSystem.METRIC));
    }

    /** Words in a language and units. */
    public static Wording wording(Locale language, UnitSystem units) {
        Map<Locale, Wording> inUnits = units == UnitSystem.METRIC ? METRIC : CUSTOMARY;
        Wording known = inUnits.get(language);
        return known != null ? known : inUnits.computeIfAbsent(language, each -> new Wording(each, units));
    }

    /** Reads in this language from now on. */
    @Transactional
    public void read(SignedIn user, Locale language) {
        users.findById(user.userId()).orElseThrow().read(language);
    }

    @Transactional
    public void switchUnits(SignedIn user) {
        User stored = users.findById(user.userId()).orElseThrow();
        stored.see(unitsOf(user).other());
        forget(UNITS + user.userId());
        forget(POINTS_UNITS + user.userId());
    }

    /** Keeps with the request what was read of its person already. */
    static void knows(HttpServletRequest request, Users.AtWork atWork) {
        User user = atWork.user();
        request.setAttribute(POINT + user.pointId(), atWork.point());
        user.units()
                .ifPresentOrElse(
                        units -> request.setAttribute(UNITS + user.id(), units),
                        () -> request.setAttribute(POINTS_UNITS + user.id(), true));
    }

    private UnitSystem unitsOf(SignedIn user) {
        return once(
                UNITS + user.userId(),
                () -> ownUnits(user).orElseGet(() -> point(user.pointId()).units()));
    }

    private Optional<UnitSystem> ownUnits(SignedIn user) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        boolean none = request != null
                && request.getAttribute(POINTS_UNITS + user.userId(), RequestAttributes.SCOPE_REQUEST) != null;
        return none ? Optional.empty() : users.findById(user.userId()).flatMap(User::units);
    }

    /** What is asked for many times in one request is read once; outside of requests each time. */
    @SuppressWarnings("unchecked")
    private static <T> T once(String what, Supplier<T> read) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return read.get();
        }
        Object known = request.getAttribute(what, RequestAttributes.SCOPE_REQUEST);
        if (known == null) {
            known = read.get();
            request.setAttribute(what, known, RequestAttributes.SCOPE_REQUEST);
        }
        return (T) known;
    }

    private static void forget(String what) {
        Optional.ofNullable(RequestContextHolder.getRequestAttributes())
                .ifPresent(request -> request.removeAttribute(what, RequestAttributes.SCOPE_REQUEST));
    }

    /** The fitting point of the user. */
    public Point point(SignedIn user) {
        return point(user.pointId());
    }

    public Point point(UUID id) {
        return once(POINT + id, () -> points.findById(id).orElseThrow());
    }

    /** The day at a fitting point. */
    public LocalDate today(Point point) {
        return LocalDate.now(clock.withZone(point.zone()));
    }

    public Clock clock() {
        return clock;
    }
}
