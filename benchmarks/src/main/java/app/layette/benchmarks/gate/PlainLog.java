package app.layette.benchmarks.gate;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;

/** What was entered, read in the plainest way: who said what in which place, and what was touched when. */
final class PlainLog {
    private static final long USUAL_DELAY_SECONDS = 12 * 3600L;

    /** One entry that counts. {@code day} is empty where its time cannot be believed. */
    record Line(Fact fact, int seq, int seen, How.Kind how, String page, Optional<LocalDate> day, boolean trainee) {
        int rank() {
            return switch (how) {
                case MEASURED -> 0;
                case MANUAL, LABEL -> 1;
                case TOLD, CARRIED_FROM -> 2;
                case ESTIMATED, SIMULATED -> 3;
            };
        }

        boolean isHere() {
            return how == How.Kind.MEASURED;
        }

        boolean isRead() {
            return how == How.Kind.LABEL || how == How.Kind.MANUAL && !page.isEmpty();
        }
    }

    /** Something that was touched. */
    record Touched(String what, int seq) {}

    private final List<Line> lines = new ArrayList<>();
    private final List<Touched> touched = new ArrayList<>();
    private final String seat;

    PlainLog(FittingRecord record, Set<String> sheets, ZoneId zone, LocalDate today) {
        String unit = record.units().get(0).id().text();
        String rider = record.units().get(0).rider().text();
        this.seat = record.units().get(0).sheet().text();
        List<Entry> inOrder = new ArrayList<>(record.entries());
        inOrder.sort(Comparator.comparingInt(Entry::seq));
        List<Line> all = new ArrayList<>();
        Map<UUID, Integer> places = new HashMap<>();
        for (Entry entry : inOrder) {
            if (!isAbout(entry.fact(), unit, rider, sheets) && !(entry.fact() instanceof Fact.Withdrawn)) {
                continue;
            }
            Line line = line(entry, zone, today);
            if (entry.corrects() == null) {
                places.put(entry.id(), all.size());
                all.add(line);
                continue;
            }
            int at = places.get(entry.corrects());
            places.put(entry.id(), at);
            Line before = all.get(at);
            all.set(
                    at,
                    entry.fact() instanceof Fact.Withdrawn
                            ? null
                            : new Line(
                                    line.fact(),
                                    before.seq(),
                                    before.seen(),
                                    line.how(),
                                    line.page(),
                                    line.day(),
                                    line.trainee()));
            corrected(before, line);
        }
        all.stream().filter(each -> each != null).forEach(lines::add);
        touch();
    }

    private static boolean isAbout(Fact fact, String unit, String rider, Set<String> sheets) {
        return fact instanceof Fact.SheetAdopted
                || fact instanceof Fact.QuickCarSeen
                || fact instanceof Fact.Countersigned
                || fact.of().text().equals(unit)
                || fact.of().text().equals(rider)
                || sheets.contains(fact.of().text());
    }

    private static Line line(Entry entry, ZoneId zone, LocalDate today) {
        LocalDate day = entry.at().atZoneSameInstant(zone).toLocalDate();
        boolean believed = true;
        if (entry.how().kind() == How.Kind.CARRIED_FROM) {
            try {
                day = LocalDate.parse(entry.how().place());
            } catch (DateTimeException e) {
                believed = false;
            }
        }
        if (entry.arrived() != null) {
            long late = entry.arrived().toEpochSecond() - entry.at().toEpochSecond();
            believed &= late >= 0 && (Boolean.TRUE.equals(entry.waited()) || late <= USUAL_DELAY_SECONDS);
        }
        Optional<LocalDate> counts = believed && !day.isAfter(today) ? Optional.of(day) : Optional.empty();
        return new Line(
                entry.fact(),
                entry.seq(),
                entry.seen(),
                entry.how().kind(),
                entry.how().place(),
                counts,
                entry.by().isTrainee());
    }

    private void corrected(Line before, Line now) {
        if (now.rank() == 3 || now.fact().equals(before.fact())) {
            return;
        }
        if (isMeasure(before.fact())) {
            touched.add(new Touched("MEASURES_RENEWED", now.seq()));
        }
        if (before.fact() instanceof Fact.LabelRead) {
            touched.add(new Touched("LABEL_CORRECTED", now.seq()));
        }
    }

    private static boolean isMeasure(Fact fact) {
        return fact instanceof Fact.Weighed
                || fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.BODY;
    }

    // What was touched, one kind after the other.

