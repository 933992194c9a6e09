package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.run.Cap;

/**
 * The plan or the network holds the rate, whatever the antenna does (docs/methods.md#7-runs): flat runs that agree, or, without curves,
 * the fastest runs of the SIM all ending at one rate.
 */
final class SpeedCap implements Rule {
    private static final double AGREE = 0.97;
    private static final int FEWEST = 4;
    private static final double OF_SHEET = 0.06;

    /** A direction of the runs of the SIM. */
    private record Way(String word, Function<ObservedRun, OptionalDouble> rate, Function<ObservedRun, Boolean> flat) {}

    private static final List<Way> WAYS = List.of(
            new Way("download", ObservedRun::downMbps, ObservedRun::isFlatDown),
            new Way("upload", ObservedRun::upMbps, ObservedRun::isFlatUp));

    @Override
    public Optional<Claim> look(Situation s) {
        List<String> evidence = new ArrayList<>();
        boolean sure = false;
        double at = 0;
        for (Way way : WAYS) {
            OptionalDouble lately = Situation.median(s.lately(), way.rate);
            List<ObservedRun> ofSim = s.runs().stream()
                    .filter(o -> o.carrier().equals(s.carrier())
                            && o.hasSucceeded()
                            && way.rate.apply(o).isPresent())
                    .toList();
            Optional<Cap> cap = Cap.of(ofSim.stream()
                    .filter(way.flat::apply)
                    .map(o -> new Cap.FlatRun(way.rate.apply(o).getAsDouble(), o.setup(), o.stay(), o.sinrDb()))
                    .toList());
            if (cap.isPresent() && lately.stream().allMatch(cap.get()::holds)) {
                sure = true;
                at = cap.get().mbps();
                evidence.add("flat runs on " + s.carrier() + " agree at " + EvidenceText.mbps(at) + " " + way.word
                        + " across setups or stays");
            } else if (cap.isEmpty()) {
                Optional<Double> held = ceiling(ofSim, way.rate, lately);
                if (held.isPresent()) {
                    at = Math.max(at, held.get());
                    evidence.add("no " + way.word + " on " + s.carrier() + " passes " + EvidenceText.mbps(held.get())
                            + ", and the fastest ones all end there");
                }
            }
        }
        if (evidence.isEmpty()) {
            return Optional.empty();
        }
        double rate = at;
        if (s.plan().capMbps().stream().anyMatch(c -> Math.abs(c / rate - 1) < OF_SHEET)) {
            sure = true;
            evidence.add("the SIM’s data sheet says "
                    + EvidenceText.mbps(s.plan().capMbps().getAsDouble()));
        }
        return Optional.of(new Claim(
                Cause.CAPPED,
                sure ? Sure.SURELY : Sure.LIKELY,
                "Limited to about " + EvidenceText.mbps(rate) + " by the plan or the network, not by your antenna.",
                evidence,
                "No antenna helps; another SIM or another plan does."));
    }

    /** The rate at which the fastest runs end, where the runs of now end there too, if there are any. */
    private static Optional<Double> ceiling(
            List<ObservedRun> ofSim, Function<ObservedRun, OptionalDouble> rate, OptionalDouble lately) {
        double most = ofSim.stream()
                .mapToDouble(o -> rate.apply(o).getAsDouble())
                .max()
                .orElse(0);
        List<ObservedRun> top = ofSim.stream()
                .filter(o -> rate.apply(o).getAsDouble() >= most * AGREE)
                .toList();
        boolean anywhere = top.stream().map(ObservedRun::setup).distinct().count() > 1
                || top.stream().mapToLong(ObservedRun::stay).distinct().count() > 1;
        return top.size() >= FEWEST && anywhere && lately.stream().allMatch(now -> now >= most * AGREE * AGREE)
                ? Optional.of(most)
                : Optional.empty();
    }
}
