package whipsaw.app.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.FormHttpMessageConverter;
import org.springframework.util.MultiValueMap;

/** A request whose body has come whole, to be handled as if it had come so in the first place. */
final class RequestBody extends HttpServletRequestWrapper {
    /** Set where the rest of a body is not waited for. */
    static final String CLOSE = "whipsaw.connection.close";

    private byte[] bytes = {};
    private boolean givenUp;
    private Map<String, String[]> parameters = Map.of();

    RequestBody(HttpServletRequest request) {
        super(request);
    }

    /**
     * Finds it in a request.
     *
     * @param request perhaps wrapped
     * @return the body that has come, or null
     */
    static RequestBody of(ServletRequest request) {
        ServletRequest at = request;
        while (at instanceof HttpServletRequestWrapper wrapper) {
            if (at instanceof RequestBody body) {
                return body;
            }
            at = wrapper.getRequest();
        }
        return null;
    }

    /**
     * Takes the body and the parameters in it.
     *
     * @param all what has come
     * @throws BodyReader.Incomplete if it is a form that cannot be read
     */
    void complete(byte[] all) {
        this.bytes = all;
        Map<String, String[]> named = new LinkedHashMap<>(super.getParameterMap());
        String type = getContentType();
        if (type != null && type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE)) {
            form().forEach((name, values) -> named.merge(name, values.toArray(new String[0]), RequestBody::both));
        }
        parameters = Collections.unmodifiableMap(named);
    }

    /** From here on a request that only asks why it was refused. */
    void giveUp() {
        givenUp = true;
        setAttribute(CLOSE, true);
    }

    @Override
    public String getMethod() {
        return givenUp ? "GET" : super.getMethod();
    }

    @Override
    public String getContentType() {
        return givenUp ? null : super.getContentType();
    }

    /** Waiting for the body is no business of the filters that follow. */
    @Override
    public DispatcherType getDispatcherType() {
        return super.getDispatcherType() == DispatcherType.ASYNC ? DispatcherType.REQUEST : super.getDispatcherType();
    }

    @Override
    public ServletInputStream getInputStream() {
        return new Held(new ByteArrayInputStream(bytes));
    }

    @Override
    public BufferedReader getReader() {
        return new BufferedReader(new InputStreamReader(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8));
    }

    @Override
    public int getContentLength() {
        return bytes.length;
    }

    @Override
    public long getContentLengthLong() {
        return bytes.length;
    }

    @Override
    public String getParameter(String name) {
        String[] values = getParameterValues(name);
        return values == null ? null : values[0];
    }

    @Override
    public String[] getParameterValues(String name) {
        return getParameterMap().get(name);
    }

    @Override
    public Enumeration<String> getParameterNames() {
        return Collections.enumeration(getParameterMap().keySet());
    }

    @Override
    public Map<String, String[]> getParameterMap() {
        return parameters;
    }

    private static String[] both(String[] first, String[] then) {
        String[] all = new String[first.length + then.length];
        System.arraycopy(first, 0, all, 0, first.length);
        System.arraycopy(then, 0, all, first.length, then.length);
        return all;
    }

    private MultiValueMap<String, String> form() {
        try {
            return new FormHttpMessageConverter().read(null, new HttpInputMessage() {
                @Override
                public InputStream getBody() {
                    return new ByteArrayInputStream(bytes);
                }

                @Override
                public HttpHeaders getHeaders() {
                    HttpHeaders headers = new HttpHeaders();
                    headers.set(
                            HttpHeaders.CONTENT_TYPE, MediaType.APPLICATION_FORM_URLENCODED_VALUE + ";charset=UTF-8");
                    return headers;
                }
            });
        } catch (IOException | IllegalArgumentException e) {
            throw new BodyReader.Incomplete(400, "the form cannot be read: " + e.getMessage());
        }
    }

    private static final class Held extends ServletInputStream {
        private final ByteArrayInputStream in;

        Held(ByteArrayInputStream in) {
            this.in = in;
        }

        @Override
        public int read() {
            return in.read();
        }

        @Override
        public int read(byte[] into, int from, int most) {
            return in.read(into, from, most);
        }

        @Override
        public boolean isFinished() {
            return in.available() == 0;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("the body is here already");
        }
    }
}
