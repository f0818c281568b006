package app.layette.web.soak;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.RunningApp;
import app.layette.web.support.TestDatabase;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

/** Two processes behind a proxy on one database: one is killed while both serve, and nobody loses anything by it. */
class TwoProcessesIT {
    private static final String[] NAMES = {"marit", "tove", "ansel", "ilse", "pim"};
    private static final int SERVED = 15;
    private static final int AFTER_SECONDS = 12;
    private static final int LONGEST_SECONDS = 90;

    private static boolean bothServe(Proxy proxy) {
        return proxy.answered().values().stream().allMatch(count -> count.get() > SERVED);
    }

    private static int status(String address) throws Exception {
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(address)).build(), BodyHandlers.discarding())
                .statusCode();
    }

    @Test
    void oneIsKilledWhileBothServe() throws Exception {
        RunningApp one = RunningApp.apart();
        TestDatabase database = one.database();
        RunningApp other = new RunningApp(database);
        Proxy proxy = new Proxy(one.address(), other.address());
        ExecutorService hands = Executors.newFixedThreadPool(NAMES.length);
        try {
            assertThat(status(one.address() + "/actuator/health/liveness")).isEqualTo(200);
            assertThat(status(other.address() + "/actuator/health/readiness")).isEqualTo(200);
            List<java.util.UUID> fittings = new CopyOnWriteArrayList<>(SoakIT.fittings(database));
            AtomicReference<Instant> until = new AtomicReference<>(Instant.now().plusSeconds(LONGEST_SECONDS));
            List<Future<Technician.Day>> work = new ArrayList<>();
            for (int i = 0; i < NAMES.length; i++) {
                work.add(hands.submit(new Technician(proxy.address(), NAMES[i], fittings, until::get, 100 + i)));
            }
            // However busy the machine is: the kill comes when both are at work.
            for (int i = 0; i < LONGEST_SECONDS && !bothServe(proxy); i++) {
                Thread.sleep(1000);
            }
            assertThat(proxy.answered().values()).as("both serve").allMatch(count -> count.get() > SERVED);
            one.kill();
            until.set(Instant.now().plusSeconds(AFTER_SECONDS));
            List<Technician.Day> days = new ArrayList<>();
            for (Future<Technician.Day> each : work) {
                days.add(each.get());
            }
            assertThat(days)
                    .allSatisfy(day -> assertThat(day.errorPages())
                            .as("error pages of one person")
                            .isLessThanOrEqualTo(1));
            SoakIT.isWhole(
                    SoakIT.held(database),
                    days.stream().map(Technician.Day::entries).toList());
            SoakIT.areThereOnce(
                    database,
                    days.stream().flatMap(day -> day.families().stream()).toList());
            int acknowledged =
                    days.stream().mapToInt(day -> day.entries().size()).sum();
            System.out.println("Two processes: " + acknowledged + " entries acknowledged, error pages "
                    + days.stream().map(Technician.Day::errorPages).toList());
            assertThat(acknowledged).isGreaterThan(NAMES.length);
        } finally {
            hands.shutdownNow();
            proxy.stop();
            one.kill();
            other.kill();
        }
    }
}
