package app.hodegon.core.swing;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** In which units lengths and speeds are said to a person; everything is stored in metric ones. */
public enum Units implements Identified {
    METRIC("metric"),
    IMPERIAL("imperial");

    private static final double CM_PER_INCH = 2.54;
    private static final double M_PER_YARD = 0.9144;
    private static final double MS_PER_MPH = 0.44704;

    /** Metric units that others say otherwise. */
    public static final List<String> SAID_OTHERWISE = List.of("cm", "m", "m/s");

    /** A length in a text: {@code {5 cm}}. */
    private static final Pattern LENGTH = Pattern.compile("\\{(-?\\d+(?:\\.\\d+)?) (cm|m)\\}");

    private static final double WITHOUT_DECIMALS_FROM = 10;

    /**
     * A unit as it is said.
     *
     * @param factor by which the metric value is multiplied
     */
    public record Scale(double factor, String unit) {}

    private final String id;

    Units(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** How a metric unit is said; shares, angles, times and ratios are the same for everybody. */
    public Scale of(String unit) {
        if (this == METRIC) return new Scale(1, unit);
        return switch (unit) {
            case "cm" -> new Scale(1 / CM_PER_INCH, "in");
            case "m" -> new Scale(1 / M_PER_YARD, "yd");
            case "m/s" -> new Scale(1 / MS_PER_MPH, "mph");
            default -> new Scale(1, unit);
        };
    }

    /** A value for a text, so that it can be said in any units: {@code {5 cm}}; what nobody says otherwise as it is. */
    public static String inText(String value, String unit) {
        return unit.equals("cm") || unit.equals("m") ? "{" + value + " " + unit + "}" : value + " " + unit;
    }

    /** Says the lengths of a text, given as {@code {5 cm}}, in these units. */
    public String say(String text) {
        if (text.indexOf('{') < 0) return text;
        Matcher length = LENGTH.matcher(text);
        StringBuilder said = new StringBuilder();
        while (length.find()) {
            Scale scale = of(length.group(2));
            double value = scale.factor() * Double.parseDouble(length.group(1));
            length.appendReplacement(said, number(value) + " " + scale.unit());
        }
        return length.appendTail(said).toString();
    }

    private static String number(double value) {
        String said = String.format(Locale.ROOT, Math.abs(value) < WITHOUT_DECIMALS_FROM ? "%.1f" : "%.0f", value);
        return said.endsWith(".0") ? said.substring(0, said.length() - 2) : said;
    }
}
