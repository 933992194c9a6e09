package syntoma.app.gate;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Duration;
import syntoma.app.platform.Problem;

/** Takes bodies in and gives answers out; see the package. */
final class Gate implements Filter {
    /** How long a body or an answer may be under way. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    /** How much of a body that is refused is still taken, so that its sender gets to read why. */
    private static final long MOST_DRAINED = 400_000_000;

    private static final int LARGE_AT_A_TIME = 2;
    private static final int PIECE = 16 << 10;
    private static final int INSUFFICIENT_STORAGE = 507;
    private static final String NO_ROOM_FOR_BODY =
            "the disk with Syntoma's data has no room for what was sent; nothing of it was kept. Free some space and send it"
                    + " again";
    private static final String NO_ROOM_FOR_ANSWER =
            "the disk with Syntoma's data has no room for the answer. Free some space and look again";
    private static final String BODY = Gate.class.getName() + ".body";
    private static final String ENTERED = Gate.class.getName() + ".entered";
    private static final String DONE = Gate.class.getName() + ".done";

    private final Path spool;
    private final Turnstile turnstile = new Turnstile(LARGE_AT_A_TIME);

    Gate(Path spool) {
        this.spool = spool;
    }

    @Override
    public void doFilter(ServletRequest anyRequest, ServletResponse anyResponse, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) anyRequest;
        HttpServletResponse response = (HttpServletResponse) anyResponse;
        if (request.getAttribute(DONE) != null) {
            chain.doFilter(request, response);
        } else if (request.getAttribute(BODY) != null || !hasBody(request)) {
            work(request, response, chain);
        } else {
            takeIn(request, response, chain);
        }
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    private void takeIn(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        Limit limit = Limit.of(request);
        if (limit.isPassedBy(request.getContentLengthLong())) {
            refuse(request, response, limit.refusal(request.getContentLengthLong()));
            return;
        }
        Spool body = new Spool(spool);
        ServletInputStream in = request.getInputStream();
        boolean here = request.getContentLengthLong() > 0 && in.available() >= request.getContentLengthLong();
        if (here || !request.isAsyncSupported()) {
            takeInAtOnce(request, response, chain, limit, body);
            return;
        }
        SpooledRequest spooled = SpooledRequest.dispatched(request, body);
        AsyncContext later = request.startAsync(spooled, response);
        later.setTimeout(LONGEST.toMillis());
        Intake intake = new Intake(in, body, limit, later, response);
        later.addListener(intake);
        request.setAttribute(BODY, body);
        in.setReadListener(intake);
    }

    private void takeInAtOnce(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain, Limit limit, Spool body)
            throws IOException, ServletException {
        try (body) {
            request.getInputStream().transferTo(body);
            body.finish();
            request.setAttribute(BODY, body);
            if (limit.isPassedBy(body.size())) {
                refuse(request, response, limit.refusal(-1));
            } else {
                work(new SpooledRequest(request, body), response, chain);
            }
        } catch (SpoolException full) {
            Problem.write(response, INSUFFICIENT_STORAGE, NO_ROOM_FOR_BODY);
        }
    }

    /** Lets the request be worked on, and gives the answer out once it is whole. */
    private void work(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        Spool answer = new Spool(spool);
        SpooledResponse kept = new SpooledResponse(response, answer);
        Spool body = (Spool) request.getAttribute(BODY);
        request.setAttribute(DONE, true);
        boolean returned = false;
        try {
            chain.doFilter(request, kept);
            kept.flushWriter();
            if (!request.isAsyncStarted() && !kept.isHandedOn()) {
                answer.finish();
            }
            returned = true;
        } catch (IOException | ServletException | RuntimeException failed) {
            if (!SpoolException.isIn(failed) || response.isCommitted()) {
                throw failed;
            }
            response.reset();
            Problem.write(response, INSUFFICIENT_STORAGE, NO_ROOM_FOR_ANSWER);
        } finally {
            if (body != null) {
                body.close();
            }
            if (request.getAttribute(ENTERED) != null) {
                turnstile.leave();
            }
            if (!returned || request.isAsyncStarted() || kept.isHandedOn()) {
                answer.close();
            }
        }
        if (returned && !request.isAsyncStarted() && !kept.isHandedOn()) {
            giveOut(answer, request, response);
        }
    }

    private static void giveOut(Spool answer, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        response.setContentLengthLong(answer.size());
        if (!answer.isLarge() || !request.isAsyncSupported()) {
            try (Spool all = answer;
                    InputStream in = all.read()) {
                in.transferTo(response.getOutputStream());
            }
            return;
        }
        AsyncContext later = request.startAsync(request, response);
        later.setTimeout(LONGEST.toMillis());
        Outgo outgo;
        try {
            outgo = new Outgo(answer, later, response.getOutputStream());
        } catch (IOException unreadable) {
            answer.close();
            later.complete();
            throw unreadable;
        }
        later.addListener(outgo);
        response.getOutputStream().setWriteListener(outgo);
    }

