package whipsaw.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;

/** Gives scripts and styles the name they have in this build; other links of a page are left alone and looked up nowhere. */
@Configuration
class AssetNames {
    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> assetNamesInPages(
            @Value("${spring.web.resources.chain.strategy.fixed.version}") String version) {
        return new FilterRegistrationBean<>(new Names("/" + version));
    }

    /** Stands in for the filter that would ask every resource handler about every link. */
    static final class Names extends ResourceUrlEncodingFilter {
        private final String prefix;

        Names(String prefix) {
            this.prefix = prefix;
        }

        @Override
        public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
                throws IOException, ServletException {
            chain.doFilter(request, new HttpServletResponseWrapper((HttpServletResponse) response) {
                @Override
                public String encodeURL(String url) {
                    return url.startsWith("/js/") || url.startsWith("/css/") ? prefix + url : url;
                }
            });
        }
    }
}
