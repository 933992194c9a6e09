package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.IntStream;
import syntoma.core.need.Transfer;
import syntoma.core.unit.Median;
import syntoma.core.unit.Values;

/**
 * What a cell brings over the hours of the day, from all stays.
 *
 * @param hours all 24, by the clock of the campsite; those without runs are empty
 */
public record CellDay(List<Hour> hours) {
    private static final int HOURS = 24;

    /** A night for uploads: from when most go to bed until most get up. */
    private static final int NIGHT_FROM = 22;

    private static final int NIGHT_HOURS = 9;

    /** An hour without runs is as its neighbours are, so far. */
    private static final int NEIGHBOURS = 1;

    /**
     * One hour.
     *
     * @param runs in it
     */
    public record Hour(
            int hour, int runs, Optional<Spread> down, Optional<Spread> up, Optional<Spread> loadedLatency) {}

    /** Lowest, median and highest. */
    public record Spread(double low, double middle, double high) {
        static Optional<Spread> of(List<ObservedRun> runs, Function<ObservedRun, OptionalDouble> figure) {
            double[] values = runs.stream()
                    .flatMapToDouble(r -> figure.apply(r).stream())
                    .sorted()
                    .toArray();
            return values.length == 0
                    ? Optional.empty()
                    : Optional.of(new Spread(values[0], Median.of(values), values[values.length - 1]));
        }
    }

    /** Of the runs of one cell. */
    public static CellDay of(List<ObservedRun> runs) {
        List<Hour> hours = new ArrayList<>();
        for (int hour = 0; hour < HOURS; hour++) {
            int now = hour;
            List<ObservedRun> in = runs.stream()
                    .filter(r -> r.hasSucceeded() && r.isRun() && r.at().getHour() == now)
                    .toList();
            hours.add(new Hour(
                    hour,
                    in.size(),
                    Spread.of(in, ObservedRun::downMbps),
                    Spread.of(in, ObservedRun::upMbps),
                    Spread.of(in, ObservedRun::loadedMs)));
        }
        return new CellDay(List.copyOf(hours));
    }

    /**
     * When to send an amount at night.
     *
     * @param fromHour the whole hour to begin at
     * @param takes in hours
     * @param mbps what is expected on average
     */
    public record Upload(double gb, int fromHour, double takes, double mbps) {
        /** In a sentence. */
        public String says() {
            double end = fromHour + takes;
            return Values.format(gb) + " GB tonight: begin at " + clock(fromHour) + ", done by about " + clock(end)
                    + " at about " + EvidenceText.mbps(mbps) + ".";
        }

        private static String clock(double hour) {
            long minutes = Math.round(hour * 60) % (HOURS * 60);
            return String.format(Locale.ROOT, "%02d:%02d", minutes / 60, minutes % 60);
        }
    }

    /** The hours of the night in which an amount is sent soonest; empty where no upload was measured at or about night. */
    public Optional<Upload> upload(double gb) {
        Upload best = null;
        for (int at = 0; at < NIGHT_HOURS; at++) {
            Optional<Upload> tried = from(gb, at);
            if (tried.isPresent() && (best == null || tried.get().takes < best.takes - 0.05)) {
                best = tried.get();
            }
        }
        return Optional.ofNullable(best);
    }

    private Optional<Upload> from(double gb, int at) {
        double left = gb;
        double hours = 0;
        while (left > 0) {
            OptionalDouble rate = up((NIGHT_FROM + at + (int) hours) % HOURS);
            if (rate.isEmpty() || at + hours >= NIGHT_HOURS) {
                return Optional.empty();
            }
            double anHour = Transfer.gb(rate.getAsDouble(), 3600);
            double part = Math.min(1, left / anHour);
            left -= part * anHour;
            hours += part;
        }
        return Optional.of(new Upload(gb, (NIGHT_FROM + at) % HOURS, hours, Transfer.mbps(gb, Math.max(0.01, hours))));
    }

    private OptionalDouble up(int hour) {
        double[] near = IntStream.rangeClosed(-NEIGHBOURS, NEIGHBOURS)
                .mapToObj(d -> hours.get((hour + d + HOURS) % HOURS).up())
                .flatMap(Optional::stream)
                .mapToDouble(Spread::middle)
                .toArray();
        Optional<Spread> own = hours.get(hour).up();
        return own.isPresent()
                ? OptionalDouble.of(own.get().middle())
                : Arrays.stream(near).average();
    }
}