    /** Says at once that a body is too large, then takes the rest of it away so that its sender hears. */
    private static void refuse(HttpServletRequest request, HttpServletResponse response, String why)
            throws IOException {
        response.setHeader("Connection", "close");
        Problem.write(response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE, why);
        response.flushBuffer();
        boolean waits = request.getHeader("Expect") != null;
        if (request.isAsyncSupported() && !waits && request.getAttribute(BODY) == null) {
            AsyncContext later = request.startAsync();
            later.setTimeout(LONGEST.toMillis());
            later.addListener(new Ending() {});
            request.getInputStream().setReadListener(new Drain(request.getInputStream(), later));
        }
    }

    /** Ends what takes too long or breaks. */
    private interface Ending extends AsyncListener {
        @Override
        default void onComplete(AsyncEvent event) throws IOException {}

        @Override
        default void onTimeout(AsyncEvent event) throws IOException {
            event.getAsyncContext().complete();
        }

        @Override
        default void onError(AsyncEvent event) throws IOException {}

        @Override
        default void onStartAsync(AsyncEvent event) throws IOException {}
    }

    /** A body coming in. */
    private final class Intake implements ReadListener, Ending {
        private final ServletInputStream in;
        private final Spool body;
        private final Limit limit;
        private final AsyncContext later;
        private final HttpServletResponse response;
        private final byte[] piece = new byte[PIECE];
        private boolean refused;
        private boolean whole;

        private Intake(
                ServletInputStream in, Spool body, Limit limit, AsyncContext later, HttpServletResponse response) {
            this.in = in;
            this.body = body;
            this.limit = limit;
            this.later = later;
            this.response = response;
        }

        @Override
        public void onDataAvailable() throws IOException {
            while (in.isReady()) {
                int read = in.read(piece);
                if (read < 0) {
                    return;
                }
                if (refused) {
                    continue;
                }
                if (limit.isPassedBy(body.size() + read)) {
                    refused = true;
                    body.clear();
                    response.setHeader("Connection", "close");
                    Problem.write(response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE, limit.refusal(-1));
                    response.flushBuffer();
                    continue;
                }
                body.write(piece, 0, read);
            }
        }

        @Override
        public void onAllDataRead() {
            whole = true;
            if (refused) {
                later.complete();
                return;
            }
            try {
                body.finish();
            } catch (IOException full) {
                onError(full);
                return;
            }
            if (body.isLarge()) {
                later.getRequest().setAttribute(ENTERED, true);
                turnstile.enter(later::dispatch);
            } else {
                later.dispatch();
            }
        }

        @Override
        public void onError(Throwable broken) {
            try {
                if (!response.isCommitted() && SpoolException.isIn(broken)) {
                    response.setHeader("Connection", "close");
                    Problem.write(response, INSUFFICIENT_STORAGE, NO_ROOM_FOR_BODY);
                } else if (!response.isCommitted()) {
                    Problem.write(
                            response,
                            HttpServletResponse.SC_BAD_REQUEST,
                            "the body ended before all of it had come; nothing of it was kept");
                }
            } catch (IOException gone) {
                // who sent it is gone
            } finally {
                later.complete();
            }
        }

        /** However it ended. */
        @Override
        public void onComplete(AsyncEvent event) throws IOException {
            body.close();
        }

        @Override
        public void onTimeout(AsyncEvent event) throws IOException {
            if (whole) {
                return;
            }
            Problem.write(
                    response,
                    HttpServletResponse.SC_REQUEST_TIMEOUT,
                    "the body did not come within " + LONGEST.toMinutes() + " minutes; nothing of it was kept");
            later.complete();
        }
    }

    /** An answer going out. */
    private static final class Outgo implements WriteListener, Ending {
        private final Spool answer;
        private final AsyncContext later;
        private final ServletOutputStream out;
        private final InputStream in;
        private final byte[] piece = new byte[PIECE];

        private Outgo(Spool answer, AsyncContext later, ServletOutputStream out) throws IOException {
            this.answer = answer;
            this.later = later;
            this.out = out;
            this.in = answer.read();
        }

        @Override
        public void onWritePossible() throws IOException {
            while (out.isReady()) {
                int read = in.read(piece);
                if (read < 0) {
                    later.complete();
                    return;
                }
                out.write(piece, 0, read);
            }
        }

        @Override
        public void onError(Throwable broken) {
            later.complete();
        }

        @Override
        public void onComplete(AsyncEvent event) throws IOException {
            in.close();
            answer.close();
        }
    }

    /** Takes the rest of a refused body away. */
    private static final class Drain implements ReadListener {
        private final ServletInputStream in;
        private final AsyncContext later;
        private final byte[] away = new byte[PIECE];
        private long seen;

        private Drain(ServletInputStream in, AsyncContext later) {
            this.in = in;
            this.later = later;
        }

        @Override
        public void onDataAvailable() throws IOException {
            while (in.isReady()) {
                int read = in.read(away);
                seen += read;
                if (read < 0 || seen > MOST_DRAINED) {
                    return;
                }
            }
        }

        @Override
        public void onAllDataRead() {
            later.complete();
        }

        @Override
        public void onError(Throwable broken) {
            later.complete();
        }
    }
}
