package app.etlo.server.config;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;
import org.springframework.web.servlet.HandlerInterceptor;

/**
 * Names the build of the page in every answer, by the contents of the page. A page that was loaded from another build sees so and
 * asks to be loaded again.
 */
@Component
class BuildHeader implements HandlerInterceptor {
    static final String NAME = "X-Build";

    private static final ClassPathResource PAGE = new ClassPathResource("static/index.html");

    private final String build;

    BuildHeader() throws IOException {
        this.build = PAGE.exists() ? DigestUtils.md5DigestAsHex(PAGE.getContentAsByteArray()) : "none";
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        response.setHeader(NAME, build);
        return true;
    }
}
