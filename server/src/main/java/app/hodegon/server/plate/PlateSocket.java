package app.hodegon.server.plate;

import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketHandler;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.springframework.web.socket.server.HandshakeInterceptor;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;

/**
 * The socket a plate's bridge holds. Every message is worked through before the next is read, so that a bridge that sends
 * faster than that is slowed down by the connection itself.
 */
@Configuration
@EnableWebSocket
class PlateSocket implements WebSocketConfigurer {

    private static final String PATH = "/plate/socket";
    private static final String TOKEN = "token";
    private static final int LONGEST_MESSAGE = 128 * 1024;
    private static final long SILENT_MS = 60_000;
    private static final long ASKED_AGAIN_MS = 1_000;
    private static final int LONGEST_REASON = 110;

    private final Plates plates;
    private final PlateTokenRepository tokens;

    PlateSocket(Plates plates, PlateTokenRepository tokens) {
        this.plates = plates;
        this.tokens = tokens;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(new Lines(), PATH).addInterceptors(new Token());
    }

    @Bean
    ServletServerContainerFactoryBean socketLimits() {
        ServletServerContainerFactoryBean limits = new ServletServerContainerFactoryBean();
        limits.setMaxTextMessageBufferSize(LONGEST_MESSAGE);
        limits.setMaxSessionIdleTimeout(SILENT_MS);
        return limits;
    }

    /** Lets in who has a coach's token. */
    private final class Token implements HandshakeInterceptor {
        @Override
        public boolean beforeHandshake(
                ServerHttpRequest request,
                ServerHttpResponse response,
                WebSocketHandler handler,
                Map<String, Object> attributes) {
            Asked asked = new Asked(request.getHeaders().getFirst(HttpHeaders.AUTHORIZATION));
            attributes.put(TOKEN, asked);
            if (asked.coach().isEmpty()) response.setStatusCode(HttpStatus.UNAUTHORIZED);
            return asked.coach().isPresent();
        }

        @Override
        public void afterHandshake(
                ServerHttpRequest request, ServerHttpResponse response, WebSocketHandler handler, Exception failed) {
            // Nothing is left to do.
        }
    }

    /** Whose token a socket came with; asked again while it sends, for a new token ends the old one. */
    private final class Asked {
        private final String authorization;
        private Optional<UUID> coach = Optional.empty();
        private long at;

        Asked(String authorization) {
            this.authorization = authorization;
        }

        synchronized Optional<UUID> coach() {
            long now = System.nanoTime() / 1_000_000;
            if (coach.isEmpty() || now - at > ASKED_AGAIN_MS) {
                coach = PlateController.coachOf(tokens, authorization);
                at = now;
            }
            return coach;
        }
    }

    private final class Lines extends TextWebSocketHandler {
        @Override
        protected void handleTextMessage(WebSocketSession session, TextMessage message) throws IOException {
            Optional<UUID> coach = ((Asked) session.getAttributes().get(TOKEN)).coach();
            if (coach.isEmpty()) {
                session.close(CloseStatus.POLICY_VIOLATION.withReason("This token is not known any more."));
                return;
            }
            try {
                plates.take(coach.get(), message.getPayload());
            } catch (IllegalArgumentException wrong) {
                String why = wrong.getMessage();
                session.close(CloseStatus.NOT_ACCEPTABLE.withReason(
                        why.substring(0, Math.min(LONGEST_REASON, why.length()))));
            }
        }
    }
}
