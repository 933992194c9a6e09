package syntoma.core.design;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import syntoma.core.chain.RadioMode;

/**
 * What is read, compared with what is to be measured: where the two do not agree, something was not changed, or was changed behind
 * one’s back.
 */
public final class Doubts {
    private Doubts() {}

    /**
     * What a device said.
     *
     * @param carrier the network, empty text where it is not said
     * @param mode such as LTE or NR-NSA, empty text where it is not said
     * @param band of the primary cell, empty text where it is not said
     * @param cell its identity, empty text where it is not said
     */
    public record DeviceReading(String carrier, String mode, String band, String cell) {}

    /**
     * What does not agree, in sentences; none where all that can be told does.
     *
     * @param cells on which the contender was measured before in this trial; none where that is not known
     */
    public static List<String> of(Contender contender, DeviceReading read, List<String> cells) {
        List<String> said = new ArrayList<>();
        if (isOther(contender.carrier(), read.carrier)) {
            said.add("The device is on " + read.carrier + "; " + contender.setup() + " should be measured on "
                    + contender.carrier() + ".");
        }
        bandsOf(contender)
                .filter(held -> !read.band.isEmpty() && !held.contains(read.band))
                .ifPresent(held -> said.add("The device is on " + read.band + "; it should be locked to "
                        + String.join(" + ", held) + "."));
        boolean nr = read.mode.startsWith("NR");
        if (contender.arrangement().bands().equals(RadioMode.LTE_ONLY.label()) && nr) {
            said.add("The device uses " + read.mode + "; it should be locked to LTE.");
        }
        if (contender.arrangement().bands().equals(RadioMode.NR_ONLY.label()) && !read.mode.isEmpty() && !nr) {
            said.add("The device uses " + read.mode + "; it should be locked to NR.");
        }
        if (!read.cell.isEmpty() && !cells.isEmpty() && !cells.contains(read.cell)) {
            said.add("The device is on another cell than in the rounds of " + contender.setup() + " before: "
                    + read.cell + " instead of " + String.join(", ", cells) + ".");
        }
        return said;
    }

    private static boolean isOther(String wanted, String read) {
        return !wanted.isEmpty() && !read.isEmpty() && !wanted.equalsIgnoreCase(read);
    }

    /** The bands to which it is held; empty where it is not. */
    private static Optional<List<String>> bandsOf(Contender contender) {
        boolean free = Arrays.stream(RadioMode.values())
                .anyMatch(mode -> mode.label().equals(contender.arrangement().bands()));
        return free
                ? Optional.empty()
                : Optional.of(List.of(contender.arrangement().bands().split(" \\+ ")));
    }
}
