package syntoma.app.instrument;

import java.net.http.HttpResponse;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;

/** How streams ended. */
final class Streams {
    private Streams() {}

    /** Why a stream that is done is done, in words; empty where its server ended it in good order. */
    static Optional<String> endReason(SpeedClient client, CompletableFuture<? extends HttpResponse<?>> stream) {
        try {
            client.require(stream.join().statusCode());
            return Optional.empty();
        } catch (RunFailedException refused) {
            return Optional.of(refused.getMessage());
        } catch (CompletionException | CancellationException broken) {
            return Optional.of(client.describe(broken));
        }
    }
}
