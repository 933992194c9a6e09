package syntoma.app.findings;

import java.lang.ref.WeakReference;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StayPages;
import syntoma.app.campsite.StayTime;
import syntoma.app.need.Carriers;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Tiles;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.advice.DayPart;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Grade;
import syntoma.core.reading.RadioMetric;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Median;
import syntoma.core.unit.Text;

/** The stays of the log by filters that combine, read from the columns in memory. */
@Service
@Transactional(readOnly = true)
class LogbookService {
    private static final Tally NOTHING = new Tally();
    private static final int[] NO_RUNS = {0, 0};

    private final Selecting selecting;
    private final FindingsService findings;
    private final Setups setups;
    private final Carriers carriers;
    private final Campsites campsites;
    private final StayPages pages;

    private final Tiles tiles;

    /** What all of the log has at each stay; of the log as it was when it was last looked at whole. */
    private volatile WholeLogTallies wholeLog = new WholeLogTallies(new WeakReference<>(null), Map.of());

    private record WholeLogTallies(WeakReference<TripLog.Snapshot> log, Map<Integer, Tally> tallies) {}

    LogbookService(
            Selecting selecting,
            FindingsService findings,
            Setups setups,
            Carriers carriers,
            Campsites campsites,
            StayPages pages,
            Tiles tiles) {
        this.selecting = selecting;
        this.findings = findings;
        this.setups = setups;
        this.carriers = carriers;
        this.campsites = campsites;
        this.pages = pages;
        this.tiles = tiles;
    }

    /**
     * What is asked for beside what findings take.
     *
     * @param strength grades of RSRP
     * @param need {@code met} or {@code missed}
     * @param text in the name of the campsite, a setup, a carrier or the private note
     */
    record LogbookRequest(@Nullable List<String> strength, @Nullable String need, @Nullable String text) {}

    LogbookView view(FindingsRequest request, LogbookRequest more) {
        TripLog.Snapshot log = selecting.log();
        Map<Long, SetupName> names = setups.all().stream().collect(Collectors.toMap(SetupName::id, s -> s));
        Map<Long, String> networks = carriers.names();
        Map<Long, Place> places = campsites.all().stream().collect(Collectors.toMap(Place::id, p -> p));
        Map<Long, String> notes = pages.notes();
        Map<Long, Integer> photos = pages.photoCounts();
        double[] levels = log.figure(Figure.RSRP_DBM);
        double[] met = selecting.metPercent(log);
        FindingsFilter wanted = request.filter();
        boolean narrowed = !wanted.equals(FindingsFilter.ALL) || more.strength() != null || more.need() != null;
        IntPredicate kept = selecting
                .filter(log, wanted)
                .and(strength(more.strength(), levels))
                .and(need(more.need(), met));
        Map<Integer, Tally> tallies = narrowed ? tallied(log, kept, levels) : wholeLog(log, levels);
        Map<Integer, int[]> needs = needs(log, kept, met);
        String text = more.text() == null ? "" : more.text().strip().toLowerCase(Locale.ROOT);
        // each stay stands alone and all is in memory, so that every core takes its part
        List<LogbookView.StayLine> lines = log.times().parallelStream()
                .filter(stay -> places.containsKey(stay.campsiteId()))
                .filter(stay -> !narrowed || tallies.containsKey((int) stay.id()))
                .map(stay -> line(
                        stay,
                        places.get(stay.campsiteId()),
                        tallies.getOrDefault((int) stay.id(), NOTHING),
                        names,
                        networks,
                        notes,
                        photos,
                        needs.getOrDefault((int) stay.id(), NO_RUNS)))
                .filter(line -> text.isEmpty() || isIn(line, notes.getOrDefault(line.id(), ""), text))
                .sorted(Comparator.comparing(LogbookView.StayLine::arrivedAt).reversed())
                .toList();
        return new LogbookView(
                lines,
                says(lines, findings.needName()),
                log.times().size(),
                lines.stream().mapToInt(LogbookView.StayLine::measurements).sum(),
                findings.needName(),
                tiles.address(),
                choices(log, names, networks));
    }

