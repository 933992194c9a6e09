package syntoma.app.campsite;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** When something was measured where, which stays follow from; answered by the log. */
public interface Moments {
    /** A measurement's place and time. */
    record Moment(long campsite, OffsetDateTime at) {}

    /** What stays need to know of a measurement that comes or goes. */
    record MeasuredMoment(long campsite, OffsetDateTime at, long setup, boolean hasSucceeded) {}

    /** How much was measured with a setup. */
    record Count(long setup, long measurements, long failures) {}

    /** Gives all moments between two, both included, the latest first. */
    void between(OffsetDateTime from, OffsetDateTime to, Consumer<Moment> each);

    /** The moment that so many measurements up to another lie after; empty when there are not so many. */
    Optional<OffsetDateTime> countedBack(OffsetDateTime to, int count);

    /** The last moment before another. */
    Optional<Moment> lastBefore(OffsetDateTime at);

    /** The first moment after another. */
    Optional<Moment> firstAfter(OffsetDateTime at);

    /** A moment in the time of the place, as a measurement of that moment has it. */
    OffsetDateTime local(long campsite, Instant at);

    /** How much was measured at a campsite between two moments, both included, by setup. */
    List<Count> counts(long campsite, OffsetDateTime from, OffsetDateTime to);
}
