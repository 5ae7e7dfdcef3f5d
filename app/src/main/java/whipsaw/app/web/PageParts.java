package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32C;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Sends of the bench only what differs from what a window shows. Parts of the page stand between {@code <!--p-->} and
 * {@code <!--/p-->}, each with an element of its own id. A rendering is known by the contents of its parts; a window says
 * which one it shows ({@code X-Have}) and which parts of it a preview has written over ({@code X-Stale}).
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class PageParts extends OncePerRequestFilter {
    private static final Pattern BENCH = Pattern.compile("/jobs/[^/]+(/(change|undo|redo|bench))?");
    private static final String BEGIN = "<!--p-->";
    private static final String END = "<!--/p-->";
    private static final Pattern ID = Pattern.compile("\\bid=\"([^\"]+)\"");
    private static final Pattern ROOT = Pattern.compile("<div [^>]*\\bid=\"bench\"[^>]*>");
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"[^\"]*\"");
    private static final int KEPT = 200;

    /** Contents of a rendering: of each part by its id, and of what stands around them. */
    private record Rendering(Map<String, Long> parts, long around) {
        String name() {
            long all = around;
            for (Map.Entry<String, Long> part : parts.entrySet()) {
                all = all * 31 + part.getKey().hashCode() * 17L + part.getValue();
            }
            return Long.toHexString(all);
        }
    }

    private final Map<String, Rendering> shown = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Rendering> eldest) {
            return size() > KEPT;
        }
    });

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!BENCH.matcher(request.getRequestURI()).matches()) {
            chain.doFilter(request, response);
            return;
        }
        ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
        chain.doFilter(request, kept);
        String type = kept.getContentType();
        if (request.isAsyncStarted() || type == null || !type.startsWith("text/html") || kept.getStatus() != 200) {
            kept.copyBodyToResponse();
            return;
        }
        String page = new String(kept.getContentAsByteArray(), StandardCharsets.UTF_8);
        byte[] answer = answer(page, request).getBytes(StandardCharsets.UTF_8);
        response.setContentLength(answer.length);
        response.getOutputStream().write(answer);
    }

    private String answer(String page, HttpServletRequest request) {
        Map<String, String> parts = new LinkedHashMap<>();
        StringBuilder around = new StringBuilder();
        int end = 0;
        for (int start = page.indexOf(BEGIN); start >= 0; start = page.indexOf(BEGIN, end)) {
            around.append(page, end, start);
            end = page.indexOf(END, start) + END.length();
            String part = page.substring(start + BEGIN.length(), end - END.length());
            Matcher id = ID.matcher(part);
            parts.put(id.find() ? id.group(1) : "", part);
        }
        Matcher root = ROOT.matcher(page);
        if (parts.isEmpty() || !root.find()) {
            return page;
        }
        around.append(page, end, page.length());
        Map<String, Long> contents = new LinkedHashMap<>();
        parts.forEach((id, html) -> contents.put(id, content(html)));
        Rendering now = new Rendering(contents, content(between(around, root.group())));
        shown.put(now.name(), now);
        String named = root.group().replace("id=\"bench\"", "id=\"bench\" data-rendering=\"" + now.name() + "\"");
        String have = request.getHeader("X-Have");
        Rendering before = have == null ? null : shown.get(have);
        if (before == null
                || before.around() != now.around()
                || !before.parts().keySet().equals(contents.keySet())) {
            return page.substring(0, root.start()) + named + page.substring(root.end());
        }
        String stale = request.getHeader("X-Stale");
        Set<String> again = stale == null ? Set.of() : Set.of(stale.split(" "));
        return differences(named, parts, now, before, again);
    }

    /** The bench from its beginning to its end without its own tag, which names the revision. */
    private static String between(StringBuilder around, String root) {
        int start = around.indexOf(root);
        int end = around.indexOf("<dialog", start);
        return around.substring(start + root.length(), end < 0 ? around.length() : end)
                .split("<div class=\"banner\"", 2)[0]
                .strip()
                .replaceFirst("</div>$", "");
    }

    private static String differences(
            String root, Map<String, String> parts, Rendering now, Rendering before, Set<String> again) {
        StringBuilder html = new StringBuilder();
        StringBuilder drawn = new StringBuilder();
        StringBuilder names = new StringBuilder();
        parts.forEach((id, part) -> {
            if (again.contains(id) || !now.parts().get(id).equals(before.parts().get(id))) {
                names.append(names.length() > 0 ? " " : "").append(id);
                (part.startsWith("<g") ? drawn : html).append(part);
            }
        });
        return root.substring(0, root.length() - 1) + " data-partial=\"" + names + "\">" + html + "<svg>" + drawn
                + "</svg></div>";
    }

    private static long content(String text) {
        CRC32C sum = new CRC32C();
        // every page has a token of its own, and each of them is good
        String same = TOKEN.matcher(text).replaceAll("");
        sum.update(same.getBytes(StandardCharsets.UTF_8));
        return sum.getValue() << 24 ^ same.length();
    }
}
