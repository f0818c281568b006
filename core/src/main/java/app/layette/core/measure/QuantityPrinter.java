package app.layette.core.measure;

import java.util.Locale;

/** Prints quantities in either unit system, rounded to what a technician can read off a scale or a tape. */
final class QuantityPrinter {
    private static final double CENTIMETRES_FROM_MM = 400;

    private QuantityPrinter() {}

    static String mass(Mass mass, UnitSystem system) {
        return system == UnitSystem.METRIC ? kilograms(mass) : poundsAndOunces(mass);
    }

    static String length(Length length, UnitSystem system) {
        if (system == UnitSystem.CUSTOMARY) {
            return trimmed(length.inches(), 1) + " in";
        }
        boolean small = Math.abs(length.millimetres()) < CENTIMETRES_FROM_MM;
        return small ? trimmed(length.millimetres(), 0) + " mm" : trimmed(length.centimetres(), 1) + " cm";
    }

    private static String kilograms(Mass mass) {
        return trimmed(mass.kilograms(), 2) + " kg";
    }

    private static String poundsAndOunces(Mass mass) {
        long halfOunces = Math.round(mass.pounds() * 32);
        String sign = halfOunces < 0 ? "-" : "";
        long rest = Math.abs(halfOunces);
        long pounds = rest / 32;
        double ounces = (rest % 32) / 2.0;
        if (ounces == 0) {
            return sign + pounds + " lb";
        }
        String oz = trimmed(ounces, 1) + " oz";
        return sign + (pounds == 0 ? oz : pounds + " lb " + oz);
    }

    private static String trimmed(double value, int decimals) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
        if (text.indexOf('.') >= 0) {
            text = text.replaceAll("0+$", "").replaceAll("\\.$", "");
        }
        return text.equals("-0") ? "0" : text;
    }
}
