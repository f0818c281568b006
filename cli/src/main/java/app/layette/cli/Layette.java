package app.layette.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Entry of the command line. Exit codes: 0 fine, 1 something is to be put right, 2 the input cannot be used. */
@Command(
        name = "layette",
        description = "Plans fittings and checks documents.",
        mixinStandardHelpOptions = true,
        version = "Layette 0.1.0",
        subcommands = {PlanCommand.class, CheckCommand.class})
public final class Layette implements Runnable {
    static final int FINE = 0;
    static final int FINDINGS = 1;
    static final int UNUSABLE = 2;

    private Layette() {}

    public static void main(String[] arguments) {
        System.exit(commandLine().execute(arguments));
    }

    static CommandLine commandLine() {
        return new CommandLine(new Layette());
    }

    @Override
    public void run() {
        CommandLine.usage(this, System.out);
    }
}
