package app.etlo.server.config;

import app.etlo.server.access.AccessRule;
import app.etlo.server.limits.RateLimit;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts the limits and the access rule before every endpoint. */
@Configuration
class WebConfig implements WebMvcConfigurer {
    private final RateLimit limits;
    private final AccessRule access;

    WebConfig(RateLimit limits, AccessRule access) {
        this.limits = limits;
        this.access = access;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(limits);
        registry.addInterceptor(access);
    }
}
