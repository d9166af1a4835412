package app.etlo.server.config;

import app.etlo.server.access.ThisMachine;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.actuate.autoconfigure.security.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

@Configuration
class SecurityConfig {
    /** Everything comes from here; scripts only from files. Placing of menus and sheets needs styles set in place. */
    private static final String CONTENT = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline';"
            + " img-src 'self' data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; frame-ancestors 'none';"
            + " base-uri 'none'; form-action 'self'; object-src 'none'";

    @Bean
    PasswordEncoder passwordEncoder(@Value("${etlo.bcrypt-strength}") int strength) {
        return new BCryptPasswordEncoder(strength);
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        // from the header alone: looking for it among parameters would read a body of whoever sends one
        CsrfTokenRequestAttributeHandler plain = new CsrfTokenRequestAttributeHandler() {
            @Override
            public String resolveCsrfTokenValue(HttpServletRequest request, CsrfToken token) {
                return request.getHeader(token.getHeaderName());
            }
        };
        plain.setCsrfRequestAttributeName(null); // load the token at once, so that the cookie is always set
        CookieCsrfTokenRepository cookie = CookieCsrfTokenRepository.withHttpOnlyFalse();
        cookie.setCookieCustomizer(c -> c.sameSite("Strict"));
        return http
                // who may call a handler stands at the handler, see AccessRule; health has handlers of the framework's
                .authorizeHttpRequests(a -> a.requestMatchers(EndpointRequest.toAnyEndpoint())
                        .access((who, context) -> new AuthorizationDecision(ThisMachine.asked(context.getRequest())))
                        .anyRequest()
                        .permitAll())
                .csrf(c -> c.csrfTokenRepository(cookie).csrfTokenRequestHandler(plain))
                .securityContext(c -> c.securityContextRepository(contexts))
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                .headers(h -> h.contentSecurityPolicy(p -> p.policyDirectives(CONTENT))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .crossOriginOpenerPolicy(c -> c.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(c -> c.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(
                                p -> p.policy("camera=(), microphone=(), geolocation=(), payment=(), usb=()")))
                .build();
    }
}
