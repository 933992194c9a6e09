package syntoma.core.verdict;

import java.util.Locale;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;
import syntoma.core.unit.Values;

/** Says how much of a metric one setup has against another's, in a form that a person would say. */
public final class Amount {
    private static final String[] WHOLE = {
        "none", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"
    };

    /** From here on nobody says a word for a number. */
    private static final double WORDLESS = 9.5;

    /** The ends of an interval beneath 1 are said as the nearest of these. */
    private static final double[] PARTS = {.1, .2, .25, 1 / 3., .4, .5, .6, 2 / 3., .75, .8, .9};

    private static final String[] PART_NAMES = {
        "a tenth",
        "a fifth",
        "a quarter",
        "a third",
        "two fifths",
        "half",
        "three fifths",
        "two thirds",
        "three quarters",
        "four fifths",
        "nine tenths"
    };

    private final Figure metric;
    private final String other;

    /** @param other whose the metric is that it is compared with */
    public Amount(Figure metric, String other) {
        this.metric = metric;
        this.other = other;
    }

    /** A name as the owner of what follows: Mast panel’s, Window whips’. */
    public static String possessive(String name) {
        return name + (name.toLowerCase(Locale.ROOT).endsWith("s") ? "’" : "’s");
    }

    /** A number as a person says it in a sentence: in a word up to ten. */
    public static String number(int number) {
        return number < WHOLE.length ? WHOLE[number] : Integer.toString(number);
    }

    /** A number and what is counted. */
    public static String count(int number, String noun) {
        return (number == 0 ? "no" : number(number)) + " " + noun + (number == 1 ? "" : "s");
    }

    /** A difference: “a bit more than double that of Roof dome”, “6.2 dB stronger than Roof dome’s”. */
    public String of(double difference) {
        return metric.scale() instanceof Scale.Difference scale
                ? Values.round(Math.abs(difference), 1) + " " + scale.unit() + " " + direction(difference) + " than "
                        + possessive(other)
                : ratio(difference);
    }

    /** Where an interval lies: “somewhere between half and 2.5 times Roof dome’s”. */
    public String between(double low, double high) {
        if (!(metric.scale() instanceof Scale.Difference)) {
            return "somewhere between " + factor(low) + " and " + factor(high) + " " + possessive(other);
        }
        String lower = withSign(low);
        String higher = withSign(high);
        return "somewhere between " + lower + " and " + higher + " than " + possessive(other);
    }

    private String withSign(double difference) {
        return Values.round(Math.abs(difference), 1) + " " + ((Scale.Difference) metric.scale()).unit() + " "
                + direction(difference);
    }

    private String direction(double difference) {
        return switch (metric) {
            case RSRP_DBM -> difference > 0 ? "stronger" : "weaker";
            case RSRQ_DB, SINR_DB -> difference > 0 ? "better" : "worse";
            default -> difference > 0 ? "higher" : "lower";
        };
    }

    private static String factor(double factor) {
        if (factor >= 0.95) {
            return (factor < 10 ? Values.format(Math.round(factor * 10) / 10.0) : Values.round(factor, 0)) + " times";
        }
        int nearest = 0;
        for (int i = 1; i < PARTS.length; i++) {
            if (Math.abs(Math.log(PARTS[i] / factor)) < Math.abs(Math.log(PARTS[nearest] / factor))) {
                nearest = i;
            }
        }
        return factor < 0.08 ? "next to nothing" : PART_NAMES[nearest];
    }

    private String ratio(double r) {
        String than = " than " + possessive(other);
        String that = " that of " + other;
        if (r < 1) {
            return part(r, than, " of " + possessive(other), that);
        }
        if (r < 1.08) {
            return "a little more" + than;
        }
        if (r < 1.14) {
            return "a tenth more" + than;
        }
        if (r < 1.225) {
            return "a fifth more" + than;
        }
        if (r < 1.29) {
            return "a quarter more" + than;
        }
        if (r < 1.42) {
            return "a third more" + than;
        }
        if (r < 1.58) {
            return "one and a half times" + that;
        }
        if (r < 1.8) {
            return "more than one and a half times" + that;
        }
        return r < WORDLESS ? times(r) + that : "about " + Values.round(r, 0) + " times" + that;
    }

    private static String part(double r, String than, String of, String that) {
        if (r >= 0.93) {
            return "a little less" + than;
        }
        if (r >= 0.86) {
            return "a tenth less" + than;
        }
        if (r >= 0.78) {
            return "a fifth less" + than;
        }
        if (r >= 0.71) {
            return "a quarter less" + than;
        }
        if (r >= 0.6) {
            return "two thirds" + of;
        }
        if (r >= 0.525) {
            return "a bit more than half" + that;
        }
        if (r >= 0.475) {
            return "half" + that;
        }
        if (r >= 0.36) {
            return "less than half" + that;
        }
        if (r >= 0.29) {
            return "a third" + of;
        }
        if (r >= 0.225) {
            return "a quarter" + of;
        }
        if (r >= 0.18) {
            return "a fifth" + of;
        }
        return (r >= 0.1 ? "less than a fifth" : "less than a tenth") + of;
    }

    /** From nearly double to nine times. */
    private static String times(double r) {
        int whole = (int) Math.round(r);
        double over = r - whole;
        if (Math.abs(over) <= 0.06) {
            return exactly(whole);
        }
        double beyond = r - Math.floor(r);
        int floor = (int) Math.floor(r);
        if (beyond < 0.36) {
            return "a bit more than " + exactly(floor);
        }
        if (beyond < 0.66) {
            return number(floor) + " and a half times";
        }
        return "nearly " + exactly(floor + 1);
    }

    private static String exactly(int times) {
        return times == 2 ? "double" : number(times) + " times";
    }
}
