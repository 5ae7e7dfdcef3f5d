package whipsaw.app.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import whipsaw.app.store.Json;

/**
 * Every request that changes something carries a token that only our own pages know; its cookie
 * goes to no other site. There are no accounts, because only this machine is served. The other
 * headers are set by {@link LocalOnly}.
 */
@Configuration
public class WebSecurity {
    private static final String STALE = "this page is no longer current: reload it and try again; nothing was stored";

    @Bean
    SecurityFilterChain security(HttpSecurity http) throws Exception {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(
                cookie -> cookie.sameSite("Strict").httpOnly(true).secure(false));
        return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
                .csrf(csrf -> csrf.csrfTokenRepository(tokens))
                .headers(headers -> headers.disable())
                .requestCache(cache -> cache.disable())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .exceptionHandling(e -> e.accessDeniedHandler((request, response, why) -> refuse(response)))
                .build();
    }

    private static void refuse(HttpServletResponse response) throws IOException {
        response.setStatus(HttpServletResponse.SC_FORBIDDEN);
        response.setContentType("application/json");
        String body = Json.write(Map.of(
                "title",
                "Not taken",
                "problems",
                List.of(Map.of("path", "", "label", "", "value", "", "message", STALE))));
        response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
    }

    /** Nobody can sign in. */
    @Bean
    AuthenticationManager nobody() {
        return authentication -> {
            throw new BadCredentialsException("there are no accounts");
        };
    }
}
