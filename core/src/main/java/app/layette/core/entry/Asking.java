package app.layette.core.entry;

import java.util.Comparator;
import java.util.List;
import java.util.ServiceLoader;

/**
 * Whoever asks something that is answered by eye: each rule, and what no rule judges. A new one is found by being there:
 * {@code @AutoService(Asking.class)} on its class lists it while it is compiled.
 */
public interface Asking {
    /** The questions, in the order in which they are asked. */
    List<Asked> asked();

    /** Where its questions stand among all others: by the order of the work. */
    int order();

    /**
     * All who ask, in the order of the work.
     *
     * @throws IllegalStateException when there is nobody: what lists them was left out of the program
     */
    static List<Asking> all() {
        List<Asking> all = ServiceLoader.load(Asking.class, Asking.class.getClassLoader()).stream()
                .map(ServiceLoader.Provider::get)
                .sorted(Comparator.comparingInt(Asking::order)
                        .thenComparing(each -> each.getClass().getName()))
                .toList();
        if (all.isEmpty()) {
            throw new IllegalStateException("Nobody asks anything: what lists the rules was left out of the program");
        }
        return all;
    }
}
