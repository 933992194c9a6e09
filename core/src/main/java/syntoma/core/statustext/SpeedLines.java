package syntoma.core.statustext;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Outcome;

/** The speeds and latencies that lines say, in the units that they say. */
final class SpeedLines {
    private static final int ANY_CASE = Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE;
    static final String DOWN =
            "down(?:load(?:ed|ing)?|link|stream)?|dl|descarga|bajada|télécharg\\p{L}*|descendant|réception|herunter(?:laden)?|empfang"
                    + "|nedladdning|lataus(?:nopeus)?|scaricamento|↓|⬇|▼";
    static final String UP =
            "up(?:load(?:ed|ing)?|link|stream)?|ul|subida|carga|envoi|montant|émission|hoch(?:laden)?|senden|uppladdning|lähetys(?:nopeus)?"
                    + "|caricamento|↑|⬆|▲";
    private static final String NUMBER = "(?<n>[0-9]{1,6}(?:[.,][0-9]{1,3})?)";
    static final String UNIT = "[kKmMgG]i?(?:(?i:bits?|bytes?|bps|oct)|[bBoO])(?:\\s?/\\s?[sS](?i:ec)?|(?i:ps)|\\.s)?";
    private static final String RATE = "(?<unit>" + UNIT + ")";

    private static final Pattern AFTER = Pattern.compile("(?iu)(?<![\\p{L}])(?:(?<down>" + DOWN + ")|(?<up>" + UP
            + "))(?![\\p{L}])(?-i)[^0-9\\n]{0,30}?" + NUMBER + "\\s?" + RATE);
    private static final Pattern BEFORE = Pattern.compile(NUMBER + "\\s?" + RATE
            + "\\s{0,3}[(,:]?\\s{0,2}(?iu)(?:(?<down>" + DOWN + ")|(?<up>" + UP + "))(?![\\p{L}])");
    private static final Pattern UNIT_IN_NAME = Pattern.compile("(?iu)(?<![\\p{L}])(?:(?<down>" + DOWN + ")|(?<up>" + UP
            + "))(?![\\p{L}])(?-i)[^0-9\\n]{0,16}?[(\\[]\\s?" + RATE + "\\s?[)\\]]\\s{0,3}[:=|\\t]?\\s{0,3}" + NUMBER);
    private static final Pattern BOTH =
            Pattern.compile("(?iu)(?:down(?:load)?)\\s?[/&+]\\s?(?:up(?:load)?)(?-i)[^0-9\\n]{0,12}"
                    + "(?<n>[0-9]{1,6}(?:[.,][0-9]{1,3})?)\\s?(?<first>"
                    + "[kKmMgG](?:(?i:bits?|bps)|[bBoO])(?:/[sS]|(?i:ps))?)?\\s?[/|,]\\s?"
                    + "(?<n2>[0-9]{1,6}(?:[.,][0-9]{1,3})?)\\s?" + RATE);

    private static final String PAIR =
            "(?iu)(?:" + DOWN + ")(?-i)[^0-9\\n\\p{L}]{0,4}(?<n>[0-9]{1,6}(?:[.,][0-9]{1,3})?)"
                    + "\\s?[,;/|]?\\s?(?iu)(?:" + UP + ")(?-i)[^0-9\\n\\p{L}]{0,4}(?<n2>[0-9]{1,6}(?:[.,][0-9]{1,3})?)";

    /** One unit for two named rates, behind or before them: “DL 54 UL 8 (Mbps)”. */
    private static final List<Pattern> ONE_UNIT = List.of(
            Pattern.compile("(?<!\\p{L})" + PAIR + "\\s?[(\\[]?\\s?" + RATE),
            Pattern.compile("[(\\[]?" + RATE + "[)\\]]?\\s?[:=]?\\s?(?<!\\p{L})" + PAIR));

    private static final Stems OF_SPEED = Stems.of(
            "b/s", "bps", "bit", "byte", "o/s", " ms", "ms)", "ms]", "0ms", "1ms", "2ms", "3ms", "4ms", "5ms", "6ms",
            "7ms", "8ms", "9ms", "msec", "test", "server", "mess", "mesure", "prueba");
    private static final Pattern A_RATE = Pattern.compile(NUMBER + "\\s?" + RATE);
    private static final Pattern A_NAME =
            Pattern.compile("(?<![\\p{L}])(?:" + DOWN + "|" + UP + ")(?![\\p{L}])", ANY_CASE);

