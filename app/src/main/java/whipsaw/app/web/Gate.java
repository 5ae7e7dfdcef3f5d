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
 * How much runs at once: what takes memory and time waits for its turn, uploads and changes hold only a part of the
 * server, and whoever waits too long is told when to try again. Bodies of changes are taken in by {@link BodyReader}.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 4)
class Gate extends OncePerRequestFilter {
    /** Sheets, files for other programs, and ways out, each solved many times. */
    private static final Pattern HEAVY =
            Pattern.compile("^/jobs/[^/]+/(.*\\.(pdf|xlsx|dxf|svg|geojson)|design\\.json|ways|sheet|compare)$");

    private static final int HEAVY_AT_ONCE = 2;
    private static final int UPLOADS_AT_ONCE = 4;
    private static final int CHANGES_AT_ONCE = 6;

    /** As many wait for a turn of each kind; the pages have the other threads for themselves. */
    private static final int WAIT_AT_MOST = 8;

    private static final int WAIT_S = 20;
    private static final int UPLOAD_WAIT_S = 5;

    /** A whole upload has to have come in this time. */
    private static final long UPLOAD_MS = 120_000;

    private static final long MOST_UPLOADED = 30_000_000;
    private static final String BUSY = "/busy";

    private final Semaphore heavy = new Semaphore(HEAVY_AT_ONCE, true);
    private final Semaphore changes = new Semaphore(CHANGES_AT_ONCE, true);
    private final Semaphore uploads = new Semaphore(UPLOADS_AT_ONCE, true);

    /** Too much runs at once. */
    static class Busy extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Busy() {
            super("the server is busy with other work: try again in " + WAIT_S + " s; nothing was stored");
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
        boolean upload = UploadLimits.isUpload(request);
        boolean change = !upload && RequestBody.of(request) != null;
        boolean work =
                !upload && !change && HEAVY.matcher(request.getRequestURI()).find();
        if (!upload && !change && !work) {
            chain.doFilter(request, response);
            return;
        }
        Semaphore turn = upload ? uploads : change ? changes : heavy;
        if (turn.getQueueLength() >= WAIT_AT_MOST || !taken(turn, upload ? UPLOAD_WAIT_S : WAIT_S)) {
            response.setHeader("Retry-After", String.valueOf(WAIT_S));
            HttpServletRequest told = upload ? new UploadLimits.WithoutBody(request) : request;
            request.getRequestDispatcher(BUSY).forward(told, response);
            if (upload) {
                CloseUnread.discard(request);
            }
            return;
        }
        try {
            chain.doFilter(upload ? new InTime(request) : request, response);
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
        private final long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(UPLOAD_MS);
        private ServletInputStream in;

        InTime(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (in == null) {
                in = new Timed(super.getInputStream(), until, MOST_UPLOADED);
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
