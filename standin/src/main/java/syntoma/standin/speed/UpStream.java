package syntoma.standin.speed;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import org.eclipse.jetty.io.Content;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;

/** Bytes from the client, counted as they come out of the link. */
final class UpStream implements Runnable {
    private final Request request;
    private final Response response;
    private final Callback callback;
    private final RunBook.Run run;
    private final Shaper shaper;
    private int owed;
    private boolean last;

    UpStream(Request request, Response response, Callback callback, RunBook.Run run, Shaper shaper) {
        this.request = request;
        this.response = response;
        this.callback = callback;
        this.run = run;
        this.shaper = shaper;
    }

    void begin() {
        run.begin();
        run();
    }

    /** Reads on. */
    @Override
    public void run() {
        while (!last) {
            Content.Chunk chunk = request.read();
            if (chunk == null) {
                request.demand(this);
                return;
            }
            if (Content.Chunk.isFailure(chunk)) {
                run.end();
                callback.failed(chunk.getFailure());
                return;
            }
            int bytes = chunk.remaining();
            last = chunk.isLast();
            chunk.release();
            if (shaper != null && bytes > 0) {
                owed = bytes;
                shaper.await(owed, this::granted);
                return;
            }
            if (!run.count(bytes, true)) {
                answer(413, "the run has taken the bytes or the time that this speed server allows");
                return;
            }
        }
        answer(200, "");
    }

    private void granted(int bytes) {
        boolean goesOn = run.count(bytes, true);
        owed -= bytes;
        if (!goesOn) {
            answer(413, "the run has taken the bytes or the time that this speed server allows");
        } else if (owed > 0) {
            shaper.await(owed, this::granted);
        } else {
            run();
        }
    }

    private void answer(int status, String text) {
        run.end();
        response.setStatus(status);
        response.write(true, ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)), callback);
    }
}
