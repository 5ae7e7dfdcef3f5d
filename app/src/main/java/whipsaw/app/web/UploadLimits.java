package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.filter.OncePerRequestFilter;
import whipsaw.app.store.StoreException;

/** How large a file each route takes; a larger one is refused before it is read, with what to do. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
public class UploadLimits extends OncePerRequestFilter {
    private static final long MB = 1_000_000;
    private static final long TEXT_MB = 5;

    /** The most that is taken in without a file. */
    static final long TEXT_BYTES = TEXT_MB * MB;

    private static final Pattern PICTURE =
            Pattern.compile("/jobs/[^/]+/((pins|works|routes/[^/]+)/[^/]+/photos|underlay|laid|penetrations(/\\d+)?)");
    private static final Pattern DRAWING = Pattern.compile("/jobs/[^/]+/import");

    /** The rest of a form beside its file. */
    private static final long FORM = 200_000;

    private static final String WORDS = "whipsaw.upload.refused";
    private static final String REFUSED = "/upload-refused";

    /** Says it as every other refusal is said. */
    @Controller
    static class Refused {
        @GetMapping(REFUSED)
        void say(HttpServletRequest request) {
            Object words = request.getAttribute(WORDS);
            throw words == null ? new StoreException("there is nothing here") : new TooLarge(words.toString());
        }
    }

    /** A request whose body nobody reads. */
    static final class WithoutBody extends HttpServletRequestWrapper {
        WithoutBody(HttpServletRequest request) {
            super(request);
        }

        @Override
        public String getMethod() {
            return "GET";
        }

        @Override
        public String getContentType() {
            return null;
        }
    }

    /** An upload that is too large, in words. */
    static class TooLarge extends RuntimeException {
        private static final long serialVersionUID = 1L;

        TooLarge(String message) {
            super(message);
        }
    }

    private record Limit(long megabytes, String instead) {}

    /**
     * Whether a request brings files.
     *
     * @param request any request
     * @return by its content type
     */
    static boolean isUpload(HttpServletRequest request) {
        String method = request.getMethod();
        return !method.equals("GET")
                && !method.equals("HEAD")
                && String.valueOf(request.getContentType()).startsWith("multipart/");
    }

    private static Limit limit(String path) {
        if (PICTURE.matcher(path).matches()) {
            return new Limit(25, "save the picture smaller, or print the one page of the PDF that is wanted to a file");
        }
        if (DRAWING.matcher(path).matches()) {
            return new Limit(25, "save the roof's layers alone, without references, as an ASCII DXF");
        }
        return new Limit(4, "split it, or leave out what is not needed");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean upload = isUpload(request);
        long size = request.getContentLengthLong();
        if (upload) {
            Limit limit = limit(request.getRequestURI());
            if (size > limit.megabytes() * MB + FORM) {
                String words = String.format(
                        Locale.ROOT,
                        "the upload is %.1f MB, and at most %d MB are taken here: %s",
                        size / (double) MB,
                        limit.megabytes(),
                        limit.instead());
                request.setAttribute(WORDS, words);
                request.getRequestDispatcher(REFUSED).forward(new WithoutBody(request), response);
                CloseUnread.discard(request);
                return;
            }
        }
        if (!upload && size > TEXT_BYTES) {
            request.setAttribute(
                    WORDS,
                    String.format(
                            Locale.ROOT,
                            "what was sent is %.1f MB, and at most %d MB are taken here: split it",
                            size / (double) MB,
                            TEXT_MB));
            request.getRequestDispatcher(REFUSED).forward(new WithoutBody(request), response);
            CloseUnread.discard(request);
            return;
        }
        chain.doFilter(request, response);
    }
}
