package whipsaw.app.job;

import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Who makes a revision: this machine, and the window of it that a page says it is. */
@Component
public class Maker {
    private static final String MACHINE = "this machine";
    private static final String WINDOW = ", window ";

    /** Of the request that is being answered; the machine alone outside of one. */
    String name() {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request) {
            String window = request.getRequest().getHeader("X-Window");
            if (window != null && window.matches("[A-Z0-9]{2,6}")) {
                return MACHINE + WINDOW + window;
            }
        }
        return MACHINE;
    }

    /** Whether a revision was made in a window that is not the one asking; false where its window is not known. */
    boolean elsewhere(String who) {
        return who.contains(WINDOW) && !who.equals(name());
    }
}
