package syntoma.core.run;

/** What the rise of the latency under load over the idle one means for somebody who speaks. The limits are rules of thumb. */
public enum LatencyRise {
    SMALL(60, "a small rise"),
    NOTICEABLE(200, "a noticeable rise"),
    CALLS_SUFFER(400, "calls suffer"),
    CALLS_BREAK(Double.POSITIVE_INFINITY, "calls break");

    private final double belowMs;
    private final String says;

    LatencyRise(double belowMs, String says) {
        this.belowMs = belowMs;
        this.says = says;
    }

    /** The rise from an idle latency to a loaded one, both in ms. */
    public static LatencyRise of(double idleMs, double loadedMs) {
        for (LatencyRise rise : values()) {
            if (loadedMs - idleMs < rise.belowMs) {
                return rise;
            }
        }
        return CALLS_BREAK;
    }

    public String says() {
        return says;
    }
}
