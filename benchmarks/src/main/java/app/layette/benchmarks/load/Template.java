package app.layette.benchmarks.load;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.PlanDocument;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.record.Seal;
import app.layette.formats.text.Sha256;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A shipped case that may be handed over, moved to any day: the same looks on other dates, judged anew. */
final class Template {
    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern MONTH = Pattern.compile("\"(\\d{4}-\\d{2})\"");
    private static final String BEGINS = "{\"id\":\"";
    private static final int ID_LENGTH = 36;
    /** Stands where each fitting has an id of its own; as long as one. */
    private static final String ID = "00000000-0000-4000-8000-%012d";

    private final CaseDocument document;
    private final FittingPlanner planner = new FittingPlanner();

    Template(CaseDocument document) {
        this.document = document;
    }

    /**
     * A fitting of one day.
     *
     * @param behindTheId each entry behind its id, with which it begins
     * @param canonical the entries as they are sealed, with ids that stand for those of an actual fitting
     * @param moments when each was made, as it is written
     * @param plan the plan document as it is sealed
     */
    record OfDay(
            LocalDate day,
            String seat,
            String car,
            String method,
            List<String> behindTheId,
            byte[] canonical,
            int[] idsAt,
            List<String> moments,
            String plan,
            List<DatedEvent> dates,
            int looks) {
        int entries() {
            return behindTheId.size();
        }

        /** An entry of one fitting, under an id of its own. */
        String document(UUID fitting, int seq) {
            return BEGINS + entry(fitting, seq) + behindTheId.get(seq - 1);
        }

        List<String> documents(UUID fitting) {
            List<String> own = new ArrayList<>(entries());
            for (int seq = 1; seq <= entries(); seq++) {
                own.add(document(fitting, seq));
            }
            return own;
        }

        /** The seal over them, without writing all of them in canonical form once more. */
        String seal(UUID fitting) {
            byte[] own = canonical.clone();
            for (int seq = 1; seq <= idsAt.length; seq++) {
                byte[] id = entry(fitting, seq).toString().getBytes(StandardCharsets.US_ASCII);
                System.arraycopy(id, 0, own, idsAt[seq - 1], id.length);
            }
            return Sha256.of(own);
        }
    }

    /** The id of an entry of a fitting. */
    static UUID entry(UUID fitting, int seq) {
        return new UUID(
                fitting.getMostSignificantBits() ^ ((long) seq << 20), fitting.getLeastSignificantBits() ^ seq * 31L);
    }

    SheetVersion seat() {
        return document.sheets().seats().get(0).sheet();
    }

    SheetVersion car() {
        return document.sheets().cars().get(0).sheet();
    }

    /**
     * The case on another day, handed over at its end.
     *
     * @throws IllegalStateException when it may not be handed over then
     */
    OfDay on(LocalDate day) {
        long shift = ChronoUnit.DAYS.between(document.date(), day);
        List<Entry> entries = new ArrayList<>();
        for (Entry entry : document.record().entries()) {
            int seq = entries.size() + 1;
            String moved = moved(LayetteJson.strict().writeValueAsString(entry), shift)
                    .replace(entry.id().toString(), String.format(ID, seq));
            entries.add(LayetteJson.strict().readValue(moved, Entry.class));
        }
        FittingPlan ready = plan(entries, day);
        Entry last = entries.get(entries.size() - 1);
        entries.add(new Entry(
                UUID.fromString(String.format(ID, entries.size() + 1)),
                last.seq() + 1,
                last.seq(),
                last.at().plusSeconds(30),
                new Author("load-lead", Author.Role.LEAD),
                How.MEASURED,
                null,
                new Fact.Ended(UnitId.FIRST, Fact.Ending.HANDED_OVER, null, null, null)
                        .decidedBy(FittingPlanner.decision(ready))));
        FittingPlan plan = plan(entries, day);
        if (!ready.mayHandOver() || plan.state() != FittingState.HANDED_OVER) {
            throw new IllegalStateException("The case is not ready on " + day + ": "
                    + ready.gate().blocking().stream()
                            .map(each -> each.conclusion() + " " + each.state())
                            .toList());
        }
        List<String> documents = entries.stream()
                .map(each -> LayetteJson.strict().writeValueAsString(each))
                .toList();
        List<String> behindTheId = documents.stream()
                .map(each -> {
                    if (!each.startsWith(BEGINS)) {
                        throw new IllegalStateException("An entry begins with its id: " + each);
                    }
                    return each.substring(BEGINS.length() + ID_LENGTH);
                })
                .toList();
        byte[] canonical = Seal.canonical(documents);
        String text = new String(canonical, StandardCharsets.ISO_8859_1);
        int[] idsAt = new int[documents.size()];
        for (int seq = 1; seq <= idsAt.length; seq++) {
            idsAt[seq - 1] = text.indexOf(String.format(ID, seq));
        }
        OfDay of = new OfDay(
                day,
                seat().id(),
                document.sheets().cars().stream()
                        .findFirst()
                        .map(VehicleSheet::fullName)
                        .orElse(""),
                plan.situation().method().map(Enum::name).orElse(""),
                behindTheId,
                canonical,
                idsAt,
                entries.stream().map(each -> each.at().toString()).toList(),
                PlanDocument.of(plan, Optional.empty(), false).toString(),
                plan.dates(),
                plan.situation().history(Fact.LevelRead.class).size());
        UUID some = UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
        if (!of.seal(some).equals(Seal.over(of.documents(some)).sha256())) {
            throw new IllegalStateException("The quick seal is another one on " + day);
        }
        return of;
    }

    private FittingPlan plan(List<Entry> entries, LocalDate day) {
        FittingRecord record =
                new FittingRecord(document.record().riders(), document.record().units(), entries);
        return planner.plan(document.practice(), document.sheets(), record, day);
    }

    private static String moved(String json, long days) {
        Matcher full = DAY.matcher(json);
        StringBuilder moved = new StringBuilder(json.length());
        while (full.find()) {
            full.appendReplacement(
                    moved, LocalDate.parse(full.group()).plusDays(days).toString());
        }
        full.appendTail(moved);
        Matcher month = MONTH.matcher(moved);
        StringBuilder both = new StringBuilder(json.length());
        long months = Math.floorDiv(days, 31L);
        while (month.find()) {
            month.appendReplacement(both, "\"" + YearMonth.parse(month.group(1)).plusMonths(months) + "\"");
        }
        month.appendTail(both);
        return both.toString();
    }
}
