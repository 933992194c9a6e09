package syntoma.standin.speed;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Random;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.IteratingCallback;

/** Bytes that cannot be made smaller on the way, from the server to the client, until enough were asked for or allowed. */
final class DownStream extends IteratingCallback {
    private static final int PIECE = 65_536;
    private static final int SLOW_PIECE = 1_024;
    private static final ByteBuffer BYTES = random();

    private final Response response;
    private final Callback callback;
    private final RunBook.Run run;
    private final Way way;
    private final long most;
    private final long startNs = System.nanoTime();
    private long sent;

    /**
     * What holds a stream back.
     *
     * @param shaper of the link; null where there is none
     * @param mbps the rate that the client asked to be held at; infinite where it did not
     */
    record Way(Link link, Shaper shaper, double mbps, ScheduledExecutorService clock) {}

    DownStream(Response response, Callback callback, RunBook.Run run, Way way, long most) {
        this.response = response;
        this.callback = callback;
        this.run = run;
        this.way = way;
        this.most = most;
    }

    private static ByteBuffer random() {
        byte[] bytes = new byte[1 << 20];
        new Random(1).nextBytes(bytes);
        return ByteBuffer.allocateDirect(bytes.length).put(bytes).flip().asReadOnlyBuffer();
    }

    void begin() {
        run.begin();
        response.getHeaders().put(HttpHeader.CONTENT_TYPE, "application/octet-stream");
        iterate();
    }

    @Override
    protected Action process() throws Throwable {
        if (way.link().cuts()) {
            throw new IOException("the link was cut");
        }
        if (sent >= most || !run.mayGoOn()) {
            return Action.SUCCEEDED;
        }
        if (way.shaper() != null) {
            way.shaper().await(PIECE, this::write);
        } else if (way.mbps() < Double.POSITIVE_INFINITY) {
            double dueS = sent / (way.mbps() * 125_000);
            long waitUs = Math.round(dueS * 1e6 - (System.nanoTime() - startNs) / 1e3);
            way.clock().schedule(() -> write(SLOW_PIECE), Math.max(0, waitUs), TimeUnit.MICROSECONDS);
        } else {
            write(PIECE);
        }
        return Action.SCHEDULED;
    }

    private void write(int granted) {
        int bytes = (int) Math.min(granted, most - sent);
        int from = (int) (sent % (BYTES.capacity() - PIECE));
        sent += bytes;
        run.count(bytes, false);
        response.write(false, BYTES.slice(from, bytes), this);
    }

    @Override
    protected void onCompleteSuccess() {
        run.end();
        response.write(true, ByteBuffer.allocate(0), callback);
    }

    @Override
    protected void onCompleteFailure(Throwable cause) {
        run.end();
        callback.failed(cause);
    }
}
