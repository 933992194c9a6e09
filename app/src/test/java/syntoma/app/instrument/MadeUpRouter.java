package syntoma.app.instrument;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;

/** A router of a test: gives each request what the test says, as it stands, and counts who is connected. */
public final class MadeUpRouter implements AutoCloseable {
    private final ServerSocket server;
    private final AtomicInteger open = new AtomicInteger();
    private final AtomicInteger most = new AtomicInteger();
    private final List<String> requests = new ArrayList<>();
    private volatile UnaryOperator<String> answers;

    /** What is given by a request; null for no answer at all. */
    public MadeUpRouter(UnaryOperator<String> answers) throws IOException {
        this.answers = answers;
        server = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        Thread accepting = new Thread(this::accept, "made-up-router");
        accepting.setDaemon(true);
        accepting.start();
    }

    public void answer(UnaryOperator<String> next) {
        answers = next;
    }

    public int port() {
        return server.getLocalPort();
    }

    int mostOpen() {
        return most.get();
    }

    synchronized String requests() {
        return String.join("\n", requests);
    }

    public static String json(String body) {
        return "HTTP/1.1 200 OK\r\nContent-Type: application/json\r\nContent-Length: "
                + body.getBytes(StandardCharsets.UTF_8).length + "\r\n\r\n" + body;
    }

    private void accept() {
        while (!server.isClosed()) {
            try {
                Socket socket = server.accept();
                Thread serving = new Thread(() -> serve(socket), "made-up-router");
                serving.setDaemon(true);
                serving.start();
            } catch (IOException closed) {
                return;
            }
        }
    }

    private void serve(Socket socket) {
        most.accumulateAndGet(open.incrementAndGet(), Math::max);
        try (socket) {
            InputStream in = socket.getInputStream();
            OutputStream out = socket.getOutputStream();
            byte[] piece = new byte[8_192];
            for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
                String request = new String(piece, 0, read, StandardCharsets.UTF_8);
                synchronized (this) {
                    requests.add(request);
                }
                String answer = answers.apply(request);
                if (answer != null) {
                    out.write(answer.getBytes(StandardCharsets.UTF_8));
                    out.flush();
                }
            }
        } catch (IOException | UncheckedIOException gone) {
            // the other end has closed
        } finally {
            open.decrementAndGet();
        }
    }

    @Override
    public void close() throws IOException {
        server.close();
    }
}
