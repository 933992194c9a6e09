package syntoma.app.instrument;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicLong;

/** Streams from the speed server, counted here as they come. */
final class DownLoad implements Load {
    private final AtomicLong count = new AtomicLong();
    private final List<CompletableFuture<HttpResponse<Void>>> streams = new ArrayList<>();
    private final List<Double> mbps = new ArrayList<>();
    private final SpeedClient client;
    private final long most;
    private long lastCount;
    private long lastNs = System.nanoTime();

    /**
     * Begins.
     *
     * @param most in byte, over all streams
     * @param slowMbps empty for as fast as it goes
     */
    DownLoad(SpeedClient client, int streams, long most, OptionalDouble slowMbps) {
        this.client = client;
        this.most = most;
        String more = "&bytes=" + Math.max(1, most / streams)
                + (slowMbps.isPresent() ? "&mbps=" + slowMbps.getAsDouble() : "");
        HttpRequest request = client.toRun("/down", more).build();
        for (int i = 0; i < streams; i++) {
            this.streams.add(client.http()
                    .sendAsync(
                            request,
                            answer -> answer.statusCode() == 200
                                    ? HttpResponse.BodySubscribers.fromSubscriber(new ByteCounter(count))
                                    : HttpResponse.BodySubscribers.discarding()));
        }
    }

    @Override
    public void sample() {
        long now = System.nanoTime();
        long bytes = count.get();
        if (bytes > 0 || !mbps.isEmpty()) {
            mbps.add((bytes - lastCount) * 8e3 / (now - lastNs));
        }
        lastCount = bytes;
        lastNs = now;
    }

    @Override
    public List<Double> mbps() {
        return List.copyOf(mbps);
    }

    @Override
    public long bytes() {
        return count.get();
    }

    @Override
    public Optional<String> problem() {
        boolean all = true;
        for (CompletableFuture<HttpResponse<Void>> stream : streams) {
            all &= stream.isDone();
            Optional<String> refused = stream.isDone() ? Streams.endReason(client, stream) : Optional.empty();
            if (refused.isPresent()) {
                return refused;
            }
        }
        // each stream has its own share of what may be taken, and ends in its own time
        return all && !isSpent() ? Optional.of("the speed server ended the stream early") : Optional.empty();
    }

    @Override
    public boolean isSpent() {
        return streams.stream().allMatch(s -> s.isDone() && !s.isCompletedExceptionally())
                && count.get() >= most / streams.size() * streams.size();
    }

    @Override
    public void end() {
        streams.forEach(s -> s.cancel(true));
    }
}