    /** Rates that are no speeds: what a plan promises, what two radios agreed on. */
    private static final Pattern NO_SPEED = Pattern.compile(
            "(?<!\\p{L})(?:link(?:[- ]?(?:rate|speed))?|phy|sync(?:hron\\p{L}*)?|negotiated|theoretical|provisioned|max(?:imum|imal\\p{L}*)?"
                    + "|up to|plan|limit\\p{L}*|allowance|verbindungs(?:rate|geschwindigkeit)|liaison|enlace|tx rate|rx rate|total|used|volume"
                    + "|consumed|verbraucht)(?!\\p{L})",
            ANY_CASE);

    /** What stands in brackets beside a rate says how much was moved for it. */
    private static final Pattern ASIDE = Pattern.compile("\\([^()]{0,60}\\)");

    static final String LATENCY_NAME =
            "(?:(?:idle|unloaded|loaded|download|upload|down|up|dl|ul|working)[- ]{0,2})?(?:ping|latency|latence|latenz(?:zeit)?"
                    + "|latencia|rtt|round[- ]?trip(?: time)?|viive|svarstid|response time|responsiveness|idle|loaded)";

    private static final Pattern LATENCY = Pattern.compile(
            "(?<!\\p{L})(?<name>" + LATENCY_NAME + ")(?!\\p{L})"
                    + "(?:(?<what>[^0-9\\n]{0,40}?)(?<n>[0-9]{1,5}(?:[.,][0-9]{1,3})?)\\s?(?<unit>ms|msec|s)(?!\\p{L})"
                    + "|\\s?[(\\[]\\s?ms\\s?[)\\]]\\s?[:=|\\t]?\\s?(?<inName>[0-9]{1,5}(?:[.,][0-9]{1,3})?))",
            ANY_CASE);
    private static final Pattern BEFORE_PING = Pattern.compile(
            "(?<n>[0-9]{1,5}(?:[.,][0-9]{1,3})?)\\s?ms\\s{0,2}(?:idle |unloaded )?(?:ping|latency|latence|latenz|latencia|rtt|idle)(?!\\p{L})",
            ANY_CASE);
    /** Of several pings the mean counts, as their statistics have it. */
    private static final Pattern MEAN = Pattern.compile(
            "(?<!\\p{L})(?:average|avg|mean|mittelwert|durchschnitt|moyenne|media|medel)\\s?[:=]\\s?(?<n>[0-9]{1,5}(?:[.,][0-9]{1,3})?)\\s?ms(?!\\p{L})",
            ANY_CASE);

    /** The statistics of several pings in one: the second is their mean. */
    private static final Pattern OF_PINGS = Pattern.compile(
            "(?:(?:rtt|round[- ]trip|ping|latency)\\s)?\\s?min/avg/max(?:/[a-z]{3,8})?\\s?[:=]\\s?[0-9.]{1,9}/(?<n>[0-9]{1,5}(?:\\.[0-9]{1,3})?)/[0-9.]{1,9}"
                    + "(?:/[0-9.]{1,9})?\\s?ms",
            ANY_CASE);

    private static final Pattern LEAST_AND_MOST = Pattern.compile("min.{1,40}max", ANY_CASE);
    private static final Pattern PING =
            Pattern.compile("(?<!\\p{L})(?:ping|latency|latence|latenz|latencia|rtt)(?!\\p{L})", ANY_CASE);
    private static final Pattern JITTER =
            Pattern.compile("(?<!\\p{L})(?:jitter|gigue|fluctuación)(?!\\p{L})", ANY_CASE);
    private static final Pattern FAILED = Pattern.compile(
            "(?:speed ?test|test|download|upload|messung|mesure|prueba|measurement)\\b[^\\n]{0,40}?(?<!\\p{L})(?:failed|failure|error|aborted|cancelled"
                    + "|timed? ?out|fehlgeschlagen|abgebrochen|échou\\p{L}*|fall\\p{L}+|could not)|(?:could not|cannot|unable to) (?:reach|connect)[^\\n]{0,40}?"
                    + "(?:test|server)|no server available",
            ANY_CASE);

