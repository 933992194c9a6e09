package syntoma.standin.router;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import syntoma.standin.WorldLink;

/**
 * A modem that answers the standard commands of TS 27.007 on a socket: with echo until it is told otherwise, unsolicited lines
 * between answers, {@code ERROR} to what it does not know and {@code +CME ERROR} to what it cannot say now. One client at a time.
 */
public final class ModemServer implements AutoCloseable {
    /** After so many commands something is told that nobody asked for. */
    private static final int UNSOLICITED_EACH = 5;

    private final ServerSocket server;
    private final WorldLink link;

    private ModemServer(ServerSocket server, WorldLink link) {
        this.server = server;
        this.link = link;
    }

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @throws IOException when the port is taken, or the address is none of this machine's
     */
    public static ModemServer start(String bind, int port, WorldLink link) throws IOException {
        ModemServer made = new ModemServer(new ServerSocket(port, 1, InetAddress.getByName(bind)), link);
        Thread serving = new Thread(made::serve, "modem");
        serving.setDaemon(true);
        serving.start();
        return made;
    }

    public int port() {
        return server.getLocalPort();
    }

    private void serve() {
        while (!server.isClosed()) {
            try (Socket client = server.accept()) {
                converse(client);
            } catch (IOException gone) {
                // the client has hung up, or the server is closed
            }
        }
    }

    private void converse(Socket client) throws IOException {
        BufferedReader in =
                new BufferedReader(new InputStreamReader(client.getInputStream(), StandardCharsets.US_ASCII));
        Writer out = new OutputStreamWriter(client.getOutputStream(), StandardCharsets.US_ASCII);
        Answers answers = new Answers(link);
        int asked = 0;
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            String command = line.strip();
            if (command.isEmpty()) {
                continue;
            }
            if (answers.echoes()) {
                out.write(command + "\r\r\n");
            }
            if (++asked % UNSOLICITED_EACH == 0) {
                out.write("\r\n+CEREG: 1\r\n");
            }
            for (String said : answers.to(command)) {
                out.write("\r\n" + said + "\r\n");
            }
            out.flush();
        }
    }

    @Override
    public void close() {
        try {
            server.close();
        } catch (IOException already) {
            // closed it is
        }
    }
}
