package syntoma.app.pitch;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.PhoneLevels;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.campsite.Visit;
import syntoma.app.campsite.Visits;
import syntoma.app.gear.Cards;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.need.Carriers;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Optionals;
import syntoma.app.platform.Register;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.app.state.RigStates;
import syntoma.core.place.Coordinates;
import syntoma.core.place.Surroundings;
import syntoma.core.reading.Figure;
import syntoma.core.reading.PhoneLevel;
import syntoma.core.state.Leaving;
import syntoma.core.unit.Median;

/** Arriving: where, what it is like, what phones show, and what held there last time. */
@Service
@Transactional
class ArrivalService {
    private static final double NEAR_KM = 30;
    private static final int MOST_NEAR = 6;
    private static final int MOST_CARRIERS = 20;

    private final Campsites campsites;
    private final Visits visits;
    private final StandingService standing;
    private final PhoneLevels phones;
    private final Carriers carriers;
    private final Cards cards;
    private final Setups setups;
    private final Measurements measurements;
    private final RigStates states;
    private final Clock clock;

    ArrivalService(
            Campsites campsites,
            Visits visits,
            StandingService standing,
            PhoneLevels phones,
            Carriers carriers,
            Cards cards,
            Setups setups,
            Measurements measurements,
            RigStates states,
            Clock clock) {
        this.campsites = campsites;
        this.visits = visits;
        this.standing = standing;
        this.phones = phones;
        this.carriers = carriers;
        this.cards = cards;
        this.setups = setups;
        this.measurements = measurements;
        this.states = states;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    ArrivalView look(@Nullable String campsite, @Nullable String coordinates) {
        Optional<Coordinates> at = Optional.empty();
        String problem = null;
        if (coordinates != null && !coordinates.isBlank()) {
            try {
                at = Optional.of(Coordinates.read(coordinates));
            } catch (IllegalArgumentException refused) {
                problem = refused.getMessage();
            }
        }
        List<Place> all = campsites.all();
        Set<String> networks = new LinkedHashSet<>(cards.byCarrier().keySet());
        carriers.all().forEach(c -> networks.add(c.name()));
        return new ArrivalView(
                at.map(Coordinates::lat).orElse(null),
                at.map(Coordinates::lon).orElse(null),
                problem,
                at.map(here -> nearViews(all, here)).orElse(List.of()),
                all.stream()
                        .filter(p -> p.name().equals(campsite))
                        .findFirst()
                        .map(this::last)
                        .orElse(null),
                Surroundings.words(),
                networks.stream().limit(MOST_CARRIERS).toList(),
                askMast());
    }

    @Nullable
    private String askMast() {
        List<String> up = states.raisedAntennas();
        return up.isEmpty() ? null : Leaving.question(up);
    }

    private static List<ArrivalView.NearView> nearViews(List<Place> all, Coordinates here) {
        return all.stream()
                .filter(p -> p.lat() != null && p.lon() != null)
                .map(p -> new ArrivalView.NearView(
                        p.name(), new Coordinates(p.lat().doubleValue(), p.lon().doubleValue()).km(here)))
                .filter(n -> n.km() <= NEAR_KM)
                .sorted(Comparator.comparingDouble(ArrivalView.NearView::km))
                .limit(MOST_NEAR)
                .toList();
    }

    @Nullable
    private ArrivalView.LastView last(Place place) {
        List<Visit> there =
                visits.all().stream().filter(v -> v.campsiteId() == place.id()).toList();
        if (there.isEmpty()) {
            return null;
        }
        List<LoggedMeasurement> made = measurements.list(Selection.at(place.id()));
        Map<String, SetupName> named =
                setups.all().stream().collect(Collectors.toMap(SetupName::name, Function.identity()));
        List<ArrivalView.DidView> did = made.stream()
                .collect(Collectors.groupingBy(m -> List.of(m.setup(), Objects.toString(m.carrier(), ""))))
                .values()
                .stream()
                .map(runs -> new ArrivalView.DidView(
                        named.get(runs.get(0).setup()),
                        runs.get(0).carrier(),
                        runs.size(),
                        (int) runs.stream().filter(m -> !m.hasSucceeded()).count(),
                        median(runs, Figure.DOWN_MBPS),
                        median(runs, Figure.UP_MBPS)))
                .sorted(Comparator.comparing((ArrivalView.DidView d) -> d.up() == null ? 0 : -d.up()))
                .toList();
        OffsetDateTime until = Optional.ofNullable(there.get(0).leftAt())
                .orElseGet(() -> made.isEmpty()
                        ? there.get(0).arrivedAt()
                        : made.get(made.size() - 1).takenAt());
        return new ArrivalView.LastView(there.size(), until, place.surroundings(), did);
    }

    @Nullable
    private static Double median(List<LoggedMeasurement> runs, Figure figure) {
        return Optionals.boxed(Median.ofAny(runs.stream()
                .filter(LoggedMeasurement::hasSucceeded)
                .flatMapToDouble(m -> m.number(figure).stream())
                .toArray()));
    }

    StandingLine arrive(ArrivalController.ArrivalRequest request) {
        String name = Register.name("campsite", Objects.requireNonNullElse(request.campsite(), ""));
        Optional<Coordinates> at = Optional.ofNullable(request.coordinates())
                .filter(text -> !text.isBlank())
                .map(text -> InvalidInputException.naming("coordinates", () -> Coordinates.read(text)));
        List<String> surroundings = Objects.requireNonNullElse(request.surroundings(), List.<String>of()).stream()
                .map(word -> InvalidInputException.naming(
                        "surroundings", () -> Surroundings.fromLabel(Objects.requireNonNullElse(word, ""))
                                .word()))
                .distinct()
                .toList();
        StandingLine before = standing.line();
        StandingLine line = request.again() || !name.equals(before.campsite()) ? standing.arrive(name) : before;
        if (request.mastDown() != null) {
            states.answer(request.mastDown());
        }
        campsites.describe(campsites.of(line.campsite()).id(), at, surroundings);
        List<ArrivalController.PhoneRequest> shown =
                Objects.requireNonNullElse(request.phones(), List.<ArrivalController.PhoneRequest>of());
        for (int i = 0; i < shown.size(); i++) {
            note(line.stay(), shown.get(i), "phones[" + i + "]");
        }
        return standing.line();
    }

    private void note(long stay, @Nullable ArrivalController.PhoneRequest shown, String field) {
        if (shown == null) {
            throw new InvalidInputException(field, field + " is missing");
        }
        String name = InvalidInputException.naming(
                field + ".carrier", () -> Carriers.name("carrier", Objects.requireNonNullElse(shown.carrier(), "")));
        level(shown.outside(), field + ".outside").ifPresent(l -> keep(stay, name, false, l));
        level(shown.inside(), field + ".inside").ifPresent(l -> keep(stay, name, true, l));
    }

    private void keep(long stay, String carrier, boolean inside, PhoneLevel level) {
        phones.note(stay, carriers.number(carrier), inside, level, OffsetDateTime.now(clock));
    }

    private static Optional<PhoneLevel> level(@Nullable String text, String field) {
        return Optional.ofNullable(text)
                .filter(t -> !t.isBlank())
                .map(t -> InvalidInputException.naming(field, () -> PhoneLevel.read(t)));
    }
}
