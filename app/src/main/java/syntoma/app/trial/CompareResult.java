package syntoma.app.trial;

import static syntoma.app.platform.Optionals.boxed;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.OverallVerdict;
import syntoma.core.verdict.RestsOn;
import syntoma.core.verdict.Share;
import syntoma.core.verdict.WildRun;

/** A comparison as the API gives it; numbers unrounded, missing ones null. Shares in failures are those that failed. */
public record CompareResult(
        String metric,
        @Schema(allowableValues = {"ratio", "dB", "share"}) String scale,
        int blocks,
        int leftOut,
        @Nullable Double estimate,
        @Nullable Double low,
        @Nullable Double high,
        double level,
        @Schema(
                        allowableValues = {
                            "better",
                            "slightly-better",
                            "no-difference",
                            "slightly-worse",
                            "worse",
                            "cannot-tell",
                            "too-few",
                            "capped",
                            "less-reliable"
                        })
                String verdict,
        String sentence,
        @Nullable Integer roundsWanted,
        List<WildRound> wild,
        @Nullable Rests restsOn,
        @Nullable PlannedLook planned,
        BothFailures failures,
        Averages plain) {

    /** A round that stands out; {@code ratio} is a difference, in dB or points, for metrics that are not compared as ratios. */
    public record WildRound(int round, String setup, double ratio, Without without) {
        static WildRound of(WildRun wild) {
            return new WildRound(
                    wild.round().key().round(),
                    wild.setup(),
                    wild.ratio(),
                    new Without(wild.estimate(), wild.low(), wild.high()));
        }
    }

    /** The one round that the verdict rests on, and what it would be without it. */
    public record Rests(int round, String verdictWithout) {
        static Rests of(RestsOn rests) {
            return new Rests(rests.round().round(), rests.verdictWithout().key());
        }
    }

    /** The result without that round. */
    public record Without(double estimate, double low, double high) {}

    /** Failures of one setup with the 95 % Wilson interval of the failing share. */
    public record FailureShare(int tried, int failed, @Nullable Double low, @Nullable Double high) {
        static FailureShare of(Share share) {
            return new FailureShare(share.attempts(), share.failures(), boxed(share.low()), boxed(share.high()));
        }
    }

    /** The plan's last look, once there are rounds past it. */
    public record PlannedLook(
            int rounds,
            @Nullable Double estimate,
            @Nullable Double low,
            @Nullable Double high,
            double level,
            String verdict) {
        static PlannedLook of(Comparison c) {
            return new PlannedLook(
                    c.rounds().size(),
                    boxed(c.estimate()),
                    boxed(c.low()),
                    boxed(c.high()),
                    c.level(),
                    c.verdict().key());
        }
    }

    /** Failures of both, and the exact McNemar p-value. */
    public record BothFailures(FailureShare baseline, FailureShare candidate, double mcnemarP) {}

    /** Plain averages and best runs over all ok runs. */
    public record Averages(
            @Nullable Double baselineMean,
            @Nullable Double candidateMean,
            @Nullable Double baselineBest,
            @Nullable Double candidateBest) {}

    /** A figure by itself, without what a need asks. */
    static CompareResult of(Comparison c) {
        return of(c, OverallVerdict.NOTHING_ASKED);
    }

    /** @param overall what the comparison of the two comes to as a whole, for the sentence */
    static CompareResult of(Comparison c, OverallVerdict overall) {
        return new CompareResult(
                c.metric().comparing().key(),
                c.metric().scale().key(),
                c.rounds().size(),
                c.leftOut(),
                boxed(c.estimate()),
                boxed(c.low()),
                boxed(c.high()),
                c.level(),
                c.verdict().key(),
                c.sentence(overall),
                boxed(c.roundsWanted()),
                c.wildRuns().stream().map(WildRound::of).toList(),
                c.restsOn().map(Rests::of).orElse(null),
                c.plannedLook().map(PlannedLook::of).orElse(null),
                new BothFailures(
                        FailureShare.of(c.failures().baseline()),
                        FailureShare.of(c.failures().candidate()),
                        c.failures().mcnemarP()),
                new Averages(
                        boxed(c.plainAverages().baselineMean()),
                        boxed(c.plainAverages().candidateMean()),
                        boxed(c.plainAverages().baselineBest()),
                        boxed(c.plainAverages().candidateBest())));
    }
}
