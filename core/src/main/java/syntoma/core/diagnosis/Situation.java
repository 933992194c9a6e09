package syntoma.core.diagnosis;

import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Predicate;
import syntoma.core.chain.Source;
import syntoma.core.unit.Median;

/**
 * All that is known where it is slow.
 *
 * @param setup in use
 * @param carrier in use
 * @param campsite where the vehicle stands
 * @param stay the visit
 * @param runs the log, at other campsites too
 * @param phoneOutsideDbm what a phone showed outside; empty where nobody looked
 * @param phoneInsideDbm the same inside
 * @param heardLess what the whole trip says of the setup in use, stay by stay; empty where it hears as it always did
 */
public record Situation(
        String setup,
        String carrier,
        long campsite,
        long stay,
        OffsetDateTime now,
        List<ObservedRun> runs,
        OptionalDouble phoneOutsideDbm,
        OptionalDouble phoneInsideDbm,
        OfChain chain,
        OfPlan plan,
        Optional<HeardLess> heardLess) {
    /** What is older says nothing of now; chosen so that an evening and the day before it are in. */
    private static final Duration LATELY = Duration.ofHours(30);

    private static final int LATEST = 8;

    /**
     * What is known of the chain in use.
     *
     * @param inside whether it hears from inside the shell; empty where that is not known
     * @param leads connected for cellular
     * @param streams usable; empty where that is not known
     * @param hasBooster whether it has one
     * @param boosterReports that it oscillates or is overloaded, in its words; empty text for nothing
     * @param source what it draws on
     * @param shortDb by how much it was measured beneath its prediction at least, in dB; 0 where it was not
     */
    public record OfChain(
            Optional<Boolean> inside,
            int leads,
            OptionalInt streams,
            boolean hasBooster,
            String boosterReports,
            Source source,
            double shortDb) {
        public static final OfChain UNKNOWN =
                new OfChain(Optional.empty(), 0, OptionalInt.empty(), false, "", Source.CELLULAR, 0);
    }

    /** That a setup hears less since some day, compared with the others at the same stays. @param db by so much */
    public record HeardLess(LocalDate since, double db) {}

    /**
     * What is known of the plan of the SIM in use.
     *
     * @param usedGb this month, as far as it was counted
     */
    public record OfPlan(OptionalDouble capMbps, OptionalDouble allowanceGb, double usedGb) {
        public static final OfPlan UNKNOWN = new OfPlan(OptionalDouble.empty(), OptionalDouble.empty(), 0);
    }

    /** What was measured lately at this stay with the setup and carrier in use, the latest last. */
    List<ObservedRun> lately() {
        return last(s -> isInUse(s) && s.stay() == stay);
    }

    /** The same with any setup on the carrier. */
    List<ObservedRun> latelyOnCarrier() {
        return last(s -> s.carrier().equals(carrier) && s.stay() == stay);
    }

    private List<ObservedRun> last(Predicate<ObservedRun> which) {
        List<ObservedRun> all = runs.stream()
                .filter(which)
                .filter(s ->
                        !s.at().isAfter(now) && Duration.between(s.at(), now).compareTo(LATELY) <= 0)
                .sorted(Comparator.comparing(ObservedRun::at))
                .toList();
        return all.subList(Math.max(0, all.size() - LATEST), all.size());
    }

    boolean isInUse(ObservedRun s) {
        return s.setup().equals(setup) && s.carrier().equals(carrier);
    }

    /** What was measured here, at this stay and earlier ones. */
    List<ObservedRun> runsHere(Predicate<ObservedRun> which) {
        return runs.stream()
                .filter(s -> s.campsite() == campsite && which.test(s))
                .toList();
    }

    /** The median of what some measurements have; empty where none has it. */
    static OptionalDouble median(List<ObservedRun> of, Function<ObservedRun, OptionalDouble> figure) {
        return Median.ofAny(
                of.stream().flatMapToDouble(s -> figure.apply(s).stream()).toArray());
    }

    /** How many of some measurements have a figure. */
    static int count(List<ObservedRun> of, Function<ObservedRun, OptionalDouble> figure) {
        return (int) of.stream().filter(s -> figure.apply(s).isPresent()).count();
    }
}
