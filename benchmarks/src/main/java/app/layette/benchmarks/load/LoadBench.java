package app.layette.benchmarks.load;

import app.layette.benchmarks.load.Person.Work;
import app.layette.formats.json.LayetteJson;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * Lets people work in a loaded database and prints how long they waited, beside a bare transaction of pgbench's that reads
 * and writes the same rows in the same minute. The last line is one JSON object.
 */
@Command(name = "load", description = "Fifty people at work in a full database.", mixinStandardHelpOptions = true)
public final class LoadBench implements Callable<Integer> {
    private static final int PEOPLE_A_POINT = 4;
    private static final double HALF = 0.5;
    private static final double NEARLY_ALL = 0.95;

    @Option(names = "--address", required = true, description = "Where the application is.")
    private String address;

    @Option(names = "--people", description = "How many; default ${DEFAULT-VALUE}.")
    private int people = 50;

    @Option(names = "--points", description = "Over how many points; default ${DEFAULT-VALUE}.")
    private int points = 40;

    @Option(names = "--seconds", description = "How long, beside the warm-up; default ${DEFAULT-VALUE}.")
    private int seconds = 120;

    @Option(names = "--warm", description = "Seconds of warm-up; default ${DEFAULT-VALUE}.")
    private int warm = 120;

    @Option(
            names = "--pause",
            description = "Milliseconds between two entries of one person; default ${DEFAULT-VALUE}.")
    private long pauseMs = 4000;

    @Option(names = "--password", required = true, description = "The password of everybody in it.")
    private String password;

    @Option(names = "--pid", required = true, description = "The application's process.")
    private long pid;

    @Option(names = "--pgbench", required = true, description = "The program pgbench.")
    private Path pgbench;

