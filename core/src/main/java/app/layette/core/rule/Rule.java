package app.layette.core.rule;

import app.layette.core.entry.Situation;

/** One rule: reads the situation, gives a verdict on its conclusion. Holds no state. */
public interface Rule {
    Conclusion conclusion();

    Verdict judge(Situation situation);
}
