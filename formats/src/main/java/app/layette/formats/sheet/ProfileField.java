package app.layette.formats.sheet;

import java.util.List;
import java.util.stream.Stream;

/**
 * One setting of a practice profile.
 *
 * @param pointer where it stands in the document, such as {@code /headRoom}
 * @param shape what it takes
 */
public record ProfileField(String pointer, Shape shape) {
    private static final List<ProfileField> ALL = Stream.of(
                    "/snugTest",
                    "/headRoom",
                    "/slotFarBelow",
                    "/newbornTarget",
                    "/newbornDays",
                    "/gap",
                    "/childOrder",
                    "/rollsBeside",
                    "/screening",
                    "/recallDays",
                    "/anchorLimit",
                    "/rearFacing/months",
                    "/rearFacing/length",
                    "/breaks/firstWeeksMinutes",
                    "/breaks/laterMinutes",
                    "/routingFirst",
                    "/retractorBesides",
                    "/units")
            .map(pointer -> new ProfileField(pointer, SheetFields.shapeAt("practice-profile.schema.json", pointer)))
            .toList();

    /** Every setting on which schools can differ. */
    public static List<ProfileField> all() {
        return ALL;
    }

    /** Name of its box and of its words. */
    public String key() {
        return pointer.substring(1).replace('/', '.');
    }
}
