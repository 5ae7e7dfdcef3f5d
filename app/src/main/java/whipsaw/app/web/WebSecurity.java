package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.servlet.support.csrf.CsrfRequestDataValueProcessor;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.support.RequestDataValueProcessor;
import whipsaw.app.store.Json;

/**
 * Every request that changes something carries a token that only our own pages know; its cookie
 * goes to no other site. Addresses that mean two things are refused. There are no accounts, because only this machine is
 * served. The other headers are set by {@link LocalOnly}.
 */
@Configuration
public class WebSecurity {
    /** After the filters that bound and clean a request, before the pages. */
    private static final int ORDER = -100;

    private static final String STALE = "this page is no longer current: reload it and try again; nothing was stored";
    private static final String ODD = "the address or a header of the request is not one of this product";

    @Bean
    FilterRegistrationBean<CsrfFilter> tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(
                cookie -> cookie.sameSite("Strict").httpOnly(true).secure(false));
        CsrfFilter filter = new CsrfFilter(tokens);
        filter.setAccessDeniedHandler(
                (request, response, why) -> refuse(response, HttpServletResponse.SC_FORBIDDEN, STALE));
        FilterRegistrationBean<CsrfFilter> bean = new FilterRegistrationBean<>(filter);
        bean.setOrder(ORDER);
        return bean;
    }

    @Bean
    FilterRegistrationBean<Firewall> firewall() {
        FilterRegistrationBean<Firewall> bean = new FilterRegistrationBean<>(new Firewall());
        bean.setOrder(ORDER - 1);
        return bean;
    }

    /** Puts the token into each form of a page. */
    @Bean
    RequestDataValueProcessor requestDataValueProcessor() {
        return new CsrfRequestDataValueProcessor();
    }

    /** Refuses addresses that could be read in two ways. */
    static final class Firewall extends OncePerRequestFilter {
        private final StrictHttpFirewall rules = new StrictHttpFirewall();

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            try {
                chain.doFilter(rules.getFirewalledRequest(request), rules.getFirewalledResponse(response));
            } catch (RequestRejectedException e) {
                refuse(response, HttpServletResponse.SC_BAD_REQUEST, ODD);
            }
        }
    }

    private static void refuse(HttpServletResponse response, int status, String words) throws IOException {
        response.setStatus(status);
        response.setContentType("application/json");
        String body = Json.write(Map.of(
                "title",
                "Not taken",
                "problems",
                List.of(Map.of("path", "", "label", "", "value", "", "message", words))));
        response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
    }
}
