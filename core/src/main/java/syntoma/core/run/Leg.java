package syntoma.core.run;

import java.util.Optional;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Values;

/**
 * The way between a browser and Syntoma's machine: the vehicle's own Wi-Fi, mostly. A run made by the browser goes over it too and
 * cannot be faster.
 *
 * @param downMbps from the machine to the browser
 * @param upMbps from the browser to the machine
 */
public record Leg(double downMbps, double upMbps) {
    /** A run that comes so near to its own leg is not told from it: a leg that is looked at for a second is known to a fifth. */
    private static final double AS_FAST = 0.8;

    /**
     * An amount that went over it, and what that took.
     *
     * @param bytes above 0
     * @param ms above 0
     */
    public record TimedBytes(long bytes, double ms) {
        public TimedBytes {
            Values.within("bytes", bytes, 1, 1e9, "byte");
            Values.within("ms", ms, 0.1, 60_000, "ms");
        }

        double mbps() {
            return bytes * 8e-3 / ms;
        }
    }

    public static Leg of(TimedBytes down, TimedBytes up) {
        return new Leg(down.mbps(), up.mbps());
    }

    /** Whether a download came so near to what the Wi-Fi carries that it may be what held it. */
    public boolean limitsDown(double mbps) {
        return mbps >= AS_FAST * downMbps;
    }

    /** Whether an upload came so near to what the Wi-Fi carries that it may be what held it. */
    public boolean limitsUp(double mbps) {
        return mbps >= AS_FAST * upMbps;
    }

    /** That a run was as fast as the leg is, in words; empty where the leg had room. */
    public Optional<String> limits(RunResult run) {
        boolean down = limitsDown(run.get(Figure.DOWN_MBPS).orElse(0.0));
        boolean up = limitsUp(run.get(Figure.UP_MBPS).orElse(0.0));
        if (!down && !up) {
            return Optional.empty();
        }
        String carries = down && up
                ? rateText(downMbps) + " down and " + rateText(upMbps) + " up"
                : down ? rateText(downMbps) + " down" : rateText(upMbps) + " up";
        return Optional.of("The Wi-Fi between this device and Syntoma’s machine carries about " + carries
                + " itself: that may be the limit, not the network.");
    }

    private static String rateText(double mbps) {
        return Values.round(mbps, mbps < 10 ? 1 : 0) + " Mb/s";
    }
}
