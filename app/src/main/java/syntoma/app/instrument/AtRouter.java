package syntoma.app.instrument;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import syntoma.core.reply.AtAnswers;
import syntoma.core.reply.RouterReading;

/** A modem that answers the standard commands over TCP; the connection is kept from one reading to the next. */
final class AtRouter implements RouterSource {
    private static final int MOST_LINES = 200;
    private static final int LONGEST_LINE = 400;

    private final URI at;
    private final CallPermission permission;
    private Socket socket;
    private BufferedReader in;
    private long until;
    private long moved;

    AtRouter(Routers.ReachedRouter router) {
        this.at = URI.create("tcp://" + router.address());
        this.permission = router.permission();
    }

    @Override
    public RouterReading read() throws RouterException {
        until = System.nanoTime() + HttpRouter.ANSWERS_WITHIN.toNanos();
        try {
            if (socket == null) {
                open();
            }
            List<String> lines = new ArrayList<>();
            for (String command : AtAnswers.COMMANDS) {
                send(socket, command);
                take(lines);
            }
            RouterReading reading = AtAnswers.read(lines);
            if (reading.mode().isEmpty() && reading.cells().isEmpty()) {
                throw new RouterException("the modem answers none of the standard commands for the signal");
            }
            return reading;
        } catch (SocketTimeoutException late) {
            close();
            throw RouterException.late(at.getRawAuthority());
        } catch (IOException broken) {
            close();
            throw new RouterException(ConnectionFault.describe(broken, at, "the modem"));
        } catch (RouterException failed) {
            close();
            throw failed;
        }
    }

    private void open() throws IOException, RouterException {
        HttpRouter.permit(permission, at);
        Socket opened = new Socket();
        try {
            opened.connect(new InetSocketAddress(at.getHost(), at.getPort()), remainingMs());
        } catch (IOException broken) {
            opened.close();
            throw broken;
        }
        socket = opened;
        in = new BufferedReader(
                new InputStreamReader(opened.getInputStream(), StandardCharsets.US_ASCII), LONGEST_LINE);
        send(opened, "ATE0");
        take(new ArrayList<>());
    }

    private void send(Socket to, String command) throws IOException {
        to.getOutputStream().write((command + "\r").getBytes(StandardCharsets.US_ASCII));
        moved += command.length() + 1;
    }

    /** Takes the lines of one answer, up to the one that ends it. */
    private void take(List<String> lines) throws IOException, RouterException {
        for (int taken = 0; taken < MOST_LINES; taken++) {
            String line = line();
            if (line.equals("OK") || line.equals("ERROR") || line.startsWith("+CME ERROR")) {
                return;
            }
            lines.add(line);
        }
        throw new RouterException("the modem never stops sending");
    }

    private String line() throws IOException, RouterException {
        StringBuilder line = new StringBuilder();
        while (true) {
            socket.setSoTimeout(remainingMs());
            int c = in.read();
            if (c < 0) {
                throw new IOException("ended");
            }
            moved++;
            if (c == '\n' || c == '\r') {
                if (line.length() > 0) {
                    return line.toString().strip();
                }
            } else if (line.length() >= LONGEST_LINE) {
                throw new RouterException("what answers there is no modem");
            } else {
                line.append((char) c);
            }
        }
    }

    private int remainingMs() throws SocketTimeoutException {
        long ms = (until - System.nanoTime()) / 1_000_000;
        if (ms <= 0) {
            throw new SocketTimeoutException();
        }
        return (int) ms;
    }

    @Override
    public long bytesMoved() {
        long since = moved;
        moved = 0;
        return since;
    }

    @Override
    public void close() {
        try {
            if (socket != null) {
                socket.close();
            }
        } catch (IOException gone) {
            // it is gone all the same
        } finally {
            socket = null;
        }
    }
}
