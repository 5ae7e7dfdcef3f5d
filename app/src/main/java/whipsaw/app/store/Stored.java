package whipsaw.app.store;

import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** Whether the request being answered has stored something: what fails after that is not told as if nothing were stored. */
public final class Stored {
    private static final String NAME = "whipsaw.stored";

    private Stored() {}

    /** The request that is being answered has stored something, or is the repeat of one that did. */
    public static void now() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(NAME, true, RequestAttributes.SCOPE_REQUEST);
        }
    }

    /**
     * Whether a revision was committed for the request that is being answered.
     *
     * @return false outside of a request
     */
    public static boolean already() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        return request != null && request.getAttribute(NAME, RequestAttributes.SCOPE_REQUEST) != null;
    }
}
