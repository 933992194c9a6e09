package syntoma.core.run;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What a run measured, in the figures of a measurement.
 *
 * @param figures what it measured, and nothing that it did not
 * @param flat in which directions the rate hardly varied
 */
public record RunResult(Map<Figure, Double> figures, Map<Direction, Boolean> flat) {
    public RunResult {
        figures = Map.copyOf(figures);
        flat = Map.copyOf(flat);
    }

    /**
     * Calculates the figures of a run, of as much of it as there was.
     *
     * @param loaded by direction, those that were begun
     */
    public static RunResult of(RunKind kind, List<LoadedLatency.Probe> idle, Map<Direction, LoadedLatency> loaded) {
        Map<Figure, Double> figures = new EnumMap<>(Figure.class);
        Map<Direction, Boolean> flat = new EnumMap<>(Direction.class);
        Latencies alone = LoadedLatency.latencies(idle);
        if (alone.ms().size() >= Latencies.LEAST_IDLE) {
            put(figures, Figure.IDLE_MS, alone.median());
            put(figures, Figure.JITTER_MS, alone.jitter());
        }
        int answered = alone.ms().size();
        int lost = alone.lostProbes();
        for (Map.Entry<Direction, LoadedLatency> way : loaded.entrySet()) {
            boolean down = way.getKey() == Direction.DOWN;
            LoadedLatency seen = way.getValue();
            put(
                    figures,
                    down ? Figure.DOWN_LOADED_MS : Figure.UP_LOADED_MS,
                    seen.latencies().median());
            if (kind.measuresRate() && seen.rates().median().isPresent()) {
                put(
                        figures,
                        down ? Figure.DOWN_MBPS : Figure.UP_MBPS,
                        seen.rates().median());
                flat.put(way.getKey(), seen.rates().isFlat());
            }
            answered += seen.latencies().ms().size();
            lost += seen.latencies().lostProbes();
        }
        if (answered + lost > 0) {
            figures.put(Figure.LOSS_PCT, 100.0 * lost / (answered + lost));
        }
        return new RunResult(figures, flat);
    }

    private static void put(Map<Figure, Double> figures, Figure figure, OptionalDouble value) {
        value.ifPresent(v -> figures.put(figure, v));
    }

    public Optional<Double> get(Figure figure) {
        return Optional.ofNullable(figures.get(figure));
    }

    /** Whether it has what its kind is made for: a rate, or a latency. */
    public boolean isOfUse(RunKind kind) {
        return kind.measuresRate()
                ? figures.containsKey(Figure.UP_MBPS) || figures.containsKey(Figure.DOWN_MBPS)
                : figures.containsKey(Figure.IDLE_MS);
    }

    /** The result in a sentence or two: the rates, what answers take, and whether it is enough. */
    public String sentence(List<Need> needs) {
        List<String> parts = new ArrayList<>();
        String rates = List.of(Figure.UP_MBPS, Figure.DOWN_MBPS).stream()
                .filter(figures::containsKey)
                .map(f -> rate(figures.get(f)) + (f == Figure.UP_MBPS ? " Mb/s up" : " Mb/s down"))
                .collect(Collectors.joining(", "));
        if (!rates.isEmpty()) {
            parts.add(rates);
        }
        latency().ifPresent(parts::add);
        String measured = parts.isEmpty() ? "Nothing could be measured" : String.join("; ", parts);
        return Text.capital(measured) + "."
                + sufficiency(needs).map(said -> " " + said).orElse("");
    }

    private Optional<String> latency() {
        Optional<Double> idle = get(Figure.IDLE_MS);
        Optional<Double> up = get(Figure.UP_LOADED_MS);
        Optional<Double> down = get(Figure.DOWN_LOADED_MS);
        if (idle.isEmpty()) {
            return Optional.empty();
        }
        boolean upIsWorse = up.orElse(0.0) >= down.orElse(0.0);
        Optional<Double> worst = upIsWorse ? up : down;
        String alone = "latency is " + Math.round(idle.get()) + " ms";
        return Optional.of(worst.map(ms -> alone + ", " + Math.round(ms) + " ms while "
                        + (upIsWorse ? "uploading" : "downloading") + " ("
                        + LatencyRise.of(idle.get(), ms).says() + ")")
                .orElse(alone));
    }

    /** Whether the needs are met by what was measured; empty where they ask nothing of it. */
    private Optional<String> sufficiency(List<Need> needs) {
        List<Threshold> asked = figures.keySet().stream()
                .sorted()
                .flatMap(f -> Threshold.of(needs, f).stream())
                .toList();
        if (asked.isEmpty()) {
            return Optional.empty();
        }
        List<Threshold> missed =
                asked.stream().filter(t -> !t.isMetBy(figures.get(t.figure()))).toList();
        String names = needs.stream().map(Need::name).collect(Collectors.joining(" and "));
        if (missed.isEmpty()) {
            return Optional.of("Enough for " + names + ".");
        }
        return Optional.of("Not enough for " + missed.get(0).need() + ": "
                + missed.stream()
                        .map(t -> t.figure().measure().phrase() + " has to be " + t.text())
                        .collect(Collectors.joining(", "))
                + ".");
    }

    private static String rate(double mbps) {
        return Values.round(mbps, mbps < 10 ? 2 : mbps < 100 ? 1 : 0);
    }
}
