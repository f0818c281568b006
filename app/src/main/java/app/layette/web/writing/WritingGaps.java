package app.layette.web.writing;

import app.layette.formats.sheet.CarGaps;
import app.layette.formats.sheet.CarWork;
import app.layette.formats.sheet.SheetGaps;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.wording.Wording;
import java.util.List;

/**
 * What a sheet would leave unknown, as the screen shows it.
 *
 * @param fittings how many were planned
 * @param lines the value that unblocks most first
 */
public record WritingGaps(int fittings, List<Line> lines) {
    private static final int MOST = 8;

    /** A value that nobody looked up, and in how many fittings it would block. */
    public record Line(String name, String address, int fittings) {}

    static WritingGaps of(SheetWork work, SheetGaps.Gaps gaps, Wording words) {
        return new WritingGaps(
                gaps.fittings(),
                gaps.gaps().stream()
                        .limit(MOST)
                        .map(gap -> new Line(
                                WritingPage.name(gap.field(), words),
                                WritingPage.address(work.id(), gap.field()),
                                gap.fittings()))
                        .toList());
    }

    static WritingGaps ofCar(CarWork work, CarGaps.Gaps gaps, Wording words) {
        return new WritingGaps(
                gaps.fittings(),
                gaps.gaps().stream()
                        .limit(MOST)
                        .map(gap -> new Line(
                                CarPage.name(gap.field(), words),
                                CarPage.address(work.id(), gap.field()),
                                gap.fittings()))
                        .toList());
    }
}
