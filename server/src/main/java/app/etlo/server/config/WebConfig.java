package app.etlo.server.config;

import app.etlo.core.plan.document.BoundedValues;
import app.etlo.server.account.AccessRule;
import app.etlo.server.edge.BodyGate;
import app.etlo.server.limits.RateLimit;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.LocalDate;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.format.FormatterRegistry;
import org.springframework.http.CacheControl;
import org.springframework.util.DigestUtils;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;

/** Puts the rates, the access rule and, last of all, the opening of the body before every handler. */
@Configuration
class WebConfig implements WebMvcConfigurer {
    private static final String PAGE = "classpath:/static/";

    private final BuildHeader build;
    private final RateLimit limits;
    private final AccessRule access;
    private final BodyGate bodies;

    WebConfig(BuildHeader build, RateLimit limits, AccessRule access, BodyGate bodies) {
        this.build = build;
        this.limits = limits;
        this.access = access;
        this.bodies = bodies;
    }

    /**
     * Files whose names carry a hash of their contents are kept by browsers for a year; whatever is not known by its contents,
     * the page above all, is asked about each time, by an ETag of its contents: the files of every build carry the same date.
     */
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(PAGE + "assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable())
                .setEtagGenerator(WebConfig::hash)
                .setUseLastModified(false)
                .resourceChain(true)
                .addResolver(new EncodedResourceResolver());
        registry.addResourceHandler("/**")
                .addResourceLocations(PAGE)
                .setCacheControl(CacheControl.noCache())
                .setEtagGenerator(WebConfig::hash)
                .setUseLastModified(false)
                .resourceChain(true)
                .addResolver(new EncodedResourceResolver());
    }

    private static String hash(Resource resource) {
        try {
            return DigestUtils.md5DigestAsHex(resource.getContentAsByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, LocalDate.class, BoundedValues::day);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(build);
        registry.addInterceptor(limits);
        registry.addInterceptor(access);
        registry.addInterceptor(bodies);
    }
}
