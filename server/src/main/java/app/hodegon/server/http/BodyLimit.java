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

    static final int MOST_BYTES = 256 * 1024;
    private static final String TOO_LARGE = "The body may hold at most " + MOST_BYTES / 1024 + " kB.";

    static final class TooLarge extends IOException {
        TooLarge() {
            super(TOO_LARGE);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > MOST_BYTES) {
            response.setStatus(HttpStatus.CONTENT_TOO_LARGE.value());
            response.setContentType("application/problem+json");
            response.getWriter()
                    .write("{\"title\":\"Content Too Large\",\"status\":413,\"detail\":\"" + TOO_LARGE + "\"}");
            return;
        }
        chain.doFilter(new Limited(request), response);
    }

    private static final class Limited extends HttpServletRequestWrapper {
        Limited(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Counting(super.getInputStream());
        }
    }

    private static final class Counting extends ServletInputStream {
        private final ServletInputStream body;
        private long read;

        Counting(ServletInputStream body) {
            this.body = body;
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
            if (read > MOST_BYTES) throw new TooLarge();
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
