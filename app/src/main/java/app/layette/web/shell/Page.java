package app.layette.web.shell;

import java.util.List;

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

    public boolean isOnly() {
        return last == 1;
    }
}
