package syntoma.app.gate;

import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** An answer that is kept until it is whole; only events go out as they come. */
final class SpooledResponse extends HttpServletResponseWrapper {
    private static final String EVENTS = "text/event-stream";

    private final Spool body;
    private ServletOutputStream stream;
    private PrintWriter writer;
    private boolean refused;

    SpooledResponse(HttpServletResponse response, Spool body) {
        super(response);
        this.body = body;
    }

    /** Whether the answer is a stream of events, or an error that the container answers. */
    boolean isHandedOn() {
        return refused || isEvents();
    }

    private boolean isEvents() {
        return getContentType() != null && getContentType().startsWith(EVENTS);
    }

    void flushWriter() {
        if (writer != null) {
            writer.flush();
        }
    }

    @Override
    public ServletOutputStream getOutputStream() throws IOException {
        if (isEvents()) {
            return super.getOutputStream();
        }
        if (stream == null) {
            stream = new SpoolStream(body);
        }
        return stream;
    }

    @Override
    public PrintWriter getWriter() throws IOException {
        if (writer == null) {
            String encoding = getCharacterEncoding();
            writer = new PrintWriter(new OutputStreamWriter(
                    getOutputStream(), encoding == null ? StandardCharsets.UTF_8 : Charset.forName(encoding)));
        }
        return writer;
    }

    @Override
    public void flushBuffer() throws IOException {
        if (isEvents()) {
            super.flushBuffer();
        }
    }

    @Override
    public boolean isCommitted() {
        return isHandedOn() && super.isCommitted();
    }

    @Override
    public void sendError(int status) throws IOException {
        refused = true;
        super.sendError(status);
    }

    @Override
    public void sendError(int status, String message) throws IOException {
        refused = true;
        super.sendError(status, message);
    }

    @Override
    public void reset() {
        super.reset();
        resetBuffer();
    }

    @Override
    public void resetBuffer() {
        try {
            body.clear();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void setContentLength(int length) {
        // what was kept tells
    }

    @Override
    public void setContentLengthLong(long length) {
        // what was kept tells
    }

    /** Keeps what is written. */
    private static final class SpoolStream extends ServletOutputStream {
        private final Spool body;

        private SpoolStream(Spool body) {
            this.body = body;
        }

        @Override
        public void write(int value) throws IOException {
            body.write(value);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            body.write(bytes, from, length);
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setWriteListener(WriteListener listener) {
            throw new IllegalStateException("the answer goes out when it is whole");
        }
    }
}
