package app.hodegon.server.http;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.springframework.http.HttpStatus;

/** One body on its way in: bytes are taken as they come, and the request goes on once it is whole. */
final class Intake implements ReadListener {

    /** So much of a body that was refused is still read, so that the sender hears why. */
    private static final int MOST_READ_AWAY = 64 * 1024 * 1024;

    private final HttpServletRequest request;
    private final HttpServletResponse response;
    private final Body body;
    private final BiConsumer<String, Intake> ended;
    private final String address;
    private final byte[] buffer = new byte[8192];

    private AsyncContext async;
    private Refusal refusal;
    private int readAway;
    private boolean over;

    /**
     * @param refused why the body is only read away, where that is known already
     * @param ended told the address and this, once
     */
    Intake(
            HttpServletRequest request,
            HttpServletResponse response,
            Body body,
            Optional<Refusal> refused,
            BiConsumer<String, Intake> ended) {
        this.request = request;
        this.response = response;
        this.body = body;
        this.refusal = refused.orElse(null);
        this.ended = ended;
        this.address = request.getRemoteAddr();
    }

    void begin(AsyncContext started) throws IOException {
        synchronized (this) {
            async = started;
        }
        request.getInputStream().setReadListener(this);
    }

    @Override
    public void onDataAvailable() throws IOException {
        ServletInputStream in = request.getInputStream();
        while (!isOver() && in.isReady() && !in.isFinished()) {
            int read = in.read(buffer);
            if (read < 0) return;
            if (refusal == null) keep(read);
            else readAway += read;
            if (readAway > MOST_READ_AWAY) end();
        }
    }

    private void keep(int read) {
        try {
            body.add(buffer, read);
        } catch (Body.TooLarge tooLarge) {
            refusal = new Refusal(HttpStatus.CONTENT_TOO_LARGE, tooLarge.getMessage());
        } catch (IOException disk) {
            refusal = new Refusal(HttpStatus.INSUFFICIENT_STORAGE, Refusal.DISK_FULL);
        }
    }

    @Override
    public void onAllDataRead() {
        end();
    }

    /** The sender has gone, or was silent for too long and may still listen. */
    @Override
    public void onError(Throwable gone) {
        refuse(HttpStatus.REQUEST_TIMEOUT, "The request took too long to arrive.");
    }

    private void end() {
        if (!finish()) return;
        if (refusal == null) {
            Bodies.taken(request, body);
            async.dispatch();
        } else {
            answer(refusal);
        }
    }

    /** Answers without waiting for the rest. */
    void refuse(HttpStatus status, String detail) {
        if (finish()) answer(new Refusal(status, detail));
    }

    private void answer(Refusal why) {
        body.close();
        try {
            response.setHeader("Connection", "close");
            why.write(response);
        } catch (IOException gone) {
            // Nobody is left to be told.
        }
        async.complete();
    }

    /** The request is over, whoever ended it. */
    void drop() {
        if (finish()) body.close();
    }

    private synchronized boolean isOver() {
        return over;
    }

    /** Whether this call is the one that ends it. */
    private boolean finish() {
        synchronized (this) {
            if (over) return false;
            over = true;
        }
        ended.accept(address, this);
        return true;
    }
}
