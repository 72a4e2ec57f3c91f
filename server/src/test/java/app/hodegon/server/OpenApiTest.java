package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The interface's types are made from {@code web/openapi.json}; this fails when the running API and that file differ.
 * Rewrite it with {@code mvn -pl server test -Dtest=OpenApiTest -Dopenapi.write=true}.
 */
@ExtendWith(RunningServer.class)
class OpenApiTest {

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    @Test
    void committedFileDescribesTheRunningServer(Client client) throws IOException {
        ObjectNode api = (ObjectNode) client.get("/v3/api-docs").expect(200).body();
        api.remove("servers");
        String running = JSON.writeValueAsString(JSON.treeToValue(api, Object.class)) + "\n";
        Path file = Path.of("..", "web", "openapi.json");
        if (Boolean.getBoolean("openapi.write")) Files.writeString(file, running);
        assertThat(Files.readString(file)).isEqualTo(running);
    }
}
