package app.hodegon.server.http;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;

/**
 * Public files of several megabytes: sent as fast as the reader takes them, without a thread that waits for it. Each
 * address may have a number of them under way.
 */
final class LargeFiles extends HttpServlet {

    private static final long serialVersionUID = 1;

    /** A page fetches six at once. */
    static final int PER_ADDRESS = 24;

    private static final Duration LONGEST = Duration.ofMinutes(10);
    private static final int PIECE = 64 * 1024;
    private static final Map<String, String> TYPES = Map.of(
            "js", "text/javascript", "wasm", "application/wasm", "txt", "text/plain", "json", "application/json");

    private final transient PerAddress underWay = new PerAddress(PER_ADDRESS);
    private final String folder;

    /** @param folder on the class path, ending with a slash */
    LargeFiles(String folder) {
        this.folder = folder;
    }

    @Override
    protected void doGet(HttpServletRequest request, HttpServletResponse response) throws IOException {
        String name = String.valueOf(request.getPathInfo()).substring(1);
        Resource file = new ClassPathResource(folder + name);
        if (!name.matches("[\\w.-]+") || !file.exists()) {
            Refusal.write(response, HttpStatus.NOT_FOUND, "There is no such file.");
            return;
        }
        long length = file.contentLength();
        String tag = "\"" + Long.toHexString(length) + "-" + Long.toHexString(file.lastModified()) + "\"";
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-cache");
        response.setHeader(HttpHeaders.ETAG, tag);
        if (tag.equals(request.getHeader(HttpHeaders.IF_NONE_MATCH))) {
            response.setStatus(HttpServletResponse.SC_NOT_MODIFIED);
            return;
        }
        response.setContentType(
                TYPES.getOrDefault(name.substring(name.lastIndexOf('.') + 1), "application/octet-stream"));
        response.setContentLengthLong(length);
        if (request.getMethod().equals("HEAD")) return;
        String address = request.getRemoteAddr();
        if (!underWay.begin(address)) {
            response.reset();
            Refusal.write(response, HttpStatus.SERVICE_UNAVAILABLE, "Too many unfinished requests from your address.");
            return;
        }
        new Sending(request, response, file.getInputStream(), () -> underWay.end(address));
    }

    /** One file on its way out. */
    private static final class Sending implements WriteListener, AsyncListener {
        private final AsyncContext async;
        private final ServletOutputStream out;
        private final InputStream in;
        private final Runnable whenOver;
        private final AtomicBoolean over = new AtomicBoolean();
        private final byte[] piece = new byte[PIECE];

        Sending(HttpServletRequest request, HttpServletResponse response, InputStream in, Runnable whenOver)
                throws IOException {
            this.in = in;
            this.whenOver = whenOver;
            this.out = response.getOutputStream();
            this.async = request.startAsync();
            async.setTimeout(LONGEST.toMillis());
            async.addListener(this);
            out.setWriteListener(this);
        }

        @Override
        public void onWritePossible() throws IOException {
            while (out.isReady()) {
                int read = in.read(piece);
                if (read < 0) {
                    async.complete();
                    return;
                }
                out.write(piece, 0, read);
            }
        }

        private void end() throws IOException {
            if (!over.compareAndSet(false, true)) return;
            whenOver.run();
            in.close();
        }

        @Override
        public void onError(Throwable gone) {
            async.complete();
        }

        @Override
        public void onComplete(AsyncEvent event) throws IOException {
            end();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            async.complete();
        }

        @Override
        public void onError(AsyncEvent event) throws IOException {
            end();
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // Nothing starts anew.
        }
    }
}
