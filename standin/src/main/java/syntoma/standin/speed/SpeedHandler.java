package syntoma.standin.speed;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.Fields;

/** Answers the calls of a run. */
final class SpeedHandler extends Handler.Abstract {
    private static final double FASTEST_ASKED_MBPS = 100_000;

    private final String key;
    private final Limits limits;
    private final Link link;
    private final RunBook runs;
    private final ScheduledExecutorService clock;
    private final Shaper down;
    private final Shaper up;

    SpeedHandler(String key, Limits limits, Link link, ScheduledExecutorService clock) {
        this.key = key;
        this.limits = limits;
        this.link = link;
        this.clock = clock;
        this.runs = new RunBook(limits);
        this.down = link == Link.REAL ? null : new Shaper(link::downMbps, clock);
        this.up = link == Link.REAL ? null : new Shaper(link::upMbps, clock);
    }

    @Override
    public boolean handle(Request request, Response response, Callback callback) {
        response.getHeaders().put(HttpHeader.CACHE_CONTROL, "no-store");
        if (link.cuts()) {
            request.getConnectionMetaData().getConnection().getEndPoint().close();
            callback.succeeded();
            return true;
        }
        if (link.refuses()) {
            return refuse(response, callback, 503, "this speed server takes no runs now");
        }
        String asked = request.getMethod() + " " + Request.getPathInContext(request);
        Optional<Page> page = Page.at(asked);
        if (page.isPresent()) {
            response.getHeaders().put("Content-Security-Policy", Page.POLICY);
            return say(response, callback, page.get().type(), page.get().text());
        }
        if (!isLetIn(request)) {
            return refuse(response, callback, 401, "this speed server asks for its key, as a bearer token");
        }
        return switch (asked) {
            case "GET /" -> say(response, callback, "application/json", about());
            case "GET /ping" ->
                later(() -> {
                    response.setStatus(204);
                    response.write(true, ByteBuffer.allocate(0), callback);
                });
            case "GET /down", "POST /up", "GET /received" -> run(request, response, callback);
            default -> refuse(response, callback, 404, "there is no " + request.getMethod() + " of this address here");
        };
    }

    /** Who shows the key is admitted, and who has a ticket for the run. */
    private boolean isLetIn(Request request) {
        String sent = request.getHeaders().get(HttpHeader.AUTHORIZATION);
        return key.isEmpty()
                || sent != null
                        && MessageDigest.isEqual(
                                sent.getBytes(StandardCharsets.UTF_8),
                                ("Bearer " + key).getBytes(StandardCharsets.UTF_8))
                || sent == null && hasTicket(Request.extractQueryParameters(request));
    }

    private boolean hasTicket(Fields query) {
        String ticket = query.getValue("ticket");
        String run = query.getValue("run");
        return ticket != null && RunBook.isName(run) && Ticket.isGood(ticket, key, run, Instant.now());
    }

    private String about() {
        return "{\"speedServer\":1,\"runs\":%d,\"seconds\":%d,\"bytes\":%d}"
                .formatted(limits.runs(), limits.time().toSeconds(), limits.bytes());
    }

    private boolean run(Request request, Response response, Callback callback) {
        Fields query = Request.extractQueryParameters(request);
        String id = query.getValue("run");
        if (!RunBook.isName(id)) {
            return refuse(response, callback, 400, "run has to be 8 to 64 letters, digits or hyphens");
        }
        Optional<Long> bytes = number(query.getValue("bytes"), Long.MAX_VALUE).map(Double::longValue);
        Optional<Double> mbps = number(query.getValue("mbps"), FASTEST_ASKED_MBPS);
        if (query.getValue("bytes") != null && bytes.isEmpty() || query.getValue("mbps") != null && mbps.isEmpty()) {
            return refuse(response, callback, 400, "bytes and mbps have to be numbers above 0");
        }
        Optional<RunBook.Run> run = runs.open(id);
        if (run.isEmpty()) {
            return refuse(
                    response, callback, 429, "there are " + limits.runs() + " runs already; try again in a minute");
        }
        DownStream.Way way = new DownStream.Way(link, down, mbps.orElse(Double.POSITIVE_INFINITY), clock);
        switch (Request.getPathInContext(request)) {
            case "/down" -> new DownStream(response, callback, run.get(), way, bytes.orElse(Long.MAX_VALUE)).begin();
            case "/up" -> new UpStream(request, response, callback, run.get(), up).begin();
            default -> new ReceivedStream(response, callback, run.get(), clock).begin();
        }
        return true;
    }

    private static Optional<Double> number(String text, double most) {
        try {
            double value = text == null ? 0 : Double.parseDouble(text);
            return value > 0 && value <= most ? Optional.of(value) : Optional.empty();
        } catch (NumberFormatException none) {
            return Optional.empty();
        }
    }

    /** Answers when the link would have brought the answer. */
    private boolean later(Runnable answer) {
        double ms = down == null ? 0 : link.idleMs() + link.bufferMs() * Math.max(down.filled(), up.filled());
        if (ms <= 0) {
            answer.run();
        } else {
            clock.schedule(answer, Math.round(ms * 1_000), TimeUnit.MICROSECONDS);
        }
        return true;
    }

    private static boolean refuse(Response response, Callback callback, int status, String why) {
        response.setStatus(status);
        return say(response, callback, "text/plain;charset=utf-8", why);
    }

    private static boolean say(Response response, Callback callback, String type, String text) {
        response.getHeaders().put(HttpHeader.CONTENT_TYPE, type);
        response.write(true, ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)), callback);
        return true;
    }
}
