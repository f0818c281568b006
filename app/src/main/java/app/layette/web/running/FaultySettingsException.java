package app.layette.web.running;

import java.util.List;
import org.springframework.boot.ExitCodeGenerator;

/** It cannot start with these settings; with every reason. */
final class FaultySettingsException extends RuntimeException implements ExitCodeGenerator {
    private static final int UNUSABLE = 2;

    FaultySettingsException(List<String> faults) {
        super("Layette does not start with these settings:\n  " + String.join("\n  ", faults)
                + "\nREADME.md, \"In production\", lists what there is.");
    }

    @Override
    public int getExitCode() {
        return UNUSABLE;
    }
}