    /** A figure, and the line it stands in. */
    private record StatedFigure(double value, int line) {}

    /** Figures that are rounded differently are one. */
    private static final double SAME = 0.02;

    private static final double BITS_OF_A_BYTE = 8;

    /** A unit whose B alone says whether it is bits or bytes. */
    private static final Pattern B = Pattern.compile("[KMG]I?B(?:\\s?/\\s?S(?:EC)?)?");

    private final List<Warning> warnings;
    private final boolean isLoud;
    private final Map<Figure, StatedFigure> stated = new EnumMap<>(Figure.class);
    private final Set<Figure> doubted = EnumSet.noneOf(Figure.class);
    private int at;

    /**
     * @param isLoud whether all of the text is in capitals
     */
    SpeedLines(List<Warning> warnings, boolean isLoud) {
        this.warnings = warnings;
        this.isLoud = isLoud;
    }

    /** Reads a line; adds what is doubtful of it. */
    void line(Lines.Line line) {
        at = line.number();
        if (!OF_SPEED.areIn(line.lower())) {
            return;
        }
        String text = line.lower().contains("min/avg/max") ? withoutPings(line.text()) : line.text();
        if (FAILED.matcher(text).find()) {
            warnings.add(new Warning(
                    Warning.Code.TEST_FAILED,
                    "a test did not get through",
                    line.number(),
                    Optional.of(new Warning.Doubt(
                            Figure.OUTCOME.field(), List.of(Outcome.OK.label(), Outcome.FAILED.label())))));
        }
        latencies(text);
        if (NO_SPEED.matcher(ASIDE.matcher(text).replaceAll(" ")).find()) {
            return;
        }
        Matcher both = BOTH.matcher(text);
        if (both.find()) {
            String unit = both.group("unit");
            String first = both.group("first") == null ? unit : both.group("first");
            rate(Figure.DOWN_MBPS, both.group("n"), first);
            rate(Figure.UP_MBPS, both.group("n2"), unit);
            return;
        }
        for (Pattern one : ONE_UNIT) {
            Matcher pair = one.matcher(text);
            if (pair.find()) {
                rate(Figure.DOWN_MBPS, pair.group("n"), pair.group("unit"));
                rate(Figure.UP_MBPS, pair.group("n2"), pair.group("unit"));
                return;
            }
        }
        Matcher rate = A_RATE.matcher(text);
        Matcher name = A_NAME.matcher(text);
        boolean rateFirst = rate.find() && name.find() && rate.start() < name.start();
        if (rateFirst && isRates(BEFORE.matcher(text))) {
            return;
        }
        boolean inName = isRates(UNIT_IN_NAME.matcher(text));
        boolean after = isRates(AFTER.matcher(text));
        if (!inName && !after) {
            isRates(BEFORE.matcher(text));
        }
    }

    /** Whether a line names a rate that is no speed, or how much a latency jitters. */
    static boolean isOfElse(String text) {
        return NO_SPEED.matcher(text).find() || JITTER.matcher(text).find();
    }

    private boolean isRates(Matcher m) {
        boolean found = false;
        while (m.find()) {
            rate(m.group("down") != null ? Figure.DOWN_MBPS : Figure.UP_MBPS, m.group("n"), m.group("unit"));
            found = true;
        }
        return found;
    }

    private String withoutPings(String text) {
        Matcher m = OF_PINGS.matcher(text);
        if (!m.find()) {
            return text;
        }
        first(Figure.IDLE_MS, Double.parseDouble(m.group("n")));
        return m.replaceAll(" ");
    }