    private LoadBench() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new LoadBench()).execute(arguments));
    }

    @Override
    public Integer call() throws Exception {
        Instant warmAt = Instant.now().plusSeconds(warm);
        Instant until = warmAt.plusSeconds(seconds);
        ExecutorService all = Executors.newFixedThreadPool(people);
        List<Future<Work>> working = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            String name = "load-" + (i % points + 1) + "-" + (2 + i / points % PEOPLE_A_POINT);
            working.add(all.submit(new Person(address, name, password, warmAt, until, pauseMs, i)));
        }
        all.shutdown();
        List<Double> entries = new ArrayList<>();
        Map<String, List<Double>> lists = new TreeMap<>();
        int acknowledged = 0;
        int errors = 0;
        for (Future<Work> each : working) {
            Work work = done(each);
            entries.addAll(work.entryMs());
            work.listMs()
                    .forEach((list, ms) -> lists.computeIfAbsent(list, key -> new ArrayList<>())
                            .addAll(ms));
            acknowledged += work.sent().size();
            errors += work.errorPages();
        }
        double heap = heapMb();
        double bare = bareMs();
        List<Double> everyList = lists.values().stream().flatMap(List::stream).toList();
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("fittings", count("select count(*) from fitting"));
        said.put("people", people);
        said.put("entries", entries.size());
        said.put("entryP50Ms", quantile(entries, HALF));
        said.put("entryP95Ms", quantile(entries, NEARLY_ALL));
        said.put("listP50Ms", quantile(everyList, HALF));
        said.put("listP95Ms", quantile(everyList, NEARLY_ALL));
        Map<String, Object> each = new TreeMap<>();
        lists.forEach((list, ms) -> each.put(list, quantile(ms, NEARLY_ALL)));
        said.put("listsP95Ms", each);
        said.put("bareTransactionMs", round(bare));
        said.put("entryP50OverBare", round(quantile(entries, HALF) / bare));
        said.put("heapMb", round(heap));
        said.put("acknowledged", acknowledged);
        said.put("errorPages", errors);
        System.out.println(LayetteJson.strict().writeValueAsString(said));
        return errors == 0 ? 0 : 1;
    }

    private static Work done(Future<Work> work) throws InterruptedException {
        try {
            return work.get();
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        }
    }

    private static Connection connection() throws SQLException {
        return DriverManager.getConnection(
                System.getenv("LAYETTE_DB_URL"),
                System.getenv().getOrDefault("LAYETTE_DB_USER", "layette"),
                System.getenv("LAYETTE_DB_PASSWORD"));
    }

    private static String ask(String sql) throws SQLException {
        try (Connection connection = connection();
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            return rows.getString(1);
        }
    }

    private static long count(String sql) throws SQLException {
        return Long.parseLong(ask(sql));
    }

    /** The same rows as an entry's transaction reads and writes, without a program around them. */
    private double bareMs() throws SQLException, IOException, InterruptedException {
        Path home = Files.createTempDirectory("layette-bare");
        try {
            String fitting = ask("select id from fitting where state = 'OPEN' order by touched_at desc limit 1");
            String point = ask("select point_id from fitting where id = '" + fitting + "'");
            String user = ask("select name from app_user where point_id = '" + point + "' limit 1");
            Path script = home.resolve("bare.sql");
            Files.writeString(
                    script,
                    String.join(
                            "\n",
                            "\\set n random(1, 1000000000)",
                            "begin;",
                            "select * from app_user where name = '" + user + "';",
                            "select * from fitting where point_id = '" + point + "' and id = '" + fitting
                                    + "' for update;",
                            "select document from entry where point_id = '" + point + "' and fitting_id = '" + fitting
                                    + "' and seq > 40 order by seq;",
                            "select * from due_item where point_id = '" + point + "' and fitting_id = '" + fitting
                                    + "';",
                            "insert into entry (point_id, fitting_id, seq, id, at, document) select '" + point + "', '"
                                    + fitting
                                    + "', :n + 1000, gen_random_uuid(), now(), document from entry where point_id = '"
                                    + point
                                    + "' and fitting_id = '" + fitting + "' and seq = 5 on conflict do nothing;",
                            "update fitting set touched_at = now() where point_id = '" + point + "' and id = '"
                                    + fitting + "';",
                            "commit;",
                            ""));
            Process process = new ProcessBuilder(
                            pgbench.toString(),
                            "-n",
                            "-f",
                            script.toString(),
                            "-c",
                            "1",
                            "-T",
                            "8",
                            "-l",
                            "--log-prefix",
                            home.resolve("log").toString())
                    .redirectErrorStream(true)
                    .start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (process.waitFor() != 0) {
                throw new IllegalStateException(said);
            }
            List<Double> ms = new ArrayList<>();
            try (Stream<Path> logs = Files.list(home)) {
                for (Path log : logs.filter(
                                each -> each.getFileName().toString().startsWith("log"))
                        .toList()) {
                    try (Stream<String> lines = Files.lines(log)) {
                        lines.forEach(line -> ms.add(Double.parseDouble(line.split(" ")[2]) / 1000));
                    }
                }
            }
            return quantile(ms, HALF);
        } finally {
            try (Stream<Path> files = Files.list(home)) {
                for (Path file : files.toList()) {
                    Files.delete(file);
                }
            }
            Files.delete(home);
        }
    }

    /** What is held after everything that nobody holds was thrown away. */
    private double heapMb() throws IOException {
        String jcmd = Path.of(System.getProperty("java.home"), "bin", "jcmd").toString();
        for (String command : List.of("GC.run", "GC.heap_info")) {
            Process process = new ProcessBuilder(jcmd, String.valueOf(pid), command)
                    .redirectErrorStream(true)
                    .start();
            try (BufferedReader lines =
                    new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
                double used = lines.lines()
                        .filter(line -> line.contains("generation") && line.contains("used"))
                        .mapToDouble(line -> Double.parseDouble(line.replaceAll(".*used (\\d+)K.*", "$1")))
                        .sum();
                if (command.equals("GC.heap_info")) {
                    return used / 1024;
                }
            }
        }
        return 0;
    }

    private static double quantile(List<Double> values, double at) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? Double.NaN : round(sorted.get((int) Math.min(sorted.size() - 1, sorted.size() * at)));
    }

    private static double round(double value) {
        return Math.round(value * 100) / 100.0;
    }
}
