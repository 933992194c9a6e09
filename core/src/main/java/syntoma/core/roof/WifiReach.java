package syntoma.core.roof;

import java.util.Arrays;
import java.util.OptionalDouble;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Shell;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * How well a router is heard by Wi-Fi at a place: free space (ITU-R P.525), the body of the vehicle where that lies between, so much
 * for each inner wall, and 10 dB for the hand that holds the phone. An estimate.
 *
 * <pre>{@code
 * new WifiReach(syntoma.core.chain.Shell.STEEL, 3, false, 0).levelDbm(WifiReach.Band.LOW) // -39.73
 * new WifiReach(syntoma.core.chain.Shell.STEEL, 3, false, 0).good() // FAST
 * }</pre>
 *
 * @param awayM from the router
 * @param isOutside whether the body lies between
 * @param walls of furniture between them
 */
public record WifiReach(Shell shell, double awayM, boolean isOutside, int walls) {
    /** What a router may send in most places, in dBm, its antenna counted. */
    private static final double SENT_DBM = 20;

    /** What hands, bodies and echoes take of it: chosen, the usual margin for a phone that is held. */
    private static final double HELD_DB = 10;

    private static final double LEAST_M = 0.3;
    private static final double M_PER_KM = 1_000;

    /** A Wi-Fi band, and what a wall of thin board takes of it: chosen, a wall of a house takes more. */
    public enum Band {
        LOW("2.4 GHz", 2_437, 2),
        HIGH("5 GHz", 5_500, 3);

        private final String label;
        private final double mhz;
        private final double wallDb;

        Band(String label, double mhz, double wallDb) {
            this.label = label;
            this.mhz = mhz;
            this.wallDb = wallDb;
        }

        public String label() {
            return label;
        }
    }

    /** What a level is enough for. */
    public enum Good {
        FAST(-60, "all that the router has"),
        CALLS(-70, "calls and films"),
        PAGES(-78, "pages and messages"),
        NOTHING(Double.NEGATIVE_INFINITY, "next to nothing");

        private final double fromDbm;
        private final String says;

        Good(double fromDbm, String says) {
            this.fromDbm = fromDbm;
            this.says = says;
        }

        public String says() {
            return says;
        }
    }

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public WifiReach {
        Values.within("distance", awayM, 0, 100, "m");
        Values.within("walls", walls, 0, 10, "");
    }

    /** The level of a phone there, in dBm. */
    public double levelDbm(Band band) {
        double shellDb = isOutside ? shell.lossDb(band.mhz, Placement.INSIDE) : 0;
        return SENT_DBM
                - FreeSpace.lossDb(Math.max(LEAST_M, awayM) / M_PER_KM, band.mhz)
                - HELD_DB
                - shellDb
                - walls * band.wallDb;
    }

    /** What it is enough for, on the better band. */
    public Good good() {
        double best =
                Arrays.stream(Band.values()).mapToDouble(this::levelDbm).max().orElseThrow();
        return Arrays.stream(Good.values())
                .filter(g -> best >= g.fromDbm)
                .findFirst()
                .orElseThrow();
    }

    /**
     * How hot it gets where a router stands on a summer’s day, in °C, against what its sheet allows: what to do, empty where it is
     * well. Chosen: 35 °C inside a parked vehicle, 10 K more in a closed cupboard, 15 K more against a skin in the sun.
     */
    public static Sentence heat(boolean closed, boolean sunny, OptionalDouble ratedC) {
        double hot = 35 + (closed ? 10 : 0) + (sunny ? 15 : 0);
        Sentence about = Sentence.of("About ", Quantity.celsius(hot), " on a summer’s day");
        if (ratedC.isEmpty()) {
            return Sentence.of(about, "; its maker’s limit is not known.");
        }
        Sentence allowed = Sentence.of("; its maker allows ", Quantity.celsius(ratedC.getAsDouble()));
        return hot <= ratedC.getAsDouble()
                ? Sentence.of(about, allowed, ".")
                : Sentence.of(
                        about,
                        allowed,
                        closed && sunny
                                ? ": ventilate it, and move it away from the outer wall."
                                : closed
                                        ? ": add a vent above and below to the cupboard."
                                        : ": move it away from the outer wall.");
    }
}
