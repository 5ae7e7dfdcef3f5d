package whipsaw.app.web;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.filter.OncePerRequestFilter;
import whipsaw.app.store.StoreException;

/**
 * Takes a body as it comes, without a thread that waits for it, and hands the request on when all of it is there. A body
 * that takes too long, or one too many, is answered and its connection closed: what is still to come is not read.
 * Uploads of files are read by {@link Gate}.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BodyReader extends OncePerRequestFilter {
    /** A whole body has to have come in this time, less than the container waits for the next byte. */
    private static final long BODY_MS = 15_000;

    /** All bodies together that are not yet complete. */
    private static final long MOST_TOGETHER = 60_000_000;

    /** Bodies of one address that are not yet complete; the rest of the connections is left for other requests. */
    private static final int MOST_OF_ONE = 300;

    private static final String REFUSED = "/body-refused";
    private static final String WHY = "whipsaw.body.refused";

    private final AtomicLong together = new AtomicLong();
    private final Map<String, Integer> byAddress = new ConcurrentHashMap<>();

    /** A body that did not come whole, with the status that says so. */
    static class Incomplete extends RuntimeException {
        private static final long serialVersionUID = 1L;

        /** The status of the answer. */
        final int status;

        Incomplete(int status, String message) {
            super(message);
            this.status = status;
        }
    }

    /** Says it as every other refusal is said. */
    @Controller
    static class Said {
        @RequestMapping(REFUSED)
        void say(HttpServletRequest request) {
            throw request.getAttribute(WHY) instanceof Incomplete why
                    ? why
                    : new StoreException("there is nothing here");
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String method = request.getMethod();
        boolean expected = !method.equals("GET") && !method.equals("HEAD") && !UploadLimits.isUpload(request);
        if (!expected || request.getContentLengthLong() == 0 || RequestBody.of(request) != null) {
            chain.doFilter(request, response);
            return;
        }
        RequestBody whole = new RequestBody(request);
        AsyncContext async = request.startAsync(whole, response);
        async.setTimeout(BODY_MS);
        Incoming incoming = new Incoming(request.getInputStream(), whole, async, request.getRemoteAddr());
        async.addListener(incoming);
        if (byAddress.merge(incoming.address, 1, Integer::sum) > MOST_OF_ONE) {
            incoming.refuse(
                    503,
                    "more than " + MOST_OF_ONE
                            + " requests of this address are still arriving: try again in 20 s; nothing was stored");
            return;
        }
        request.getInputStream().setReadListener(incoming);
    }

    private final class Incoming implements ReadListener, AsyncListener {
        private final ServletInputStream in;
        private final RequestBody whole;
        private final AsyncContext async;
        private final String address;
        private final ByteArrayOutputStream read = new ByteArrayOutputStream(1024);
        private final byte[] piece = new byte[8192];
        private final long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(BODY_MS);
        private boolean answered;

        Incoming(ServletInputStream in, RequestBody whole, AsyncContext async, String address) {
            this.address = address;
            this.in = in;
            this.whole = whole;
            this.async = async;
        }

        @Override
        public void onDataAvailable() throws IOException {
            while (!answered && in.isReady()) {
                int got = in.read(piece);
                if (got < 0) {
                    return;
                }
                read.write(piece, 0, got);
                if (together.addAndGet(got) > MOST_TOGETHER) {
                    refuse(503, "the server is receiving too much at once: try again in 20 s; nothing was stored");
                } else if (read.size() > UploadLimits.TEXT_BYTES) {
                    refuse(413, "what was sent is over 5 MB: split it, or leave out what is not needed");
                } else if (System.nanoTime() > until) {
                    slow();
                }
            }
        }

        @Override
        public void onAllDataRead() {
            if (answered) {
                return;
            }
            try {
                whole.complete(read.toByteArray());
            } catch (Incomplete e) {
                refuse(e.status, e.getMessage());
                return;
            }
            answered = true;
            async.dispatch();
        }

        @Override
        public void onError(Throwable why) {
            slow();
        }

        private void slow() {
            refuse(
                    408,
                    "the request did not arrive in full within " + BODY_MS / 1000
                            + " s: try again; nothing was stored");
        }

        private void refuse(int status, String words) {
            if (!answered) {
                answered = true;
                whole.giveUp();
                whole.setAttribute(WHY, new Incomplete(status, words));
                async.dispatch(REFUSED);
            }
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            slow();
        }

        @Override
        public void onError(AsyncEvent event) {
            slow();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            together.addAndGet(-read.size());
            byAddress.computeIfPresent(address, (of, n) -> n > 1 ? Integer.valueOf(n - 1) : null);
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // a dispatch that waits once more keeps its count until it is complete
        }
    }
}
