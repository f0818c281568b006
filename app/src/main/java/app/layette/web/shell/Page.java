package app.layette.web.shell;

import java.util.List;
import java.util.function.IntFunction;

/**
 * A part of a long list: no page grows with what was ever kept.
 *
 * @param items of this page
 * @param number of this page, from 1
 * @param last number of the last page, at least 1
 * @param all how many items there are on all pages
 */
public record Page<T>(List<T> items, int number, int last, int all) {
    /**
     * A page of a list.
     *
     * @param wanted number of the page; one that is not there gives the nearest
     * @param size how many items a page has
     */
    public static <T> Page<T> of(List<T> all, int wanted, int size) {
        int last = Math.max(1, (all.size() + size - 1) / size);
        int number = Math.max(1, Math.min(wanted, last));
        int from = (number - 1) * size;
        return new Page<>(all.subList(from, Math.min(all.size(), from + size)), number, last, all.size());
    }

    /**
     * A page of a list that is read a page at a time.
     *
     * @param all how many there are
     * @param reads gives a page's items, from the number of its first
     */
    public static <T> Page<T> of(int all, int wanted, int size, IntFunction<List<T>> reads) {
        int last = Math.max(1, (all + size - 1) / size);
        int number = Math.max(1, Math.min(wanted, last));
        return new Page<>(reads.apply((number - 1) * size), number, last, all);
    }

    public boolean isOnly() {
        return last == 1;
    }
}
