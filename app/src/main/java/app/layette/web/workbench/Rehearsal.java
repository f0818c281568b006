package app.layette.web.workbench;

import app.layette.core.entry.Entry;
import app.layette.core.entry.FittingRecord;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.measure.UnitSystem;
import app.layette.core.run.Step;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.Fittings;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Focus;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.lang.reflect.Proxy;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.TemplateSpec;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.web.IWebExchange;
import org.thymeleaf.web.IWebRequest;

/**
 * Walks a shipped case through for nobody when the application has started, answer by answer, and draws each: the machine
 * compiles what it has seen often, and the first family after a start waits a second for each answer else. Nothing is
 * stored, nothing is asked of the database.
 */
@Component
@ConditionalOnProperty(name = "layette.warm-up", havingValue = "true", matchIfMissing = true)
class Rehearsal {
    private static final Logger LOG = LoggerFactory.getLogger(Rehearsal.class);
    private static final String CASE = "/demo/cases/ready.json";
    private static final String SHEETS = "/demo/sheets/";
    /** A few rounds of the case; of one core, beside whoever works already. */
    private static final Duration TIME = Duration.ofSeconds(25);

    private final ITemplateEngine templates;
    private final FittingPlanner planner = new FittingPlanner();

    Rehearsal(ITemplateEngine templates) {
        this.templates = templates;
    }

    @EventListener(ApplicationReadyEvent.class)
    public void onReady() {
        Thread warm = new Thread(this::rehearse, "rehearsal");
        warm.setDaemon(true);
        warm.setPriority(Thread.MIN_PRIORITY);
        warm.start();
    }

    private void rehearse() {
        try {
            long until = System.nanoTime() + TIME.toNanos();
            while (System.nanoTime() < until) {
                once(until);
            }
        } catch (RuntimeException e) {
            LOG.warn("Nothing was rehearsed", e);
        }
    }

    /** The whole case once, as far as there is time; how many answers were drawn. */
    int once(long until) {
        CaseDocument shipped =
                CaseDocument.read(text(CASE), name -> text(SHEETS + name.substring(name.lastIndexOf('/') + 1)));
        FittingRecord whole = shipped.record();
        UUID nobodys = UUID.randomUUID();
        FittingPlan before = plan(shipped, whole.entries().subList(0, 0));
        int drawn = 0;
        for (int i = 1; i <= whole.entries().size() && System.nanoTime() < until; i++) {
            FittingPlan after = plan(shipped, whole.entries().subList(0, i));
            draw(nobodys, before, after);
            before = after;
            drawn++;
        }
        return drawn;
    }

    private FittingPlan plan(CaseDocument shipped, List<Entry> entries) {
        FittingRecord so =
                new FittingRecord(shipped.record().riders(), shipped.record().units(), List.copyOf(entries));
        return planner.plan(shipped.practice(), shipped.sheets(), so, shipped.date());
    }

    private void draw(UUID id, FittingPlan before, FittingPlan after) {
        Wording words = new Wording(Locale.ENGLISH, UnitSystem.CUSTOMARY);
        Focus focus = new Focus(after.run().current().map(Step::key), "", "", Typed.NOTHING, List.of())
                .after(PlanDifference.between(before, after));
        Workbench bench = Workbench.of(new Fittings.Planned(id, "", "", after), words, focus);
        Map<String, Object> model = Map.of("bench", bench, "pieces", Pieces.of(bench, ""));
        TemplateSpec changed = new TemplateSpec("workbench/workbench", Set.of("changed"), TemplateMode.HTML, null);
        templates.process(changed, new WebContext(nobody(), Locale.ENGLISH, model), Writer.nullWriter());
    }

    /** A request of nobody's, to a page at the root: as much of one as a template asks for. */
    private static IWebExchange nobody() {
        Map<String, Object> attributes = new HashMap<>();
        IWebRequest request =
                stub(IWebRequest.class, (method, given) -> method.equals("getApplicationPath") ? "" : null);
        return stub(IWebExchange.class, (method, given) -> switch (method) {
            case "getRequest" -> request;
            case "transformURL" -> given[0];
            case "containsAttribute" -> attributes.containsKey(given[0]);
            case "getAttributeValue" -> attributes.get(given[0]);
            case "setAttributeValue" -> attributes.put((String) given[0], given[1]);
            case "removeAttribute" -> attributes.remove(given[0]);
            case "getAttributeCount" -> attributes.size();
            case "getAllAttributeNames" -> attributes.keySet();
            case "getAttributeMap" -> attributes;
            default -> null;
        });
    }

    private static <T> T stub(Class<T> type, BiFunction<String, Object[], Object> answer) {
        return type.cast(Proxy.newProxyInstance(
                type.getClassLoader(),
                new Class<?>[] {type},
                (proxy, method, given) -> answer.apply(method.getName(), given)));
    }

    private static String text(String resource) {
        try (InputStream in = Objects.requireNonNull(Rehearsal.class.getResourceAsStream(resource), resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
