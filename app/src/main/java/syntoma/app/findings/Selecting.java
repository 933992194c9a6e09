package syntoma.app.findings;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StayTime;
import syntoma.app.instrument.LoggedRuns;
import syntoma.app.need.Carriers;
import syntoma.app.need.Needs;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.Setups;
import syntoma.core.advice.DayPart;
import syntoma.core.finding.Criterion;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.run.Cap;
import syntoma.core.run.CappedSetups;
import syntoma.core.run.Direction;

/** Takes from the log what is compared. */
@Component
class Selecting {
    private final TripLog log;
    private final Setups setups;
    private final Carriers carriers;
    private final Campsites campsites;
    private final Needs needs;
    private final LoggedRuns loggedRuns;

    Selecting(TripLog log, Setups setups, Carriers carriers, Campsites campsites, Needs needs, LoggedRuns loggedRuns) {
        this.log = log;
        this.setups = setups;
        this.carriers = carriers;
        this.campsites = campsites;
        this.needs = needs;
        this.loggedRuns = loggedRuns;
    }

    /**
     * What is compared.
     *
     * @param names of the units, by their numbers
     * @param numbers of the setups or carriers, by the numbers of the units; of bands their own
     */
    record Selection(TripSelection trip, List<String> names, List<Integer> numbers, TripLog.Snapshot log) {}

    TripLog.Snapshot log() {
        return log.snapshot();
    }

    /** What of the log is asked for, with its values on a criterion. */
    Selection select(ComparedKind of, Criterion criterion, FindingsFilter wanted) {
        TripLog.Snapshot now = log.snapshot();
        double[] levels = now.figure(Figure.RSRP_DBM);
        double[] values = values(criterion, now);
        return select(now, of, wanted, values, levels);
    }

    /** The same with values of one’s own, by place. */
    Selection select(TripLog.Snapshot now, ComparedKind of, FindingsFilter wanted, double[] values, double[] levels) {
        Columns columns = now.columns();
        IntPredicate kept = filter(now, wanted);
        Map<Integer, String> known = names(of, now);
        int[] seen = new int[known.keySet().stream().mapToInt(n -> n).max().orElse(-1) + 1];
        Arrays.fill(seen, Columns.NONE);
        int[] places = new int[now.size()];
        int count = 0;
        for (int i = 0; i < now.size(); i++) {
            int place = now.at(i);
            int unit = unit(of, columns, place);
            if (unit != Columns.NONE && known.containsKey(unit) && kept.test(place)) {
                places[count++] = place;
                seen[unit] = 0;
            }
        }
        List<String> names = new ArrayList<>();
        List<Integer> own = new ArrayList<>();
        for (int number = 0; number < seen.length; number++) {
            if (seen[number] == 0) {
                seen[number] = names.size();
                names.add(known.get(number));
                own.add(number);
            }
        }
        int[] units = new int[count];
        int[] sims = new int[count];
        TripSelection.Numbering same = new TripSelection.Numbering();
        for (int k = 0; k < count; k++) {
            units[k] = seen[unit(of, columns, places[k])];
            sims[k] = same.of(key(of, columns, places[k]));
        }
        return new Selection(
                new TripSelection(now, Arrays.copyOf(places, count), units, sims, values, levels), names, own, now);
    }

    private static int unit(ComparedKind of, Columns columns, int place) {
        return switch (of) {
            case SETUPS -> columns.setup(place);
            case CARRIERS -> columns.carrier(place);
            case BANDS -> columns.band(place);
        };
    }

    private static long key(ComparedKind of, Columns columns, int place) {
        return switch (of) {
            case SETUPS -> columns.carrier(place);
            case CARRIERS -> columns.setup(place);
            case BANDS -> (long) columns.setup(place) << 32 | columns.carrier(place) & 0xffffffffL;
        };
    }

    private Map<Integer, String> names(ComparedKind of, TripLog.Snapshot now) {
        Map<Integer, String> names = new HashMap<>();
        switch (of) {
            case SETUPS -> setups.names().forEach((id, name) -> names.put(id.intValue(), name));
            case CARRIERS -> carriers.names().forEach((id, name) -> names.put(id.intValue(), name));
            case BANDS -> {
                for (int band = 0; band < now.bands().size(); band++) {
                    names.put(band, now.bands().get(band));
                }
            }
        }
        return names;
    }

    /** Of a metric its figure; of the need 100 where a run met it, 0 where it did not. */
    private double[] values(Criterion criterion, TripLog.Snapshot now) {
        return criterion.metric().map(now::figure).orElseGet(() -> metPercent(now));
    }

    /** 100 where the chosen needs were met, 0 where they were not, a failed run among these; NaN where nothing tells. */
    double[] metPercent(TripLog.Snapshot now) {
        List<Need> chosen = needs.chosenNeeds();
        List<Threshold> asked = Figure.numbers().stream()
                .flatMap(f -> Threshold.of(chosen, f).stream())
                .toList();
        boolean[] measured = new boolean[now.size()];
        double[] met = new double[now.size()];
        Arrays.fill(met, 100);
        // one figure after the other, so that one alone stands in memory
        for (Threshold threshold : asked) {
            double[] figure = now.figure(threshold.figure());
            for (int place = 0; place < met.length; place++) {
                if (!Double.isNaN(figure[place])) {
                    measured[place] = true;
                    met[place] = threshold.isMetBy(figure[place]) ? met[place] : 0;
                }
            }
        }
        for (int place = 0; place < met.length; place++) {
            met[place] = !now.columns().hasSucceeded(place) ? 0 : measured[place] ? met[place] : Double.NaN;
        }
        return met;
    }

