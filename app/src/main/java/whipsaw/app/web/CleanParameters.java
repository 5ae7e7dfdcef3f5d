package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import whipsaw.core.units.CleanText;

/** The one door of what forms send: nothing that cannot be printed comes through. Documents are cleaned where they are read. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class CleanParameters extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(new Cleaned(request), response);
    }

    private static final class Cleaned extends HttpServletRequestWrapper {
        Cleaned(HttpServletRequest request) {
            super(request);
        }

        @Override
        public String getParameter(String name) {
            String value = super.getParameter(name);
            return value == null ? null : CleanText.lines(value);
        }

        @Override
        public String[] getParameterValues(String name) {
            String[] values = super.getParameterValues(name);
            return values == null
                    ? null
                    : Arrays.stream(values).map(CleanText::lines).toArray(String[]::new);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> all = new LinkedHashMap<>();
            super.getParameterMap().keySet().forEach(name -> all.put(name, getParameterValues(name)));
            return all;
        }
    }
}
