package whipsaw.app.web;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Ends the connection of a body that is not waited for; else a thread of the server would wait for the rest of it. A few
 * at a time are read to their end for a while, since a browser shows no answer before it has sent everything.
 */
@Component
class CloseUnread implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {
    private static final int PATIENT_AT_ONCE = 4;
    private static final long PATIENCE_NS = TimeUnit.SECONDS.toNanos(10);
    private static final Semaphore PATIENT = new Semaphore(PATIENT_AT_ONCE);

    @Override
    public void customize(ConfigurableTomcatWebServerFactory factory) {
        factory.addEngineValves(new Valve());
    }

    /**
     * Throws away the rest of an upload that has been answered.
     *
     * @param request whose body nobody wants
     */
    static void discard(HttpServletRequest request) {
        boolean ended = false;
        if (PATIENT.tryAcquire()) {
            try (InputStream in = request.getInputStream()) {
                long until = System.nanoTime() + PATIENCE_NS;
                byte[] piece = new byte[65_536];
                while (!ended && System.nanoTime() < until) {
                    ended = in.read(piece) < 0;
                }
            } catch (IOException e) {
                ended = false;
            } finally {
                PATIENT.release();
            }
        }
        if (!ended) {
            request.setAttribute(RequestBody.CLOSE, true);
        }
    }

    private static final class Valve extends ValveBase {
        Valve() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            getNext().invoke(request, response);
            if (!request.isAsync() && request.getAttribute(RequestBody.CLOSE) != null) {
                response.finishResponse();
                response.getCoyoteResponse().action(ActionCode.CLOSE_NOW, null);
            }
        }
    }
}