    private void latencies(String text) {
        Matcher before = BEFORE_PING.matcher(text);
        if (before.find()) {
            double ms = Double.parseDouble(before.group("n").replace(',', '.'));
            first(Figure.IDLE_MS, ms);
            return;
        }
        Matcher mean = MEAN.matcher(text);
        if (mean.find()
                && (PING.matcher(text).find() || LEAST_AND_MOST.matcher(text).find())) {
            first(Figure.IDLE_MS, Double.parseDouble(mean.group("n").replace(',', '.')));
            return;
        }
        Matcher m = LATENCY.matcher(text);
        while (m.find()) {
            String name = m.group("name").toLowerCase(Locale.ROOT);
            boolean inName = m.group("inName") != null;
            String all = name + " " + (inName ? "" : m.group("what").toLowerCase(Locale.ROOT));
            if (JITTER.matcher(all).find()) {
                continue;
            }
            double ms = Double.parseDouble(m.group(inName ? "inName" : "n").replace(',', '.'))
                    * (!inName && m.group("unit").equalsIgnoreCase("s") ? 1_000 : 1);
            if (all.matches("(?s).*(?<!\\p{L})(?:down|dl|download|télécharg\\p{L}*|descarga|descendant)(?!\\p{L}).*")) {
                first(Figure.DOWN_LOADED_MS, ms);
            } else if (all.matches("(?s).*(?<!\\p{L})(?:up|ul|upload|envoi|subida|montant)(?!\\p{L}).*")) {
                first(Figure.UP_LOADED_MS, ms);
            } else if (!name.equals("loaded")) {
                first(Figure.IDLE_MS, ms);
            }
        }
    }

    /** Where all is in capitals, a capital B says nothing: it is asked, and taken for bits, as most pages have them. */
    private void rate(Figure figure, String number, String unit) {
        if (!isLoud || !B.matcher(unit).matches()) {
            first(figure, mbps(number, unit));
            return;
        }
        double bits = mbps(number, unit.replace('B', 'b'));
        first(figure, bits);
        if (doubted.add(figure) && warnings.size() < Warning.MOST) {
            warnings.add(new Warning(
                    Warning.Code.AMBIGUOUS,
                    number + " " + unit + " may be bits or bytes, since all of the text is in capitals",
                    at,
                    Optional.of(
                            new Warning.Doubt(figure.field(), List.of(format(bits), format(bits * BITS_OF_A_BYTE))))));
        }
    }

    /** A rate in Mb/s: a capital B, an octet and a byte are eight bits; MBPS is how a heading in capitals writes Mbps. */
    private static double mbps(String number, String unit) {
        double value = Double.parseDouble(number.replace(',', '.'));
        char scale = Character.toLowerCase(unit.charAt(0));
        boolean binary = unit.length() > 1 && unit.charAt(1) == 'i';
        String rest = unit.substring(binary ? 2 : 1);
        String small = rest.toLowerCase(Locale.ROOT);
        boolean bytes = small.startsWith("o")
                || small.startsWith("byte")
                || rest.startsWith("B") && !small.startsWith("bit") && !rest.equals("BPS");
        double base = binary ? 1_024 : 1_000;
        double bits = value * Math.pow(base, scale == 'k' ? 1 : scale == 'm' ? 2 : 3) * (bytes ? BITS_OF_A_BYTE : 1);
        return bits / 1e6;
    }

    /** What is said first counts, since summaries repeat it; where another test says otherwise it is asked. */
    private void first(Figure figure, double value) {
        StatedFigure before = stated.putIfAbsent(figure, new StatedFigure(value, at));
        if (before != null
                && Math.abs(before.value - value) > SAME * before.value
                && doubted.add(figure)
                && warnings.size() < Warning.MOST) {
            warnings.add(new Warning(
                    Warning.Code.AMBIGUOUS,
                    figure.measure().phrase() + " appears twice, as " + format(before.value) + " and as "
                            + format(value) + "; the first is used",
                    at,
                    Optional.of(new Warning.Doubt(figure.field(), List.of(format(before.value), format(value))))));
        }
    }

    private static String format(double value) {
        return BigDecimal.valueOf(value)
                .setScale(3, RoundingMode.HALF_EVEN)
                .stripTrailingZeros()
                .toPlainString();
    }

    private Optional<Double> value(Figure figure) {
        return Optional.ofNullable(stated.get(figure)).map(StatedFigure::value);
    }

    Speeds speeds() {
        return new Speeds(
                value(Figure.DOWN_MBPS),
                value(Figure.UP_MBPS),
                value(Figure.IDLE_MS),
                value(Figure.DOWN_LOADED_MS),
                value(Figure.UP_LOADED_MS));
    }

    List<Source> sources() {
        return stated.entrySet().stream()
                .map(e -> new Source(e.getValue().line(), e.getKey().field(), Source.NO_CELL))
                .toList();
    }
}
