package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509TrustManager;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Who may in over real sockets: started with {@code --lan}, asked in plain HTTP and over TLS, from here and from the network. */
class LanTest {
    private static final String PHRASE = "rusty gate by the quarry";
    private static final String LAN = "--syntoma.lan=true";
    private static final int WRONG = 10;

    @TempDir
    private Path dir;

    @Test
    void it_lets_in_whoever_knows_the_phrase_and_nobody_else() throws Exception {
        String refused = RunningApp.refusedStart(dir, 1, LAN);
        assertTrue(refused.contains("./syntoma phrase --data "), refused);
        assertTrue(RunningApp.setPhrase(dir, "password1234").contains("among the first that are tried"));
        assertTrue(RunningApp.setPhrase(dir, PHRASE).contains("is set"));
        try (RunningApp app = RunningApp.start(dir, false, LAN)) {
            assertTrue(app.said().contains("SHA-256 fingerprint"), app.said());
            assertTrue(RunningApp.setPhrase(dir, "another of my phrases").contains("in use"));
            for (boolean tls : List.of(true, false)) {
                assertEquals(401, ask(app, tls, "127.0.0.1", get("/api/standing", "127.0.0.1")));
                assertEquals(200, ask(app, tls, "127.0.0.1", get("/actuator/health", "127.0.0.1")));
                assertEquals(421, ask(app, tls, "127.0.0.1", get("/", "syntoma.example")));
                assertEquals(403, ask(app, tls, "127.0.0.1", logIn(PHRASE, "https://elsewhere.example")));
                assertEquals(204, ask(app, tls, "127.0.0.1", logIn(PHRASE, "")));
            }
            Optional<InetAddress> own =
                    ownAddress().filter(a -> app.said().contains("https://" + a.getHostAddress() + ":"));
            if (own.isPresent()) {
                String address = own.get().getHostAddress();
                assertEquals(401, ask(app, true, address, get("/api/standing", address)));
                assertEquals(308, ask(app, false, address, get("/tonight", address)));
                assertEquals(
                        403,
                        ask(app, false, address, get("/api/session", address).replace("GET", "PUT")));
            }
            for (int i = 0; i < WRONG; i++) {
                assertEquals(401, ask(app, true, "127.0.0.1", logIn("a guess that is wrong " + i, "")));
            }
            assertEquals(429, ask(app, true, "127.0.0.1", logIn(PHRASE, "")));
            assertEquals(204, askFrom("127.0.0.2", app, true, "127.0.0.1", logIn(PHRASE, "")));
        }
        try (RunningApp app = RunningApp.start(dir, false)) {
            assertEquals(200, ask(app, false, "127.0.0.1", get("/api/standing", "127.0.0.1")));
            if (ownAddress().isPresent()) {
                String address = ownAddress().get().getHostAddress();
                try (Socket none = new Socket()) {
                    none.connect(new InetSocketAddress(address, app.port()), 2_000);
                    throw new AssertionError("it answers at " + address);
                } catch (IOException refusedThere) {
                    // as it must be
                }
            }
        }
    }

    private static String get(String path, String host) {
        return "GET " + path + " HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n";
    }

    private static String logIn(String phrase, String origin) {
        String body = "{\"phrase\":\"" + phrase + "\"}";
        return "POST /api/session HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n"
                + (origin.isEmpty() ? "" : "Origin: " + origin + "\r\n")
                + "Connection: close\r\nContent-Length: " + body.length() + "\r\n\r\n" + body;
    }

    private static int ask(RunningApp app, boolean tls, String at, String request) throws Exception {
        return askFrom(at, app, tls, at, request);
    }

    /** The status of the answer to a request that comes from an address of this machine. */
    private static int askFrom(String from, RunningApp app, boolean tls, String at, String request) throws Exception {
        try (Socket plain = new Socket(at, app.port(), InetAddress.getByName(from), 0);
                Socket socket = tls ? trusting().getSocketFactory().createSocket(plain, at, app.port(), true) : plain) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            BufferedReader answer =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
            String status = answer.readLine();
            return Integer.parseInt(status.split(" ")[1]);
        }
    }

    private static SSLContext trusting() throws Exception {
        X509TrustManager all = new X509TrustManager() {
            @Override
            public void checkClientTrusted(X509Certificate[] chain, String type) {}

            @Override
            public void checkServerTrusted(X509Certificate[] chain, String type) {}

            @Override
            public X509Certificate[] getAcceptedIssuers() {
                return new X509Certificate[0];
            }
        };
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, new TrustManager[] {all}, new SecureRandom());
        return context;
    }

    /** An address of this machine on a network, where it has one. */
    private static Optional<InetAddress> ownAddress() throws IOException {
        return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
                .flatMap(NetworkInterface::inetAddresses)
                .filter(address -> address instanceof java.net.Inet4Address && !address.isLoopbackAddress())
                .filter(address -> !address.isLinkLocalAddress())
                .findFirst();
    }
}
