package app.hodegon.server.http;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;

/**
 * Takes in a request's body before anything else looks at it, without holding a thread: who sends a byte at a time
 * keeps nobody waiting. A body has a size, a total time, and each address a number of bodies under way, of which the
 * oldest gives way (docs/decisions/0014).
 */
class Bodies implements Filter {

    private static final int KB = 1024;
    private static final int MOST = 256 * KB;
    private static final int MOST_OF_A_FILE = 6 * 1024 * KB;
    private static final int MOST_OF_A_RECORD = 40 * 1024 * KB;

    /** Lines of JSON, not one. */
    private static final String PLATE = "/plate/samples";

    private static final Duration LONGEST = Duration.ofSeconds(20);
    private static final Duration LONGEST_OF_A_FILE = Duration.ofMinutes(3);

    /** Bodies that one address may have under way. */
    static final int PER_ADDRESS = 64;

    private static final String TAKEN = Bodies.class.getName() + ".taken";

    private final Map<String, Deque<Intake>> underWay = new HashMap<>();
    private final Spool spool = new Spool();

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest http = (HttpServletRequest) request;
        if (request.getAttribute(TAKEN) instanceof Body body) {
            try (body) {
                chain.doFilter(new BodyRequest(http, body), response);
            }
        } else if (request.getDispatcherType() != DispatcherType.REQUEST || !hasBody(http)) {
            chain.doFilter(request, response);
        } else {
            take(http, (HttpServletResponse) response);
        }
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    private void take(HttpServletRequest request, HttpServletResponse response) throws IOException {
        int most = most(request);
        Optional<Refusal> refusal = refusal(request, most);
        Body body;
        try {
            body = Body.expected(refusal.isPresent() ? 0 : most, request.getContentLengthLong(), spool);
        } catch (Spool.Full full) {
            refusal = Optional.of(new Refusal(HttpStatus.SERVICE_UNAVAILABLE, full.getMessage()));
            body = Body.expected(0, 0, spool);
        }
        Intake intake = new Intake(request, response, body, refusal, this::ended);
        AsyncContext async = request.startAsync();
        async.setTimeout((most > MOST ? LONGEST_OF_A_FILE : LONGEST).toMillis());
        async.addListener(new Late(intake));
        begun(request.getRemoteAddr(), intake);
        intake.begin(async);
    }

    /** Why a body is not taken, as far as that is known before it comes. */
    private static Optional<Refusal> refusal(HttpServletRequest request, int most) {
        if (!isJson(request.getContentType()) && !request.getRequestURI().equals(PLATE)) {
            return Optional.of(
                    new Refusal(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "A body must be JSON (application/json)."));
        }
        return request.getContentLengthLong() > most
                ? Optional.of(new Refusal(HttpStatus.CONTENT_TOO_LARGE, tooLarge(most)))
                : Optional.empty();
    }

    private static boolean isJson(String type) {
        try {
            return type != null && MediaType.APPLICATION_JSON.isCompatibleWith(MediaType.parseMediaType(type));
        } catch (InvalidMediaTypeException none) {
            return false;
        }
    }

    static String tooLarge(int most) {
        return "The body may hold at most " + most / KB + " kB.";
    }

    /** Files are larger than what is typed. */
    private static int most(HttpServletRequest request) {
        String path = request.getRequestURI();
        if (path.equals("/api/records")) return MOST_OF_A_RECORD;
        if (path.equals(PLATE)) return MOST_OF_A_FILE;
        if (path.equals("/api/traces/read") || path.equals("/api/tracks/read")) return MOST_OF_A_FILE;
        if (path.startsWith("/api/trace-imports/")) return MOST_OF_A_FILE;
        if (path.startsWith("/api/") && path.endsWith("/film")) return MOST_OF_A_FILE;
        if (path.equals("/api/me/clips") || path.startsWith("/api/lessons/") && path.endsWith("/clips"))
            return MOST_OF_A_FILE;
        return path.startsWith("/api/lessons/") && path.contains("/shot-files") ? MOST_OF_A_FILE : MOST;
    }

    private void begun(String address, Intake intake) {
        Intake oldest = null;
        synchronized (underWay) {
            Deque<Intake> all = underWay.computeIfAbsent(address, a -> new ArrayDeque<>());
            if (all.size() >= PER_ADDRESS) oldest = all.pollFirst();
            all.addLast(intake);
        }
        if (oldest != null) {
            oldest.refuse(HttpStatus.SERVICE_UNAVAILABLE, "Too many unfinished requests from your address.");
        }
    }

    private void ended(String address, Intake intake) {
        synchronized (underWay) {
            Deque<Intake> all = underWay.get(address);
            if (all == null) return;
            all.remove(intake);
            if (all.isEmpty()) underWay.remove(address);
        }
    }

    /** What becomes of a body that does not arrive in time, or not at all. */
    private record Late(Intake intake) implements AsyncListener {
        @Override
        public void onTimeout(AsyncEvent event) {
            intake.refuse(HttpStatus.REQUEST_TIMEOUT, "The request took too long to arrive.");
        }

        @Override
        public void onError(AsyncEvent event) {
            intake.drop();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            intake.drop();
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // Nothing starts anew.
        }
    }

    static void taken(ServletRequest request, Body body) {
        request.setAttribute(TAKEN, body);
    }
}
