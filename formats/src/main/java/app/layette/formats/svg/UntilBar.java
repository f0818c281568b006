package app.layette.formats.svg;

import app.layette.core.growth.Outlook;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;

/**
 * How long something lasts, on an axis that all of them share: a bar to the likely day, a whisker from the earliest to
 * the latest. The words beside it carry the meaning.
 */
public final class UntilBar {
    private static final double WIDTH = 240;

    private UntilBar() {}

    /**
     * The bar.
     *
     * @param today where the axis begins
     * @param until its end
     * @param months how long the axis is
     */
    public static String of(LocalDate today, Optional<Outlook> until, int months) {
        double days = ChronoUnit.DAYS.between(today, today.plusMonths(months));
        StringBuilder svg = new StringBuilder("<svg class=\"until-bar\" viewBox=\"0 0 260 30\" aria-hidden=\"true\">");
        for (int month = 0; month <= months; month += 3) {
            double x = x(today, today.plusMonths(month), days);
            svg.append("<path class=\"tick\" d=\"M" + number(x) + " 24v" + (month % 12 == 0 ? 6 : 3) + "\"/>");
        }
        svg.append("<path class=\"axis\" d=\"M4 24H256\"/>");
        until.ifPresent(outlook -> {
            double likely = outlook.likely().map(day -> x(today, day, days)).orElse(4 + WIDTH);
            double from = outlook.earliest().map(day -> x(today, day, days)).orElse(likely);
            double to = outlook.latest().map(day -> x(today, day, days)).orElse(4 + WIDTH);
            svg.append("<path class=\"lasts\" d=\"M4 12H" + number(likely) + "\"/>")
                    .append("<path class=\"whisker\" d=\"M" + number(from) + " 12H" + number(to) + "M" + number(from)
                            + " 7v10M" + number(to) + " 7v10\"/>");
        });
        return svg.append("</svg>").toString();
    }

    private static double x(LocalDate today, LocalDate day, double days) {
        return 4 + WIDTH * Math.max(0, Math.min(1, ChronoUnit.DAYS.between(today, day) / days));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
