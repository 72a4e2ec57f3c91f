package app.hodegon.server.operation;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.cert.X509Certificate;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509TrustManager;

/**
 * How a running server is asked on its own machine: a file that only its user can read names its address and a secret.
 */
record OperatorFile(String address, String secret) {

    static final String HEADER = "X-Hodegon-Operator";

    static OperatorFile read(Path file) throws IOException {
        String[] lines = Files.readString(file).split("\\R");
        if (lines.length < 2) throw new IOException(file + " cannot be read.");
        return new OperatorFile(lines[0], lines[1]);
    }

    /** Whether a server is there to be asked; a file that a killed one left behind answers nothing. */
    static boolean answers(Path file) {
        if (!Files.isReadable(file)) return false;
        try {
            return read(file).ask("ping", "").statusCode() == 200;
        } catch (IOException | IllegalArgumentException nobody) {
            return false;
        }
    }

    void write(Path file) throws IOException {
        Files.deleteIfExists(file);
        if (file.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        Files.writeString(file, address + "\n" + secret + "\n", StandardOpenOption.CREATE);
    }

    /** Asks the server on this machine; its certificate is made out to another name, so the secret has to do. */
    HttpResponse<String> ask(String order, String about) throws IOException {
        System.setProperty("jdk.internal.httpclient.disableHostnameVerification", "true");
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + "/operator/" + order))
                .header(HEADER, secret)
                .POST(BodyPublishers.noBody())
                .header("X-About", java.net.URLEncoder.encode(about, java.nio.charset.StandardCharsets.UTF_8))
                .build();
        try {
            return HttpClient.newBuilder().sslContext(anyCertificate()).build().send(request, BodyHandlers.ofString());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException(stopped);
        }
    }

    private static SSLContext anyCertificate() {
        try {
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(null, new TrustManager[] {new Any()}, null);
            return context;
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }

    private static final class Any implements X509TrustManager {
        @Override
        public void checkClientTrusted(X509Certificate[] chain, String type) {
            // No client is asked for one.
        }

        @Override
        public void checkServerTrusted(X509Certificate[] chain, String type) {
            // It is this machine.
        }

        @Override
        public X509Certificate[] getAcceptedIssuers() {
            return new X509Certificate[0];
        }
    }
}
