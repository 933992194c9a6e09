package syntoma.app.exchange;

import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StayDates;
import syntoma.app.campsite.StayDates.Dates;
import syntoma.app.campsite.StayTime;
import syntoma.app.campsite.Visits;
import syntoma.app.measurement.MeasurementReader;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Register;
import syntoma.core.place.Coordinates;
import syntoma.core.place.Surroundings;
import syntoma.core.unit.Text;

/**
 * Stays in and out of files of places. A file is read as a whole before anything is kept, and kept some places at a time, so that others
 * get to save in between.
 */
@Service
class StayFiles {
    /** More are no trip, but a list of places from elsewhere. */
    private static final int MOST_PLACES = 5_000;

    private static final int AT_A_TIME = 50;

    private final Campsites campsites;
    private final Visits visits;
    private final StayDates dates;
    private final TransactionTemplate transaction;

    StayFiles(Campsites campsites, Visits visits, StayDates dates, PlatformTransactionManager manager) {
        this.transaction = new TransactionTemplate(manager);
        this.campsites = campsites;
        this.visits = visits;
        this.dates = dates;
    }

    /** What of a file was not taken in; {@code item} counts from 1, and is 0 where it stands for several. */
    record RejectedPlace(int item, String name, String message) {}

    /** What became of a file of places. */
    record PlacesReport(int accepted, int duplicates, List<RejectedPlace> rejected, List<String> createdCampsites) {}

    /** All stays in the order of their arrival. */
    @Transactional(readOnly = true)
    List<StayPoint> all() {
        Map<Long, Place> places = new HashMap<>();
        campsites.all().forEach(p -> places.put(p.id(), p));
        List<StayPoint> points = new ArrayList<>();
        for (StayTime stay : visits.times()) {
            Place place = places.get(stay.campsiteId());
            if (place != null) {
                points.add(new StayPoint(
                        place.name(),
                        place.lat(),
                        place.lon(),
                        stay.arrivedAt(),
                        stay.leftAt(),
                        stay.leftAt() == null,
                        place.surroundings(),
                        null));
            }
        }
        return points;
    }

    /** Takes the waypoints of a file in; those that cannot be read are counted as one line. */
    PlacesReport takeIn(GpxFile.Waypoints file) {
        PlacesReport report = takeIn(file.points());
        if (file.unread() == 0) {
            return report;
        }
        List<RejectedPlace> rejected = new ArrayList<>(report.rejected);
        rejected.add(new RejectedPlace(
                0,
                "",
                Text.count(file.unread(), "waypoint")
                        + " cannot be read; allowed are lat from −90 to 90 and lon from −180 to 180"));
        return new PlacesReport(report.accepted, report.duplicates, rejected, report.createdCampsites);
    }

    /** Takes places in, one by one: the good ones are kept, the others are said with the reason. */
    PlacesReport takeIn(List<StayPoint> points) {
        if (points.size() > MOST_PLACES) {
            throw new InvalidInputException(
                    "places",
                    "the file has " + points.size() + " places; allowed are up to " + MOST_PLACES + ". Split it");
        }
        StayIntake intake = new StayIntake();
        for (int from = 0; from < points.size(); from += AT_A_TIME) {
            int begin = from;
            int end = Math.min(points.size(), from + AT_A_TIME);
            transaction.executeWithoutResult(status -> intake.take(points, begin, end));
        }
        return new PlacesReport(intake.accepted, intake.duplicates, intake.rejected, List.copyOf(intake.created));
    }

    /** What has become of a file so far. */
    private final class StayIntake {
        /** Read before any transaction, so that none has to look through all of them at each step. */
        private final Map<Long, Place> known = new HashMap<>();

        private final Set<String> created = new LinkedHashSet<>();
        private final List<RejectedPlace> rejected = new ArrayList<>();
        private int accepted;
        private int duplicates;

        private StayIntake() {
            campsites.all().forEach(p -> known.put(p.id(), p));
        }

