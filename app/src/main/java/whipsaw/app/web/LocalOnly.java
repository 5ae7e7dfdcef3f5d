package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only requests that name this machine and, when they come from a page, come from a page of
 * our own; and tells the browser to run nothing else.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class LocalOnly extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(LocalOnly.class);

    private static final Set<String> HOSTS = Set.of("127.0.0.1", "localhost");
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self'"
                    + " data:; connect-src 'self'; form-action 'self'; base-uri 'none';"
                    + " frame-ancestors 'none'";

    /** What ships with the application and holds nothing of a job. */
    private static final Pattern STANDING =
            Pattern.compile("^/(build-\\d+/)?(css|js|fonts|webjars|schema)/|^/mark\\.svg$");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader("Content-Security-Policy", POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "same-origin");
        if (!STANDING.matcher(request.getRequestURI()).find()) {
            // what a job holds is on no disk but its own
            boolean read = "GET".equals(request.getMethod());
            // the answer to a form is where somebody comes back to by the browser's own way
            response.setHeader("Cache-Control", read ? "no-store" : "no-cache, private");
        }
        if (readByOthers(request)) {
            LOG.warn("refused: a page of another site asked");
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
            return;
        }
        String origin = request.getHeader("Origin");
        if (!HOSTS.contains(request.getServerName()) || (origin != null && !own(origin, request))) {
            LOG.warn("refused: asked for by another name, or by a page of another site");
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
            return;
        }
        if (request.getRequestURI().equals("/error")) {
            response.sendError(HttpServletResponse.SC_NOT_FOUND);
            return;
        }
        chain.doFilter(request, response);
    }

    /** Whether a page of another site asks for it; to open one of ours by a link is no reading. */
    private static boolean readByOthers(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        boolean others = "cross-site".equals(site) || "same-site".equals(site);
        boolean opened = "GET".equals(request.getMethod())
                && "navigate".equals(request.getHeader("Sec-Fetch-Mode"))
                && "document".equals(request.getHeader("Sec-Fetch-Dest"));
        return others && !opened;
    }

    private static boolean own(String origin, HttpServletRequest request) {
        try {
            URI uri = URI.create(origin);
            return HOSTS.contains(String.valueOf(uri.getHost())) && uri.getPort() == request.getServerPort();
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
