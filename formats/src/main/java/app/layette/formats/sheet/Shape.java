package app.layette.formats.sheet;

import java.util.List;

/** What a field of a sheet takes. */
public sealed interface Shape {
    /** Words. */
    record Text(int longest) implements Shape {}

    /** A text that follows a pattern: a country, a day, a seating position, a source. */
    record Pattern(String kind, String regex) implements Shape {}

    /** A mass or a length with its unit, as it is printed; where {@code orNone} is set, also that there is none. */
    record Quantity(String kind, String regex, boolean orNone) implements Shape {}

    /** A number, from least to most. */
    record Figure(double least, double most, boolean whole) implements Shape {}

    /** Yes or no. */
    record Flag() implements Shape {}

    /** One of several words. */
    record Choice(List<String> words) implements Shape {
        public Choice {
            words = List.copyOf(words);
        }
    }

    /** Years, or one of several words instead. */
    record YearsOr(List<String> words) implements Shape {
        public YearsOr {
            words = List.copyOf(words);
        }
    }

    /** Several of one shape. */
    record Several(Shape each) implements Shape {}

    /** A pair of numbers. */
    record Pair() implements Shape {}

    /** Parts with names, some of which are needed. */
    record Group(List<Part> parts) implements Shape {
        public Group {
            parts = List.copyOf(parts);
        }
    }

    /** Words by name: what a document is called, what a piece is called in a language. */
    record Named(Shape each) implements Shape {}

    /** A part of a group. */
    record Part(String name, Shape shape, boolean needed) {}
}