    private void touch() {
        Map<String, Object> last = new HashMap<>();
        Map<String, Integer> ranks = new HashMap<>();
        String car = null;
        for (Line line : lines) {
            Fact fact = line.fact();
            if (fact instanceof Fact.Acted acted) {
                add(ofAct(acted.act().name()), line);
            } else if (fact instanceof Fact.Taught taught && taught.outcome() == Fact.TeachOutcome.DONE) {
                add(ofTeaching(taught.item().name()), line);
            } else if (isMeasure(fact) && line.rank() < 3) {
                String kind = fact.getClass().getSimpleName();
                Integer best = ranks.get(kind);
                if (best != null && line.rank() <= best) {
                    add("MEASURES_RENEWED", line);
                }
                ranks.merge(kind, line.rank(), Math::min);
            } else if (fact instanceof Fact.LabelRead label) {
                Fact.LabelRead before = (Fact.LabelRead) last.put("label" + label.part(), label);
                boolean other = before != null
                        && (differ(flat(before.model()), flat(label.model()))
                                || differ(before.made(), label.made())
                                || differ(before.doNotUseAfter(), label.doNotUseAfter()));
                add(other ? "OTHER_SEAT" : null, line);
            } else if (fact instanceof Fact.SheetAdopted adopted) {
                boolean ofCar = !adopted.of().text().equals(seat) && adopted.adoption() == Fact.Adoption.ADOPTED;
                String next = "sheet " + adopted.of();
                add(ofCar && car != null && !car.equals(next) ? "OTHER_CAR" : null, line);
                car = ofCar ? next : car;
            } else if (fact instanceof Fact.QuickCarSeen seen) {
                String next = "seen " + seen.name();
                add(car != null && !car.equals(next) ? "OTHER_CAR" : null, line);
                car = next;
            } else if (fact instanceof Fact.WebbingMoved) {
                add("SLOT", line);
            } else if (fact instanceof Fact.Answered answered && answered.question() == Question.SUPPORT) {
                Object before = last.put("support", answered.answer());
                boolean opened = before == null ? !answered.answer().equals("NONE") : !before.equals(answered.answer());
                add(opened ? "HARNESS_OPENED" : null, line);
            } else {
                setting(fact, line, last);
            }
        }
    }

    private void setting(Fact fact, Line line, Map<String, Object> last) {
        String change = fact instanceof Fact.SlotsSet || fact instanceof Fact.CrotchSet
                ? "SLOT"
                : fact instanceof Fact.InsertSet
                        ? "INSERT"
                        : fact instanceof Fact.DeviceSet || fact instanceof Fact.RollPlaced
                                ? "TIGHTENED"
                                : fact instanceof Fact.HandleSet
                                        ? "HANDLE_MOVED"
                                        : fact instanceof Fact.Placed ? "PLACE_OR_METHOD" : null;
        if (change == null) {
            return;
        }
        String piece = fact instanceof Fact.InsertSet insert ? insert.piece().text() : "";
        Object before = last.put(fact.getClass().getSimpleName() + fact.of() + piece, fact);
        boolean foundSo = fact instanceof Fact.CrotchSet && before == null;
        add(foundSo || fact.equals(before) ? null : change, line);
    }

    private void add(String change, Line line) {
        if (change != null) {
            touched.add(new Touched(change, line.seq()));
        }
    }

    private static boolean differ(Object before, Object now) {
        return before != null && now != null && !before.equals(now);
    }

    static String flat(String model) {
        return model == null ? null : model.replaceAll("\\s", "").toUpperCase(Locale.ROOT);
    }

    private static String ofAct(String act) {
        return switch (act) {
            case "TIGHTENED", "PRESSED_OR_ROCKED" -> "TIGHTENED";
            case "CARRIER_ON", "CARRIER_OFF" -> "CARRIER_ON_OFF";
            case "COVER_CHANGED" -> "COVER";
            case "HARNESS_OPENED", "CLOTHING_CHANGED" -> "HARNESS_OPENED";
            case "TURNED_TO_DOOR" -> "TURNED";
            case "PREPARED" -> null;
            default -> act;
        };
    }

    private static String ofTeaching(String item) {
        return switch (item) {
            case "HARNESS_AND_SNUG" -> "HARNESS_OPENED";
            case "CLIP" -> "CLIP_MOVED";
            case "CARRIER_ON_AND_OFF" -> "CARRIER_ON_OFF";
            case "TIGHTEN_AND_LOOSEN", "BASELESS_ONCE" -> "BELT_TOUCHED";
            default -> null;
        };
    }

    // Questions to it.

    /** The best known, and of these the last. */
    <F extends Fact> Optional<Line> best(Class<F> kind, Predicate<F> fits) {
        Line best = null;
        for (Line line : lines) {
            boolean counts = kind.isInstance(line.fact()) && line.rank() < 3 && fits.test(kind.cast(line.fact()));
            if (counts && (best == null || line.rank() <= best.rank())) {
                best = line;
            }
        }
        return Optional.ofNullable(best);
    }

    <F extends Fact> Optional<Line> best(Class<F> kind) {
        return best(kind, fact -> true);
    }

    List<Line> lines() {
        return lines;
    }

    /** The last time that one of these was touched, leaving out one place. */
    int lastTouched(Set<String> what, int except) {
        int last = 0;
        for (Touched each : touched) {
            if (each.seq() != except && what.contains(each.what())) {
                last = Math.max(last, each.seq());
            }
        }
        return last;
    }
}
