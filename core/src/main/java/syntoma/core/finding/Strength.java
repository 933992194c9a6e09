package syntoma.core.finding;

import java.util.Locale;
import java.util.Optional;
import syntoma.core.reading.Grade;
import syntoma.core.reading.RadioMetric;

/** How strong the signal was with the baseline, in three classes of the grades of RSRP. */
public enum Strength {
    AMPLE_SOUND,
    THIN,
    SCRAPING_SILENT;

    /** The class of a level in dBm; empty where it is not known. */
    static Optional<Strength> of(double levelDbm) {
        if (Double.isNaN(levelDbm)) {
            return Optional.empty();
        }
        Grade grade = RadioMetric.RSRP.grade(levelDbm);
        return Optional.of(
                switch (grade) {
                    case AMPLE, SOUND -> AMPLE_SOUND;
                    case THIN -> THIN;
                    case SCRAPING, SILENT -> SCRAPING_SILENT;
                });
    }

    /** The name in the API: ample-sound, thin, scraping-silent. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The name in a sentence. */
    public String words() {
        return switch (this) {
            case AMPLE_SOUND -> "ample or sound";
            case THIN -> "thin";
            case SCRAPING_SILENT -> "scraping or silent";
        };
    }
}
