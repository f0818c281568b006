package app.layette.core.entry;

import java.util.List;

/**
 * Whoever asks something that is answered by eye: each rule, and what no rule judges. A new one is found by being there:
 * {@code @AutoService(Asking.class)} on its class lists it while it is compiled.
 */
public interface Asking {
    /** The questions, in the order in which they are asked. */
    List<Asked> asked();

    /** Where its questions stand among all others: by the order of the work. */
    int order();
}
