package syntoma.core.diagnosis;

import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.List;
import java.util.Locale;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Evidence in words: figures with their units, when and with what. */
final class EvidenceText {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("EEE HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private EvidenceText() {}

    static String dbm(double value) {
        return Values.round(value, 0) + " dBm";
    }

    static String db(double value) {
        return Values.round(value, 1) + " dB";
    }

    static String mbps(double value) {
        return Values.round(value, value < 10 ? 1 : 0) + " Mb/s";
    }

    static String ms(double value) {
        return Values.round(value, 0) + " ms";
    }

    static String day(TemporalAccessor at) {
        return DAY.format(at);
    }

    /** Over which measurements: “in the last 4 runs with Mast panel on Tarnwave, until Sat 19:55”. */
    static String over(List<ObservedRun> of, String what) {
        ObservedRun last = of.get(of.size() - 1);
        String runs = of.size() == 1 ? "in the last " + what : "in the last " + Text.count(of.size(), what);
        return runs + " with " + last.setup() + " on " + last.carrier() + ", until " + WHEN.format(last.at());
    }
}
