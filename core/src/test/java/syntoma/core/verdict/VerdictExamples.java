package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.need.NeedRecord;
import syntoma.core.need.Shortfall;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.trial.Sample;

/** Every kind of sentence that a verdict is said in, made from comparisons of two made-up setups. */
public final class VerdictExamples {
    private static final String DOME = "Roof dome";
    private static final String PANEL = "Mast panel";
    private static final double[] FLAT = {1, 1.1, 0.9, 1.05, 0.95};
    private static final List<Need> CALLS = BuiltInNeeds.all().stream()
            .filter(n -> n.name().equals("Video calls"))
            .toList();

    private final StringBuilder page = new StringBuilder();
    private final Set<Verdict> said = EnumSet.noneOf(Verdict.class);

    private VerdictExamples() {}

    /** As sections of a page. */
    public static String page() {
        return new VerdictExamples().made();
    }

    private String made() {
        part("Better and worse, on each metric");
        for (Figure metric : Figure.comparedFigures(f -> true)) {
            line(comparison(metric, 2.31, 0.05, 5));
            line(comparison(metric, 0.44, 0.05, 5));
        }
        part("By how much");
        for (double factor : new double[] {
            1.05, 1.1, 1.2, 1.25, 1.35, 1.5, 1.7, 1.9, 2, 2.2, 2.5, 2.8, 3, 3.2, 4.5, 7.9, 9.4, 14, 0.97, 0.9, 0.8,
            0.75, 0.66, 0.55, 0.5, 0.44, 0.33, 0.25, 0.2, 0.15, 0.05
        }) {
            line(comparison(Figure.UP_MBPS, factor, 0.004, 8));
        }
        part("How sure");
        line(comparison(Figure.UP_MBPS, 1.6, 0.35, 6));
        line(comparison(Figure.UP_MBPS, 1.15, 0.06, 6));
        line(comparison(Figure.UP_MBPS, 0.87, 0.06, 6));
        line(compare(Figure.UP_MBPS, 1.6, 0.1, 6, Optional.of(new Plan(6, Optional.empty()))));
        line(compare(Figure.UP_MBPS, 1.6, 0.1, 6, Optional.of(new Plan(4, Optional.empty()))));
        part("No difference that matters");
        for (Figure metric : List.of(Figure.UP_MBPS, Figure.IDLE_MS, Figure.RSRP_DBM, Figure.LOSS_PCT)) {
            line(comparison(metric, 1.01, 0.02, 6));
        }
        part("Can’t tell yet");
        line(comparison(Figure.UP_MBPS, 1.25, 0.35, 5));
        line(comparison(Figure.RSRP_DBM, 1.25, 0.35, 4));
        line(comparison(Figure.LOSS_PCT, 1.25, 0.4, 4));
        line(compare(Figure.UP_MBPS, 1.3, 0.25, 4, Optional.of(new Plan(9, Optional.empty()))));
        line(compare(Figure.UP_MBPS, 1.1, 0.9, 5, Optional.of(new Plan(6, Optional.empty()))));
        line(comparison(Figure.UP_MBPS, 1.07, 1.2, 4));
        part("Too few rounds, or none");
        line(comparison(Figure.UP_MBPS, 2, 0.1, 2));
        line(comparison(Figure.UP_MBPS, 2, 0.1, 1));
        line(failing(Figure.UP_MBPS, 3));
        line(without(Figure.SINR_DB));
        part("Faster when it works");
        line(lessReliable());
        part("Held by the plan or the network");
        line(new Comparer(
                        Figure.DOWN_MBPS,
                        samples(Figure.DOWN_MBPS, 1, 0.01, 4),
                        Optional.empty(),
                        new CappedSetups(java.util.Map.of(DOME, 62.0, PANEL, 62.0)))
                .pair(DOME, PANEL));
        part("Beside the need");
        for (double[] values : new double[][] {{5.2, 11.8}, {2.1, 11.8}, {11.8, 2.1}, {1.1, 2.2}}) {
            Comparison c = near(values[0], values[1]);
            page.append("- ")
                    .append(c.sentence(OverallVerdict.of(List.of(c), CALLS, NeedComparison.NONE)))
                    .append('\n');
        }
        part("Headlines: failures first");
        headline(failing(Figure.UP_MBPS, 6));
        headline(lessReliable());
        headline(failing(Figure.UP_MBPS, 2));
        part("What to use tonight");
        tonight(comparison(Figure.UP_MBPS, 2.31, 0.05, 5), new Met(5, 5));
        tonight(comparison(Figure.UP_MBPS, 2.31, 0.05, 5), new Met(5, 1));
        tonight(comparison(Figure.UP_MBPS, 0.44, 0.05, 5), new Met(5, 4));
        tonight(comparison(Figure.UP_MBPS, 1.01, 0.02, 6), new Met(0, 0));
        tonight(comparison(Figure.UP_MBPS, 1.25, 0.35, 5), new Met(5, 5));
        tonight(comparison(Figure.UP_MBPS, 2, 0.1, 2), new Met(2, 2));
        tonight(failing(Figure.UP_MBPS, 6), new Met(6, 6));
        page.append("- ").append(Tonight.ofOne(DOME, met(new Met(3, 3)))).append('\n');
        part("The whole need first");
        needFirst();
        part("What could still be wrong");
        cautions();
        part("How it was judged");
        judged();

        assertEquals(EnumSet.allOf(Verdict.class), said, "verdicts said");
        return page.toString();
    }

