package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import syntoma.core.sheettext.Amounts.Amount;

/**
 * The frequency ranges of an antenna with their gains: 698–960 MHz: 3 dBi; 617-960 / 1710-6000 MHz; a gain for all of them.
 * Lines of Wi-Fi and of satellite navigation alone are passed over.
 */
final class GainRanges {
    /** Smaller numbers beside gains are angles and lengths. */
    private static final double LEAST_MHZ = 400;

    private static final double MOST_MHZ = 8_000;

    private GainRanges() {}

    private record Range(double from, double to, Double gain) {
        Map<String, Object> row(Double common) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("fromMhz", from);
            row.put("toMhz", to);
            Double dbi = gain == null ? common : gain;
            if (dbi != null) {
                row.put("fromDbi", dbi);
                row.put("toDbi", dbi);
            }
            return row;
        }
    }

    static void read(List<Line> lines, List<FoundField> found) {
        List<Range> ranges = new ArrayList<>();
        List<Double> gains = new ArrayList<>();
        Line first = null;
        Line ofGain = null;
        StringBuilder words = new StringBuilder();
        boolean most = false;
        for (Line line : lines) {
            boolean other = (line.isOfWifi() || line.isOfGnss()) && !line.isOfCellular();
            List<Amount> spans = spans(line);
            List<Double> dbi = gains(line);
            if (other) {
                continue;
            }
            if (!spans.isEmpty()) {
                first = first == null ? line : first;
                words.append(words.isEmpty() ? "" : "; ").append(line.text());
                boolean each = dbi.size() == spans.size();
                most |= each && isMost(line);
                for (int i = 0; i < spans.size(); i++) {
                    ranges.add(new Range(
                            Amounts.tidy(spans.get(i).low()),
                            Amounts.tidy(spans.get(i).high()),
                            each ? dbi.get(i) : null));
                }
                if (!each) {
                    gains.addAll(dbi);
                    ofGain = dbi.isEmpty() ? ofGain : line;
                    most |= !dbi.isEmpty() && isMost(line);
                }
            } else if (!dbi.isEmpty()) {
                gains.addAll(dbi);
                ofGain = line;
                most |= isMost(line);
            }
        }
        if (first != null) {
            add(ranges, gains, first, ofGain, words.toString(), most, found);
        }
    }

    /** Whether a range without a gain overlaps one that has a gain. */
    private static boolean isSaidAgain(Range range, List<Range> all) {
        return range.gain() == null
                && all.stream().anyMatch(r -> r.gain() != null && r.from() < range.to() && range.from() < r.to());
    }

    private static boolean isMost(Line line) {
        return line.says("up to", "max", "peak", "bis zu")
                || Amounts.of(line, Amounts.DBI).stream().anyMatch(Amount::isRange);
    }

    /** The gains of a line in dBi, with the unit behind each or behind the last of a list: 2 / 4 / 5 dBi. */
    private static List<Double> gains(Line line) {
        List<Double> gains = new ArrayList<>();
        for (Amount amount : Amounts.of(line, Amounts.DBI)) {
            List<Double> list = new ArrayList<>(List.of(Amounts.tidy(amount.high())));
            for (int i = amount.from() - 1;
                    line.at(i).is("/", "|") && line.at(i - 1).isNumber();
                    i -= 2) {
                list.add(0, Amounts.tidy(line.at(i - 1).value()));
            }
            gains.addAll(list);
        }
        return gains;
    }

    private static void add(
            List<Range> ranges,
            List<Double> gains,
            Line first,
            Line ofGain,
            String words,
            boolean most,
            List<FoundField> found) {
        boolean twice = ranges.stream().anyMatch(r -> isSaidAgain(r, ranges));
        if (twice) {
            List<Range> bare = ranges.stream().filter(r -> r.gain() == null).toList();
            List<Range> gained = ranges.stream().filter(r -> r.gain() != null).toList();
            found.add(new FoundField(
                    "ranges",
                    rows(gained, null),
                    words,
                    first.number(),
                    "The ranges appear twice, once with gains. Which is right?",
                    List.of(rows(bare, null))));
            return;
        }
        boolean own = ranges.stream().allMatch(r -> r.gain() != null);
        List<Double> different = gains.stream().distinct().toList();
        String said = ofGain == null || ofGain == first ? words : words + "; " + ofGain.text();
        if (own && most) {
            List<Range> bare =
                    ranges.stream().map(r -> new Range(r.from(), r.to(), null)).toList();
            found.add(new FoundField(
                    "ranges",
                    rows(ranges, null),
                    words,
                    first.number(),
                    "Those gains are the most it has there. Do they hold on the whole of each range?",
                    List.of(rows(bare, null))));
        } else if (own || different.isEmpty()) {
            found.add(FoundField.isSure("ranges", rows(ranges, null), first, words));
        } else if (different.size() == 1 && !most) {
            found.add(FoundField.isSure("ranges", rows(ranges, different.get(0)), first, said));
        } else if (different.size() == 1) {
            found.add(new FoundField(
                    "ranges",
                    rows(ranges, different.get(0)),
                    said,
                    first.number(),
                    "That gain is the most it has anywhere. Does it hold on all ranges?",
                    List.of(rows(ranges, null))));
        } else if (gains.size() == ranges.size()) {
            List<Map<String, Object>> paired = new ArrayList<>();
            for (int i = 0; i < ranges.size(); i++) {
                paired.add(new Range(ranges.get(i).from(), ranges.get(i).to(), gains.get(i)).row(null));
            }
            found.add(new FoundField(
                    "ranges",
                    paired,
                    said,
                    first.number(),
                    "Are the gains in the order of the ranges?",
                    List.of(rows(ranges, null))));
        } else {
            found.add(new FoundField(
                    "ranges",
                    rows(ranges, null),
                    said,
                    first.number(),
                    "There are " + gains.size() + " gains for " + ranges.size()
                            + " ranges, so the gains were left out. Are the ranges right?",
                    List.of()));
        }
    }

    private static List<Map<String, Object>> rows(List<Range> ranges, Double common) {
        return ranges.stream().map(r -> r.row(common)).toList();
    }

    /** Ranges in MHz, with the unit behind each or behind the last of a list: 698-960, 1710-2700 MHz. */
    static List<Amount> spans(Line line) {
        List<Amount> spans = new ArrayList<>(
                Amounts.of(line, Amounts.MHZ).stream().filter(Amount::isRange).toList());
        if (spans.isEmpty()) {
            return line.says("dbi") ? bareSpans(line) : spans;
        }
        double factor = line.at(spans.get(0).to()).is("ghz") ? 1000 : 1;
        for (int i = 0; i + 2 < line.tokens().size(); i++) {
            int at = i;
            boolean bare = line.at(i).isNumber()
                    && line.at(i + 1).joinsRange()
                    && line.at(i + 2).isNumber()
                    && line.at(i + 3).is(",", "/", ";", "&", "and", "|", "+", "und")
                    && spans.stream().noneMatch(s -> s.from() == at);
            double low = line.at(i).value() * factor;
            double high = bare ? line.at(i + 2).value() * factor : 0;
            if (bare && low >= 300 && high > low && high <= 60_000) {
                spans.add(new Amount(low, high, i, i + 2));
            }
        }
        spans.sort(Comparator.comparingInt(Amount::from));
        return spans.stream().filter(s -> s.low() > 0 && s.high() > s.low()).toList();
    }

    /** Beside gains the ranges are frequencies, also without their unit: 617-960: 2.9 dBi. */
    private static List<Amount> bareSpans(Line line) {
        List<Amount> spans = new ArrayList<>();
        for (int i = 0; i + 2 < line.tokens().size(); i++) {
            boolean range = line.at(i).isNumber()
                    && line.at(i + 1).joinsRange()
                    && line.at(i + 2).isNumber();
            if (range
                    && line.at(i).value() >= LEAST_MHZ
                    && line.at(i + 2).value() > line.at(i).value()
                    && line.at(i + 2).value() <= MOST_MHZ) {
                spans.add(new Amount(line.at(i).value(), line.at(i + 2).value(), i, i + 2));
            }
        }
        return spans;
    }
}
