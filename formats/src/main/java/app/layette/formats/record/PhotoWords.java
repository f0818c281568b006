package app.layette.formats.record;

import app.layette.formats.wording.Wording;

/** Says what a photograph shows: a moment of the work, or an area as it was found or left ({@code asFound.HARNESS}). */
public final class PhotoWords {
    private PhotoWords() {}

    public static String of(String about, Wording words) {
        int dot = about.indexOf('.');
        return dot < 0
                ? words.say("photo." + about)
                : words.say("photo." + about.substring(0, dot)) + ": "
                        + words.say("drawing.asFound." + about.substring(dot + 1));
    }
}
