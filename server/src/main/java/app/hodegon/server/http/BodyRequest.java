package app.hodegon.server.http;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/** A request whose body is here already. To all that follows it is one that has just arrived. */
final class BodyRequest extends HttpServletRequestWrapper {

    private final ServletInputStream in;

    BodyRequest(HttpServletRequest request, Body body) throws IOException {
        super(request);
        in = new Read(body.read());
    }

    @Override
    public DispatcherType getDispatcherType() {
        return DispatcherType.REQUEST;
    }

    @Override
    public ServletInputStream getInputStream() {
        return in;
    }

    @Override
    public BufferedReader getReader() {
        return new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    private static final class Read extends ServletInputStream {
        private final InputStream from;
        private boolean finished;

        Read(InputStream from) {
            this.from = from;
        }

        @Override
        public int read() throws IOException {
            int next = from.read();
            finished = next < 0;
            return next;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int got = from.read(into, offset, length);
            finished = got < 0;
            return got;
        }

        @Override
        public void close() throws IOException {
            from.close();
        }

        @Override
        public boolean isFinished() {
            return finished;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("This body is read at once.");
        }
    }
}
