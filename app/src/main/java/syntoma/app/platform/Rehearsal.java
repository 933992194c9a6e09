package syntoma.app.platform;

import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.InetAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.boot.web.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContext;

/**
 * What a first view asks for, asked once when Syntoma is built, so that the classes it takes are among those that a start
 * finds ready.
 */
final class Rehearsal {
    private static final List<String> ASKED = List.of(
            "/",
            "/api/standing",
            "/api/pitch",
            "/api/campsites",
            "/api/setups",
            "/api/carriers",
            "/api/stays",
            "/api/measurements",
            "/api/measurements.csv",
            "/api/trials",
            "/api/gear",
            "/api/setups/fit",
            "/api/needs",
            "/api/vehicle",
            "/api/no-such-thing",
            "/actuator/health");
    private static final String LOGGED = "{\"takenAt\":\"2026-09-05T21:00:00+02:00\",\"campsite\":\"Quarry Lake\","
            + "\"setup\":\"Mast panel\",\"outcome\":\"ok\",\"rsrpDbm\":-90}";

    private Rehearsal() {}

    /** Asks the application itself; what it answers matters only in that it does. */
    static void of(ApplicationContext application) throws IOException {
        int port = ((WebServerApplicationContext) application).getWebServer().getPort();
        String address = "http://" + InetAddress.getLoopbackAddress().getHostAddress() + ":" + port;
        for (String path : ASKED) {
            answer((HttpURLConnection) URI.create(address + path).toURL().openConnection());
        }
        HttpURLConnection log = (HttpURLConnection)
                URI.create(address + "/api/measurements").toURL().openConnection();
        log.setDoOutput(true);
        log.setRequestProperty("Content-Type", "application/json");
        log.getOutputStream().write(LOGGED.getBytes(StandardCharsets.UTF_8));
        answer(log);
    }

    private static void answer(HttpURLConnection connection) throws IOException {
        int status = connection.getResponseCode();
        if (status >= 500) {
            throw new IOException(connection.getURL().getPath() + " answered " + status);
        }
        connection.disconnect();
    }
}
