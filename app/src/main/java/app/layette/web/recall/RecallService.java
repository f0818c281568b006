package app.layette.web.recall;

import app.layette.core.condition.RecallNotice;
import java.util.List;

/** A service that is asked for recalls. */
public interface RecallService {
    /**
     * What was published of a model.
     *
     * @throws UnreachableException when it does not answer, or not in time: then nothing is known
     */
    List<RecallNotice> about(String model) throws UnreachableException;

    /** Whether it pretends. */
    boolean isSimulated();

    /** It did not answer. */
    class UnreachableException extends Exception {
        private static final long serialVersionUID = 1L;

        public UnreachableException(String message) {
            super(message);
        }
    }
}
