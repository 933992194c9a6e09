package syntoma.app.trial;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.setup.SetupName;
import syntoma.core.design.FollowingTrial;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.OverallVerdict;
import syntoma.core.verdict.PairedRound;

/**
 * The result of a trial, or of the setups at one stay: one contrast per pair.
 *
 * @param trial null when it is a stay
 * @param plannedRounds null when it was not planned in Syntoma
 * @param judgedBy the planned trial that a stay is judged by, null where it is judged by itself
 * @param adjusted whether several comparisons were adjusted as one family
 * @param need the name of what the connection is for; null when nothing was chosen
 * @param met in how many runs each setup met it
 * @param grid what each factor does where the setups cross two; null where they do not
 * @param next the trial that follows on it; null where none does
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
        @Nullable String judgedBy,
        boolean adjusted,
        @Nullable String need,
        List<NeedMet> met,
        List<Contrast> contrasts,
        @Nullable GridView grid,
        @Nullable NextTrial next) {

    /** A trial that follows on one, filled in, and why it is worth making. */
    record NextTrial(String says, String label, List<DesignRequest.ContenderRequest> contenders) {
        static NextTrial of(FollowingTrial trial) {
            return new NextTrial(
                    trial.says(),
                    trial.label(),
                    trial.choices().stream()
                            .map(DesignRequest.ContenderRequest::of)
                            .toList());
        }
    }

    /** In how many of a setup's runs that measured what it asks for the need was met. */
    public record NeedMet(SetupName setup, int runs, int met) {}

    /** Of a stay during which nothing was measured. */
    static ResultView empty(String campsite, OffsetDateTime from, OffsetDateTime to) {
        return new ResultView(
                campsite, null, from, to, 0, null, List.of(), List.of(), List.of(), null, null, false, null, List.of(),
                List.of(), null, null);
    }

    /**
     * One candidate against one baseline.
     *
     * @param otherCell that the two were on other cells or bands, which may be what makes the difference; null where they were not
     * @param action what to do with it
     * @param bands RSRP by band, measured in the trial beside predicted
     * @param causes what to look for where it falls short of what is predicted; empty text where it does not
     */
    public record Contrast(
            SetupName baseline,
            SetupName candidate,
            String headline,
            @Nullable String otherCell,
            List<Effect> effects,
            List<String> cautions,
            List<String> judged,
            String action,
            List<Gains.BandGainView> bands,
            String causes) {}

    /**
     * One metric of a contrast. Marginal differences on its scale are no difference that matters.
     *
     * @param key the name of the metric in the API
     * @param asked whether the need asks something of it
     */
    public record Effect(
            String key,
            String label,
            boolean asked,
            String unit,
            boolean higherIsBetter,
            double margin,
            CompareResult result,
            List<Round> rounds) {

        static Effect of(Comparison c, OverallVerdict overall, ZoneOffset offset) {
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
                            c.wildRuns().stream().anyMatch(w -> isOf(w.round(), r))))
                    .toList();
            return new Effect(
                    metric.comparing().key(),
                    Text.capital(metric.measure().phrase()),
                    overall.threshold(c).isPresent(),
                    metric.measure().unit(),
                    metric.comparing().isHigherBetter(),
                    metric.scale().off(metric.scale().margin()),
                    CompareResult.of(c, overall),
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
