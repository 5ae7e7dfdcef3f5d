package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * How much runs at once: what takes memory and time waits for its turn, bodies that come in slowly hold only a part of
 * the server, and whoever waits too long is told when to try again.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class Gate extends OncePerRequestFilter {
    /** Sheets, files for other programs, and ways out, each solved many times. */
    private static final Pattern HEAVY =
            Pattern.compile("^/jobs/[^/]+/(.*\\.(pdf|xlsx|dxf|svg|geojson)|design\\.json|ways|sheet|compare)$");

    private static final int HEAVY_AT_ONCE = 2;
    private static final int UPLOADS_AT_ONCE = 4;
    private static final int BODIES_AT_ONCE = 10;
    private static final int HEAVY_WAIT_S = 20;
    private static final int BODY_WAIT_S = 5;

    /** A whole body has to have come in this time. */
    private static final long BODY_MS = 30_000;

    private static final long UPLOAD_MS = 120_000;
    private static final long MOST_BYTES = 5_000_000;
    private static final long MOST_UPLOADED = 30_000_000;
    private static final String BUSY = "/busy";

    private final Semaphore heavy = new Semaphore(HEAVY_AT_ONCE, true);
    private final Semaphore uploads = new Semaphore(UPLOADS_AT_ONCE, true);
    private final Semaphore bodies = new Semaphore(BODIES_AT_ONCE, true);

    /** Too much runs at once. */
    static class Busy extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Busy() {
            super("the server is busy with other work: try again in " + HEAVY_WAIT_S + " s; nothing was stored");
        }
    }

    /** Says it as every other refusal is said. */
    @Controller
    static class Said {
        @RequestMapping(BUSY)
        void say() {
            throw new Busy();
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean body =
                !request.getMethod().equals("GET") && !request.getMethod().equals("HEAD");
        boolean upload = body && String.valueOf(request.getContentType()).startsWith("multipart/");
        boolean work = !body && HEAVY.matcher(request.getRequestURI()).find();
        if (!body && !work) {
            chain.doFilter(request, response);
            return;
        }
        Semaphore turn = upload ? uploads : body ? bodies : heavy;
        if (!taken(turn, work ? HEAVY_WAIT_S : BODY_WAIT_S)) {
            response.setHeader("Retry-After", String.valueOf(HEAVY_WAIT_S));
            request.getRequestDispatcher(BUSY).forward(request, response);
            return;
        }
        try {
            chain.doFilter(
                    body
                            ? new InTime(request, upload ? UPLOAD_MS : BODY_MS, upload ? MOST_UPLOADED : MOST_BYTES)
                            : request,
                    response);
        } finally {
            turn.release();
        }
    }

    private static boolean taken(Semaphore turn, int seconds) {
        try {
            return turn.tryAcquire(seconds, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** A request whose body has to come within a time and a size. */
    private static final class InTime extends HttpServletRequestWrapper {
        private final long until;
        private final long most;
        private ServletInputStream in;

        InTime(HttpServletRequest request, long ms, long most) {
            super(request);
            this.most = most;
            this.until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(ms);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (in == null) {
                in = new Timed(super.getInputStream(), until, most);
            }
            return in;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class Timed extends ServletInputStream {
        private final ServletInputStream in;
        private final long until;
        private long left;

        Timed(ServletInputStream in, long until, long most) {
            this.in = in;
            this.until = until;
            this.left = most;
        }

        private int counted(int bytes) throws IOException {
            left -= Math.max(0, bytes);
            if (System.nanoTime() - until > 0 || left < 0) {
                throw new IOException(left < 0 ? "the body is too large" : "the body took too long to come");
            }
            return bytes;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            counted(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
            return counted(in.read(into, from, most));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
