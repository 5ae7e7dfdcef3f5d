package whipsaw.core.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A formula as it is printed, compiled: numbers, symbols in braces, {@code + − · / ^ ²}, {@code ½}, parentheses,
 * {@code max min √ exp ln cos sin tan atan}. Angles are degrees. A number may carry {@code ft}, {@code °C} or {@code °} where the
 * symbols beside it are in them.
 */
final class Expression {
    private static final Pattern NUMBER = Pattern.compile("[0-9]+(?:\\.[0-9]+)?");
    private static final List<Measured> UNITS = List.of(Measured.FOOT, Measured.CELSIUS, Measured.DEGREES);
    private static final String[] FUNCTIONS = {"max", "min", "√", "exp", "ln", "cos", "sin", "tan", "atan"};

    /** How nothing is measured, which goes with everything. */
    private static final Measured NOTHING = new Measured("", null, 0, 0, 0, 0, 4, null, null);

    /** A part that gives a number from the values of all symbols. */
    private interface Node {
        double at(double... values);
    }

    /** A part with the powers of its quantity. */
    private record Part(Node node, Measured measured) {}

    private final String text;
    private final ToIntFunction<String> index;
    private final List<Measured> measures;
    private final boolean dimensional;
    private final List<Integer> used = new ArrayList<>();
    private final Part part;
    private int at;

    /**
     * Compiles a formula.
     *
     * @param index place of a symbol among the values; negative when there is no such symbol
     * @param measures how the values are measured
     * @param dimensional whether its constants carry units of their own, so that powers cannot be compared
     * @throws IllegalArgumentException when it cannot be read, names a symbol that is not there, or adds what does not
     *     go together
     */
    Expression(String text, ToIntFunction<String> index, List<Measured> measures, boolean dimensional) {
        this.text = text;
        this.index = index;
        this.measures = measures;
        this.dimensional = dimensional;
        this.part = sum();
        if (at < text.length()) {
            throw wrong("cannot be read from character " + (at + 1));
        }
    }

    double at(double... values) {
        return part.node().at(values);
    }

    /** Places of the symbols it reads, in order of appearance, each once. */
    List<Integer> used() {
        return used.stream().distinct().toList();
    }

    /** How its result is measured, as far as that can be told. */
    Measured measured() {
        return part.measured();
    }

    private IllegalArgumentException wrong(String why) {
        return new IllegalArgumentException("formula '" + text + "' " + why);
    }

    private Part sum() {
        Part left = product();
        while (next('+') || next('−')) {
            boolean plus = text.charAt(at - 1) == '+';
            Part right = product();
            Node a = left.node();
            Node b = right.node();
            left = new Part(plus ? v -> a.at(v) + b.at(v) : v -> a.at(v) - b.at(v), same(left, right));
        }
        return left;
    }

    private Part product() {
        Part left = power();
        while (next('·') || next('/')) {
            boolean times = text.charAt(at - 1) == '·';
            Part right = power();
            Node a = left.node();
            Node b = right.node();
            left = new Part(
                    times ? v -> a.at(v) * b.at(v) : v -> a.at(v) / b.at(v),
                    combined(left.measured(), right.measured(), times ? 1 : -1));
        }
        return left;
    }

    private Part power() {
        Part base = unary();
        if (next('²')) {
            Node a = base.node();
            return new Part(
                    v -> {
                        double x = a.at(v);
                        return x * x;
                    },
                    combined(base.measured(), base.measured(), 1));
        }
        if (next('^')) {
            Part exponent = unary();
            plain(base, "raises");
            plain(exponent, "raises to the power of");
            Node a = base.node();
            Node b = exponent.node();
            return new Part(v -> Math.pow(a.at(v), b.at(v)), Measured.NUMBER);
        }
        return base;
    }

    private Part unary() {
        skip();
        if (next('−')) {
            Part part = unary();
            Node a = part.node();
            return new Part(v -> -a.at(v), part.measured());
        }
        if (next('½')) {
            return new Part(v -> 0.5, Measured.NUMBER);
        }
        if (next('{')) {
            return symbol();
        }
        if (next('(')) {
            Part part = sum();
            expect(')');
            return part;
        }
        for (String name : FUNCTIONS) {
            if (text.startsWith(name, at)) {
                at += name.length();
                return function(name);
            }
        }
        Matcher m = NUMBER.matcher(text).region(at, text.length());
        if (!m.lookingAt()) {
            throw wrong("cannot be read from character " + (at + 1));
        }
        at = m.end();
        double number = Double.parseDouble(m.group());
        for (Measured unit : UNITS) {
            if (text.startsWith(unit.symbol(), at)) {
                at += unit.symbol().length();
                return new Part(v -> number, unit);
            }
        }
        return new Part(v -> number, number == 0 ? NOTHING : Measured.NUMBER);
    }

