package app.etlo.server.config;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;

@Configuration
class SecurityConfig {
    /** About a quarter of a second a try on a present machine. */
    private static final int BCRYPT_STRENGTH = 12;

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(BCRYPT_STRENGTH);
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        CsrfTokenRequestAttributeHandler plain = new CsrfTokenRequestAttributeHandler();
        plain.setCsrfRequestAttributeName(null); // load the token at once, so that the cookie is always set
        CookieCsrfTokenRepository cookie = CookieCsrfTokenRepository.withHttpOnlyFalse();
        cookie.setCookieCustomizer(c -> c.sameSite("Strict"));
        return http.authorizeHttpRequests(a -> a.requestMatchers("/api/session", "/api/formats/**")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/practices")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        .requestMatchers("/actuator/**")
                        .access((who, context) -> new org.springframework.security.authorization.AuthorizationDecision(
                                isLoopback(context.getRequest().getRemoteAddr())))
                        .anyRequest()
                        .permitAll())
                .csrf(c -> c.csrfTokenRepository(cookie).csrfTokenRequestHandler(plain))
                .securityContext(c -> c.securityContextRepository(contexts))
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                .headers(h -> h.contentSecurityPolicy(p -> p.policyDirectives(
                        "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:;"
                                + " font-src 'self'; frame-ancestors 'none'; base-uri 'self'; form-action 'self'")))
                .build();
    }

    private static boolean isLoopback(String address) {
        return address.equals("127.0.0.1") || address.equals("0:0:0:0:0:0:0:1") || address.equals("::1");
    }
}
