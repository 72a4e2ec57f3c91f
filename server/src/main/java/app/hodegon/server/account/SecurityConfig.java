package app.hodegon.server.account;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
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

/** Who may call what: a coach the coach's side, a student {@code /api/me}. Whose data it is, the services check. */
@Configuration
class SecurityConfig {

    private static final String CONTENT_SECURITY = "default-src 'self'; img-src 'self' data:; font-src 'self' data:;"
            + " style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'self'; form-action 'self'";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        return http.csrf(csrf -> csrf.spa())
                .securityContext(c -> c.securityContextRepository(contexts))
                .authorizeHttpRequests(
                        requests -> requests.requestMatchers("/api/session", "/api/first-coach", "/api/invitations/*")
                                .permitAll()
                                .requestMatchers("/api/me/**")
                                .hasRole(Account.Role.STUDENT.name())
                                .requestMatchers(HttpMethod.GET, "/api/catalogue")
                                .authenticated()
                                .requestMatchers("/api/**")
                                .hasRole(Account.Role.COACH.name())
                                .anyRequest()
                                .permitAll())
                .exceptionHandling(e -> e.authenticationEntryPoint(
                                (request, response, why) -> problem(response, 401, "Sign in first."))
                        .accessDeniedHandler((request, response, why) ->
                                problem(response, 403, "This is not for your account, or the page is out of date.")))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT_SECURITY)))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .build();
    }

    private static void problem(HttpServletResponse response, int status, String detail) throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getWriter().write("{\"status\":" + status + ",\"detail\":\"" + detail + "\"}");
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