    private void part(String title) {
        page.append("\n### ").append(title).append("\n\n");
    }

    private void line(Comparison c) {
        said.add(c.verdict());
        page.append("- ").append(c.sentence()).append('\n');
    }

    private void headline(Comparison c) {
        page.append("- ")
                .append(Headline.of(List.of(c), OverallVerdict.of(List.of(c), List.of(), NeedComparison.NONE)))
                .append('\n');
    }

    private void tonight(Comparison c, Met met) {
        page.append("- ")
                .append(Tonight.sentence(List.of(c), Optional.of(DOME), OverallVerdict.of(List.of(c), CALLS, met(met))))
                .append('\n');
    }

    /** Both met the need as often. */
    private static NeedComparison met(Met met) {
        NeedRecord both = new NeedRecord(met, Optional.empty());
        return new NeedComparison("Video calls", Map.of(PANEL, both, DOME, both), List.of());
    }

    /** One met the need more often than the other, and a figure fails. */
    private static NeedComparison met(Met dome, Met panel) {
        Shortfall late = new Shortfall(Threshold.of(CALLS, Figure.UP_LOADED_MS), 259, dome.runs() - dome.metRuns());
        return new NeedComparison(
                "Video calls",
                Map.of(
                        DOME, new NeedRecord(dome, Optional.of(late)),
                        PANEL,
                                new NeedRecord(
                                        panel, panel.metRuns() < panel.runs() ? Optional.of(late) : Optional.empty())),
                List.of());
    }

    private void needFirst() {
        for (Comparison c : List.of(
                comparison(Figure.UP_MBPS, 2.31, 0.05, 5),
                comparison(Figure.UP_MBPS, 1.25, 0.35, 5),
                comparison(Figure.UP_MBPS, 0.44, 0.05, 5),
                near(5.2, 11.8))) {
            for (NeedComparison need : List.of(
                    met(new Met(5, 0), new Met(5, 5)),
                    met(new Met(5, 0), new Met(5, 2)),
                    met(new Met(5, 3), new Met(5, 3)))) {
                OverallVerdict overall = OverallVerdict.of(List.of(c), CALLS, need);
                page.append("- ").append(Headline.of(List.of(c), overall)).append('\n');
                page.append("- ").append(c.sentence(overall)).append('\n');
            }
        }
    }

    private void cautions() {
        Circumstances mixed = Circumstances.of(List.of(
                new Circumstances.MeasuredWhere(OffsetDateTime.parse("2026-08-14T19:00:00+03:00"), "Tarnwave", "one"),
                new Circumstances.MeasuredWhere(OffsetDateTime.parse("2026-08-14T19:30:00+03:00"), "Ostrel", "two")));
        List<Sample> samples = new ArrayList<>(VerdictTest.rounds(DOME, "", 4, 4, 4, 4, 4, 4));
        samples.addAll(VerdictTest.rounds(PANEL, "", 4.6, 4.7, 4.5, 4.8, 40, 0));
        Comparison c = Comparer.unplanned(Figure.UP_MBPS, samples).pair(DOME, PANEL);
        Cautions.of(List.of(c), mixed, new JudgingRules(false, 1, 0, 0))
                .forEach(said -> page.append("- ").append(said).append('\n'));
        Cautions.of(List.of(c), mixed, new JudgingRules(true, 1, 1, 0)).stream()
                .filter(said -> said.contains("aside"))
                .forEach(said -> page.append("- ").append(said).append('\n'));
    }

