package app.layette.web.workbench;

import app.layette.core.fitting.FittingPlan;
import app.layette.core.stance.Stance;
import app.layette.core.step.StepKey;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.List;

/** Says where to stand for a step, and which way to pull. */
final class StanceWords {
    private final FittingPlan plan;
    private final Wording words;

    StanceWords(FittingPlan plan, Wording words) {
        this.plan = plan;
        this.words = words;
    }

    String stance(StepKey key) {
        String ofMethod = "stance." + key + "." + plan.method();
        String any = "stance." + key;
        String how = words.knows(ofMethod) ? words.say(ofMethod) : words.knows(any) ? words.say(any) : "";
        return Stance.of(plan.situation(), key)
                .map(each -> how + " " + said(each))
                .orElse(how)
                .strip();
    }

    private String said(Stance stance) {
        List<String> said = new ArrayList<>(List.of(words.say("stance." + stance.door())));
        stance.pull().ifPresent(pull -> said.add(words.say("pull." + pull)));
        stance.helper().ifPresent(side -> said.add(words.say("helper." + side)));
        return String.join(" ", said);
    }
}
