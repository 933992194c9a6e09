package syntoma.app.gate;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Enumeration;

/** A request whose body is here as a whole. */
class SpooledRequest extends HttpServletRequestWrapper {
    private final Spool body;
    private ServletInputStream stream;

    SpooledRequest(HttpServletRequest request, Spool body) {
        super(request);
        this.body = body;
    }

    /** One that is given to a dispatch, which takes the parameters from the query and would add these to them once more. */
    static SpooledRequest dispatched(HttpServletRequest request, Spool body) {
        return new SpooledRequest(request, body) {
            @Override
            public Enumeration<String> getParameterNames() {
                return Collections.emptyEnumeration();
            }
        };
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
        if (stream == null) {
            stream = new Body(body.read());
        }
        return stream;
    }

    @Override
    public BufferedReader getReader() throws IOException {
        String encoding = getCharacterEncoding();
        return new BufferedReader(new InputStreamReader(
                getInputStream(), encoding == null ? StandardCharsets.UTF_8 : Charset.forName(encoding)));
    }

    /** Reads what was spooled, which never makes anybody wait. */
    private static final class Body extends ServletInputStream {
        private final InputStream in;
        private boolean finished;

        private Body(InputStream in) {
            this.in = in;
        }

        @Override
        public int read() throws IOException {
            int value = in.read();
            finished |= value < 0;
            return value;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int read = in.read(bytes, from, length);
            finished |= read < 0;
            return read;
        }

        @Override
        public boolean isFinished() {
            return finished;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("the body is here already");
        }

        @Override
        public void close() throws IOException {
            in.close();
        }
    }
}