    private Part symbol() {
        int end = text.indexOf('}', at);
        String name = end < 0 ? "" : text.substring(at, end);
        int i = index.applyAsInt(name);
        if (i < 0) {
            throw wrong("has no symbol '" + name + "'");
        }
        at = end + 1;
        used.add(i);
        return new Part(v -> v[i], measures.get(i));
    }

    private Part function(String name) {
        skip();
        if (!next('(')) {
            // √ and functions of one symbol
            return applied(name, List.of(power()));
        }
        List<Part> args = new ArrayList<>();
        do {
            args.add(sum());
        } while (next(','));
        expect(')');
        return applied(name, args);
    }

    private Part applied(String name, List<Part> args) {
        Part first = args.get(0);
        if (name.equals("max") || name.equals("min")) {
            Part all = first;
            for (Part other : args.subList(1, args.size())) {
                Node a = all.node();
                Node b = other.node();
                all = new Part(
                        name.equals("max") ? v -> Math.max(a.at(v), b.at(v)) : v -> Math.min(a.at(v), b.at(v)),
                        same(all, other));
            }
            return all;
        }
        if (args.size() != 1) {
            throw wrong("gives " + name + " more than one value");
        }
        Node a = first.node();
        if (name.equals("√")) {
            return new Part(v -> Math.sqrt(a.at(v)), half(first.measured()));
        }
        plain(first, "takes " + name + " of");
        return switch (name) {
            case "exp" -> new Part(v -> Math.exp(a.at(v)), Measured.NUMBER);
            case "ln" -> new Part(v -> Math.log(a.at(v)), Measured.NUMBER);
            case "cos" -> new Part(v -> Math.cos(Math.toRadians(a.at(v))), Measured.NUMBER);
            case "sin" -> new Part(v -> Math.sin(Math.toRadians(a.at(v))), Measured.NUMBER);
            case "tan" -> new Part(v -> Math.tan(Math.toRadians(a.at(v))), Measured.NUMBER);
            default -> new Part(v -> Math.toDegrees(Math.atan(a.at(v))), Measured.NUMBER);
        };
    }

    private Measured same(Part a, Part b) {
        if (a.measured() == NOTHING || b.measured() == NOTHING) {
            return a.measured() == NOTHING ? b.measured() : a.measured();
        }
        if (!dimensional && !a.measured().goesWith(b.measured())) {
            throw wrong("adds or compares what has different units");
        }
        return a.measured();
    }

    private void plain(Part part, String what) {
        if (!dimensional && !part.measured().goesWith(Measured.NUMBER)) {
            throw wrong(what + " something with a unit");
        }
    }

    private static Measured combined(Measured a, Measured b, int sign) {
        return powers(
                a.length() + sign * b.length(),
                a.mass() + sign * b.mass(),
                a.time() + sign * b.time(),
                a.current() + sign * b.current());
    }

    private Measured half(Measured m) {
        boolean even = m.length() % 2 == 0 && m.mass() % 2 == 0 && m.time() % 2 == 0 && m.current() % 2 == 0;
        if (!even && !dimensional) {
            throw wrong("takes the root of a unit that has none");
        }
        return powers(m.length() / 2, m.mass() / 2, m.time() / 2, m.current() / 2);
    }

    private static Measured powers(int length, int mass, int time, int current) {
        return new Measured("", null, length, mass, time, current, Measured.NUMBER.digits(), null, null);
    }

    private void skip() {
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
    }

    /** Whether a character comes next; it is passed then. */
    private boolean next(char c) {
        skip();
        boolean here = at < text.length() && text.charAt(at) == c;
        at += here ? 1 : 0;
        return here;
    }

    private void expect(char c) {
        if (!next(c)) {
            throw wrong("lacks '" + c + "' at character " + (at + 1));
        }
    }
}