    /** Which places of a log are asked for. */
    IntPredicate filter(TripLog.Snapshot now, FindingsFilter wanted) {
        Columns columns = now.columns();
        IntPredicate kept = place -> true;
        if (!wanted.stays().isEmpty()) {
            Set<Integer> stays = wanted.stays().stream().map(Long::intValue).collect(Collectors.toSet());
            kept = kept.and(place -> stays.contains(now.stay(place)));
        }
        Set<Integer> places = placesOf(wanted);
        if (!wanted.campsites().isEmpty() || wanted.area().isPresent()) {
            kept = kept.and(place -> places.contains(columns.campsite(place)));
        }
        if (!wanted.setups().isEmpty()) {
            Set<Integer> ids =
                    numbered(wanted.setups(), name -> (int) setups.of(name).id());
            kept = kept.and(place -> ids.contains(columns.setup(place)));
        }
        if (!wanted.carriers().isEmpty()) {
            Set<Integer> ids = numbered(wanted.carriers(), name -> carriers.find(name)
                    .orElseThrow(() -> new NotFoundException("no carrier is named “" + name + "”"))
                    .intValue());
            kept = kept.and(place -> ids.contains(columns.carrier(place)));
        }
        if (!wanted.bands().isEmpty()) {
            Set<Integer> ids = wanted.bands().stream().map(now.bands()::indexOf).collect(Collectors.toSet());
            kept = kept.and(place -> columns.band(place) != Columns.NONE && ids.contains(columns.band(place)));
        }
        if (!wanted.partsOfDay().isEmpty()) {
            kept = kept.and(place -> wanted.partsOfDay().contains(DayPart.of(columns.hour(place))));
        }
        return during(now, wanted, kept);
    }

    private static IntPredicate during(TripLog.Snapshot now, FindingsFilter wanted, IntPredicate kept) {
        if (wanted.from().isEmpty() && wanted.to().isEmpty()) {
            return kept;
        }
        Map<Integer, ZoneOffset> offsets = new HashMap<>();
        for (StayTime stay : now.times()) {
            offsets.put((int) stay.id(), stay.arrivedAt().getOffset());
        }
        return kept.and(place -> {
            LocalDate day = OffsetDateTime.ofInstant(
                            now.columns().at(place), offsets.getOrDefault(now.stay(place), ZoneOffset.UTC))
                    .toLocalDate();
            return wanted.from().map(first -> !day.isBefore(first)).orElse(true)
                    && wanted.to().map(last -> !day.isAfter(last)).orElse(true);
        });
    }

    private Set<Integer> placesOf(FindingsFilter wanted) {
        Set<Integer> ids =
                numbered(wanted.campsites(), name -> (int) campsites.of(name).id());
        if (wanted.area().isPresent()) {
            Set<Integer> inside = campsites.all().stream()
                    .filter(p -> p.lat() != null
                            && p.lon() != null
                            && wanted.area()
                                    .get()
                                    .holds(p.lat().doubleValue(), p.lon().doubleValue()))
                    .map(Place::id)
                    .map(Long::intValue)
                    .collect(Collectors.toSet());
            if (wanted.campsites().isEmpty()) {
                return inside;
            }
            ids.retainAll(inside);
        }
        return ids;
    }

    private static Set<Integer> numbered(List<String> names, ToIntFunction<String> number) {
        Set<Integer> ids = new HashSet<>();
        names.forEach(name -> ids.add(number.applyAsInt(name)));
        return ids;
    }

    /** The units most of whose runs were held by a plan or the network, each SIM by its own. */
    List<String> cappedUnits(Selection selection, Criterion criterion) {
        Direction direction = criterion
                .metric()
                .map(metric ->
                        metric == Figure.DOWN_MBPS ? Direction.DOWN : metric == Figure.UP_MBPS ? Direction.UP : null)
                .orElse(null);
        Set<Long> flat = direction == null ? Set.of() : loggedRuns.flat(direction);
        if (flat.isEmpty()) {
            return List.of();
        }
        TripSelection trip = selection.trip();
        double[] sinr = selection.log().figure(Figure.SINR_DB);
        Map<Integer, List<Cap.FlatRun>> perSim = new HashMap<>();
        Map<Integer, Map<String, Integer>> runs = new HashMap<>();
        for (int i = 0; i < trip.size(); i++) {
            if (!trip.counts(i)) {
                continue;
            }
            int place = trip.places()[i];
            int sim = selection.log().columns().carrier(place);
            String unit = selection.names().get(trip.unit(i));
            runs.computeIfAbsent(sim, s -> new HashMap<>()).merge(unit, 1, Integer::sum);
            if (flat.contains(selection.log().columns().id(place))) {
                perSim.computeIfAbsent(sim, s -> new ArrayList<>())
                        .add(new Cap.FlatRun(
                                trip.value(i),
                                unit,
                                trip.stay(i),
                                Double.isNaN(sinr[place]) ? OptionalDouble.empty() : OptionalDouble.of(sinr[place])));
            }
        }
        Set<String> held = new HashSet<>(selection.names());
        runs.forEach((sim, counts) -> {
            Set<String> here = CappedSetups.of(perSim.getOrDefault(sim, List.of()), counts)
                    .mbps()
                    .keySet();
            held.removeIf(unit -> counts.containsKey(unit) && !here.contains(unit));
        });
        return List.copyOf(held);
    }
}
