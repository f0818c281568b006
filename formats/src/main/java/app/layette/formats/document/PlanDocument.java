package app.layette.formats.document;

import app.layette.core.belt.Reach;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.gate.ConclusionState;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.run.Saying;
import app.layette.core.run.Step;
import app.layette.core.secure.BeltRules;
import app.layette.core.step.Ask;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.text.CamelCase;
import app.layette.formats.wording.Wording;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a plan as a document, with sentences and drawings where asked. */
public final class PlanDocument {
    /** Names in their order, whatever a map does: the same plan is the same document, byte for byte. */
    private final JsonMapper json = LayetteJson.strict()
            .rebuild()
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    private final FittingPlan plan;
    private final Optional<Wording> wording;
    private final boolean drawings;

    private PlanDocument(FittingPlan plan, Optional<Wording> wording, boolean drawings) {
        this.plan = plan;
        this.wording = wording;
        this.drawings = drawings;
    }

    /**
     * The plan as JSON.
     *
     * @param wording adds sentences in its language and units; empty for none
     * @param drawings adds the geometry of the views
     */
    public static ObjectNode of(FittingPlan plan, Optional<Wording> wording, boolean drawings) {
        return new PlanDocument(plan, wording, drawings).write();
    }

    private ObjectNode write() {
        ObjectNode document = json.createObjectNode();
        document.put("formatVersion", 1);
        document.put("engineVersion", FittingPlanner.ENGINE_VERSION);
        document.put("state", CamelCase.of(plan.state()));
        document.put("mayHandOver", plan.mayHandOver());
        document.put("method", CamelCase.of(plan.method()));
        plan.findings().forEach(finding -> write(document.withArray("/findings"), finding));
        plan.run().steps().forEach(step -> write(document.withArray("/run"), step));
        plan.gate().conclusions().forEach(state -> write(document.withArray("/gate"), state));
        writeAdvice(document.putObject("advice"));
        ArrayNode dates = document.putArray("dates");
        plan.dates().forEach(event -> write(dates, event));
        if (drawings) {
            ObjectNode views = document.putObject("drawings");
            for (Drawing view : new Drawing[] {SideView.of(plan.situation()), HarnessView.of(plan.situation())}) {
                views.set(view.name(), json.valueToTree(view));
            }
        }
        return document;
    }

    private void write(ArrayNode findings, Finding finding) {
        ObjectNode node = findings.addObject();
        node.put("code", finding.code().text());
        node.put("weight", CamelCase.of(finding.weight()));
        node.put("message", finding.message());
        ObjectNode arguments = node.putObject("arguments");
        new TreeMap<>(finding.arguments()).forEach((name, argument) -> arguments.set(name, write(argument)));
        node.set("sources", json.valueToTree(finding.sources()));
        node.set("changes", json.valueToTree(finding.changes()));
        wording.ifPresent(words -> node.put("text", words.say(finding)));
    }

    private void write(ArrayNode run, Step step) {
        ObjectNode node = run.addObject();
        node.put("step", CamelCase.of(step.key()));
        node.put("phase", CamelCase.of(step.key().phase()));
        node.put("state", CamelCase.of(step.state()));
        ArrayNode says = node.putArray("says");
        for (Saying saying : step.says()) {
            ObjectNode each = says.addObject();
            each.put("message", saying.message());
            ObjectNode arguments = each.putObject("arguments");
            new TreeMap<>(saying.arguments()).forEach((name, argument) -> arguments.set(name, write(argument)));
            each.set("sources", json.valueToTree(saying.sources()));
            wording.ifPresent(words -> each.put("text", words.say(saying.message(), saying.arguments())));
        }
        ArrayNode asks = node.putArray("asks");
        for (Ask ask : step.asks()) {
            ObjectNode each = asks.addObject();
            each.put("kind", CamelCase.of(ask.kind()));
            each.put("key", ask.key());
            each.put("answered", ask.answered());
        }
        wording.ifPresent(
                words -> node.put("text", words.say("step." + step.key().name())));
    }

    private void write(ArrayNode gate, ConclusionState state) {
        ObjectNode node = gate.addObject();
        node.put("conclusion", CamelCase.of(state.conclusion().name()));
        node.put("code", state.conclusion().code().text());
        node.put("state", CamelCase.of(state.state()));
        node.put("since", state.since());
        state.waitsFor().ifPresent(key -> node.put("waitsFor", key));
        state.cause().ifPresent(cause -> node.put("cause", cause));
        wording.ifPresent(words ->
                node.put("text", words.say("conclusion." + state.conclusion().name())));
    }

