package app.layette.web.fitting;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.How;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What the fields of any form say about its entry besides the fact: which id it was made with, what its author had
 * seen, when it was made, and how it is known.
 */
public final class EntryForm {
    private static final int LONGEST_WAIT_DAYS = 7;
    private static final int CLOCK_MINUTES = 5;

    private final Map<String, String> fields;
    private final Clock clock;
    private final UUID id;

    /**
     * Reads the fields of a form.
     *
     * @param clock the server's
     */
    public EntryForm(Map<String, String> fields, Clock clock) {
        this.fields = Map.copyOf(fields);
        this.clock = clock;
        this.id = uuid(fields.get("id")).or(() -> uuid(fields.get("entry"))).orElseGet(UUID::randomUUID);
    }

    /**
     * An entry of a fact that was read from the same fields.
     *
     * @throws RefusedEntryException when the time at which it was made cannot be
     */
    public EntryDraft draft(Fact fact, How how) {
        return new EntryDraft(id, seen(), madeAt(), how, null, fact, hasWaited());
    }

    /** One of several entries of one form: with an id of its own, made when the form was. */
    public EntryDraft oneOfSeveral(Fact fact, How how, int seen) {
        return new EntryDraft(UUID.randomUUID(), seen, madeAt(), how, null, fact, hasWaited());
    }

    /** One mark of the look that this form tells: its id follows from both, so that it can be sent twice. */
    public EntryDraft markOfLook(String mark, Fact fact, How how) {
        UUID own = UUID.nameUUIDFromBytes((id + " " + mark).getBytes(StandardCharsets.UTF_8));
        return new EntryDraft(own, seen(), madeAt(), how, null, fact, hasWaited(), id);
    }

    /**
     * The day on which the form was filled in: <em>today</em> and <em>3 Dec</em> were typed then, whenever it arrives.
     *
     * @param zone of the fitting point
     * @throws RefusedEntryException when that time cannot be
     */
    public LocalDate day(ZoneId zone) {
        OffsetDateTime made = madeAt();
        return made == null
                ? LocalDate.now(clock.withZone(zone))
                : made.atZoneSameInstant(zone).toLocalDate();
    }

    private boolean hasWaited() {
        return fields.containsKey("waited");
    }

    /** The id that the browser gave it, so that it can be sent twice; a new one where it gave none. */
    public UUID id() {
        return id;
    }

    private int seen() {
        String last = fields.getOrDefault("seen", "0");
        return last.matches("\\d{1,9}") ? Integer.parseInt(last) : 0;
    }

    /**
     * When it was made, for entries that waited in the browser: no older than a week, and not after now; a clock that is a
     * few minutes fast is taken back to now.
     */
    private @Nullable OffsetDateTime madeAt() {
        String text = fields.getOrDefault("at", "").strip();
        if (text.isEmpty()) {
            return null;
        }
        OffsetDateTime now = OffsetDateTime.now(clock);
        try {
            OffsetDateTime at = OffsetDateTime.parse(text);
            if (at.isBefore(now.minusDays(LONGEST_WAIT_DAYS)) || at.isAfter(now.plusMinutes(CLOCK_MINUTES))) {
                throw RefusedEntryException.fields(
                        List.of(FieldProblem.outside("at", text, now.minusDays(LONGEST_WAIT_DAYS), now)));
            }
            return at.isAfter(now) ? now : at;
        } catch (DateTimeException e) {
            throw RefusedEntryException.fields(List.of(new FieldProblem("at", text, "NOT_A_DATE", "", "")));
        }
    }

    /** How it is known; a form that says nothing was filled in by somebody who looked. */
    public How how() {
        return switch (fields.getOrDefault("how", "measured")) {
            case "manual" -> How.manual(page());
            case "label" -> new How(How.Kind.LABEL, "");
            case "told" -> How.TOLD;
            case "estimated" -> new How(How.Kind.ESTIMATED, "");
            case "simulated" -> new How(How.Kind.SIMULATED, "");
            case "measured" -> How.MEASURED;
            default ->
                throw RefusedEntryException.fields(
                        List.of(new FieldProblem("how", fields.getOrDefault("how", ""), "NOT_TAKEN", "", "")));
        };
    }

    /** A manual counts only with its page. */
    private String page() {
        String page = fields.getOrDefault("page", "").strip();
        if (page.isEmpty()) {
            throw RefusedEntryException.fields(List.of(new FieldProblem("page", "", "NEEDED", "", "")));
        }
        return page;
    }

    private static Optional<UUID> uuid(@Nullable String text) {
        try {
            return Optional.ofNullable(text).filter(each -> !each.isBlank()).map(UUID::fromString);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
