package syntoma.app.instrument;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Flow;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;

/** Streams to the speed server, counted there as they arrive; it tells every 250 ms how much has. */
final class UpLoad implements Load {
    /** How long what is under way may arrive after the streams have ended. */
    private static final long ARRIVES_WITHIN_MS = 1_000;

    private final SpeedClient client;
    private final AtomicLong left;
    private final List<Outflow> sources = new ArrayList<>();
    private final List<CompletableFuture<HttpResponse<Void>>> streams = new ArrayList<>();
    private final CompletableFuture<HttpResponse<Void>> told;
    private final List<Double> mbps = new ArrayList<>();
    private volatile long received;
    private long lastUs = -1;
    private boolean begun;

    UpLoad(SpeedClient client, int streams, long most, OptionalDouble slowMbps) {
        this.client = client;
        this.left = new AtomicLong(most);
        told = client.http()
                .sendAsync(
                        client.toRun("/received", "").build(),
                        answer -> answer.statusCode() == 200
                                ? HttpResponse.BodySubscribers.fromLineSubscriber(new ProgressReader())
                                : HttpResponse.BodySubscribers.discarding());
        for (int i = 0; i < streams; i++) {
            Outflow source = new Outflow(left, slowMbps);
            sources.add(source);
            HttpRequest request = client.toRun("/up", "")
                    .POST(HttpRequest.BodyPublishers.fromPublisher(source))
                    .build();
            this.streams.add(client.http().sendAsync(request, HttpResponse.BodyHandlers.discarding()));
        }
    }

    /** Reads what the server tells: microseconds, a space, bytes. */
    private final class ProgressReader implements Flow.Subscriber<String> {
        @Override
        public void onSubscribe(Flow.Subscription subscription) {
            subscription.request(Long.MAX_VALUE);
        }

        @Override
        public void onNext(String line) {
            String[] parts = line.split(" ");
            if (parts.length == 2
                    && (parts[0] + parts[1]).chars().allMatch(c -> c >= '0' && c <= '9')
                    && line.length() < 40) {
                onArrival(Long.parseLong(parts[0]), Long.parseLong(parts[1]));
            }
        }

        @Override
        public void onError(Throwable broken) {
            // said by the answer
        }

        @Override
        public void onComplete() {
            // said by the answer
        }
    }

    private synchronized void onArrival(long us, long bytes) {
        if (lastUs >= 0 && us > lastUs && bytes >= received) {
            double rate = (bytes - received) * 8.0 / (us - lastUs);
            begun |= rate > 0;
            if (begun) {
                mbps.add(rate);
            }
        }
        lastUs = us;
        received = bytes;
    }

    @Override
    public void sample() {
        // the server samples
    }

    @Override
    public synchronized List<Double> mbps() {
        return List.copyOf(mbps);
    }

    @Override
    public long bytes() {
        return received;
    }

    @Override
    public Optional<String> problem() {
        if (told.isDone()) {
            return Optional.of(
                    Streams.endReason(client, told).orElse("the speed server stopped telling what has arrived"));
        }
        for (int i = 0; i < streams.size(); i++) {
            if (streams.get(i).isDone() && !sources.get(i).isOver()) {
                return Optional.of(Streams.endReason(client, streams.get(i))
                        .orElse("the speed server answered before it had taken the payload"));
            }
        }
        return Optional.empty();
    }

    @Override
    public boolean isSpent() {
        return left.get() <= 0 && streams.stream().allMatch(CompletableFuture::isDone);
    }

    @Override
    public void end() throws InterruptedException {
        sources.forEach(Outflow::end);
        try {
            CompletableFuture.allOf(streams.toArray(CompletableFuture[]::new))
                    .get(ARRIVES_WITHIN_MS, TimeUnit.MILLISECONDS);
            // the last of it is told with the next line
            TimeUnit.MILLISECONDS.sleep(300);
        } catch (ExecutionException | TimeoutException late) {
            streams.forEach(s -> s.cancel(true));
        } finally {
            told.cancel(true);
        }
    }
}
