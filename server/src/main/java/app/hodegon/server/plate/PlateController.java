package app.hodegon.server.plate;

import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Refusal;
import app.hodegon.server.lesson.Stage;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** A coach's plate: its token, its samples, and who listens. */
@RestController
class PlateController {

    static final String BEARER = "Bearer ";

    private final PlateTokenRepository tokens;
    private final Plates plates;

    PlateController(PlateTokenRepository tokens, Plates plates) {
        this.tokens = tokens;
        this.plates = plates;
    }

    /** @param tokenMadeAt null while there is none */
    record PlateView(OffsetDateTime tokenMadeAt) {}

    /** @param token shown once: only its hash is kept */
    record TokenView(@NotNull String token) {}

    @GetMapping("/api/plate")
    PlateView plate(@AuthenticationPrincipal Account coach) {
        return new PlateView(tokens.madeAt(coach.id()).orElse(null));
    }

    @PostMapping("/api/plate/token")
    TokenView token(@AuthenticationPrincipal Account coach) {
        return new TokenView(tokens.make(coach.id()));
    }

    @GetMapping(path = "/api/lessons/{id}/listen", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam @Size(max = 10) String stage,
            HttpSession session) {
        Stage of = Invalid.in("stage", () -> Identified.of(Stage.class, stage));
        return plates.listen(coach, id, of, session.getId());
    }

    /** Lines of a stream, for bridges that rather post than hold a socket. */
    @PostMapping(
            path = "/plate/samples",
            consumes = {"application/x-ndjson", MediaType.APPLICATION_JSON_VALUE})
    void samples(
            @RequestHeader(name = "Authorization", required = false) String authorization,
            InputStream body,
            HttpServletResponse response)
            throws IOException {
        Optional<UUID> coach = coachOf(tokens, authorization);
        if (coach.isEmpty()) {
            Refusal.write(response, HttpStatus.UNAUTHORIZED, "This token is not known.");
            return;
        }
        String lines = new String(body.readAllBytes(), StandardCharsets.UTF_8);
        Invalid.in("lines", () -> {
            plates.take(coach.get(), lines);
            return lines;
        });
        response.setStatus(HttpStatus.NO_CONTENT.value());
    }

    static Optional<UUID> coachOf(PlateTokenRepository tokens, String authorization) {
        return Optional.ofNullable(authorization)
                .filter(a -> a.startsWith(BEARER) && a.length() < 200)
                .flatMap(a -> tokens.coachOf(a.substring(BEARER.length())));
    }
}
