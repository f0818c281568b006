package app.layette.web.api;

import app.layette.web.api.Problems.ApiException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * A page of a list, and where the next one begins. Where it begins is a mark of ours that names the last line, never a
 * count: what comes meanwhile moves nothing.
 *
 * @param next {@code null} on the last page
 */
record PageOf<T>(List<T> items, @Nullable String next) {
    private static final int MOST = 200;
    private static final int USUAL = 50;
    private static final String BETWEEN = "\n";

    /** How many are asked for. */
    static int limit(String text) {
        if (text.isEmpty()) {
            return USUAL;
        }
        if (!text.matches("\\d{1,3}") || Integer.parseInt(text) < 1 || Integer.parseInt(text) > MOST) {
            throw ApiException.field("limit", text, "1 to " + MOST);
        }
        return Integer.parseInt(text);
    }

    /** What the mark says; empty on the first page. */
    static Optional<List<String>> after(String mark, int parts) {
        if (mark.isEmpty()) {
            return Optional.empty();
        }
        try {
            String text = new String(Base64.getUrlDecoder().decode(mark), StandardCharsets.UTF_8);
            List<String> read = Arrays.asList(text.split(BETWEEN, -1));
            if (read.size() == parts) {
                return Optional.of(read);
            }
        } catch (IllegalArgumentException e) {
            // Said below, as for every mark that is not ours.
        }
        throw ApiException.field("after", mark, "what the last page called next");
    }

    /** A page out of one line more than it has. */
    static <T> PageOf<T> of(List<T> oneMore, int limit, Function<T, List<String>> mark) {
        if (oneMore.size() <= limit) {
            return new PageOf<>(oneMore, null);
        }
        List<T> items = new ArrayList<>(oneMore.subList(0, limit));
        String last = String.join(BETWEEN, mark.apply(items.get(limit - 1)));
        return new PageOf<>(
                items, Base64.getUrlEncoder().withoutPadding().encodeToString(last.getBytes(StandardCharsets.UTF_8)));
    }
}
