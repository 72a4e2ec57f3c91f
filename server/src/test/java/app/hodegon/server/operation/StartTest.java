package app.hodegon.server.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import app.hodegon.server.HodegonApplication;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.MapPropertySource;
import org.springframework.core.env.StandardEnvironment;

/** What a start says, and what it says when it fails. */
class StartTest {

    @Test
    void aPortThatIsTakenIsNamed(@TempDir Path data) throws Exception {
        try (ServerSocket taken = new ServerSocket(0)) {
            Throwable failed = catchThrowable(() -> SpringApplication.run(
                    HodegonApplication.class, "--server.port=" + taken.getLocalPort(), "--hodegon.data=" + data));
            assertThat(Start.problem(failed))
                    .isEqualTo("Port " + taken.getLocalPort() + " is in use: choose another with --port.");
        }
    }

    @Test
    void anAddressOfAnotherMachineIsSaid(@TempDir Path data) {
        Throwable failed = catchThrowable(() -> SpringApplication.run(
                HodegonApplication.class, "--server.port=0", "--server.address=192.0.2.1", "--hodegon.data=" + data));
        assertThat(Start.problem(failed))
                .startsWith("The address cannot be listened on")
                .doesNotContain("\n");
    }

    private static String said(String... properties) {
        Map<String, Object> given = new HashMap<>(Map.of("local.server.port", "8080"));
        for (String property : properties) given.put(property.split("=")[0], property.split("=")[1]);
        StandardEnvironment environment = new StandardEnvironment();
        environment.getPropertySources().addFirst(new MapPropertySource("given", given));
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        Start.ready(environment, new PrintStream(said, true));
        return said.toString();
    }

    @Test
    void everyAddressThatOthersCanOpenIsSaid() throws Exception {
        String said = said();
        assertThat(said).startsWith("Hodegon is ready at http://localhost:8080\n");
        for (String host : Start.others()) {
            assertThat(said).contains("http://" + host + ":8080");
            assertThat(InetAddress.getByName(host).isLoopbackAddress()).isFalse();
        }
        if (Start.others().isEmpty()) assertThat(said).contains("on no network");
        else assertThat(said).contains("HTTPS");
    }

    @Test
    void whatListensForThisMachineOnlySaysNothingOfOthers() {
        assertThat(said("server.address=127.0.0.1")).isEqualTo("Hodegon is ready at http://localhost:8080\n");
        assertThat(said("server.address=192.0.2.7")).isEqualTo("Hodegon is ready at http://192.0.2.7:8080\n");
        assertThat(said("server.address=2001:db8::1")).contains("http://[2001:db8:0:0:0:0:0:1]:8080");
    }
}
