package app.hodegon.server.account;

import app.hodegon.server.http.Refusal;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may call what: a coach the coach's side, a student {@code /api/me}. Whose data it is, the services check. */
@Configuration
class SecurityConfig {

    private static final String CONTENT_SECURITY = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval';"
            + " img-src 'self' data: blob:; media-src 'self' blob:; font-src 'self' data:;"
            + " style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'self'; form-action 'self'";

    /** Of all that a page could ask of the machine only what films a swing, hears a strike and tells how it is held. */
    private static final String PERMISSIONS =
            "camera=(self), microphone=(self), accelerometer=(self), gyroscope=(self),"
                    + " geolocation=(), payment=(), usb=()";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts, CsrfTokenRepository tokens)
            throws Exception {
        return http.csrf(csrf ->
                        csrf.spa().csrfTokenRepository(tokens).ignoringRequestMatchers("/operator/*", "/plate/*"))
                .securityContext(c -> c.securityContextRepository(contexts))
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session",
                                "/api/first-coach",
                                "/api/forgotten-password",
                                "/api/invitations/*",
                                "/api/coach-invitations/*",
                                "/api/password-links/*")
                        .permitAll()
                        .requestMatchers("/api/account/**")
                        .authenticated()
                        .requestMatchers("/api/me/**")
                        .hasRole(Account.Role.STUDENT.name())
                        .requestMatchers(HttpMethod.GET, "/api/catalogue", "/api/motions/**", "/api/demo/films/**")
                        .authenticated()
                        // A student's phone looks at a film before it is sent.
                        .requestMatchers(HttpMethod.POST, "/api/tracks/read")
                        .authenticated()
                        .requestMatchers("/api/**")
                        .hasRole(Account.Role.COACH.name())
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, why) ->
                                Refusal.write(response, HttpStatus.UNAUTHORIZED, "Sign in first."))
                        .accessDeniedHandler((request, response, why) -> Refusal.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "This is not for your account, or the page is out of date.")))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT_SECURITY))
                        // Other names under the same domain are not this installation's to speak for.
                        .httpStrictTransportSecurity(hsts -> hsts.includeSubDomains(false))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .permissionsPolicyHeader(p -> p.policy(PERMISSIONS)))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .build();
    }

    @Bean
    CsrfTokenRepository tokens() {
        return CookieCsrfTokenRepository.withHttpOnlyFalse();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwords(@Value("${hodegon.password-strength}") int strength) {
        return new BCryptPasswordEncoder(strength);
    }

    @Bean
    AuthenticationManager authentication(UserDetailsService accounts, PasswordEncoder passwords) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(accounts);
        provider.setPasswordEncoder(passwords);
        return new ProviderManager(provider);
    }
}
