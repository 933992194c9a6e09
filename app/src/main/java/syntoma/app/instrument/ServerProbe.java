package syntoma.app.instrument;

import org.springframework.stereotype.Component;
import syntoma.core.run.LoadedLatency;

/** Tries the speed server on the spot. */
@Component
class ServerProbe {
    private final SpeedServers servers;

    ServerProbe(SpeedServers servers) {
        this.servers = servers;
    }

    /**
     * Whether it answers as one, and what a short answer takes.
     *
     * @throws syntoma.app.platform.ConflictException when none is set
     */
    MeasureController.Reach reach() {
        SpeedServers.ReachedServer server = servers.one();
        try (SpeedClient client = new SpeedClient(server)) {
            client.greet();
            LoadedLatency.Probe answer = client.probe(0);
            return answer.isLost()
                    ? new MeasureController.Reach(false, "the speed server stopped answering", null)
                    : new MeasureController.Reach(true, null, answer.ms());
        } catch (RunFailedException failed) {
            return new MeasureController.Reach(false, failed.getMessage(), null);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new MeasureController.Reach(false, "it was stopped", null);
        }
    }
}
