package syntoma.app.instrument;

import java.nio.ByteBuffer;
import java.util.List;
import java.util.concurrent.Flow;
import java.util.concurrent.atomic.AtomicLong;

/** Takes bytes and counts them. */
final class ByteCounter implements Flow.Subscriber<List<ByteBuffer>> {
    private final AtomicLong count;

    ByteCounter(AtomicLong count) {
        this.count = count;
    }

    @Override
    public void onSubscribe(Flow.Subscription subscription) {
        subscription.request(Long.MAX_VALUE);
    }

    @Override
    public void onNext(List<ByteBuffer> pieces) {
        long bytes = 0;
        for (ByteBuffer piece : pieces) {
            bytes += piece.remaining();
        }
        count.addAndGet(bytes);
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
