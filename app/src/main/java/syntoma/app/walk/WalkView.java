package syntoma.app.walk;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.app.platform.Optionals;
import syntoma.app.reference.Ladder;
import syntoma.core.caution.Caution;
import syntoma.core.reading.RadioMetric;
import syntoma.core.unit.Values;
import syntoma.core.verdict.Walk;

/**
 * A walk on one metric.
 *
 * @param endedAt null while it goes on
 * @param headline what it came to; null while it goes on, because looking at it after every mark would find differences that are
 *     none
 * @param places the best first
 * @param marksForVerdict how many each place needs
 * @param lacking marks that have no such metric
 */
record WalkView(
        long id,
        @Nullable String campsite,
        @Nullable String setup,
        @Nullable String carrier,
        OffsetDateTime beganAt,
        @Nullable OffsetDateTime endedAt,
        String metric,
        String unit,
        @Nullable String headline,
        List<PlaceView> places,
        int marksForVerdict,
        int lacking,
        String caution) {

    /**
     * A place with its marks.
     *
     * @param ladder the mean of its marks, and their spread
     * @param against the best place; null for that itself, and while the walk goes on
     */
    record PlaceView(String name, Ladder ladder, List<MarkView> marks, @Nullable AgainstBest against) {}

    /** A mark, the mean of so many readings of one cell. */
    record MarkView(long id, OffsetDateTime takenAt, BigDecimal value, @Nullable String band, int readings) {}

    /** How much less a place has than the best one, and how sure that is. */
    record AgainstBest(
            int pairs,
            @Nullable Double estimate,
            @Nullable Double low,
            @Nullable Double high,
            double level,
            String verdict,
            String sentence) {}

    static WalkView of(StoredWalk walked, List<StoredMark> marks, WalkMetric on) {
        List<StoredMark> there = marks.stream().filter(m -> on.of(m) != null).toList();
        Walk walk = new Walk(
                on.figure(),
                there.stream().map(m -> mark(m, on, walked.beganAt)).toList());
        boolean over = walked.endedAt != null;
        Map<String, Walk.Against> against = over
                ? walk.differences().stream().collect(Collectors.toMap(Walk.Against::place, Function.identity()))
                : Map.of();
        List<PlaceView> places = new ArrayList<>();
        for (Walk.Place place : walk.places()) {
            List<MarkView> own = there.stream()
                    .filter(m -> m.place.equals(place.name()))
                    .map(m -> new MarkView(m.id, m.takenAt, Values.decimal(on.of(m), 1), m.band, m.readings))
                    .toList();
            AgainstBest best = Optional.ofNullable(against.get(place.name()))
                    .map(a -> best(walk, a))
                    .orElse(null);
            places.add(new PlaceView(place.name(), ladder(place, on.radio()), own, best));
        }
        return new WalkView(
                walked.id,
                walked.campsite,
                walked.setup,
                walked.carrier,
                walked.beganAt,
                walked.endedAt,
                on.key(),
                on.radio().unit(),
                over ? walk.headline() : null,
                places,
                Walk.FEWEST,
                marks.size() - there.size(),
                Caution.WALKING.says());
    }

    private static Walk.Mark mark(StoredMark m, WalkMetric on, OffsetDateTime beganAt) {
        double atS = Duration.between(beganAt, m.takenAt).toMillis() / 1e3;
        return new Walk.Mark(m.place, atS, on.of(m), Optional.ofNullable(m.band));
    }

    private static Ladder ladder(Walk.Place place, RadioMetric metric) {
        return Ladder.of(
                metric,
                Values.decimal(place.mean(), 1),
                new Ladder.Spread(place.low(), place.mean(), place.high()),
                null);
    }

    private static AgainstBest best(Walk walk, Walk.Against a) {
        return new AgainstBest(
                a.pairs(),
                Optionals.boxed(a.estimate()),
                Optionals.boxed(a.low()),
                Optionals.boxed(a.high()),
                a.level(),
                a.verdict().key(),
                walk.sentence(a));
    }
}
