package whipsaw.app.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import whipsaw.core.units.Show;

/**
 * Black line work that prints alike in colour and in black and white. The style sheet that ships
 * gives widths in centimetres of the roof as they look at one scale; here they are as wide on paper
 * at any other.
 */
public final class PaperPens {
    private static final double DRAWN_AT = 350;
    private static final Pattern WIDTHS = Pattern.compile("(stroke-width|stroke-dasharray):([0-9. ]+)");

    private PaperPens() {}

    public static String at(PaperScale scale) {
        double factor = scale.oneTo() / DRAWN_AT;
        Matcher m = WIDTHS.matcher(shipped());
        StringBuilder css = new StringBuilder();
        while (m.find()) {
            StringBuilder widths = new StringBuilder();
            for (String width : m.group(2).strip().split(" ")) {
                widths.append(widths.isEmpty() ? "" : " ").append(Show.number(Double.parseDouble(width) * factor, 2));
            }
            m.appendReplacement(css, m.group(1) + ":" + widths);
        }
        return m.appendTail(css).toString();
    }

    private static String shipped() {
        try (InputStream in = PaperPens.class.getResourceAsStream("/static/css/paper-drawing.css")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
