package app.layette.web.writing;

import app.layette.core.drawing.sheet.SheetView;
import app.layette.core.evidence.Complete;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.Shape;
import app.layette.formats.sheet.SheetDoubts;
import app.layette.formats.sheet.SheetField;
import app.layette.formats.sheet.SheetField.Look;
import app.layette.formats.sheet.SheetField.Section;
import app.layette.formats.sheet.SheetFields;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.sheet.WorkingSheet;
import app.layette.formats.sheet.WorkingSheet.State;
import app.layette.formats.sheet.WrittenField;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriUtils;

/**
 * A sheet that is being written, as the screen shows it.
 *
 * @param missing values that nobody looked up
 * @param byTape values taken by tape
 * @param sourced values with their source
 * @param doubts what contradicts itself, in words, with the field
 * @param tiles what has no place in a drawing: permissions
 * @param atLabel whether what the label says is being written
 * @param next the field that is asked next; empty where nothing is missing
 */
@Complete
public record WritingPage(
        String id,
        String title,
        String kind,
        int missing,
        int byTape,
        int sourced,
        List<Thread> sections,
        List<Tab> looks,
        String svg,
        List<Tile> tiles,
        Field field,
        List<Doubt> doubts,
        boolean atLabel,
        Optional<Link> next) {
    /** How something is known, as the form asks; whatever else a sheet says of it is kept as it stands. */
    private static final Set<String> ASKED = Set.of("", "manual", "label", "tape");

    /** A section with how much of it is known. */
    public record Thread(String name, String address, int known, int of, boolean here) {}

    /** A drawing to look at. */
    public record Tab(String name, String address, boolean here) {}

    /** A field and where it is answered. */
    public record Link(String name, String address) {}

    /** A field beside the drawing. */
    public record Tile(String name, String text, String address, boolean looked, boolean here) {}

    /** What contradicts itself. */
    public record Doubt(String says, String address) {}

    /**
     * The field that is answered.
     *
     * @param box its boxes
     * @param evidence whether a source is asked for
     * @param how how it is known so far: {@code manual}, {@code label}, {@code tape}, {@code silent} or empty
     * @param kept the source as it stands, where the form asks for none like it
     * @param place page or part
     * @param isList whether it can be said that there are none
     * @param quantity whether a unit is needed
     */
    @Complete
    public record Field(
            String pointer,
            String name,
            String section,
            Boxes.Box box,
            boolean evidence,
            String how,
            String kept,
            String place,
            boolean isList,
            boolean none,
            boolean quantity) {}

    /** What was sent and refused; empty where nothing was. */
    record Typed(Map<String, String> fields) {}

    static String name(SheetField field, Wording words) {
        String key = field.pointer().startsWith("/permissions/")
                ? permission(field.pointer())
                : "sheet.field." + field.key();
        return words.say(key);
    }

    static String permission(String pointer) {
        String camel = pointer.substring("/permissions/".length());
        return "asks." + camel.replaceAll("([A-Z])", "_$1").toUpperCase(Locale.ROOT);
    }

    static String address(String id, SheetField field) {
        return "/sheets/writing/" + id + "?field=" + UriUtils.encodeQueryParam(field.pointer(), StandardCharsets.UTF_8);
    }

    /** Builds the page at a field; at the first that is missing where none is named. */
    static WritingPage of(SheetWork work, String pointer, Optional<Typed> typed, Wording words) {
        List<SheetField> asked = SheetFields.of(work.kind());
        Optional<SheetField> missing = missing(work, asked, null);
        SheetField at = SheetFields.at(pointer)
                .filter(asked::contains)
                .or(() -> missing)
                .orElse(asked.get(0));
        Optional<SeatSheet> sheet = work.sheet();
        List<Doubt> doubts = doubts(work, sheet, words);
        Optional<SheetField> next = missing(work, asked, at);
        return WritingPageParts.builder()
                .id(work.id())
                .title(work.title())
                .kind(words.say("seatKind." + work.kind()))
                .missing((int)
                        asked.stream().filter(each -> isMissing(work, each)).count())
                .byTape((int) asked.stream()
                        .filter(each -> work.source(each).startsWith("tape"))
                        .count())
                .sourced((int) asked.stream()
                        .filter(each -> each.evidence() && work.state(each) != State.NOT_LOOKED)
                        .count())
                .sections(sections(work, asked, at, words))
                .looks(looks(work, asked, at, words))
                .svg(at.look() == Look.WORDS ? "" : svg(work, asked, at, sheet, words))
                .tiles(at.look() == Look.WORDS ? tiles(work, asked, at, words) : List.of())
                .field(field(work, at, name(at, words), words.say("sheet.section." + at.section()), typed, words))
                .doubts(doubts)
                .atLabel(at.look() == Look.LABEL)
                .next(next.map(each -> new Link(name(each, words), address(work.id(), each))))
                .build();
    }

    /** Whether an answer is missing: of what names the restraint only what the schema needs is. */
    static boolean isMissing(WorkingSheet work, WrittenField field) {
        return field.evidence() && work.state(field) == State.NOT_LOOKED;
    }

    /** The next missing field after one, round to the first. */
    private static Optional<SheetField> missing(SheetWork work, List<SheetField> asked, @Nullable SheetField after) {
        int from = after == null ? 0 : asked.indexOf(after) + 1;
        List<SheetField> round = new ArrayList<>(asked.subList(from, asked.size()));
        round.addAll(asked.subList(0, from));
        return round.stream()
                .filter(each -> isMissing(work, each) && !each.equals(after))
                .findFirst();
    }

    static Optional<String> nextAddress(SheetWork work, SheetField after) {
        return missing(work, SheetFields.of(work.kind()), after).map(each -> address(work.id(), each));
    }

    private static List<Thread> sections(SheetWork work, List<SheetField> asked, SheetField at, Wording words) {
        Map<Section, List<SheetField>> bySection = new EnumMap<>(Section.class);
        asked.forEach(each -> bySection
                .computeIfAbsent(each.section(), section -> new ArrayList<>())
                .add(each));
        List<Thread> threads = new ArrayList<>();
        bySection.forEach((section, fields) -> {
            SheetField first = fields.stream()
                    .filter(each -> isMissing(work, each))
                    .findFirst()
                    .orElse(fields.get(0));
            int known = (int) fields.stream()
                    .filter(each -> work.state(each) != State.NOT_LOOKED)
                    .count();
            threads.add(new Thread(
                    words.say("sheet.section." + section),
                    address(work.id(), first),
                    known,
                    fields.size(),
                    section == at.section()));
        });
        return threads;
    }

    private static List<Tab> looks(SheetWork work, List<SheetField> asked, SheetField at, Wording words) {
        Set<Look> there = new LinkedHashSet<>();
        Arrays.stream(Look.values())
                .filter(look -> asked.stream().anyMatch(each -> each.look() == look))
                .forEach(there::add);
        return there.stream()
                .map(look -> {
                    SheetField first = asked.stream()
                            .filter(each -> each.look() == look)
                            .findFirst()
                            .orElseThrow();
                    return new Tab(words.say("sheet.look." + look), address(work.id(), first), look == at.look());
                })
                .toList();
    }

    private static String svg(
            SheetWork work, List<SheetField> asked, SheetField at, Optional<SeatSheet> sheet, Wording words) {
        List<SheetView.Mark> marks = asked.stream()
                .filter(each -> each.look() == at.look())
                .map(each -> new SheetView.Mark(
                        each.pointer(),
                        "sheet.field." + each.key(),
                        text(work, each, words),
                        work.state(each) != State.NOT_LOOKED,
                        each.equals(at)))
                .toList();
        return SvgWriter.write(
                SheetView.of(
                        work.kind(), sheet, SheetView.Side.valueOf(at.look().name()), marks),
                words,
                link -> SheetFields.at(link.target()).map(field -> address(work.id(), field)));
    }

    static String text(WorkingSheet work, WrittenField field, Wording words) {
        return switch (work.state(field)) {
            case NOT_LOOKED -> "";
            case SILENT -> words.say("sheet.saysNothing");
            case STATED -> Boxes.said(field, work.value(field).orElseThrow(), words);
        };
    }

    private static List<Tile> tiles(SheetWork work, List<SheetField> asked, SheetField at, Wording words) {
        return asked.stream()
                .filter(each -> each.look() == Look.WORDS)
                .map(each -> new Tile(
                        name(each, words),
                        text(work, each, words),
                        address(work.id(), each),
                        work.state(each) != State.NOT_LOOKED,
                        each.equals(at)))
                .toList();
    }

    static Field field(
            WorkingSheet work, WrittenField at, String name, String section, Optional<Typed> typed, Wording words) {
        Map<String, String> filled = typed.map(Typed::fields)
                .orElseGet(() -> FieldForm.write(at.shape(), work.value(at).orElse(null)));
        String source = work.source(at);
        String said = source.split(" ")[0];
        String key = work.state(at) == State.SILENT ? "silent" : ASKED.contains(said) ? said : FieldAnswer.KEPT;
        String place = source.contains(" ") ? source.substring(source.indexOf(' ') + 1) : "";
        boolean none = work.value(at)
                .filter(value -> value.isArray() && value.isEmpty())
                .isPresent();
        return WritingPageFieldParts.builder()
                .pointer(at.pointer())
                .name(name)
                .section(section)
                .box(new Boxes(words, filled).of(at.shape()))
                .evidence(at.evidence())
                .how(typed.map(each -> each.fields().getOrDefault("how", key)).orElse(key))
                .kept(key.equals(FieldAnswer.KEPT) ? source : "")
                .place(typed.map(each -> each.fields().getOrDefault("place", place))
                        .orElse(place))
                .isList(at.shape() instanceof Shape.Several)
                .none(none)
                .quantity(at.shape() instanceof Shape.Quantity)
                .build();
    }

    private static List<Doubt> doubts(SheetWork work, Optional<SeatSheet> sheet, Wording words) {
        List<Doubt> doubts = new ArrayList<>();
        work.problems().forEach(problem -> doubts.add(new Doubt(problem.toString(), "")));
        sheet.ifPresent(each -> SheetDoubts.of(each).forEach(doubt -> {
            SheetField field = SheetFields.at(doubt.pointer()).orElseThrow();
            doubts.add(new Doubt(
                    name(field, words) + ": " + words.say("sheet.doubt." + doubt.kind()), address(work.id(), field)));
        }));
        return doubts;
    }
}
