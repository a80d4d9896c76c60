package vividroster.server.platform;

import io.micrometer.observation.ObservationRegistry;
import java.nio.charset.StandardCharsets;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import tools.jackson.databind.ObjectMapper;

/** Who may ask for what: every endpoint needs a signed-in person but sign-in itself, health and the interface's files. */
@Configuration(proxyBeanMethods = false)
@EnableMethodSecurity
class SecurityConfig {

    /** Nothing collects observations here, so nothing is spent on making them around every filter. */
    @Bean
    ObservationRegistry observationRegistry() {
        return ObservationRegistry.NOOP;
    }

    @Bean
    CookieCsrfTokenRepository csrfTokens() {
        return CookieCsrfTokenRepository.withHttpOnlyFalse();
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, CookieCsrfTokenRepository csrfTokens, ObjectMapper json)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.POST, "/api/session")
                        .permitAll()
                        .requestMatchers("/api/**", "/v3/**")
                        .authenticated()
                        .requestMatchers("/actuator/health/**", "/actuator/health")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .anyRequest()
                        .permitAll())
                .csrf(csrf -> csrf.spa().csrfTokenRepository(csrfTokens))
                .headers(
                        headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives("default-src 'self';"
                                + " style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none';"
                                + " base-uri 'none'; frame-ancestors 'none'; form-action 'self'")))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(errors -> errors.authenticationEntryPoint((request, response, e) -> {
                            response.setStatus(HttpStatus.UNAUTHORIZED.value());
                            write(response, json, HttpStatus.UNAUTHORIZED, "Sign in first.");
                        })
                        .accessDeniedHandler((request, response, e) -> {
                            response.setStatus(HttpStatus.FORBIDDEN.value());
                            boolean stale = e instanceof org.springframework.security.web.csrf.CsrfException;
                            write(
                                    response,
                                    json,
                                    HttpStatus.FORBIDDEN,
                                    stale
                                            ? "This page is out of date. Load it again; what you marked is kept."
                                            : "Only a director can do this.");
                        }));
        return http.build();
    }

    private static void write(
            jakarta.servlet.http.HttpServletResponse response, ObjectMapper json, HttpStatus status, String sentence)
            throws java.io.IOException {
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(json.writeValueAsString(ProblemAdvice.detail(status, sentence, null)));
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    AuthenticationManager authenticationManager(UserDetailsService people, PasswordEncoder encoder) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(people);
        provider.setPasswordEncoder(encoder);
        return new ProviderManager(provider);
    }

    @Bean
    SecurityContextRepository securityContexts() {
        return new HttpSessionSecurityContextRepository();
    }
}
