package syntoma.app.instrument;

import java.nio.ByteBuffer;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.Flow;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;

/** Bytes that cannot be made smaller on the way, for one stream, until it is ended or no more may be sent. */
final class Outflow implements Flow.Publisher<ByteBuffer> {
    private static final int PIECE = 32_768;
    private static final int SLOW_PIECE = 1_024;
    private static final ByteBuffer BYTES = random();

    private final AtomicLong left;
    private final OptionalDouble slowMbps;
    private volatile boolean over;

    /**
     * An outflow.
     *
     * @param left how many bytes may be sent yet, shared with other streams
     */
    Outflow(AtomicLong left, OptionalDouble slowMbps) {
        this.left = left;
        this.slowMbps = slowMbps;
    }

    private static ByteBuffer random() {
        byte[] bytes = new byte[1 << 20];
        new Random(2).nextBytes(bytes);
        return ByteBuffer.wrap(bytes).asReadOnlyBuffer();
    }

    /** Ends after the piece that is under way. */
    void end() {
        over = true;
    }

    /** Whether it has given all that it was going to. */
    boolean isOver() {
        return over;
    }

    @Override
    public void subscribe(Flow.Subscriber<? super ByteBuffer> subscriber) {
        subscriber.onSubscribe(new Flowing(subscriber));
    }

    private final class Flowing implements Flow.Subscription {
        private final Flow.Subscriber<? super ByteBuffer> subscriber;
        private final AtomicLong wanted = new AtomicLong();
        private final long startNs = System.nanoTime();
        private long sent;
        private boolean done;

        private Flowing(Flow.Subscriber<? super ByteBuffer> subscriber) {
            this.subscriber = subscriber;
        }

        @Override
        public void request(long pieces) {
            if (wanted.getAndAdd(pieces) == 0) {
                give();
            }
        }

        /** Gives as many pieces as are wanted; one of those who need more is at it at a time. */
        private void give() {
            do {
                if (done) {
                    return;
                }
                int piece = slowMbps.isPresent() ? SLOW_PIECE : PIECE;
                long before = left.getAndAdd(-piece);
                int bytes = (int) Math.max(0, Math.min(piece, before));
                if (over || bytes == 0) {
                    over = true;
                    done = true;
                    subscriber.onComplete();
                    return;
                }
                int from = (int) (sent % (BYTES.capacity() - PIECE));
                sent += bytes;
                subscriber.onNext(BYTES.slice(from, bytes));
                if (slowMbps.isPresent()) {
                    scheduleNext();
                    return;
                }
            } while (wanted.decrementAndGet() > 0);
        }

        /** Goes on when the rate that it is held at allows the next piece. */
        private void scheduleNext() {
            double dueS = sent / (slowMbps.getAsDouble() * 125_000);
            long waitUs = Math.max(0, Math.round(dueS * 1e6 - (System.nanoTime() - startNs) / 1e3));
            Executor then = CompletableFuture.delayedExecutor(waitUs, TimeUnit.MICROSECONDS);
            then.execute(() -> {
                if (wanted.decrementAndGet() > 0) {
                    give();
                }
            });
        }

        @Override
        public void cancel() {
            over = true;
            done = true;
        }
    }
}
