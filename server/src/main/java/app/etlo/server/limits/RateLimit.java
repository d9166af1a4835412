package app.etlo.server.limits;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/**
 * Turns callers away who ask more often than a person does. The counts are each server's own: they guard its processor, while
 * the guessing of passwords is counted in the database.
 */
@Component
@EnableConfigurationProperties(Limits.class)
public class RateLimit implements HandlerInterceptor {
    private static final long MOST_CALLERS = 100_000;

    private final Limits limits;
    private final Cache<String, Bucket> buckets = Caffeine.newBuilder()
            .maximumSize(MOST_CALLERS)
            .expireAfterAccess(Duration.ofMinutes(10))
            .build();

    RateLimit(Limits limits) {
        this.limits = limits;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method) {
            Limited limited = method.getMethodAnnotation(Limited.class);
            if (limited != null) {
                Limits.Limit limit = limits.of(limited.value());
                take(limited.value() + " address " + request.getRemoteAddr(), limit.address(), limit.burst());
                String session = session(request);
                if (!session.isEmpty()) {
                    take(limited.value() + " session " + session, limit.session(), limit.burst());
                }
            }
        }
        return true;
    }

    private void take(String caller, int aMinute, int burst) {
        Bucket bucket = buckets.get(
                caller,
                c -> Bucket.builder()
                        .addLimit(l -> l.capacity(burst).refillGreedy(aMinute, Duration.ofMinutes(1)))
                        .build());
        ConsumptionProbe probe = bucket.tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new TooMany(
                    1 + Duration.ofNanos(probe.getNanosToWaitForRefill()).toSeconds());
        }
    }

    /** The session of somebody signed in: one that a stranger makes up costs nothing, so it is no limit. */
    private static String session(HttpServletRequest request) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        HttpSession session = request.getSession(false);
        return session != null && who != null && !(who instanceof AnonymousAuthenticationToken) ? session.getId() : "";
    }
}
