package syntoma.core.diagnosis;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;

/**
 * A measurement that would tell two causes apart.
 *
 * @param one the first of them
 * @param other the second; the same where it would settle the one that is not sure
 * @param says what to measure, and what each outcome would mean
 * @param how what it takes
 */
public record Telling(Cause one, Cause other, How how, String says) {
    /** How it is made. */
    public enum How {
        /** A run now with the setup and carrier in use. */
        RUN,
        /** A run now on another carrier. */
        OTHER_CARRIER,
        /** A run now with another setup. */
        OTHER_SETUP,
        /** A run in the early morning. */
        MORNING,
        /** A phone, taken outside and inside. */
        PHONE,
        /** A reading while antennas are turned. */
        AIM;

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** Two causes, and what tells them apart. */
    private record Pair(Cause one, Cause other, How how, String says) {
        private boolean isOf(List<Claim> claims) {
            return claims.stream().anyMatch(c -> c.cause() == one)
                    && claims.stream().anyMatch(c -> c.cause() == other);
        }
    }

    private static final List<Pair> PAIRS = List.of(
            new Pair(
                    Cause.WEAK_OUTSIDE,
                    Cause.CHAIN_FAULT,
                    How.OTHER_SETUP,
                    "Take a reading with another antenna: if it is as weak, the place is weak; if much stronger, the chain has a fault."),
            new Pair(
                    Cause.BUSY_CELL,
                    Cause.LATENCY_UNDER_LOAD,
                    How.MORNING,
                    "Run once before seven: if latency is low then, the cell is busy now; if not, it is the router’s queue."),
            new Pair(
                    Cause.INTERFERENCE,
                    Cause.BUSY_CELL,
                    How.AIM,
                    "Turn the antenna by 60° and read: if SINR moves, it is another tower; if not, the cell."),
            new Pair(
                    Cause.WEAK_OUTSIDE,
                    Cause.LOST_IN_SHELL,
                    How.PHONE,
                    "Check the phone on the roof and inside again: a difference of 8 dB or more is the walls."),
            new Pair(
                    Cause.UPLINK_LIMITED,
                    Cause.WEAK_OUTSIDE,
                    How.OTHER_SETUP,
                    "Run once with a stronger antenna: if the upload improves, gain helps; if not, the place is too weak."),
            new Pair(
                    Cause.CAPPED,
                    Cause.ALLOWANCE_USED_UP,
                    How.OTHER_CARRIER,
                    "Run once on another SIM: if it is fast, this plan is the cause."));

    /** The one that tells most of what is claimed; empty where nothing is open. */
    static Optional<Telling> of(List<Claim> claims, Situation situation) {
        Optional<Telling> pair = PAIRS.stream()
                .filter(p -> p.isOf(claims))
                .findFirst()
                .map(p -> new Telling(p.one, p.other, p.how, p.says));
        return pair.or(() -> claims.stream()
                .filter(c -> c.sure() != Claim.Sure.SURELY)
                .flatMap(c -> ofCause(c.cause()).stream())
                .findFirst());
    }

    /** What settles a cause that is not sure yet. */
    private static Optional<Telling> ofCause(Cause cause) {
        return switch (cause) {
            case BUSY_CELL ->
                telling(cause, How.MORNING, "Run once before seven: if it is much faster then, the cell is busy now.");
            case CAPPED ->
                telling(cause, How.RUN, "Make one full run: if its curve is flat at that rate, it is the plan.");
            case WEAK_OUTSIDE, LOST_IN_SHELL ->
                telling(
                        cause,
                        How.PHONE,
                        "Check the phone outside and inside: that separates the place from the walls.");
            case CHAIN_FAULT ->
                telling(
                        cause,
                        How.OTHER_SETUP,
                        "Read both setups in turn, three times each: that shows what the chain loses.");
            case NO_SERVICE ->
                telling(cause, How.OTHER_CARRIER, "Run once on another carrier: if it works, it is the network.");
            case INTERFERENCE ->
                telling(cause, How.AIM, "Turn the antenna and read: if SINR moves, it is another tower.");
            case WRONG_BAND, UPLINK_LIMITED, LATENCY_UNDER_LOAD ->
                telling(cause, How.RUN, "Run twice more: two runs can easily be chance.");
            default -> Optional.empty();
        };
    }

    private static Optional<Telling> telling(Cause cause, How how, String says) {
        return Optional.of(new Telling(cause, cause, how, says));
    }
}
