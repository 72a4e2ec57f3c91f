package app.hodegon.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A page says whose it is: where somebody else has signed in meanwhile, in another tab of a shared machine, nothing of
 * its is done under their name, and nothing of theirs shown on it.
 */
@Configuration
class SameAccount implements WebMvcConfigurer {

    static final String HEADER = "For-Account";

    private static final String OTHER = """
            {"title":"Forbidden","status":403,"otherAccount":true,\
            "detail":"Somebody else is signed in here now: nothing was done in their name."}""";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new Asking()).addPathPatterns("/api/**").excludePathPatterns("/api/session");
    }

    private static final class Asking implements HandlerInterceptor {
        @Override
        public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
                throws IOException {
            String page = request.getHeader(HEADER);
            Authentication now = SecurityContextHolder.getContext().getAuthentication();
            if (page == null || now == null || !(now.getPrincipal() instanceof Account account)) return true;
            if (page.equals(account.id().toString())) return true;
            response.setStatus(HttpStatus.FORBIDDEN.value());
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.setCharacterEncoding(StandardCharsets.UTF_8.name());
            response.getWriter().write(OTHER);
            return false;
        }
    }
}
