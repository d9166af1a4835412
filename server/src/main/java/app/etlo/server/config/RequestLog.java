package app.etlo.server.config;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.resource.ResourceHttpRequestHandler;

/**
 * Gives every request an id, which its log lines, its answer and a problem it may get carry; writes one line for each call that
 * a handler of Etlo's answers or that is refused. The line names the endpoint, not what was asked of it: nobody's address, name or data is in it. Failures outside
 * any endpoint, such as a session that cannot be read, are answered here.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestLog extends OncePerRequestFilter {
    static final String ID = "requestId";
    private static final String HEADER = "X-Request-Id";
    private static final Logger LOG = LoggerFactory.getLogger(RequestLog.class);

    private final ObjectMapper mapper;

    RequestLog(ObjectMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String asked = request.getHeader(HEADER);
        String id = asked != null && asked.matches("[A-Za-z0-9-]{8,64}")
                ? asked
                : UUID.randomUUID().toString();
        MDC.put(ID, id);
        response.setHeader(HEADER, id);
        long began = System.nanoTime();
        try {
            chain.doFilter(request, response);
        } catch (ServletException | IOException | RuntimeException e) {
            answer(response, e, id);
        } finally {
            if (isWorthALine(request, response)) {
                LOG.atInfo()
                        .addKeyValue("method", request.getMethod())
                        .addKeyValue("route", route(request))
                        .addKeyValue("status", response.getStatus())
                        .addKeyValue("millis", (System.nanoTime() - began) / 1_000_000)
                        .log("request");
            }
            MDC.remove(ID);
        }
    }

    private void answer(HttpServletResponse response, Exception e, String id) throws IOException {
        Fault fault = Fault.of(e);
        if (fault.status().value() == 500) {
            LOG.error("unforeseen", e);
        } else {
            LOG.warn("{}: {}", fault.title(), e.getClass().getSimpleName());
        }
        if (response.isCommitted()) {
            return;
        }
        response.resetBuffer();
        response.setStatus(fault.status().value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        fault.retryAfterSeconds().ifPresent(s -> response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(s)));
        mapper.writeValue(
                response.getOutputStream(),
                Map.of("status", fault.status().value(), "title", fault.title(), "detail", fault.detail(), ID, id));
    }

    /** Every call but of the page's own files; decided by what answered, not by how the address is spelled. */
    private static boolean isWorthALine(HttpServletRequest request, HttpServletResponse response) {
        Object handler = request.getAttribute(HandlerMapping.BEST_MATCHING_HANDLER_ATTRIBUTE);
        boolean file = handler instanceof ResourceHttpRequestHandler
                || request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE) == null
                        && "GET".equals(request.getMethod());
        return !file || response.getStatus() >= HttpServletResponse.SC_BAD_REQUEST;
    }

    private static String route(HttpServletRequest request) {
        Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        return pattern == null ? "none" : pattern.toString();
    }
}
