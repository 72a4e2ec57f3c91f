package app.hodegon.server.http;

import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;

/**
 * Bounds how many answers one address may have a thread busy with: who reads slowly, many times over, keeps no other
 * address waiting.
 */
final class Readers implements Filter {

    /** Of 64 threads; a whole academy behind one address asks for less at one instant. */
    static final int PER_ADDRESS = 40;

    private final PerAddress busy = new PerAddress(PER_ADDRESS);

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        String address = request.getRemoteAddr();
        if (!busy.begin(address)) {
            Refusal.write(
                    (HttpServletResponse) response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Too many unfinished requests from your address.");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            busy.end(address);
        }
    }
}