    private void writeAdvice(ObjectNode advice) {
        plan.recline().ifPresent(recline -> write(advice.putObject("recline"), recline));
        ShoulderAndSlots.in(plan.situation())
                .filter(look -> look.best() > 0)
                .ifPresent(look -> advice.put("slot", look.best()));
        CabinAnswers.of(plan.situation()).first().ifPresent(first -> {
            ObjectNode place = advice.putObject("place");
            place.put("position", first.place().toString());
            place.put("method", CamelCase.of(first.method()));
            first.gap().ifPresent(gap -> place.set("gap", write(Argument.of(gap))));
            first.likelihood().ifPresent(likelihood -> place.put("likelihood", likelihood));
        });
        writeBelt(advice);
    }

    /** What locks the belt of the chosen place, and whether it reaches round a carrier without its base. */
    private void writeBelt(ObjectNode advice) {
        Situation situation = plan.situation();
        if (situation.method().filter(Method::isByBelt).isEmpty()) {
            return;
        }
        ObjectNode belt = advice.putObject("belt");
        BeltRules.lock(situation).ifPresent(lock -> belt.put("lock", CamelCase.of(lock)));
        if (situation.usualMethod().isBaseless()
                && situation.position().isPresent()
                && situation.seat().isPresent()) {
            ArrayNode reaches = belt.putArray("reach");
            Reach.of(situation.position().get().belt(), situation.seat().get().routing())
                    .forEach(reach -> {
                        ObjectNode each = reaches.addObject();
                        each.put("way", CamelCase.of(reach.way()));
                        each.set("need", write(Argument.of(reach.need())));
                        each.put("marginMm", reach.marginMm());
                        each.put("answer", CamelCase.of(reach.answer()));
                    });
        }
    }

    private void write(ObjectNode node, ReclineAdvice recline) {
        node.put("basis", CamelCase.of(recline.basis()));
        recline.recommended().ifPresent(name -> node.put("recommended", name.text()));
        recline.offered().ifPresent(name -> node.put("offered", name.text()));
        recline.settingNow().ifPresent(name -> node.put("settingNow", name.text()));
        recline.press().ifPresent(point -> node.put("press", CamelCase.of(point)));
        node.put("looks", recline.looks());
        node.put("lookAgain", recline.lookAgain());
        node.put("outOfReach", recline.outOfReach());
        if (recline.outOfReach()) {
            ArrayNode ways = node.putArray("waysOut");
            recline.waysOut().forEach(way -> ways.add(CamelCase.of(way.kind())));
        }
        ArrayNode settings = node.putArray("settings");
        for (ReclineAdvice.Setting setting : recline.settings()) {
            ObjectNode each = settings.addObject();
            each.put("name", setting.name().text());
            each.set("lift", write(Argument.of(setting.lift())));
            each.set("recline", write(Argument.of(setting.recline())));
            each.set("spread", write(Argument.of(setting.spread())));
            each.set("tight", write(Argument.of(setting.tight())));
            each.put("likelihood", setting.likelihood());
            setting.shows().ifPresent(reading -> each.put("shows", CamelCase.of(reading)));
        }
        recline.band().ifPresent(band -> {
            ObjectNode each = node.putObject("band");
            each.set("from", write(Argument.of(band.from())));
            each.set("to", write(Argument.of(band.to())));
        });
    }

    private void write(ArrayNode dates, DatedEvent event) {
        ObjectNode node = dates.addObject();
        node.put("key", event.key());
        node.put("on", event.on().toString());
        if (event.after()) {
            node.put("after", true);
        }
        event.earliest().ifPresent(day -> node.put("earliest", day.toString()));
        event.latest().ifPresent(day -> node.put("latest", day.toString()));
        event.every().ifPresent(every -> node.put("every", every.toString()));
        wording.ifPresent(words -> node.put("text", words.say(event.key())));
    }

    private ObjectNode write(Argument argument) {
        ObjectNode node = json.createObjectNode();
        if (argument instanceof Argument.OfMass mass) {
            node.put("kind", "mass").put("value", mass.mass().grams());
        } else if (argument instanceof Argument.OfLength length) {
            node.put("kind", "length").put("value", length.length().millimetres());
        } else if (argument instanceof Argument.OfAngle angle) {
            node.put("kind", "angle").put("value", angle.angle().degrees());
        } else if (argument instanceof Argument.OfDate date) {
            node.put("kind", "date").put("value", date.date().toString());
        } else if (argument instanceof Argument.OfNumber number) {
            node.put("kind", "number").put("value", number.number());
        } else if (argument instanceof Argument.OfKey key) {
            node.put("kind", "key").put("value", key.key());
        } else if (argument instanceof Argument.OfText text) {
            node.put("kind", "text").put("value", text.text());
        }
        wording.ifPresent(words -> node.put("text", words.say(argument)));
        return node;
    }
}
