package syntoma.app.findings;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StayTime;
import syntoma.app.need.Carriers;
import syntoma.app.need.Needs;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.advice.DayPart;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.Drift;
import syntoma.core.finding.Finder;
import syntoma.core.finding.Finding;
import syntoma.core.finding.Strength;
import syntoma.core.need.Need;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;

/** Asks the trip: takes what is asked for from the log, lets the core find. */
@Service
@Transactional(readOnly = true)
class FindingsService {
    private final Selecting selecting;
    private final Setups setups;
    private final Carriers carriers;
    private final Campsites campsites;
    private final Needs needs;

    FindingsService(Selecting selecting, Setups setups, Carriers carriers, Campsites campsites, Needs needs) {
        this.selecting = selecting;
        this.setups = setups;
        this.carriers = carriers;
        this.campsites = campsites;
        this.needs = needs;
    }

    /** What is asked, what of the log that takes, and what the trip says; the finding is empty where nothing was measured. */
    record FindingsAnswer(FindingsQuery query, Selecting.Selection selection, Optional<Finding> finding) {}

    /** What the trip says, with what else can be asked. */
    FindingsView view(FindingsRequest request) {
        return view(find(request));
    }

    FindingsView view(FindingsAnswer found) {
        FindingsQuery asked = found.query;
        Finding finding = found.finding.orElseGet(
                () -> new Finding(asked.criterion(), asked.baseline(), 0, 0, 0, List.of(), List.of()));
        return FindingsView.of(
                asked,
                finding,
                asked.of() == ComparedKind.SETUPS ? pennants() : Map.of(),
                Headlines.of(finding, asked.of()),
                found.selection.trip().size(),
                MixedBands.remark(found).stream().toList(),
                choices(found));
    }

    /** What the trip says to what the address asks. */
    FindingsAnswer find(FindingsRequest request) {
        ComparedKind of = request.of() == null || request.of().isBlank()
                ? ComparedKind.SETUPS
                : InvalidInputException.naming("of", () -> ComparedKind.of(request.of()));
        return find(of, criterion(request.metric()), request.baseline(), request.filter());
    }

    /** The same; without a baseline what has the most runs is it. */
    FindingsAnswer find(ComparedKind of, Criterion criterion, @Nullable String baseline, FindingsFilter wanted) {
        Selecting.Selection selection = selecting.select(of, criterion, wanted);
        String against =
                baseline == null || baseline.isBlank() ? mostRuns(selection) : currentName(of, baseline, selection);
        FindingsQuery asked = new FindingsQuery(of, criterion, against, wanted);
        if (!selection.names().contains(against)) {
            return new FindingsAnswer(asked, selection, Optional.empty());
        }
        return new FindingsAnswer(
                asked,
                selection,
                Optional.of(new Finder(
                                selection.trip(),
                                criterion,
                                selection.names(),
                                against,
                                selecting.cappedUnits(selection, criterion))
                        .find()));
    }

    /** A name that there is, as it is called now. */
    private String currentName(ComparedKind of, String name, Selecting.Selection selection) {
        return switch (of) {
            case SETUPS -> setups.of(name).name();
            case CARRIERS ->
                carriers.find(name)
                        .flatMap(carriers::name)
                        .orElseThrow(() -> new NotFoundException("no carrier is named " + Text.quote(name)));
            case BANDS -> {
                if (!selection.log().bands().contains(name)) {
                    throw new NotFoundException("nothing was measured on a band named " + Text.quote(name));
                }
                yield name;
            }
        };
    }

    private static String mostRuns(Selecting.Selection selection) {
        int[] runs = new int[selection.names().size()];
        for (int i = 0; i < selection.trip().size(); i++) {
            runs[selection.trip().unit(i)] += selection.trip().counts(i) ? 1 : 0;
        }
        int most = 0;
        for (int unit = 1; unit < runs.length; unit++) {
            most = runs[unit] > runs[most] ? unit : most;
        }
        return runs.length == 0 ? "" : selection.names().get(most);
    }

