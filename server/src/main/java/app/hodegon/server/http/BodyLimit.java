package app.hodegon.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies larger than any honest request, announced or not. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {

    private static final int KB = 1024;
    private static final int MOST = 256 * KB;
    private static final int MOST_OF_A_FILE = 6 * 1024 * KB;
    private static final int MOST_OF_A_RECORD = 40 * 1024 * KB;

    static final class TooLarge extends IOException {
        TooLarge(int most) {
            super(text(most));
        }
    }

    private static String text(int most) {
        return "The body may hold at most " + most / KB + " kB.";
    }

    /** Files are larger than what is typed. */
    private static int most(HttpServletRequest request) {
        String path = request.getRequestURI();
        if (path.equals("/api/records")) return MOST_OF_A_RECORD;
        return path.startsWith("/api/lessons/") && path.contains("/shot-files") ? MOST_OF_A_FILE : MOST;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int most = most(request);
        if (request.getContentLengthLong() > most) {
            response.setStatus(HttpStatus.CONTENT_TOO_LARGE.value());
            response.setContentType("application/problem+json");
            response.getWriter()
                    .write("{\"title\":\"Content Too Large\",\"status\":413,\"detail\":\"" + text(most) + "\"}");
            return;
        }
        chain.doFilter(new Limited(request, most), response);
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final int most;

        Limited(HttpServletRequest request, int most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Counting(super.getInputStream(), most);
        }
    }

    private static final class Counting extends ServletInputStream {
        private final ServletInputStream body;
        private final int most;
        private long read;

        Counting(ServletInputStream body, int most) {
            this.body = body;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int next = body.read();
            if (next >= 0) count(1);
            return next;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int got = body.read(into, offset, length);
            if (got > 0) count(got);
            return got;
        }

        private void count(int bytes) throws TooLarge {
            read += bytes;
            if (read > most) throw new TooLarge(most);
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
