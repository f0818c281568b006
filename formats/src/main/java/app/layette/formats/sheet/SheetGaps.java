package app.layette.formats.sheet;

import app.layette.core.evidence.SheetValue;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.unsaid.LeftUnsaid;
import app.layette.core.unsaid.StandardChild;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.SheetReader;
import app.layette.formats.text.CamelCase;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What a sheet would leave unknown, by the field that would tell it. */
public final class SheetGaps {
    private static final List<VehicleSheet> CARS = Stream.of("car-estate", "car-hatch", "car-seven")
            .map(SheetGaps::car)
            .toList();

    private SheetGaps() {}

    /**
     * What came out.
     *
     * @param fittings how many were planned
     * @param gaps the field that would unblock most first
     */
    public record Gaps(int fittings, List<Gap> gaps) {
        public Gaps {
            gaps = List.copyOf(gaps);
        }
    }

    /** A field that nobody answered, and in how many fittings it would block. */
    public record Gap(SheetField field, int fittings) {}

    /** Plans a sheet over the standard children and cars. */
    public static Gaps of(SeatSheet seat, Practice practice, LocalDate today) {
        LeftUnsaid.Result result = LeftUnsaid.of(seat, StandardChild.all(), CARS, practice, today);
        Map<SheetField, Integer> byField = new LinkedHashMap<>();
        for (LeftUnsaid.Gap gap : result.gaps()) {
            SheetField field = SheetFields.at(pointer(gap.key(), seat.kind()))
                    .orElseThrow(() -> new IllegalStateException("No field of a sheet tells " + gap.key()));
            byField.merge(field, gap.fittings(), Math::max);
        }
        return new Gaps(
                result.fittings(),
                byField.entrySet().stream()
                        .map(each -> new Gap(each.getKey(), each.getValue()))
                        .sorted(Comparator.comparingInt(Gap::fittings).reversed())
                        .toList());
    }

    /** The field that would tell what a step asks for. */
    static String pointer(String key, SeatKind kind) {
        String[] parts = key.split(":");
        return switch (parts[0]) {
            case "PERMISSION" -> "/permissions/" + CamelCase.of(parts[1]);
            case "HANDLE" -> "/handle";
            case "QUANTITY" -> quantity(parts[1]);
            default -> value(SheetValue.valueOf(parts[0]), kind);
        };
    }

    private static String quantity(String quantity) {
        return switch (quantity) {
            case "GAP" -> "/gap";
            case "ANCHOR_LIMIT" -> "/anchorLimit";
            default -> "/" + SheetValue.valueOf(quantity).component();
        };
    }

    private static String value(SheetValue value, SeatKind kind) {
        if (value.isOfPlace()) {
            throw new IllegalArgumentException("No seat sheet tells " + value);
        }
        boolean lying = value == SheetValue.HEAD_DIRECTION && kind == SeatKind.LAY_FLAT;
        return lying ? "/layFlat/headDirection" : "/" + value.component();
    }

    private static VehicleSheet car(String name) {
        try (InputStream in = SheetGaps.class.getResourceAsStream("/app/layette/formats/standard/" + name + ".json")) {
            return SheetReader.vehicle(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException("The standard car " + name + " cannot be read", e);
        }
    }
}
