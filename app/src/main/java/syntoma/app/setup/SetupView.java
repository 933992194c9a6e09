package syntoma.app.setup;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.sentence.Sentence;

/** A setup with all that is computed of it. What is not known is null. */
public record SetupView(
        @Nullable SetupName setup,
        int revision,
        long measured,
        int version,
        List<RevisionView> revisions,
        String summary,
        Sentence headline,
        ChainPlan plan,
        String carrier,
        @Nullable String region,
        @Nullable Integer streams,
        List<FindingView> findings,
        List<BuyView> toBuy,
        @Nullable String price,
        List<WireView> wiring,
        List<LeadView> leadsOver,
        List<String> portsOver,
        List<PortView> ports,
        CoverageView coverage,
        List<StaircaseView> staircases,
        String besideGain,
        List<CableView> cables,
        double cableM,
        String system,
        List<PowerView> power) {

    /** Which setup a chain is of, in which revision and version, where it is of one. */
    record SetupReference(
            @Nullable SetupName setup, int revision, long measured, int version, List<RevisionView> revisions) {
        static final SetupReference DRAFT = new SetupReference(null, 0, 0, 0, List.of());
    }

    /** A revision: from when on it holds, and how many measurements were made with it. */
    public record RevisionView(int revision, @Nullable OffsetDateTime since, long measured) {}

    /** A lead by its key, which is what a plan's wiring names. */
    public record LeadView(String key, String label) {}

    /** One finding of the fit check. */
    public record FindingView(
            String code, String severity, String where, Sentence says, Sentence fix, @Nullable BuyView toBuy) {}

    /** Something to buy; the price is that of all pieces, null where it is not known. */
    public record BuyView(String what, int pieces, @Nullable Double price, boolean estimated) {}

    /** One line of the wiring table: what to plug where, and what to write on the lead. */
    public record WireView(
            String key,
            String lead,
            String use,
            String ends,
            String port,
            String portHas,
            @Nullable String adapter,
            String sticker) {}

    /** A port that leads can go to. */
    public record PortView(String label, String use, String connector, boolean main) {}

    /** A link of the chain in the coverage matrix; shares are 0 to 1. */
    public record LinkView(String link, @Nullable Double downlink, @Nullable Double uplink) {}

    /** A band of the carrier over the links of the chain. */
    public record BandView(
            String band,
            double mhz,
            String result,
            List<LinkView> links,
            @Nullable String limitedBy,
            String sentence,
            @Nullable Integer streams) {}

    /** The coverage matrix. */
    public record CoverageView(String sentence, List<String> links, List<BandView> bands) {}

    /** One step of a staircase in dB, and how far it may be off either way. */
    public record StepView(String part, Sentence says, @Nullable Double db, double halfWidthDb, boolean estimated) {}

    /**
     * The staircase on one band that works, from what the device's own antenna hears inside to what the chain brings: the
     * steps add up to the predicted ΔRSRP.
     *
     * @param along the lead that it is drawn for; null for the device's own antenna
     * @param netDb of the chain alone, from the air to the device
     */
    public record StaircaseView(
            String band,
            double mhz,
            @Nullable String along,
            List<StepView> steps,
            @Nullable Double netDb,
            double baselineDb,
            @Nullable Double deltaDb,
            double halfWidthDb) {}

    /** A class of cable over the run of this chain. */
    public record CableView(
            String cableClass,
            double lossDb,
            double price,
            @Nullable Double perDbSaved,
            double diameterMm,
            boolean best) {}

    /** What a part takes, and what it needs of the vehicle's DC side. */
    public record PowerView(
            String part,
            String supply,
            @Nullable Double drawW,
            @Nullable Double peakW,
            @Nullable Double whPerDay,
            @Nullable Double whPerDayThroughInverter,
            boolean mainsOnly,
            @Nullable Double lowV,
            @Nullable Double highV,
            @Nullable Double batteryShare,
            @Nullable Double amps,
            @Nullable Double fuseA,
            boolean fromPeak,
            @Nullable Double wireMm2,
            @Nullable Integer wireAwg,
            @Nullable Double dropV,
            double wireM) {}
}