        private void take(List<StayPoint> points, int from, int to) {
            for (int i = from; i < to; i++) {
                StayPoint point = points.get(i);
                try {
                    boolean added = takeIn(point, known, created);
                    accepted += added ? 1 : 0;
                    duplicates += added ? 0 : 1;
                } catch (IllegalArgumentException refused) {
                    rejected.add(new RejectedPlace(
                            i + 1,
                            point.campsite() == null ? "" : Text.shortened(point.campsite()),
                            refused.getMessage()));
                }
            }
        }
    }

    /** Whether anything of it was new. */
    private boolean takeIn(StayPoint point, Map<Long, Place> places, Set<String> created) {
        String name = Text.name("name", point.campsite(), Register.LONGEST_NAME);
        if (point.lat() != null && point.lon() != null) {
            new Coordinates(point.lat().doubleValue(), point.lon().doubleValue());
        }
        if (point.problem() != null) {
            throw new IllegalArgumentException(point.problem());
        }
        check(point);
        Optional<Place> known = campsites.find(name).map(places::get);
        if (point.arrivedAt() != null
                && known.isPresent()
                && isThere(known.get().id(), point)) {
            return place(known.get(), point, places);
        }
        long campsite =
                known.map(Place::id).orElseGet(() -> campsites.number(name, text(point.lat()), text(point.lon())));
        if (point.arrivedAt() != null) {
            Dates wanted = new Dates(campsite, point.arrivedAt(), point.leftAt(), true);
            dates.inTheWay(wanted).ifPresent(other -> {
                throw new IllegalArgumentException("it overlaps the stay at " + dates.place(other) + " from "
                        + other.arrivedAt() + " to " + (other.leftAt() == null ? "now" : other.leftAt()));
            });
            dates.add(wanted);
        }
        boolean placed = known.isPresent() && place(known.get(), point, places);
        if (known.isEmpty()) {
            created.add(name);
            if (point.surroundings() != null) {
                campsites.describe(campsite, Optional.empty(), surroundings(point.surroundings()));
            }
            places.put(campsite, campsites.of(name));
        }
        return point.arrivedAt() != null || placed || known.isEmpty();
    }

    private static List<String> surroundings(String text) {
        return Arrays.stream(text.split(","))
                .map(word -> Surroundings.fromLabel(word.strip()).word())
                .toList();
    }

    private static void check(StayPoint point) {
        for (OffsetDateTime at : new OffsetDateTime[] {point.arrivedAt(), point.leftAt()}) {
            if (at != null
                    && (at.getYear() < MeasurementReader.FIRST_YEAR || at.getYear() > MeasurementReader.LAST_YEAR)) {
                throw new IllegalArgumentException("its time is in the year " + at.getYear() + "; allowed is "
                        + MeasurementReader.FIRST_YEAR + " to " + MeasurementReader.LAST_YEAR);
            }
        }
        if (point.arrivedAt() != null
                && point.leftAt() != null
                && point.leftAt().isBefore(point.arrivedAt())) {
            throw new IllegalArgumentException(
                    "leftAt is " + point.leftAt() + ", before the arrival at " + point.arrivedAt());
        }
    }

    /** Says where a campsite is that was not known to be anywhere; whether that was new. */
    private boolean place(Place known, StayPoint point, Map<Long, Place> places) {
        if (known.lat() != null || point.lat() == null || point.lon() == null) {
            return false;
        }
        campsites.describe(
                known.id(),
                Optional.of(
                        new Coordinates(point.lat().doubleValue(), point.lon().doubleValue())),
                List.of());
        places.put(known.id(), campsites.of(known.name()));
        return true;
    }

    private boolean isThere(long campsite, StayPoint point) {
        return dates.at(campsite).stream()
                .anyMatch(d -> d.arrivedAt().isEqual(point.arrivedAt()) && isSame(d.leftAt(), point.leftAt())
                        || !point.open()
                                && Objects.equals(point.arrivedAt(), point.leftAt())
                                && d.covers(point.arrivedAt(), point.arrivedAt()));
    }

    private static boolean isSame(@Nullable OffsetDateTime one, @Nullable OffsetDateTime other) {
        return one == null ? other == null : other != null && one.isEqual(other);
    }

    private static String text(@Nullable BigDecimal degrees) {
        return degrees == null ? "" : degrees.toPlainString();
    }
}
