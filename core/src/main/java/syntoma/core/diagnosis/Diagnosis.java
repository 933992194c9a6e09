package syntoma.core.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import syntoma.core.diagnosis.Claim.Cause;

/**
 * What limits it here.
 *
 * @param claims what the evidence points to, in the order in which to look; empty where nothing does
 * @param telling the one measurement that would tell two of them apart
 */
public record Diagnosis(List<Claim> claims, Optional<Telling> telling) {
    private static final List<Rule> RULES = List.of(
            new NoService(),
            new WeakOutside(),
            new LostInShell(),
            new Interference(),
            new SlowOnTwo(),
            new BusyCell(),
            new SpeedCap(),
            new NoData(),
            new UploadAboveDownload(),
            new UplinkLimited(),
            new WrongBand(),
            new StreamsLost(),
            new ChainFault(),
            new BoosterTrouble(),
            new LatencyUnderLoad(),
            new LateWhenIdle(),
            new AllowanceUsedUp(),
            new OwnWifi());

    /** Looks at all causes. */
    public static Diagnosis of(Situation situation) {
        List<Claim> claims =
                RULES.stream().flatMap(rule -> rule.look(situation).stream()).toList();
        List<Claim> standing =
                claims.stream().filter(c -> !isExplained(c, claims)).toList();
        return new Diagnosis(standing, Telling.of(standing, situation));
    }

    /** Whether another cause explains it already. */
    private static boolean isExplained(Claim claim, List<Claim> all) {
        return switch (claim.cause()) {
            // what the plan holds, and what does not get through at all, says nothing of the cell
            case BUSY_CELL, LATENCY_UNDER_LOAD ->
                has(all, Cause.NO_SERVICE)
                        || has(all, Cause.ALLOWANCE_USED_UP)
                        || has(all, Cause.OWN_WIFI)
                        || claim.cause() == Cause.BUSY_CELL && (has(all, Cause.CAPPED) || has(all, Cause.SLOW_ON_TWO));
            case SLOW_ON_TWO -> has(all, Cause.ALLOWANCE_USED_UP) || has(all, Cause.OWN_WIFI);
            case NO_DATA -> has(all, Cause.NO_SERVICE) || has(all, Cause.ALLOWANCE_USED_UP);
            // a downlink that is held, busy or disturbed is beneath its uplink
            case UPLOAD_ABOVE_DOWNLOAD ->
                has(all, Cause.BUSY_CELL)
                        || has(all, Cause.SLOW_ON_TWO)
                        || has(all, Cause.CAPPED)
                        || has(all, Cause.INTERFERENCE)
                        || has(all, Cause.ALLOWANCE_USED_UP)
                        || has(all, Cause.OWN_WIFI);
            case WEAK_OUTSIDE -> has(all, Cause.NO_SERVICE);
            default -> false;
        };
    }

    private static boolean has(List<Claim> claims, Cause cause) {
        return claims.stream().anyMatch(c -> c.cause() == cause);
    }

    /** What was looked for, in a sentence. */
    public static String lookedFor() {
        return "Looked for: "
                + Arrays.stream(Claim.Cause.values()).map(Claim.Cause::words).collect(Collectors.joining(", "))
                + ". Each needs its own evidence; a run and a reading give most of it.";
    }

    /** What is said where nothing points to a cause. */
    public static String nothing(Situation situation) {
        return situation.lately().isEmpty()
                ? "Nothing was measured here lately with " + situation.setup() + " on " + situation.carrier()
                        + "; measure once, then ask again."
                : "Nothing looks wrong: this is what this cell gives at this hour.";
    }
}
