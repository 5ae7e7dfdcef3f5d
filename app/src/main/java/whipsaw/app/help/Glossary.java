package whipsaw.app.help;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/** The terms of docs/glossary.md, which ships with the application, for pages and for hints. */
@Component("glossary")
public class Glossary {
    private static final Pattern ROW = Pattern.compile("\\| ([^|]+) \\| ([^|]+) \\|");

    private final List<Term> terms;
    private final List<Term> longestFirst;

    /** A term with its meaning here. */
    public record Term(String term, String meaning) {
        /** The word a text is searched for: the term without its symbol. */
        String word() {
            return term.replaceAll(" [A-Za-zγ]+_[A-Za-z0-9,]+$", "").toLowerCase(Locale.ROOT);
        }
    }

    public Glossary() {
        List<Term> read = new ArrayList<>();
        try (InputStream in = Glossary.class.getResourceAsStream("/whipsaw/glossary.md")) {
            Matcher row = ROW.matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            while (row.find()) {
                if (!row.group(1).equals("term") && !row.group(1).startsWith("---")) {
                    read.add(new Term(row.group(1).strip(), row.group(2).strip().replace("`", "")));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        terms = List.copyOf(read);
        longestFirst = read.stream()
                .sorted(Comparator.comparing((Term t) -> t.word().length()).reversed())
                .toList();
    }

    public List<Term> terms() {
        return terms;
    }

    /** The meaning of the longest term that a label names, or an empty text. */
    public String in(String label) {
        Term term = first(label);
        return term == null ? "" : term.term() + ": " + term.meaning();
    }

    private Term first(String text) {
        for (Term t : longestFirst) {
            if (at(text, t).find()) {
                return t;
            }
        }
        return null;
    }

    private static Matcher at(String text, Term t) {
        return Pattern.compile("(?<![\\p{L}-])" + Pattern.quote(t.word()) + "s?(?![\\p{L}-])", Pattern.CASE_INSENSITIVE)
                .matcher(text);
    }

    /** A text as HTML with its longest term marked, so that its meaning shows on hover and focus. */
    public String marked(String text) {
        Term term = first(text);
        if (term == null) {
            return HtmlUtils.htmlEscape(text);
        }
        Matcher m = at(text, term);
        if (!m.find()) {
            return HtmlUtils.htmlEscape(text);
        }
        return HtmlUtils.htmlEscape(text.substring(0, m.start()))
                + "<span class=\"term\" tabindex=\"0\">"
                + HtmlUtils.htmlEscape(m.group())
                + "<span class=\"meaning\" role=\"tooltip\">"
                + HtmlUtils.htmlEscape(term.meaning())
                + "</span></span>"
                + HtmlUtils.htmlEscape(text.substring(m.end()));
    }
}
