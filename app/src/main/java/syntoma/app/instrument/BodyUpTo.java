package syntoma.app.instrument;

import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Flow;

/** Takes an answer as text, up to a length; the rest of it is not waited for. */
final class BodyUpTo implements HttpResponse.BodySubscriber<String> {
    private final int most;
    private final ByteArrayOutputStream taken = new ByteArrayOutputStream();
    private final CompletableFuture<String> text = new CompletableFuture<>();
    private Flow.Subscription subscription;

    BodyUpTo(int most) {
        this.most = most;
    }

    @Override
    public CompletionStage<String> getBody() {
        return text;
    }

    @Override
    public void onSubscribe(Flow.Subscription begun) {
        subscription = begun;
        begun.request(1);
    }

    @Override
    public void onNext(List<ByteBuffer> pieces) {
        for (ByteBuffer piece : pieces) {
            byte[] bytes = new byte[Math.min(piece.remaining(), most - taken.size())];
            piece.get(bytes);
            taken.writeBytes(bytes);
        }
        if (taken.size() >= most) {
            subscription.cancel();
            onComplete();
        } else {
            subscription.request(1);
        }
    }

    @Override
    public void onError(Throwable broken) {
        text.completeExceptionally(broken);
    }

    @Override
    public void onComplete() {
        text.complete(taken.toString(StandardCharsets.UTF_8));
    }
}
