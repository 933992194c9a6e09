package syntoma.standin.speed;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.IteratingCallback;

/** Says every 250 ms how many bytes of a run have come in, until the run's time is over or nobody listens. */
final class ReceivedStream extends IteratingCallback {
    private static final long EVERY_US = 250_000;

    private final Response response;
    private final Callback callback;
    private final RunBook.Run run;
    private final ScheduledExecutorService clock;
    private final long startNs = System.nanoTime();
    private int lines;

    ReceivedStream(Response response, Callback callback, RunBook.Run run, ScheduledExecutorService clock) {
        this.response = response;
        this.callback = callback;
        this.run = run;
        this.clock = clock;
    }

    void begin() {
        run.begin();
        response.getHeaders().put(HttpHeader.CONTENT_TYPE, "text/plain;charset=utf-8");
        iterate();
    }

    @Override
    protected Action process() {
        if (!run.mayGoOn()) {
            return Action.SUCCEEDED;
        }
        long waitUs = lines * EVERY_US - (System.nanoTime() - startNs) / 1_000;
        lines++;
        clock.schedule(this::say, Math.max(0, waitUs), TimeUnit.MICROSECONDS);
        return Action.SCHEDULED;
    }

    private void say() {
        String line = run.ageNs() / 1_000 + " " + run.received() + "\n";
        response.write(false, ByteBuffer.wrap(line.getBytes(StandardCharsets.US_ASCII)), this);
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
