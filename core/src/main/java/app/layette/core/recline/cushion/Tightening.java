package app.layette.core.recline.cushion;

import app.layette.core.measure.Force;
import java.util.List;

/**
 * A base that is set down, pressed, tightened and loaded with the child, stage by stage.
 *
 * <pre>
 * 1 rest     c⁰_i = W₁ v_i / k_i, seen as m_i + c⁰_i
 * 2 pressed  cᴾ_i = c⁰_i + (P q_i + T_h a_i) / k_i
 * 3 foam     m_i = max(m_i, η (cᴾ_i − c⁰_i))
 * 4 locks at d* = Σ a_i cᴾ_i − j, the largest of several presses
 * 5 held     g_i = m_i + W v_i / k_i;  T = max(0, (d* − Σ a_i g_i) / Σ(a_i² / k_i));  c_i = g_i + T a_i / k_i
 * </pre>
 *
 * <p>Handbook, section 6. Several presses in turn go through steps 2 to 4 each. What the foam keeps of an earlier press is
 * seen when the base is set down (contract, section 6).
 *
 * @param cushion under the base
 * @param pullAt b, where belt or strap pulls along the base, 0 to 1
 * @param alone W₁, the base by itself, or a one-piece shell
 * @param loaded W₂, base with carrier and child
 * @param foamSet η, part of a press that the foam keeps, 0 to 1
 * @param slackMm j, webbing given back when the belt locks, in mm, 0 or more
 */
public record Tightening(Cushion cushion, double pullAt, Load alone, Load loaded, double foamSet, double slackMm) {
    /** η where nothing better is known. */
    public static final double USUAL_FOAM_SET = 0.5;
    /** b where the sheet says nothing. */
    public static final double USUAL_PULL = 0.4;

    /**
     * The cushion at one stage.
     *
     * @param depths c
     * @param tension T of belt or strap; zero before it is tightened, and when the base holds by its weight only
     */
    public record Held(Depths depths, Force tension) {
        /** Whether belt or strap is slack, so that the base holds by weight only. */
        public boolean isSlack() {
            return tension.newtons() == 0;
        }
    }

    /**
     * All stages of one tightening.
     *
     * @param foam m, what the foam keeps
     * @param lockDepthMm d*, how deep belt or strap lies where it locks
     */
    public record Stages(Held rest, Held pressed, Depths foam, double lockDepthMm, Held tight, Held child) {}

    public Tightening {
        if (pullAt < 0 || pullAt > 1) {
            throw new IllegalArgumentException("The pull point (" + pullAt + ") must lie on the base; allowed [0, 1]");
        }
    }

    /** As it goes with nothing known but the cushion, the weights and the pull point. */
    public static Tightening usual(Cushion cushion, double pullAt, Load alone, Load loaded) {
        return new Tightening(cushion, pullAt, alone, loaded, USUAL_FOAM_SET, 0);
    }

    /** One press on fresh foam. */
    public Stages stages(Press press) {
        return stages(List.of(press), Depths.NONE);
    }

    /**
     * Several presses in turn before it is locked.
     *
     * @param presses one or more
     * @param before what the foam keeps from earlier work at this place; {@link Depths#NONE} for a fresh start
     */
    public Stages stages(List<Press> presses, Depths before) {
        Depths bare = alone.on(cushion);
        Depths foam = before;
        Depths rest = foam.plus(bare);
        Depths pressed = rest;
        double lockDepth = 0;
        for (Press press : presses) {
            pressed = bare.plus(by(press));
            foam = foam.max(by(press).times(foamSet));
            lockDepth = Math.max(lockDepth, pressed.at(pullAt) - slackMm);
        }
        Force pull = presses.get(presses.size() - 1).pull();
        return new Stages(
                new Held(rest, Force.ZERO),
                new Held(pressed, pull),
                foam,
                lockDepth,
                held(foam, lockDepth, alone),
                held(foam, lockDepth, loaded));
    }

    /** What a press adds to the rest. */
    private Depths by(Press press) {
        double hand = press.hand().newtons();
        double pull = press.pull().newtons();
        return cushion.under(hand * (1 - press.at()) + pull * (1 - pullAt), hand * press.at() + pull * pullAt);
    }

    /** Set down and held by nothing but its weight, on foam that keeps something of earlier work. */
    public Held resting(Depths foam, Load load) {
        return new Held(foam.plus(load.on(cushion)), Force.ZERO);
    }

    /** Held by belt or strap at a depth. */
    public Held held(Depths foam, double lockDepth, Load load) {
        Depths by = foam.plus(load.on(cushion));
        Depths perNewton = cushion.under(1 - pullAt, pullAt);
        double give = perNewton.at(pullAt);
        double tension = Math.max(0, (lockDepth - by.at(pullAt)) / give);
        return new Held(by.plus(perNewton.times(tension)), Force.ofNewtons(tension));
    }
}
