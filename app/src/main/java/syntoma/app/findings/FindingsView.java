package syntoma.app.findings;

import static syntoma.app.platform.Optionals.boxed;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;
import syntoma.core.finding.Contrast;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.Finding;

/**
 * What the trip says, pair by pair against the baseline and unadjusted; numbers unrounded, missing ones null.
 *
 * @param of setups, carriers or bands; {@code setups} holds whichever it is
 * @param words the metric in a sentence
 * @param unit of the plain averages
 * @param scale what an estimate is: a ratio to the baseline, or a difference in dB or in points
 * @param matters the difference that matters, as a ratio above 1 or a difference above 0
 * @param headline what to take from it
 * @param level confidence of the intervals
 * @param blocks that the model rests on: those of two units or more that are linked to the baseline
 * @param stays of those blocks
 * @param withoutStrength blocks that tell nothing by strength, because the baseline’s level is not known in them
 * @param measurements that were looked at
 * @param choices what else can be asked of this log
 */
record FindingsView(
        String metric,
        String of,
        String words,
        String unit,
        @Schema(allowableValues = {"ratio", "dB", "share"}) String scale,
        double matters,
        boolean higherIsBetter,
        @Nullable String baseline,
        String headline,
        double level,
        int blocks,
        int stays,
        int withoutStrength,
        int measurements,
        List<ComparedView> setups,
        List<RemarkView> remarks,
        ChoicesView choices) {

    /**
     * A setup, carrier or band against the baseline.
     *
     * @param pennant of a setup; null of others
     * @param ownBlocks in which it stood beside another
     * @param ownStays at which it did; under four nothing is claimed of it
     * @param runs that have the metric
     * @param failed runs that did not come about
     * @param staysWanted so many more stays with both would likely settle it; null where it is settled, or never likely to be
     */
    record ComparedView(
            String setup,
            @Nullable Integer pennant,
            @Nullable Double estimate,
            @Nullable Double low,
            @Nullable Double high,
            String verdict,
            String words,
            String sentence,
            @Nullable Double plainMean,
            @Nullable Integer plainRank,
            @Nullable Integer adjustedRank,
            int ownBlocks,
            int ownStays,
            int runs,
            int failed,
            @Nullable Integer staysWanted,
            List<StrengthView> byStrength) {

        static ComparedView of(Finding.Unit unit, boolean baseline, @Nullable Integer pennant) {
            Contrast c = unit.effect();
            return new ComparedView(
                    unit.name(),
                    pennant,
                    boxed(c.estimate()),
                    baseline ? null : boxed(c.low()),
                    baseline ? null : boxed(c.high()),
                    c.verdict().key(),
                    c.verdict().words(),
                    unit.sentence(),
                    boxed(unit.plainMean()),
                    boxed(unit.plainRank()),
                    boxed(unit.adjustedRank()),
                    c.blocks(),
                    c.stays(),
                    unit.runs(),
                    unit.failed(),
                    boxed(c.staysWanted()),
                    unit.byStrength().entrySet().stream()
                            .map(e ->
                                    StrengthView.of(e.getKey().key(), e.getKey().words(), e.getValue(), baseline))
                            .toList());
        }
    }

    /** The same where the baseline’s signal was so strong. */
    record StrengthView(
            @Schema(allowableValues = {"strong-good", "fair", "weak-none"}) String strength,
            String words,
            int blocks,
            int stays,
            @Nullable Double estimate,
            @Nullable Double low,
            @Nullable Double high,
            String verdict) {

        private static StrengthView of(String strength, String words, Contrast c, boolean baseline) {
            return new StrengthView(
                    strength,
                    words,
                    c.blocks(),
                    c.stays(),
                    boxed(c.estimate()),
                    baseline ? null : boxed(c.low()),
                    baseline ? null : boxed(c.high()),
                    c.verdict().key());
        }
    }

    /** Something to know before an average is believed. */
    record RemarkView(
            @Schema(allowableValues = {"averages-mislead", "rank-differs", "bands-differ", "fault"}) String code,
            String sentence,
            List<String> setups) {
        static RemarkView of(Finding.Remark remark) {
            return new RemarkView(remark.code(), remark.sentence(), remark.units());
        }
    }

    /** A metric that can be asked for. */
    record MetricView(String metric, String words) {}

    /**
     * What this log can be asked: metrics that were measured, and what the filters can narrow it to.
     *
     * @param strengthRule how the classes of strength are told apart, for people
     * @param fewestStays from so many stays on something is claimed
     */
    record ChoicesView(
            List<MetricView> metrics,
            List<String> baselines,
            List<String> campsites,
            List<String> setups,
            List<String> carriers,
            List<String> bands,
            List<String> when,
            String strengthRule,
            int fewestStays) {}

    /** A stay behind a claim: what the unit had more than the others there. */
    record BehindView(
            @Nullable Long stay,
            String campsite,
            @Nullable OffsetDateTime arrivedAt,
            @Nullable OffsetDateTime leftAt,
            int blocks,
            double estimate) {}

    /** In the week that begins on a Monday. */
    record WeekView(String week, double medianDb, int stays) {}

    /**
     * What a setup’s level was above its prediction, over the trip.
     *
     * @param predictedDb over the baseline, by the chains as they are now; null where a sheet leaves it open
     * @param measuredDb over the baseline
     * @param change null where nothing tells of one
     */
    record DriftView(
            String setup,
            @Nullable Integer pennant,
            @Nullable Double predictedDb,
            @Nullable Double measuredDb,
            @Nullable Double lowDb,
            @Nullable Double highDb,
            int blocks,
            int stays,
            String sentence,
            List<WeekView> weeks,
            List<DriftPoint> points,
            @Nullable ChangeView change) {}

    /** A stay of a drift. */
    record DriftPoint(@Nullable Long stay, String campsite, OffsetDateTime at, double aboveDb) {}

    /** Where something changed: the first stay after it. */
    record ChangeView(OffsetDateTime at, double beforeDb, double afterDb, double p, String sentence) {}

    /** Measured less predicted over the trip. */
    record DriftsView(@Nullable String baseline, String headline, List<DriftView> setups) {}

    /** What a setup costs and brings; money in the units in which the prices were entered. */
    record WorthRow(
            String setup,
            @Nullable Integer pennant,
            @Nullable Double price,
            @Nullable Double adds,
            @Nullable Double estimate,
            @Nullable Double perStep,
            int stays,
            int met,
            @Nullable Double shareLow,
            @Nullable Double shareHigh,
            boolean enough,
            String verdict) {}

    /**
     * Worth for money: the cheapest that meets the need at four stays of five, and the fastest.
     *
     * @param currency what prices are in; null where it is not said
     */
    record WorthView(
            @Nullable String baseline,
            String need,
            String words,
            @Nullable String cheapest,
            @Nullable String fastest,
            String headline,
            @Nullable String currency,
            List<WorthRow> setups) {}

    /** A question that can be picked, with its answer in a sentence and the address that shows what it rests on. */
    record QuestionView(String key, String question, String answer, String address) {}

    /** The same with further remarks. */
    FindingsView with(List<Finding.Remark> more) {
        List<RemarkView> all = new ArrayList<>(remarks);
        more.forEach(remark -> all.add(RemarkView.of(remark)));
        return new FindingsView(
                metric,
                of,
                words,
                unit,
                scale,
                matters,
                higherIsBetter,
                baseline,
                headline,
                level,
                blocks,
                stays,
                withoutStrength,
                measurements,
                setups,
                all,
                choices);
    }

    static FindingsView of(
            FindingsQuery asked,
            Finding finding,
            Map<String, Integer> pennants,
            String headline,
            int measurements,
            List<Finding.Remark> more,
            ChoicesView choices) {
        Criterion c = finding.criterion();
        List<RemarkView> remarks =
                new ArrayList<>(finding.remarks().stream().map(RemarkView::of).toList());
        more.forEach(remark -> remarks.add(RemarkView.of(remark)));
        return new FindingsView(
                c.key(),
                asked.of().key(),
                c.words(),
                c.metric().map(m -> m.measure().unit()).orElse("%"),
                c.scale().key(),
                c.scale().off(c.scale().margin()),
                c.isHigherBetter(),
                finding.baseline(),
                headline,
                Finding.LEVEL,
                finding.blocks(),
                finding.stays(),
                finding.withoutStrength(),
                measurements,
                finding.units().stream()
                        .map(u -> ComparedView.of(u, u.name().equals(finding.baseline()), pennants.get(u.name())))
                        .toList(),
                remarks,
                choices);
    }
}
