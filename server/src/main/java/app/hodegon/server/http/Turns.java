package app.hodegon.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets about as many requests read at a time as there are processors, the others in the order in which they came. More
 * would all be slower: whoever holds one of the store's locks is put aside for another who then waits for that lock.
 * Nobody waits long, so that whoever reads an answer slowly holds up nobody.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Turns extends OncePerRequestFilter {

    private static final Duration PATIENCE = Duration.ofSeconds(1);

    private final Semaphore turns;

    Turns() {
        this(Runtime.getRuntime().availableProcessors() + 1);
    }

    Turns(int atOnce) {
        turns = new Semaphore(atOnce, true);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("GET") || !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean given = awaited();
        try {
            chain.doFilter(request, response);
        } finally {
            if (given) turns.release();
        }
    }

    private boolean awaited() {
        try {
            return turns.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
