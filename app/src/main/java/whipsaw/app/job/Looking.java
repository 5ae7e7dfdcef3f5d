package whipsaw.app.job;

import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Which array of a job, or which roof without one, the page that asks looks at: by a header, or by a part of its address. */
@Component
public class Looking {
    private static final String HEADER = "X-Array";
    private static final String PARAMETER = "array";

    /** Of the request that is being answered; empty where it names none, which is the first array. */
    public String place() {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request) {
            String header = request.getRequest().getHeader(HEADER);
            String place =
                    header == null || header.isEmpty() ? request.getRequest().getParameter(PARAMETER) : header;
            return place != null && place.matches("[A-Za-z0-9-]{1,40}") ? place : "";
        }
        return "";
    }
}
