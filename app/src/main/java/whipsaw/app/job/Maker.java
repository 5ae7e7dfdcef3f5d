package whipsaw.app.job;

import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Who makes a revision: this machine, and the window of it that a page says it is, by a header or a field of its form. */
@Component
public class Maker {
    private static final String MACHINE = "this machine";
    private static final String WINDOW = ", window ";

    /** Of the request that is being answered; the machine alone outside of one. */
    public String name() {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request) {
            String header = request.getRequest().getHeader("X-Window");
            String window = header == null ? request.getRequest().getParameter("window") : header;
            if (window != null && window.matches("[A-Z0-9]{2,6}")) {
                return MACHINE + WINDOW + window;
            }
        }
        return MACHINE;
    }

    /** Whether a revision was made elsewhere than in the window that asks, or nobody knows where. */
    boolean elsewhere(String who) {
        return !who.equals(name());
    }
}
