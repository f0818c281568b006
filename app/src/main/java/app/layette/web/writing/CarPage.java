package app.layette.web.writing;

import app.layette.core.drawing.cabin.CarSheetView;
import app.layette.core.evidence.Complete;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import app.layette.formats.sheet.CarField;
import app.layette.formats.sheet.CarWork;
import app.layette.formats.sheet.WorkingSheet.State;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriUtils;

/**
 * A vehicle sheet that is being written, as the screen shows it.
 *
 * @param place the seating position that is being written, as {@code 2-LEFT}; empty while the car as a whole is
 * @param missing values that nobody looked up
 * @param free places that could be added
 * @param next the field that is asked next; empty where nothing is missing
 */
@Complete
public record CarPage(
        String id,
        String title,
        String place,
        String placeName,
        int missing,
        int byTape,
        int sourced,
        List<WritingPage.Thread> sections,
        String svg,
        List<WritingPage.Tile> tiles,
        WritingPage.Field field,
        List<WritingPage.Doubt> doubts,
        List<Place> free,
        Optional<WritingPage.Link> next) {
    private static final int ROWS = 4;

    /** A seating position by its name. */
    public record Place(String id, String name) {}

    static String name(CarField field, Wording words) {
        String name = field.pointer().startsWith("/permissions/")
                ? WritingPage.permission(field.pointer())
                : "carSheet.field." + field.key();
        return field.place()
                .map(place -> words.say("place." + place) + ": " + words.say(name))
                .orElseGet(() -> words.say(name));
    }

    /** Its name where its place stands beside it. */
    private static String shortName(CarField field, Wording words) {
        return field.place().isPresent() ? words.say("carSheet.field." + field.key()) : name(field, words);
    }

    static String address(String id, CarField field) {
        return "/sheets/cars/" + id + "?field=" + UriUtils.encodeQueryParam(field.pointer(), StandardCharsets.UTF_8);
    }

    /** Every place that a car can have, the driver's not counted. */
    static List<Place> places(Wording words) {
        List<Place> places = new ArrayList<>();
        for (int row = 1; row <= ROWS; row++) {
            for (Side side : Side.values()) {
                PositionId place = new PositionId(row, side);
                places.add(new Place(place.toString(), words.say("place." + place)));
            }
        }
        return places;
    }

    static Optional<CarField> at(CarWork work, String pointer) {
        return work.fields().stream()
                .filter(each -> each.pointer().equals(pointer))
                .findFirst();
    }

    /** Builds the page at a field; at the first that is missing where none is named. */
    static CarPage of(CarWork work, String pointer, Optional<WritingPage.Typed> typed, Wording words) {
        List<CarField> all = work.fields();
        CarField at = at(work, pointer).or(() -> missing(work, null)).orElse(all.get(0));
        List<CarField> beside = all.stream().filter(each -> isBeside(each, at)).toList();
        Optional<CarField> next = missing(work, at);
        List<PositionId> there = work.places();
        return CarPageParts.builder()
                .id(work.id())
                .title(work.title())
                .place(at.place().map(PositionId::toString).orElse(""))
                .placeName(at.place().map(place -> words.say("place." + place)).orElse(""))
                .missing((int) all.stream()
                        .filter(each -> WritingPage.isMissing(work, each))
                        .count())
                .byTape((int) all.stream()
                        .filter(each -> work.source(each).startsWith("tape"))
                        .count())
                .sourced((int) all.stream()
                        .filter(each -> each.evidence() && work.state(each) != State.NOT_LOOKED)
                        .count())
                .sections(sections(work, at, words))
                .svg(svg(work, at, words))
                .tiles(beside.stream()
                        .map(each -> new WritingPage.Tile(
                                shortName(each, words),
                                WritingPage.text(work, each, words),
                                address(work.id(), each),
                                work.state(each) != State.NOT_LOOKED,
                                each.equals(at)))
                        .toList())
                .field(WritingPage.field(work, at, shortName(at, words), section(at, words), typed, words))
                .doubts(doubts(work, words))
                .free(places(words).stream()
                        .filter(each -> !there.contains(PositionId.parse(each.id())))
                        .toList())
                .next(next.map(each -> new WritingPage.Link(name(each, words), address(work.id(), each))))
                .build();
    }

    private static boolean isBeside(CarField each, CarField at) {
        return each.section() == at.section() && each.place().equals(at.place());
    }

    private static String section(CarField at, Wording words) {
        return at.place()
                .map(place -> words.say("place." + place))
                .orElseGet(() -> words.say("carSheet.section." + at.section()));
    }

    /** The next missing field after one, round to the first. */
    static Optional<CarField> missing(CarWork work, @Nullable CarField after) {
        List<CarField> all = work.fields();
        int from = after == null ? 0 : all.indexOf(after) + 1;
        List<CarField> round = new ArrayList<>(all.subList(from, all.size()));
        round.addAll(all.subList(0, from));
        return round.stream()
                .filter(each -> WritingPage.isMissing(work, each) && !each.equals(after))
                .findFirst();
    }

    private static List<WritingPage.Thread> sections(CarWork work, CarField at, Wording words) {
        List<WritingPage.Thread> threads = new ArrayList<>();
        List<CarField> all = work.fields();
        for (CarField first : all) {
            boolean begins = all.stream()
                    .filter(each -> isBeside(each, first))
                    .findFirst()
                    .orElseThrow()
                    .equals(first);
            if (begins) {
                List<CarField> fields =
                        all.stream().filter(each -> isBeside(each, first)).toList();
                CarField open = fields.stream()
                        .filter(each -> WritingPage.isMissing(work, each))
                        .findFirst()
                        .orElse(first);
                threads.add(new WritingPage.Thread(
                        section(first, words),
                        address(work.id(), open),
                        known(work, fields),
                        fields.size(),
                        isBeside(first, at)));
            }
        }
        return threads;
    }

    private static int known(CarWork work, List<CarField> fields) {
        return (int) fields.stream()
                .filter(each -> work.state(each) != State.NOT_LOOKED)
                .count();
    }

    private static String svg(CarWork work, CarField at, Wording words) {
        List<CarField> all = work.fields();
        List<CarSheetView.Mark> marks = work.places().stream()
                .map(place -> {
                    List<CarField> fields = all.stream()
                            .filter(each -> each.place().filter(place::equals).isPresent())
                            .toList();
                    return new CarSheetView.Mark(
                            place,
                            known(work, fields),
                            fields.size(),
                            at.place().filter(place::equals).isPresent());
                })
                .toList();
        return work.sheet()
                .map(sheet -> SvgWriter.write(
                        CarSheetView.of(sheet, marks),
                        words,
                        link -> placeAddress(work, PositionId.parse(link.target()))))
                .orElse("");
    }

    /** Where a place is gone on with: at the first field of it that is missing. */
    private static Optional<String> placeAddress(CarWork work, PositionId place) {
        List<CarField> fields = work.fields().stream()
                .filter(each -> each.place().filter(place::equals).isPresent())
                .toList();
        return fields.stream()
                .filter(each -> WritingPage.isMissing(work, each))
                .findFirst()
                .or(() -> fields.stream().findFirst())
                .map(each -> address(work.id(), each));
    }

    private static List<WritingPage.Doubt> doubts(CarWork work, Wording words) {
        List<WritingPage.Doubt> doubts = new ArrayList<>();
        work.problems().forEach(problem -> doubts.add(new WritingPage.Doubt(problem.toString(), "")));
        work.doubts()
                .forEach(field -> doubts.add(new WritingPage.Doubt(
                        name(field, words) + ": " + words.say("carSheet.doubt"), address(work.id(), field))));
        return doubts;
    }
}
