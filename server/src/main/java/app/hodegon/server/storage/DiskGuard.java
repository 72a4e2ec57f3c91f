package app.hodegon.server.storage;

import app.hodegon.server.http.Refusal;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses whatever would be stored while the disk is full; reading, calculating and signing in go on. */
@Component
class DiskGuard extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> STORING_NOTHING = Set.of(
            "/api/session",
            "/api/diagnosis",
            "/api/plans/draft",
            "/api/progress/compare",
            "/api/traces/read",
            // A swing that cannot be stored is said on the page that listens.
            "/plate/samples",
            "/api/tracks/read");

    private final Disk disk;

    DiskGuard(Disk disk) {
        this.disk = disk;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        // What the machine's owner asks for is meant to help, and says itself where there is no room.
        boolean operator = request.getRequestURI().startsWith("/operator/");
        boolean stores = !operator
                && !READING.contains(request.getMethod())
                && !STORING_NOTHING.contains(request.getRequestURI());
        if (stores && disk.isFull()) {
            Refusal.write(response, HttpStatus.INSUFFICIENT_STORAGE, Refusal.DISK_FULL);
        } else {
            chain.doFilter(request, response);
        }
    }
}
