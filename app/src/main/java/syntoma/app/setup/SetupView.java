package syntoma.app.setup;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;

/** A setup with all that is computed of it. What is not known is null. */
public record SetupView(
        @Nullable SetupName setup,
        int revision,
        long measured,
        int version,
        List<RevisionView> revisions,
        String summary,
        String headline,
        ChainPlan plan,
        String carrier,
        @Nullable String region,
        int streams,
        List<FindingView> findings,
        List<WireView> wiring,
        List<LeadView> leadsOver,
        List<String> portsOver,
        List<PortView> ports,
        CoverageView coverage,
        List<StaircaseView> staircases,
        List<CableView> cables,
        double cableM,
        List<PowerView> power) {

    /** Which setup a chain is of, in which revision and version, where it is of one. */
    record Of(@Nullable SetupName setup, int revision, long measured, int version, List<RevisionView> revisions) {
        static final Of DRAFT = new Of(null, 0, 0, 0, List.of());
    }

    /** A revision: from when on it holds, and how many measurements were made with it. */
    public record RevisionView(int revision, @Nullable OffsetDateTime since, long measured) {}

    /** A lead by its key, which is what a plan's wiring names. */
    public record LeadView(String key, String label) {}

    /** One finding of the fit check. */
    public record FindingView(
            String code, String severity, String where, String says, String fix, @Nullable Double price) {}

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
            String sentence) {}

    /** The coverage matrix. */
    public record CoverageView(String sentence, List<String> links, List<BandView> bands) {}

    /** One step of a staircase in dB. */
    public record StepView(String part, String says, @Nullable Double db, boolean estimated) {}

    /** The staircase on one band, and the predicted ΔRSRP against the device's own antenna inside. */
    public record StaircaseView(
            String band,
            double mhz,
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

    /** What a part takes, and what it wants of the 12 V side. */
    public record PowerView(
            String part,
            @Nullable Double drawW,
            @Nullable Double whPerDay,
            @Nullable Double whPerDayThroughInverter,
            boolean mainsOnly,
            @Nullable Double lowV,
            @Nullable Double highV,
            boolean takesVehicleRange,
            @Nullable Double batteryShare,
            @Nullable Double amps,
            @Nullable Double fuseA,
            @Nullable Double wireMm2,
            @Nullable Integer wireAwg,
            @Nullable Double dropV,
            double wireM) {}
}
