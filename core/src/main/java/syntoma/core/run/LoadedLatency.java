package syntoma.core.run;

import java.util.ArrayList;
import java.util.List;

/**
 * One direction of a run: the rates of its payload, and what short questions took meanwhile.
 *
 * @param latencies those asked after the ramp
 */
public record LoadedLatency(Rates rates, Latencies latencies) {
    /**
     * A short question.
     *
     * @param atMs when it was asked, since the direction's first byte was
     * @param ms what it took; NaN when it was not answered
     */
    public record Probe(double atMs, double ms) {
        public boolean isLost() {
            return Double.isNaN(ms);
        }
    }

    /** Leaves the probes of the ramp out; all count where the ramp is not over, or where there is none. */
    public static LoadedLatency of(Rates rates, List<Probe> probes) {
        double from = rates.ramp().orElse(0) * (double) Rates.SAMPLE_MS;
        return new LoadedLatency(
                rates, latencies(probes.stream().filter(p -> p.atMs() >= from).toList()));
    }

    /** What probes say. */
    public static Latencies latencies(List<Probe> probes) {
        List<Double> answered = new ArrayList<>();
        int lost = 0;
        for (Probe probe : probes) {
            if (probe.isLost()) {
                lost++;
            } else {
                answered.add(probe.ms());
            }
        }
        return new Latencies(answered, lost);
    }
}
