package vividroster.server.platform;

import io.micrometer.observation.ObservationRegistry;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationManagers;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.IpAddressAuthorizationManager;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import tools.jackson.databind.ObjectMapper;
import vividroster.core.access.Role.Right;

/** Who may ask for what: every endpoint needs a signed-in person but sign-in itself, health and the interface's files. */
@Configuration(proxyBeanMethods = false)
@EnableMethodSecurity
class SecurityConfig {

    /** Where nothing collects observations, nothing is spent on making them around every filter. */
    @Bean
    @ConditionalOnProperty(name = "vivid.metrics", havingValue = "no")
    ObservationRegistry observationRegistry() {
        return ObservationRegistry.NOOP;
    }

    private static final AuthorizationManager<RequestAuthorizationContext> THIS_MACHINE = AuthorizationManagers.anyOf(
            IpAddressAuthorizationManager.hasIpAddress("127.0.0.1"), IpAddressAuthorizationManager.hasIpAddress("::1"));

    /**
     * What a section coach and a substitute teacher may read: what holds no student, and what is cut to their own. Everything
     * else is for those who see everybody, also what nobody has thought of yet.
     */
    static final String[] FOR_EVERYBODY = {
        "/api/session",
        "/api/year",
        "/api/classes",
        "/api/instruments",
        "/api/instruments/*/parts",
        "/api/library",
        "/api/checks/*",
        "/api/checks/*/demonstrations",
        "/api/demonstrations/*",
        "/api/lines/with-notes",
        "/api/lines/*/notes",
        "/api/lines/*/ladder",
        "/api/lines/*/remarks",
        "/api/lines/*/line.mid",
        "/api/warm-up",
        "/api/warm-up/part",
        "/api/rail",
        "/api/podium",
        "/api/board",
        "/api/board/faults",
        "/api/hearing/choices",
        "/api/hearing/run/*",
        "/api/hearing/positions/*",
        "/api/hearing/belts-in-reach/*",
        "/api/hearing/pace/*",
        "/api/absences",
        "/api/live",
    };

    private static final String[] RECORDED_BY_EVERYBODY = {
        "/api/attempts",
        "/api/attempts/batch",
        "/api/attempts/*/correction",
        "/api/pain-reports",
        "/api/absences",
        "/api/habits/looks",
        "/api/live/desk",
    };

    @Bean
    CookieCsrfTokenRepository csrfTokens() {
        return CookieCsrfTokenRepository.withHttpOnlyFalse();
    }

    @Bean
    SecurityFilterChain security(
            HttpSecurity http,
            CookieCsrfTokenRepository csrfTokens,
            AccountSessions sessions,
            ObjectMapper json,
            @Value("${vivid.metrics}") String metrics)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.POST, "/api/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/invitations/look", "/api/invitations/take")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, FOR_EVERYBODY)
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, RECORDED_BY_EVERYBODY)
                        .authenticated()
                        .requestMatchers("/api/session", "/api/session/**")
                        .authenticated()
                        .requestMatchers("/api/**", "/v3/**")
                        .hasAuthority(Right.SEE_EVERYBODY.name())
                        .requestMatchers("/actuator/health/**", "/actuator/health")
                        .permitAll()
                        .requestMatchers("/actuator/prometheus")
                        .access(metrics.equals("yes") ? THIS_MACHINE : (who, what) -> new AuthorizationDecision(false))
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .anyRequest()
                        .permitAll())
                .securityContext(context -> context.securityContextRepository(sessions))
                .csrf(csrf -> csrf.spa().csrfTokenRepository(csrfTokens))
                .headers(
                        headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives("default-src 'self';"
                                        + " style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none';"
                                        + " base-uri 'none'; frame-ancestors 'none'; form-action 'self'"))
                                .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                                .permissionsPolicyHeader(
                                        permissions -> permissions.policy(
                                                "camera=(), geolocation=(), payment=(), usb=(), microphone=(self), display-capture=()")))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(errors -> errors.authenticationEntryPoint((request, response, e) -> {
                            Answers.write(response, json, HttpStatus.UNAUTHORIZED, "Sign in first.");
                        })
                        .accessDeniedHandler((request, response, e) -> {
                            boolean stale = e instanceof org.springframework.security.web.csrf.CsrfException;
                            Answers.write(
                                    response,
                                    json,
                                    HttpStatus.FORBIDDEN,
                                    stale
                                            ? "This page is out of date. Load it again; what you marked is kept."
                                            : "This is not yours to see or change; ask your director.");
                        }));
        return http.build();
    }

    /** An address that no browser makes of itself is refused in a sentence like everything else. */
    @Bean
    RequestRejectedHandler refusedAddresses(ObjectMapper json) {
        return (request, response, refused) -> Answers.write(
                response, json, HttpStatus.BAD_REQUEST, "This address cannot be read; nothing was changed.");
    }

    /** bcrypt; what was kept with less work is made anew at the next sign-in. */
    @Bean
    PasswordEncoder passwordEncoder(@Value("${vivid.password-strength}") int strength) {
        return new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(strength)));
    }
}
