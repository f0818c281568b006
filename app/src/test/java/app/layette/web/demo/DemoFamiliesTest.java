package app.layette.web.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Sheets;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.gate.ConclusionState;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.Fittings;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** What the demo's families stand at, without a database: each was made to show one thing. */
class DemoFamiliesTest {
    private static final ZoneId ZONE = ZoneId.of("America/Toronto");
    private static final Instant NOW = Instant.parse("2026-05-12T15:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 12);
    private static final Map<String, FittingPlan> PLANS = new LinkedHashMap<>();

    /** Entries as they come in, planned after each as the application does. */
    private static final class Desk {
        private final Map<UUID, Beginnings.Begin> begun = new HashMap<>();
        private final Map<UUID, List<Entry>> records = new HashMap<>();
        private final Sheets sheets;
        private final Practice practice =
                new Practice(SheetReader.profile(ShippedProfiles.json("north-american-clinic")), "US", ZONE);

        Desk(Sheets sheets) {
            this.sheets = sheets;
        }

        UUID begin(Beginnings.Begin begin) {
            UUID id = UUID.randomUUID();
            begun.put(id, begin);
            records.put(id, new ArrayList<>());
            return id;
        }

        FittingPlan plan(UUID id, LocalDate day) {
            SheetVersion seat = begun.get(id).seat();
            FittingRecord record = new FittingRecord(
                    List.of(RiderId.FIRST), List.of(FittingRecord.Unit.first(new SheetId(seat.id()))), records.get(id));
            return new FittingPlanner().plan(practice, sheets, record, day);
        }

        void append(UUID id, EntryDraft draft, Author author) {
            FittingPlan before = plan(id, draft.at().toLocalDate());
            String who = begun.get(id).childName();
            assertThat(FactCheck.problems(draft.fact(), before.situation()))
                    .as(who + " " + draft.fact())
                    .isEmpty();
            boolean handsOver = draft.fact() instanceof Fact.Ended ended && ended.ending() == Fact.Ending.HANDED_OVER;
            if (handsOver) {
                assertThat(open(before)).as(who).isEmpty();
            }
            int seq = records.get(id).size() + 1;
            records.get(id)
                    .add(new Entry(draft.id(), seq, seq - 1, draft.at(), author, draft.how(), null, draft.fact()));
        }
    }

    private static String open(FittingPlan plan) {
        return plan.gate().blocking().stream()
                .map(each -> each.conclusion() + ":" + each.state())
                .collect(Collectors.joining(" "));
    }

    @BeforeAll
    static void loadTheDemo() throws IOException {
        List<SeatSheet> seats = new ArrayList<>();
        List<VehicleSheet> cars = new ArrayList<>();
        for (Resource file : new PathMatchingResourcePatternResolver().getResources("classpath:demo/sheets/*.json")) {
            String json = file.getContentAsString(StandardCharsets.UTF_8);
            if (json.contains("\"shell\"")) {
                seats.add(SheetReader.seat(json));
            } else {
                cars.add(SheetReader.vehicle(json));
            }
        }
        Desk desk = new Desk(new Sheets(seats, cars));
        Fittings fittings = mock(Fittings.class);
        Beginnings beginnings = mock(Beginnings.class);
        when(beginnings.knowsFamily(any(), anyString())).thenReturn(false);
        when(beginnings.begin(any(), any(), any())).thenAnswer(call -> desk.begin(call.getArgument(0)));
        when(fittings.appendTogether(any(), any(), any(), any())).thenAnswer(call -> {
            List<EntryDraft> told = call.getArgument(1);
            told.forEach(each -> desk.append(call.getArgument(0), each, call.getArgument(3)));
            return null;
        });
        Viewing viewing = mock(Viewing.class);
        when(viewing.clock()).thenReturn(Clock.fixed(NOW, ZONE));
        when(viewing.today(any())).thenReturn(TODAY);
        TransactionTemplate direct = new TransactionTemplate() {
            @Override
            public void executeWithoutResult(Consumer<TransactionStatus> action) {
                action.accept(null);
            }
        };
        new DemoFamilies(fittings, beginnings, viewing, direct)
                .load(new Point(UUID.randomUUID(), "Weir Street", ZONE, "US", "north-american-clinic"));
        desk.begun.forEach((id, begin) -> PLANS.put(begin.childName(), desk.plan(id, TODAY)));
    }

    /** What is against each family; what is only not looked at yet is left out. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            Tamsin   | OPEN                    | -
            Osric    | OPEN                    | EXPIRY:FAILED
            Linnea   | OPEN                    | SLOT:FAILED
            Bramwell | OPEN                    | HANDLE:NOT_KNOWN
            Edda     | OPEN                    | SCREENING:NOT_KNOWN
            Juniper  | OPEN                    | FLOOR_AND_LEG:FAILED
            Soren    | OPEN                    | CLOTHING:FAILED
            Maren    | OPEN                    | LOCK_PROOF:STALE INCH_TEST:STALE WINDOWS:STALE LEVEL:STALE
            Aldis    | OPEN                    | LEVEL_GROUND:FAILED
            Petra    | OPEN                    | -
            Halvard  | OPEN                    | -
            Isolde   | OPEN                    | -
            Rowan    | OPEN                    | -
            Bastian  | OPEN                    | -
            Ida      | OPEN                    | -
            Otto     | OPEN                    | -
            Philippa | OPEN                    | INSERT:FAILED SLOT:FAILED
            Ottilie  | HANDED_OVER             | WEIGHT:NOT_KNOWN SLOT_IN_REACH:NOT_KNOWN
            Caspian  | LEFT_WITH_OPEN_FINDINGS | GAP:FAILED
            """)
    void standsAtWhatItWasMadeToShow(String child, FittingState state, String against) {
        FittingPlan plan = PLANS.get(child);
        assertThat(plan.state()).isEqualTo(state);
        assertThat(plan.gate().blocking().stream()
                        .filter(each -> each.state() != ConclusionState.State.OPEN)
                        .map(each -> each.conclusion() + ":" + each.state())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(against == null ? "" : against);
    }

    @Test
    void everyFamilyIsThere() {
        assertThat(PLANS.keySet()).hasSize(19);
    }

    @Test
    void oneIsReadyToBeHandedOver() {
        assertThat(PLANS.get("Tamsin").mayHandOver()).isTrue();
    }
}
