package syntoma.core.finding;

import java.util.Locale;
import java.util.Optional;
import syntoma.core.reading.Grade;
import syntoma.core.reading.RadioMetric;
import syntoma.core.unit.Values;

/** How strong the signal was with the baseline, in three classes of the grades of RSRP. */
public enum Strength {
    STRONG_GOOD,
    FAIR,
    WEAK_NONE;

    /** The class of a level in dBm; empty where it is not known. */
    static Optional<Strength> of(double levelDbm) {
        if (Double.isNaN(levelDbm)) {
            return Optional.empty();
        }
        Grade grade = RadioMetric.RSRP.grade(levelDbm);
        return Optional.of(
                switch (grade) {
                    case STRONG, GOOD -> STRONG_GOOD;
                    case FAIR -> FAIR;
                    case WEAK, NONE -> WEAK_NONE;
                });
    }

    /** How the classes are told apart, for people. */
    public static String rule() {
        return "by RSRP, the level of the cell’s own signal: from " + floor(Grade.GOOD) + " on good or strong, from "
                + floor(Grade.FAIR) + " fair, below that weak or none";
    }

    private static String floor(Grade grade) {
        return Values.format(RadioMetric.RSRP.floor(grade)) + " " + RadioMetric.RSRP.unit();
    }

    /** The name in the API: strong-good, fair, weak-none. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The name in a sentence. */
    public String words() {
        return switch (this) {
            case STRONG_GOOD -> "strong or good";
            case FAIR -> "fair";
            case WEAK_NONE -> "weak or none";
        };
    }
}
