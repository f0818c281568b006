package app.layette.web.recall;

import app.layette.core.condition.NoOpenRecall;
import app.layette.core.condition.RecallNotice;
import app.layette.core.entry.Fact;
import app.layette.core.entry.PartialDate;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.web.fitting.FittingChanged;
import app.layette.web.wall.Wall;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** What the recall service says of a seat, with the age of the answer. Not reachable is not known. */
@Service
public class Recalls {
    /** Within this time the same model is not asked for again: the answer says how old it is. */
    private static final Duration KEPT = Duration.ofMinutes(10);

    private static final int MOST_KEPT = 2_000;
    private static final Logger LOG = LoggerFactory.getLogger(Recalls.class);
    private static final JsonMapper JSON = JsonMapper.shared();

    private final RecallService service;
    private static final int LONGEST_MODEL = 200;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final Cache<String, Answered> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

    private record Answered(List<RecallNotice> notices, Instant at) {}

    /** What came back. */
    public enum State {
        NONE,
        OPEN,
        /** The service did not answer: nothing is known. */
        NOT_REACHED,
        /** The label was not read, so that nothing could be asked. */
        NO_LABEL
    }

    /**
     * An answer.
     *
     * @param notices those that name this seat
     * @param at when the service gave it; empty where it gave none
     */
    public record Answer(State state, List<RecallNotice> notices, Optional<Instant> at) {}

    Recalls(RecallService service, JdbcClient jdbc, Clock clock, PlatformTransactionManager manager) {
        this.service = service;
        this.transactions = new TransactionTemplate(manager);
        // What came back is kept whatever becomes of the request that asked.
        transactions.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public boolean isSimulated() {
        return service.isSimulated();
    }

    /** Asks about the carrier of a fitting. No transaction waits for the service. */
    public Answer about(Situation situation) {
        Optional<Fact.LabelRead> label = situation.label(Fact.Part.CARRIER).map(Stamped::value);
        String model = label.map(Fact.LabelRead::model).orElse("");
        if (model == null || model.isBlank()) {
            return new Answer(State.NO_LABEL, List.of(), Optional.empty());
        }
        PartialDate made = label.map(Fact.LabelRead::made).orElse(null);
        try {
            Answered answered = ask(model);
            List<RecallNotice> naming = answered.notices().stream()
                    .filter(each -> each.names(model, made))
                    .toList();
            return new Answer(naming.isEmpty() ? State.NONE : State.OPEN, naming, Optional.of(answered.at()));
        } catch (RecallService.UnreachableException e) {
            return new Answer(State.NOT_REACHED, List.of(), Optional.empty());
        }
    }

    private Answered ask(String model) throws RecallService.UnreachableException {
        String key = key(model);
        Answered before = kept.getIfPresent(key);
        if (before != null) {
            return before;
        }
        Answered answered = new Answered(service.about(model), clock.instant());
        // It is of every point that has such a seat.
        Wall.outside(() -> {
            transactions.executeWithoutResult(status -> remember(key, answered));
            return key;
        });
        kept.put(key, answered);
        return answered;
    }

    private static String key(String model) {
        return model.strip().toLowerCase(Locale.ROOT);
    }

    /** Keeps what was said; every fitting with a label of the model is planned again where it is not what was kept. */
    private void remember(String key, Answered answered) {
        // Of a model that was never asked for, an empty answer is nothing new.
        boolean same = known(key).orElse(List.of()).equals(answered.notices());
        jdbc.sql("insert into recall_known (model, notices, asked_at) values (:model, cast(:notices as jsonb), :at)"
                        + " on conflict (model) do update set notices = excluded.notices, asked_at = excluded.asked_at")
                .param("model", key)
                .param("notices", JSON.writeValueAsString(answered.notices()))
                .param("at", Timestamp.from(answered.at()))
                .update();
        if (!same) {
            jdbc.sql("insert into fitting_stale (point_id, fitting_id) select distinct f.point_id, f.id from point p"
                            + " join entry e on e.point_id = p.id"
                            + " join fitting f on f.point_id = e.point_id and f.record_id = e.fitting_id"
                            + " where e.document #>> '{fact,kind}' = 'labelRead'"
                            + " and lower(e.document #>> '{fact,model}') = :model on conflict do nothing")
                    .param("model", key)
                    .update();
        }
    }

    private Optional<List<RecallNotice>> known(String key) {
        return jdbc.sql("select notices from recall_known where model = :model")
                .param("model", key)
                .query(String.class)
                .optional()
                .map(json -> List.of(JSON.readValue(json, RecallNotice[].class)));
    }

    /**
     * The day since which a recall of this seat is open, as far as the service was last heard: published, and no remedy
     * entered since. Nobody waits for the service here.
     */
    @Transactional(readOnly = true)
    public Optional<LocalDate> openSince(Situation situation, ZoneId zone) {
        Optional<LocalDate> remedied = situation
                .said(Question.RECALL, NoOpenRecall.Answer.class)
                .filter(answer -> answer.value() == NoOpenRecall.Answer.REMEDY_DONE)
                .map(Stamped::on);
        return situation
                .label(Fact.Part.CARRIER)
                .map(Stamped::value)
                .flatMap(read -> Optional.ofNullable(read.model())
                        .filter(model -> !model.isBlank())
                        .flatMap(model ->
                                heard(model, read.made(), remedied, zone).openSince()));
    }

    /**
     * What was last heard of a seat.
     *
     * @param known whether the service ever answered about its model: otherwise nothing is known
     * @param openSince since when a recall of it is open; empty where none is
     */
    public record Heard(boolean known, Optional<LocalDate> openSince) {}

    /** What the service last said of a seat with this label, and whether it ever said anything. */
    @Transactional(readOnly = true)
    public Heard heard(String model, @Nullable PartialDate made, Optional<LocalDate> remedied, ZoneId zone) {
        Optional<List<RecallNotice>> notices = known(key(model));
        return new Heard(
                notices.isPresent(), RecallNotice.openSince(notices.orElse(List.of()), model, made, remedied, zone));
    }

    /** Asks about a model now, so that what is kept of it is as fresh as can be; one that cannot be asked stays as it is. */
    public void listen(String model) {
        kept.invalidate(key(model));
        try {
            ask(model);
        } catch (RecallService.UnreachableException e) {
            LOG.warn("The recall service did not answer: {}", e.getMessage());
        }
    }

    /** The service says that something was published: it is asked at once. */
    @TransactionalEventListener
    public void onPublished(RecallPublished published) {
        listen(published.model());
    }

    /** Of which models a point has seen a label: what the service is asked about. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onLabel(FittingChanged changed) {
        if (changed.entry().fact() instanceof Fact.LabelRead label
                && label.model() != null
                && !label.model().isBlank()) {
            String model = key(label.model());
            jdbc.sql("insert into label_model (point_id, model) values (:point, :model) on conflict do nothing")
                    .param("point", changed.point())
                    .param("model", model.substring(0, Math.min(model.length(), LONGEST_MODEL)))
                    .update();
        }
    }

    /** Nobody has to look a seat up to hear of a recall: every model that was ever fitted is asked for a few times a day. */
    @Scheduled(initialDelay = 5, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
    public void askForAll() {
        jdbc.sql("select distinct model from label_model"
                        + " union select distinct lower(model) from stock_seat where state <> 'OUT' limit " + MOST_KEPT)
                .query(String.class)
                .list()
                .forEach(this::listen);
    }
}