    private void judged() {
        Set<String> rules = new LinkedHashSet<>();
        rules.addAll(new JudgingRules(false, 1, 0, 2).sentences(comparison(Figure.UP_MBPS, 2, 0.1, 4)));
        Optional<ModeratedVariance> borrowed = Optional.of(new ModeratedVariance(4, 6, 0.2, Optional.empty()));
        rules.addAll(new JudgingRules(true, 3, 0, 0)
                .sentences(compare(Figure.UP_MBPS, 2, 0.1, 4, Optional.of(new Plan(5, borrowed)))));
        rules.addAll(new JudgingRules(true, 1, 0, 0)
                .sentences(compare(Figure.UP_MBPS, 2, 0.1, 4, Optional.of(new Plan(3, Optional.empty())))));
        rules.forEach(rule -> page.append("- ").append(rule).append('\n'));
    }

    private static Comparison comparison(Figure metric, double factor, double spread, int rounds) {
        return compare(metric, factor, spread, rounds, Optional.empty());
    }

    private static Comparison compare(Figure metric, double factor, double spread, int rounds, Optional<Plan> plan) {
        return new Comparer(metric, samples(metric, factor, spread, rounds), plan, CappedSetups.NONE).pair(DOME, PANEL);
    }

    /** A difference of about a factor on ratios, of ten times its logarithm in dB and in points. */
    private static List<Sample> samples(Figure metric, double factor, double spread, int rounds) {
        boolean isRatio = metric.scale().key().equals("ratio");
        double[] a = new double[rounds];
        double[] b = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            double noise = spread * (i % 2 == 0 ? 1 : -1) * (1 + i / 10.0);
            a[i] = isRatio ? 5 * FLAT[i % FLAT.length] : 20 + i % 2;
            b[i] = isRatio ? a[i] * factor * Math.exp(noise) : a[i] + 10 * (Math.log(factor) + noise);
        }
        List<Sample> samples = new ArrayList<>(VerdictTest.rounds(DOME, "", a));
        samples.addAll(VerdictTest.rounds(PANEL, "", b));
        return samples;
    }

    private static Comparison near(double baseline, double candidate) {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < FLAT.length; i++) {
            samples.addAll(VerdictTest.rounds(DOME, "", scaled(baseline)));
            samples.addAll(VerdictTest.rounds(PANEL, "", scaled(candidate)));
        }
        return Comparer.unplanned(Figure.UP_MBPS, samples).pair(DOME, PANEL);
    }

    private static double[] scaled(double value) {
        double[] scaled = FLAT.clone();
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] *= value;
        }
        return scaled;
    }

    private static Comparison failing(Figure metric, int rounds) {
        double[] ok = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            ok[i] = 4 + i % 2;
        }
        List<Sample> samples = new ArrayList<>(VerdictTest.rounds(DOME, "", ok));
        samples.addAll(VerdictTest.rounds(PANEL, "", new double[rounds]));
        return Comparer.unplanned(metric, samples).pair(DOME, PANEL);
    }

    private static Comparison without(Figure metric) {
        return Comparer.unplanned(metric, VerdictTest.rounds(DOME, "", 4, 5, 6)).pair(DOME, PANEL);
    }

    private static Comparison lessReliable() {
        List<Sample> samples = new ArrayList<>(VerdictTest.rounds(DOME, "", 4, 4.2, 4, 3.9, 4.1, 4, 4.3, 4, 4.1));
        samples.addAll(VerdictTest.rounds(PANEL, "", 0, 8, 0, 8.2, 0, 0, 7.9, 0, 0));
        return Comparer.unplanned(Figure.UP_MBPS, samples).pair(DOME, PANEL);
    }
}
