package syntoma.app.campsite;

import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.Setups;

/** The visits to campsites, read from what was counted and not from the log. */
@Service
@Transactional(readOnly = true)
public class Visits {
    private final Campsites campsites;
    private final Setups setups;
    private final Stays stays;
    private final StayTallies tallies;
    private final Edits edits;

    Visits(Campsites campsites, Setups setups, Stays stays, StayTallies tallies, Edits edits) {
        this.campsites = campsites;
        this.setups = setups;
        this.stays = stays;
        this.tallies = tallies;
        this.edits = edits;
    }

    /** A stretch of time, both ends included. */
    public record Span(OffsetDateTime from, OffsetDateTime to) {}

    /** All visits, the latest first. */
    public List<Visit> all() {
        Map<Long, String> places = campsites.names();
        Map<Long, String> names = setups.names();
        Map<Long, List<StayTally>> perStay = tallies.perStay();
        Map<Long, Integer> versions = edits.versions(Edits.Kind.STAY);
        return stays.all().stream()
                .sorted(Comparator.comparing((Stay s) -> s.arrivedAt).reversed())
                .map(stay -> {
                    List<StayTally> counted = perStay.getOrDefault(stay.id, List.of());
                    return new Visit(
                            stay.id,
                            stay.campsiteId,
                            places.get(stay.campsiteId),
                            stay.arrivedAt,
                            stay.leftAt,
                            counted.stream().mapToLong(t -> t.measured).sum(),
                            counted.stream().mapToLong(t -> t.failed).sum(),
                            counted.stream()
                                    .map(t -> names.get(t.setupId))
                                    .distinct()
                                    .toList(),
                            stay.stated,
                            versions.getOrDefault(stay.id, 0));
                })
                .toList();
    }

    /**
     * One visit; the number of one that has become part of another leads to that.
     *
     * @throws NotFoundException when there is none
     */
    public Visit of(long id) {
        return stays.current(id)
                .flatMap(number -> all().stream().filter(v -> v.id() == number).findFirst())
                .orElseThrow(() -> new NotFoundException("no stay has the number " + id));
    }

    /** All stays with their times alone. */
    public List<StayTime> times() {
        return stays.all().stream()
                .map(s -> new StayTime(s.id, s.campsiteId, s.arrivedAt, s.leftAt))
                .toList();
    }

    /**
     * A stretch of time in which the latest measurements lie, so that who looks for them need not pass by the many that an
     * import has not finished with; empty where that is not known.
     *
     * @param count how many of the latest are looked for
     */
    public Optional<Span> spanOfLatest(int count) {
        if (stays.isDue()) {
            return Optional.empty();
        }
        OffsetDateTime from = null;
        OffsetDateTime to = null;
        long counted = 0;
        for (StayTallies.Sum stay : tallies.sums()) {
            OffsetDateTime left = stay.leftAt() == null ? Stays.EVER : stay.leftAt();
            to = to == null || left.isAfter(to) ? left : to;
            // a measurement on the border of two stays is counted in both, so twice as many are enough for sure
            if (counted < 2L * count) {
                from = stay.arrivedAt();
                counted += stay.measurements();
            }
        }
        return from == null ? Optional.empty() : Optional.of(new Span(from, to));
    }
}
