package whipsaw.app.help;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
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

    private static final int SHORTEST = 4;

    private final List<Term> terms;
    private final List<Word> words;

    /** A term with its meaning here. */
    public record Term(String term, String meaning) {
        /** What a text is searched for: the term without its symbol, or each of several named together. */
        List<String> words() {
            return Arrays.stream(term.replaceAll(" [A-Za-zγ]+_[A-Za-z0-9,]+$", "")
                            .toLowerCase(Locale.ROOT)
                            .split(", "))
                    .filter(w -> w.length() >= SHORTEST)
                    .toList();
        }
    }

    /** A word that stands for a term, whole and in the plural too. */
    private record Word(Term term, int length, Pattern pattern) {
        static Word of(Term term, String word) {
            String whole = "(?<![\\p{L}-])" + Pattern.quote(word) + "s?(?![\\p{L}-])";
            return new Word(term, word.length(), Pattern.compile(whole, Pattern.CASE_INSENSITIVE));
        }
    }

    /** A term at a place of a text. */
    private record Found(Term term, int from, int to) {}

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
        words = terms.stream()
                .flatMap(t -> t.words().stream().map(w -> Word.of(t, w)))
                .toList();
    }

    public List<Term> terms() {
        return terms;
    }

    /** The meaning of the longest term that a label names, or an empty text. */
    public String in(String label) {
        Found found = longest(label);
        return found == null ? "" : found.term().term() + ": " + found.term().meaning();
    }

    private Found longest(String text) {
        Found longest = null;
        for (Word word : words) {
            Matcher m = word.pattern().matcher(text);
            if (m.find() && (longest == null || word.length() > longest.to() - longest.from())) {
                longest = new Found(word.term(), m.start(), m.end());
            }
        }
        return longest;
    }

    /** A text as HTML with its longest term marked, so that its meaning shows on hover and focus. */
    public String marked(String text) {
        Found found = longest(text);
        if (found == null) {
            return HtmlUtils.htmlEscape(text);
        }
        return HtmlUtils.htmlEscape(text.substring(0, found.from()))
                + "<span class=\"term\" tabindex=\"0\">"
                + HtmlUtils.htmlEscape(text.substring(found.from(), found.to()))
                + "<span class=\"meaning\" role=\"tooltip\">"
                + HtmlUtils.htmlEscape(found.term().meaning())
                + "</span></span>"
                + HtmlUtils.htmlEscape(text.substring(found.to()));
    }
}
