package app.layette.web.workbench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/**
 * The pieces of a workbench, each with a print of all that it is drawn from. A browser says which prints it shows; what it
 * shows already is neither drawn nor sent again.
 *
 * @param prints by the id of the piece
 * @param sent the ids of those that are drawn this time
 */
public record Pieces(Map<String, String> prints, Set<String> sent) {
    /** Names the pieces that a browser shows, {@code id=print}, with commas between them. */
    static final String HEADER = "Layette-Shows";

    /** The open step holds forms with ids of their own: it is new each time. */
    private static final String ALWAYS = "now";

    private static final int LONGEST = 400;
    /** Beside the 31 of the texts of Java. */
    private static final int PRIME = 1_000_003;

    /**
     * What of a workbench is to be drawn.
     *
     * @param shown what the browser says it shows; empty for a whole page
     */
    static Pieces of(Workbench bench, String shown) {
        Map<String, String> prints = new LinkedHashMap<>();
        prints.put("head", print(bench.head()));
        prints.put("run", print(bench.phases()));
        prints.put("board", print(bench.board()) + print(bench.now().key()));
        prints.put("findings", print(bench.groups()));
        Set<String> sent = new LinkedHashSet<>(prints.keySet());
        if (shown.length() <= LONGEST) {
            Arrays.stream(shown.split(","))
                    .map(each -> each.split("=", 2))
                    .filter(each -> each.length == 2 && each[1].equals(prints.get(each[0])))
                    .forEach(each -> sent.remove(each[0]));
        }
        sent.add(ALWAYS);
        return new Pieces(prints, sent);
    }

    /** The open step alone. */
    Pieces withoutDrawing() {
        return new Pieces(prints, Set.of(ALWAYS));
    }

    /** Two prints of different kind: that both stay while the piece changes is left to nobody's luck. */
    private static String print(Object drawnFrom) {
        String text = drawnFrom.toString();
        int second = 0;
        for (char each : text.toCharArray()) {
            second = second * PRIME + each;
        }
        return Integer.toHexString(text.hashCode()) + Integer.toHexString(second) + Integer.toHexString(text.length());
    }
}
