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
    private static final String COACH = "coach";
    private static final int LONGEST_MESSAGE = 128 * 1024;
    private static final long SILENT_MS = 60_000;
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
            Optional<UUID> coach =
                    PlateController.coachOf(tokens, request.getHeaders().getFirst(HttpHeaders.AUTHORIZATION));
            coach.ifPresent(id -> attributes.put(COACH, id));
            if (coach.isEmpty()) response.setStatusCode(HttpStatus.UNAUTHORIZED);
            return coach.isPresent();
        }

        @Override
        public void afterHandshake(
                ServerHttpRequest request, ServerHttpResponse response, WebSocketHandler handler, Exception failed) {
            // Nothing is left to do.
        }
    }

    private final class Lines extends TextWebSocketHandler {
        @Override
        protected void handleTextMessage(WebSocketSession session, TextMessage message) throws IOException {
            try {
                plates.take((UUID) session.getAttributes().get(COACH), message.getPayload());
            } catch (IllegalArgumentException wrong) {
                String why = wrong.getMessage();
                session.close(CloseStatus.NOT_ACCEPTABLE.withReason(
                        why.substring(0, Math.min(LONGEST_REASON, why.length()))));
            }
        }
    }
}
