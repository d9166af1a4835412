package app.etlo.server.config;

import app.etlo.core.plan.BoundedValues;
import app.etlo.server.access.AccessRule;
import app.etlo.server.edge.BodyGate;
import app.etlo.server.limits.RateLimit;
import java.time.LocalDate;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts the rates, the access rule and, last of all, the opening of the body before every handler. */
@Configuration
class WebConfig implements WebMvcConfigurer {
    private final RateLimit limits;
    private final AccessRule access;
    private final BodyGate bodies;

    WebConfig(RateLimit limits, AccessRule access, BodyGate bodies) {
        this.limits = limits;
        this.access = access;
        this.bodies = bodies;
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, LocalDate.class, BoundedValues::day);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(limits);
        registry.addInterceptor(access);
        registry.addInterceptor(bodies);
    }
}
