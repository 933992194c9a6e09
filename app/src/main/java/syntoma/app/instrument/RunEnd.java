package syntoma.app.instrument;

import java.util.List;
import java.util.Optional;
import syntoma.core.run.RunKind;
import syntoma.core.run.RunResult;

/**
 * How a run has ended.
 *
 * @param reason why it failed, or ended before its time; empty where there is nothing to say
 * @param bytes that it took, both ways
 */
record RunEnd(
        RunState state,
        Optional<String> reason,
        RunResult result,
        long bytes,
        double seconds,
        List<RunSamples.Point> series) {

    /** The same, as failed where it ended in good order but has not what its kind is made for. */
    RunEnd judge(RunKind kind) {
        if (state != RunState.DONE || result.isOfUse(kind)) {
            return this;
        }
        String over = reason.map(reason -> reason + " before the rate was steady")
                .orElse("it was over before the rate was steady");
        return new RunEnd(RunState.FAILED, Optional.of(over), result, bytes, seconds, series);
    }
}
