package syntoma.app.trial;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.setup.SetupName;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.PairedRound;

/**
 * The result of a trial, or of the setups at one stay: one contrast per pair.
 *
 * @param trial null when it is a stay
 * @param plannedRounds null when it was not planned in Syntoma
 * @param adjusted whether several comparisons were adjusted as one family
 */
public record ResultView(
        String campsite,
        @Nullable String trial,
        OffsetDateTime from,
        OffsetDateTime to,
        int rounds,
        @Nullable Integer plannedRounds,
        List<String> carriers,
        List<String> servers,
        List<SetupName> setups,
        @Nullable String baseline,
        boolean adjusted,
        List<Contrast> contrasts) {

    /** Of a stay during which nothing was measured. */
    static ResultView empty(String campsite, OffsetDateTime from, OffsetDateTime to) {
        return new ResultView(
                campsite, null, from, to, 0, null, List.of(), List.of(), List.of(), null, false, List.of());
    }

    /** The same, which is about some among several setups. */
    ResultView among(List<SetupName> all) {
        return new ResultView(
                campsite,
                trial,
                from,
                to,
                rounds,
                plannedRounds,
                carriers,
                servers,
                all,
                baseline,
                adjusted,
                contrasts);
    }

    /** One candidate against one baseline. */
    public record Contrast(
            SetupName baseline,
            SetupName candidate,
            String headline,
            List<Effect> effects,
            @Nullable String failuresSay,
            List<String> cautions) {}

    /** One metric of a contrast. Marginal differences on its scale are no difference that matters. */
    public record Effect(
            String label,
            String unit,
            boolean higherIsBetter,
            double margin,
            CompareResult result,
            List<Round> rounds) {

        static Effect of(Comparison c, ZoneOffset offset) {
            Figure metric = c.metric();
            List<Round> rounds = c.rounds().stream()
                    .map(r -> new Round(
                            r.key().round(),
                            r.key().sim(),
                            at(r.baselineAt(), offset),
                            at(r.candidateAt(), offset),
                            r.baseline(),
                            r.candidate(),
                            metric.scale().off(r.difference()),
                            c.wild().stream().anyMatch(w -> isOf(w.round(), r))))
                    .toList();
            return new Effect(
                    Text.capital(metric.measure().phrase()),
                    metric.measure().unit(),
                    metric.comparing().higherIsBetter(),
                    metric.scale().off(metric.scale().margin()),
                    CompareResult.of(c),
                    rounds);
        }

        private static boolean isOf(PairedRound a, PairedRound b) {
            return a.key().equals(b.key());
        }

        private static OffsetDateTime at(Instant instant, ZoneOffset offset) {
            return instant.atOffset(offset);
        }
    }

    /** One round as paired points; {@code effect} is a ratio, or dB. */
    public record Round(
            int number,
            String sim,
            OffsetDateTime baselineAt,
            OffsetDateTime candidateAt,
            double baseline,
            double candidate,
            double effect,
            boolean wild) {}
}
