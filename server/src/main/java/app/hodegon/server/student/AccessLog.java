package app.hodegon.server.student;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts on record whatever a coach does with a student of another coach: once per request, when it was answered. */
@Component
class AccessLog implements HandlerInterceptor {

    private static final String USED = AccessLog.class.getName();

    /** What part of an address stands for, the first that fits. */
    private static final Map<String, String> PLACES = places();

    private final StandInRepository standIns;

    AccessLog(StandInRepository standIns) {
        this.standIns = standIns;
    }

    private record Use(UUID coach, UUID student) {}

    /** A coach makes use of a grant in the present request. */
    void used(UUID coach, UUID student) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            // Nothing is used outside a request but a lesson that hears a plate.
            standIns.note(coach, student, "changed", "lesson");
            return;
        }
        @SuppressWarnings("unchecked")
        Set<Use> uses = (Set<Use>) request.getAttribute(USED, RequestAttributes.SCOPE_REQUEST);
        if (uses == null) {
            uses = new HashSet<>();
            request.setAttribute(USED, uses, RequestAttributes.SCOPE_REQUEST);
        }
        uses.add(new Use(coach, student));
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (!(request.getAttribute(USED) instanceof Set<?> uses) || response.getStatus() >= 400) return;
        String what = request.getMethod().equals("GET") ? "looked" : "changed";
        String place = place(String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE)));
        for (Object use : uses) {
            standIns.note(((Use) use).coach(), ((Use) use).student(), what, place);
        }
    }

    private static String place(String pattern) {
        return PLACES.entrySet().stream()
                .filter(e -> pattern.contains(e.getKey()))
                .findFirst()
                .map(Map.Entry::getValue)
                .orElse("student");
    }

    private static Map<String, String> places() {
        Map<String, String> places = new LinkedHashMap<>();
        places.put("/plan", "plan");
        places.put("/template", "plan");
        places.put("/shot-files", "balls");
        places.put("/bay", "balls");
        places.put("/lessons", "lesson");
        places.put("/plate", "lesson");
        places.put("/thread", "progress");
        places.put("/compare", "progress");
        places.put("/notes", "notes");
        places.put("/practice", "practice");
        places.put("/paper", "practice");
        places.put("/stops", "practice");
        places.put("/gates", "practice");
        places.put("/approach", "approach");
        places.put("/day", "list");
        return places;
    }

    /** Applies it to every request. */
    @Configuration
    static class Everywhere implements WebMvcConfigurer {
        private final AccessLog log;

        Everywhere(AccessLog log) {
            this.log = log;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(log);
        }
    }
}