    /** Of a whole log that has not changed what its stays have is known already. */
    private Map<Integer, Tally> wholeLog(TripLog.Snapshot log, double[] levels) {
        WholeLogTallies known = wholeLog;
        if (known.log().get() != log) {
            known = new WholeLogTallies(new WeakReference<>(log), tallied(log, place -> true, levels));
            wholeLog = known;
        }
        return known.tallies();
    }

    private static Map<Integer, Tally> tallied(TripLog.Snapshot log, IntPredicate kept, double[] levels) {
        Map<Integer, Tally> tallies = new HashMap<>();
        for (int place = 0; place < log.size(); place++) {
            if (kept.test(place)) {
                tallies.computeIfAbsent(log.stay(place), s -> new Tally()).add(log, place);
            }
        }
        double[] downs = log.figure(Figure.DOWN_MBPS);
        double[] ups = log.figure(Figure.UP_MBPS);
        tallies.values().parallelStream().forEach(tally -> tally.settle(levels, downs, ups));
        return tallies;
    }

    /** At each stay the runs that tell whether they met what is needed, and those that did. */
    private static Map<Integer, int[]> needs(TripLog.Snapshot log, IntPredicate kept, double[] met) {
        Map<Integer, int[]> runs = new HashMap<>();
        for (int place = 0; place < met.length; place++) {
            if (!Double.isNaN(met[place]) && kept.test(place)) {
                int[] counts = runs.computeIfAbsent(log.stay(place), s -> new int[2]);
                counts[0]++;
                counts[1] += met[place] > 0 ? 1 : 0;
            }
        }
        return runs;
    }

    /** How many they are, and at how many of them what is needed was there in at least half of the runs. */
    private static String says(List<LogbookView.StayLine> lines, String need) {
        if (lines.isEmpty()) {
            return "No stay fits what is asked for.";
        }
        String stays = Text.count(lines.size(), "stay");
        long campsites =
                lines.stream().map(LogbookView.StayLine::campsite).distinct().count();
        String where = lines.size() == 1 ? lines.get(0).campsite() : Text.count((int) campsites, "campsite");
        List<LogbookView.StayLine> asked =
                lines.stream().filter(l -> l.needRuns() > 0).toList();
        if (asked.isEmpty()) {
            return stays + " at " + where + ".";
        }
        String met = countMet(asked) + " of " + (asked.size() == lines.size() ? "the stays" : asked.size());
        return stays + " at " + where + "; " + met + " had enough for " + need + " in at least half of the runs.";
    }

    private static long countMet(List<LogbookView.StayLine> asked) {
        return asked.stream().filter(l -> l.needMet() * 2 >= l.needRuns()).count();
    }

    private static boolean isIn(LogbookView.StayLine line, String note, String text) {
        return line.campsite().toLowerCase(Locale.ROOT).contains(text)
                || note.toLowerCase(Locale.ROOT).contains(text)
                || line.carriers().stream()
                        .anyMatch(c -> c.toLowerCase(Locale.ROOT).contains(text))
                || line.setups().stream()
                        .anyMatch(s -> s.name().toLowerCase(Locale.ROOT).contains(text));
    }

    private static IntPredicate strength(@Nullable List<String> wanted, double[] levels) {
        if (wanted == null || wanted.isEmpty()) {
            return place -> true;
        }
        Set<Grade> grades = wanted.stream()
                .map(word -> InvalidInputException.naming(
                        "strength", () -> Labels.find("strength", word, Grade.values(), Grade::word)))
                .collect(Collectors.toSet());
        return place -> !Double.isNaN(levels[place]) && grades.contains(RadioMetric.RSRP.grade(levels[place]));
    }

