package app.layette.web.workbench;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One thing to enter, ready to be shown.
 *
 * @param key names it within its step
 * @param title the question
 * @param help a sentence more, empty for none
 * @param answered whether it was entered and still holds
 * @param current what was entered last, in words; empty when nothing was
 * @param forms the ways to enter it: by eye first, by number after
 * @param optional whether it holds nothing up
 */
public record AskView(
        String key, String title, String help, boolean answered, String current, List<Form> forms, boolean optional) {
    AskView(String key, String title, String help, boolean answered, String current, List<Form> forms) {
        this(key, title, help, answered, current, forms, false);
    }

    /** The same, worth entering but holding nothing up. */
    AskView offered() {
        return new AskView(key, title, help, answered, current, forms, true);
    }

    /** The same without any way to enter it: somebody else has to. */
    AskView refusedTo(String sentence) {
        return new AskView(key, title, sentence, answered, current, List.of(), optional);
    }

    /** The same ask with another sentence under its title. */
    AskView withHelp(String sentence) {
        return new AskView(key, title, sentence, answered, current, forms);
    }

    /**
     * A form that posts one fact.
     *
     * @param hidden fields that are not shown, the kind of fact among them
     * @param buttons each posts the form with its own value
     * @param inputs fields to fill in
     * @param submit words of the button that posts the inputs; empty when the buttons do
     * @param folded title under which the form is folded away; empty when it stands open
     */
    public record Form(
            Map<String, String> hidden, List<Button> buttons, List<Input> inputs, String submit, String folded) {
        public Form(Map<String, String> hidden, List<Button> buttons, List<Input> inputs, String submit) {
            this(hidden, buttons, inputs, submit, "");
        }

        /** The same form, folded away under a title. */
        public Form foldedUnder(String title) {
            return new Form(hidden, buttons, inputs, submit, title);
        }

        /** Whether one of its fields was refused: then it must stand open. */
        public boolean hasProblem() {
            return inputs.stream().anyMatch(input -> input.problem().isPresent());
        }

        /** Whether it only asks and enters nothing. */
        public boolean asks() {
            return ReclineAsks.HERE.equals(hidden.get("kind"));
        }

        /** The measure that a scale or length board can fill in: {@code mass} or {@code length}; empty for none. */
        public String fromScale() {
            boolean hasSource = inputs.stream().anyMatch(input -> input.name().equals("how"));
            return hasSource ? inputs.get(0).name() : "";
        }

        /** Whether it takes what a label says, which a photograph can fill in. */
        public boolean readsLabel() {
            return "labelRead".equals(hidden.get("kind"));
        }

        /** Whether it takes an angle, which a sensor can fill in. */
        public boolean takesAngle() {
            return inputs.stream().anyMatch(input -> input.name().equals("angle"));
        }
    }

    /**
     * A button.
     *
     * @param picture an SVG, empty for none
     * @param chosen whether this is what was entered last
     */
    public record Button(String name, String value, String label, String picture, boolean chosen) {}

    /**
     * A field.
     *
     * @param type of the HTML input, or {@code select}
     * @param value shown in it
     * @param hint example of what may be typed
     * @param options value and label, for a select
     * @param problem what was wrong with it; empty when nothing was
     * @param echoed whether what was understood of it is said back while it is typed
     * @param unusual words of a button that keeps what was typed all the same; empty where nothing was asked
     */
    public record Input(
            String name,
            String label,
            String type,
            String value,
            String hint,
            Map<String, String> options,
            Optional<String> problem,
            Optional<String> unusual,
            boolean echoed) {
        /** The same field under another name. */
        Input called(String otherLabel) {
            return new Input(name, otherLabel, type, value, hint, options, problem, unusual, echoed);
        }
    }
}
