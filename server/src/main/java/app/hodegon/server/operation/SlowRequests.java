package app.hodegon.server.operation;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;

/** Remembers which requests took long, without whose they were. */
@Component
class SlowRequests extends OncePerRequestFilter {

    private static final long SLOW_MILLISECONDS = 500;
    private static final int REMEMBERED = 50;

    private final Clock clock;
    private final Deque<Slow> slow = new ArrayDeque<>();

    SlowRequests(Clock clock) {
        this.clock = clock;
    }

    /**
     * @param what method and kind of address, such as {@code GET /api/students/{id}}
     */
    record Slow(
            @NotNull Instant at,
            @NotNull String what,
            @NotNull long milliseconds) {}

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long began = System.nanoTime();
        try {
            chain.doFilter(request, response);
        } finally {
            long took = (System.nanoTime() - began) / 1_000_000;
            Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
            if (took >= SLOW_MILLISECONDS && pattern != null) {
                remember(new Slow(clock.instant(), request.getMethod() + " " + pattern, took));
            }
        }
    }

    private synchronized void remember(Slow one) {
        slow.addFirst(one);
        if (slow.size() > REMEMBERED) slow.removeLast();
    }

    /** The latest first. */
    synchronized List<Slow> latest() {
        return List.copyOf(slow);
    }
}