    private static IntPredicate need(@Nullable String wanted, double[] met) {
        if (wanted == null || wanted.isBlank()) {
            return place -> true;
        }
        return switch (wanted) {
            case "met" -> place -> met[place] > 0;
            case "missed" -> place -> met[place] == 0;
            default ->
                throw new InvalidInputException("need", "need is " + Text.quote(wanted) + "; allowed is met or missed");
        };
    }

    /** What of one stay fits. */
    private static final class Tally {
        private int failed;
        private int[] setups = new int[8];
        private final BitSet carriers = new BitSet();
        private final BitSet trials = new BitSet();
        private int count;
        private int[] places = new int[8];

        @Nullable
        private Double level;

        @Nullable
        private Double down;

        @Nullable
        private Double up;

        private void add(TripLog.Snapshot log, int place) {
            Columns columns = log.columns();
            if (count == places.length) {
                places = Arrays.copyOf(places, count * 2);
            }
            places[count++] = place;
            failed += columns.hasSucceeded(place) ? 0 : 1;
            int setup = columns.setup(place);
            if (setup >= setups.length) {
                setups = Arrays.copyOf(setups, setup + 8);
            }
            setups[setup]++;
            if (columns.carrier(place) != Columns.NONE) {
                carriers.set(columns.carrier(place));
            }
            if (columns.trial(place) != Columns.NONE) {
                trials.set(columns.trial(place));
            }
        }

        /** Takes the middles, once all is added; the place of each is no longer needed. */
        private void settle(double[] levels, double[] downs, double[] ups) {
            level = middle(levels);
            down = middle(downs);
            up = middle(ups);
            places = new int[0];
        }

        @Nullable
        private Double middle(double[] figure) {
            double[] values = new double[count];
            int known = 0;
            for (int i = 0; i < count; i++) {
                if (!Double.isNaN(figure[places[i]])) {
                    values[known++] = figure[places[i]];
                }
            }
            return known == 0 ? null : Median.of(Arrays.copyOf(values, known));
        }
    }

    private static LogbookView.StayLine line(
            StayTime stay,
            Place place,
            Tally tally,
            Map<Long, SetupName> names,
            Map<Long, String> networks,
            Map<Long, String> notes,
            Map<Long, Integer> photos,
            int[] need) {
        return new LogbookView.StayLine(
                stay.id(),
                place.name(),
                place.lat(),
                place.lon(),
                stay.arrivedAt(),
                stay.leftAt(),
                tally.count,
                tally.failed,
                IntStream.range(0, tally.setups.length)
                        .filter(setup -> tally.setups[setup] > 0 && names.containsKey((long) setup))
                        .boxed()
                        .sorted(Comparator.comparingInt(setup -> -tally.setups[setup]))
                        .map(setup -> new LogbookView.UsedSetup(
                                names.get((long) setup).name(),
                                names.get((long) setup).pennant(),
                                tally.setups[setup]))
                        .toList(),
                tally.carriers.stream()
                        .mapToObj(c -> networks.get((long) c))
                        .filter(Objects::nonNull)
                        .sorted()
                        .toList(),
                tally.level,
                Optional.ofNullable(tally.level)
                        .map(l -> RadioMetric.RSRP.grade(l).word())
                        .orElse(null),
                tally.down,
                tally.up,
                need[0],
                need[1],
                tally.trials.cardinality(),
                notes.containsKey(stay.id()),
                photos.getOrDefault(stay.id(), 0));
    }

    private static LogbookView.LogbookChoices choices(
            TripLog.Snapshot log, Map<Long, SetupName> names, Map<Long, String> networks) {
        return new LogbookView.LogbookChoices(
                names.values().stream().map(SetupName::name).sorted().toList(),
                networks.values().stream().distinct().sorted().toList(),
                log.bands().stream().sorted().toList(),
                Arrays.stream(DayPart.values())
                        .map(p -> p.name().toLowerCase(Locale.ROOT))
                        .toList(),
                Arrays.stream(Grade.values()).map(Grade::word).toList(),
                RadioMetric.RSRP.floor(Grade.FAIR));
    }
}