    /** The metric of a name in the API, or the one that the needs ask for first. */
    Criterion criterion(@Nullable String key) {
        if (key == null || key.isBlank()) {
            return Criterion.of(Threshold.askedFirst(Figure.comparedFigures(f -> true), needs.chosenNeeds())
                    .get(0));
        }
        if (key.equals(Criterion.NEED)) {
            return Criterion.needMet(needName());
        }
        return Criterion.of(InvalidInputException.naming("metric", () -> Figure.metric(key)));
    }

    /** The chosen needs by name. */
    String needName() {
        List<Need> chosen = needs.chosenNeeds();
        return chosen.isEmpty()
                ? "what you need"
                : Text.list(chosen.stream().map(Need::name).toList());
    }

    Map<String, Integer> pennants() {
        return setups.all().stream().collect(Collectors.toMap(SetupName::name, SetupName::pennant, (a, b) -> a));
    }

    private FindingsView.ChoicesView choices(FindingsAnswer found) {
        List<FindingsView.MetricView> metrics = new ArrayList<>();
        if (!needs.chosenNeeds().isEmpty()) {
            metrics.add(new FindingsView.MetricView(
                    Criterion.NEED, Criterion.needMet(needName()).words()));
        }
        TripLog.Snapshot log = found.selection.log();
        Figure.numbers().stream()
                .filter(f -> f.measure().comparing().isPresent())
                .filter(f -> Figure.comparedFigures(g -> false).contains(f)
                        || f == found.query.criterion().metric().orElse(null))
                .map(Criterion::of)
                .forEach(c -> metrics.add(new FindingsView.MetricView(c.key(), c.words())));
        return new FindingsView.ChoicesView(
                metrics,
                found.selection.names(),
                campsites.all().stream().map(Place::name).toList(),
                setups.all().stream().map(SetupName::name).toList(),
                carriers.all().stream().map(Carriers.CarrierName::name).toList(),
                log.bands().stream().sorted().toList(),
                Arrays.stream(DayPart.values())
                        .map(p -> p.name().toLowerCase(Locale.ROOT))
                        .toList(),
                Strength.rule(),
                Finder.FEWEST_STAYS);
    }

    /** The stays behind what is said of one unit, the latest first. */
    List<FindingsView.BehindView> behind(FindingsRequest request, String unit) {
        FindingsAnswer found = find(request);
        int baseline = found.selection.names().indexOf(found.query.baseline());
        if (baseline < 0) {
            return List.of();
        }
        String name = currentName(found.query.of(), unit, found.selection);
        List<FindingsView.BehindView> behind = new ArrayList<>();
        StayCount stayed = stayed(found.selection.log());
        Drift.of(found.selection.trip(), found.query.criterion(), found.selection.names(), baseline).stream()
                .filter(d -> d.unit().equals(name))
                .flatMap(d -> d.points().stream())
                .forEach(p -> {
                    StayTime stay = stayed.times.get(p.stay());
                    behind.add(
                            0,
                            new FindingsView.BehindView(
                                    stay == null ? null : stay.id(),
                                    stayed.campsite(p.stay()),
                                    stay == null ? null : stay.arrivedAt(),
                                    stay == null ? null : stay.leftAt(),
                                    p.blocks(),
                                    found.query.criterion().scale().off(p.value())));
                });
        return behind;
    }

    /** The stays of a log by their numbers, with the names of their campsites. */
    record StayCount(Map<Long, StayTime> times, Map<Long, String> names) {
        /** The campsite of a stay, or of what is in none, by its number less than 0. */
        String campsite(long stay) {
            StayTime time = times.get(stay);
            return names.getOrDefault(time == null ? -stay : time.campsiteId(), "");
        }
    }

    StayCount stayed(TripLog.Snapshot log) {
        Map<Long, StayTime> times = new HashMap<>();
        log.times().forEach(t -> times.put(t.id(), t));
        return new StayCount(times, campsites.names());
    }
}
