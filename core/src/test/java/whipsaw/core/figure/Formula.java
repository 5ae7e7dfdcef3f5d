package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Evaluates a line of a working as a person with a calculator would: numbers with their units struck
 * off, the usual signs and functions. What it cannot read is not a formula in numbers.
 */
final class Formula {
    private static final Pattern OTHER_SYSTEM = Pattern.compile("\\s*\\[[^\\]]*]|\\s*\\([0-9.]+ kg/m²\\)");
    private static final Pattern UNIT = Pattern.compile(
            "(?<=[0-9])\\s*(?:ft²|ft|in|psf|mph|lbf|lb|N/m³|kN|N|kPa|Pa|Ω/kft|VA|kVA|kW|kg/m³|kg|m/s|m²|mm|m|V|A|W|%)(?![A-Za-z0-9²])");

    private final String text;
    private int at;

    private Formula(String text) {
        this.text = text;
    }

    /** Something that is not all numbers and signs. */
    static final class NotNumeric extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    static double evaluate(String line) {
        Formula f = new Formula(plain(line));
        double value = f.sum();
        if (f.at < f.text.length()) {
            throw new NotNumeric();
        }
        return value;
    }

    /** The numbers of a result, each with the size of its last place: the same size in one unit and in others. */
    static double[][] numbers(String result) {
        if (Pattern.compile("[0-9]'|[0-9]/[0-9]").matcher(result).find()) {
            throw new NotNumeric();
        }
        Matcher m = Pattern.compile("-?[0-9]+(?:\\.([0-9]+))?").matcher(result.replace('−', '-'));
        List<double[]> numbers = new ArrayList<>();
        while (m.find()) {
            double place = Math.pow(10, m.group(1) == null ? 0 : -m.group(1).length());
            double value = Double.parseDouble(m.group());
            for (double scale : new double[] {1, 1000, 1e-3}) {
                numbers.add(new double[] {value * scale, place * scale});
            }
        }
        if (numbers.isEmpty()) {
            throw new NotNumeric();
        }
        return numbers.toArray(double[][]::new);
    }

    private static String plain(String line) {
        String text = OTHER_SYSTEM.matcher(line).replaceAll("");
        text = text.replaceAll("([0-9]+) ([0-9]+)/([0-9]+) in", "($1 + $2/$3)");
        // a speed squared is a value to the power of two; a square metre is a unit
        text = text.replaceAll("(?<=[0-9])\\s*(mph|m/s)²", "^2");
        text = UNIT.matcher(text).replaceAll("");
        return text.replace("²", "^2")
                .replace('−', '-')
                .replace('·', '*')
                .replace("½", "0.5")
                .replace("√", "sqrt")
                .replace(" ", "");
    }

    private double sum() {
        double value = product();
        while (at < text.length() && (peek() == '+' || peek() == '-')) {
            char sign = text.charAt(at++);
            double next = product();
            value += sign == '+' ? next : -next;
        }
        return value;
    }

    private double product() {
        double value = power();
        while (at < text.length() && (peek() == '*' || peek() == '/')) {
            char sign = text.charAt(at++);
            double next = power();
            value = sign == '*' ? value * next : value / next;
        }
        return value;
    }

    private double power() {
        double base = unary();
        if (at < text.length() && peek() == '^') {
            at++;
            return Math.pow(base, unary());
        }
        return base;
    }

    private double unary() {
        if (at < text.length() && peek() == '-') {
            at++;
            return -unary();
        }
        for (String name : new String[] {"max", "min", "sqrt", "exp", "ln", "cos", "sin", "tan", "atan"}) {
            if (text.startsWith(name, at)) {
                at += name.length();
                return function(name);
            }
        }
        if (at < text.length() && peek() == '(') {
            at++;
            double value = sum();
            expect(')');
            return degrees(value);
        }
        return number();
    }

    private double function(String name) {
        if (at >= text.length() || peek() != '(') {
            // cos 1.19°
            return apply(name, new double[] {number()}, 1);
        }
        at++;
        double[] args = new double[4];
        int count = 0;
        do {
            args[count++] = sum();
        } while (at < text.length() && peek() == ',' && at++ > 0);
        expect(')');
        return apply(name, args, count);
    }

    private static double apply(String name, double[] args, int count) {
        double value = args[0];
        for (int i = 1; i < count; i++) {
            value = name.equals("max") ? Math.max(value, args[i]) : Math.min(value, args[i]);
        }
        return switch (name) {
            case "sqrt" -> Math.sqrt(value);
            case "exp" -> Math.exp(value);
            case "ln" -> Math.log(value);
            case "cos" -> Math.cos(value);
            case "sin" -> Math.sin(value);
            case "tan" -> Math.tan(value);
            case "atan" -> Math.toDegrees(Math.atan(value));
            default -> value;
        };
    }

    private double number() {
        Matcher m = Pattern.compile("[0-9]+(?:\\.[0-9]+)?").matcher(text).region(at, text.length());
        if (!m.lookingAt()) {
            throw new NotNumeric();
        }
        at = m.end();
        return degrees(Double.parseDouble(m.group()));
    }

    /** An angle in degrees is turned for the functions. */
    private double degrees(double value) {
        if (at < text.length() && peek() == '°') {
            at++;
            return Math.toRadians(value);
        }
        if (text.startsWith("deg", at)) {
            at += 3;
            return Math.toRadians(value);
        }
        return value;
    }

    private char peek() {
        return text.charAt(at);
    }

    private void expect(char c) {
        if (at >= text.length() || peek() != c) {
            throw new NotNumeric();
        }
        at++;
    }
}
