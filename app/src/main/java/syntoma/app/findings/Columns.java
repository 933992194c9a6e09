package syntoma.app.findings;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;
import syntoma.app.measurement.LogColumns;
import syntoma.core.trial.Attempts;
import syntoma.core.trial.Outcome;

/**
 * The log column by column, each measurement by its place in the order in which it was written. Grows at its end; what was handed out
 * stays as it was.
 */
final class Columns {
    /** Of a measurement without a carrier, band or trial. */
    static final int NONE = Attempts.NONE;

    private static final int FIRST_ROOM = 1024;

    private int size;
    private int[] ids = new int[FIRST_ROOM];
    private long[] atNanos = new long[FIRST_ROOM];
    private int[] campsites = new int[FIRST_ROOM];
    private int[] setups = new int[FIRST_ROOM];
    private int[] carriers = new int[FIRST_ROOM];
    private int[] bands = new int[FIRST_ROOM];
    private int[] trials = new int[FIRST_ROOM];
    private int[] rounds = new int[FIRST_ROOM];
    private boolean[] hasSucceeded = new boolean[FIRST_ROOM];
    private byte[] hours = new byte[FIRST_ROOM];
    private final List<String> bandNames = new ArrayList<>();
    private final Map<String, Integer> bandNumbers = new HashMap<>();
    private final Map<TrialKey, Integer> trialNumbers = new HashMap<>();

    private record TrialKey(long campsite, String name) {}

    void add(LogColumns.Attempt a) {
        if (size == ids.length) {
            grow(size + (size >> 1));
        }
        ids[size] = Math.toIntExact(a.id());
        atNanos[size] = nanos(a.takenAt());
        campsites[size] = a.campsite().intValue();
        setups[size] = a.setup().intValue();
        carriers[size] = a.carrier() == null ? NONE : a.carrier().intValue();
        bands[size] = band(a.band());
        boolean inTrial = a.trial() != null && a.round() != null;
        trials[size] = inTrial
                ? trialNumbers.computeIfAbsent(new TrialKey(a.campsite(), a.trial()), k -> trialNumbers.size())
                : NONE;
        rounds[size] = inTrial ? a.round() : 0;
        hasSucceeded[size] = a.outcome().equals(Outcome.OK.label());
        hours[size] = (byte) a.takenAt().getHour();
        size++;
    }

    static long nanos(OffsetDateTime at) {
        return Attempts.nanos(at.toInstant());
    }

    private int band(@Nullable String name) {
        return name == null
                ? NONE
                : bandNumbers.computeIfAbsent(name, n -> {
                    bandNames.add(n);
                    return bandNames.size() - 1;
                });
    }

    private void grow(int room) {
        ids = Arrays.copyOf(ids, room);
        atNanos = Arrays.copyOf(atNanos, room);
        campsites = Arrays.copyOf(campsites, room);
        setups = Arrays.copyOf(setups, room);
        carriers = Arrays.copyOf(carriers, room);
        bands = Arrays.copyOf(bands, room);
        trials = Arrays.copyOf(trials, room);
        rounds = Arrays.copyOf(rounds, room);
        hasSucceeded = Arrays.copyOf(hasSucceeded, room);
        hours = Arrays.copyOf(hours, room);
    }

    /** Gives back what room there is beyond the end, but for a little. */
    void trim() {
        grow(size + FIRST_ROOM);
    }

    int size() {
        return size;
    }

    /** The number of the last measurement; 0 where there is none. */
    long last() {
        return size == 0 ? 0 : ids[size - 1];
    }

    /** The place of a measurement, from another place on; below 0 where it is not there. */
    int place(long id, int from) {
        return id != (int) id ? NONE : Arrays.binarySearch(ids, from, size, (int) id);
    }

    long id(int place) {
        return ids[place];
    }

    long atNanos(int place) {
        return atNanos[place];
    }

    Instant at(int place) {
        return Instant.ofEpochSecond(0, atNanos[place]);
    }

    int campsite(int place) {
        return campsites[place];
    }

    int setup(int place) {
        return setups[place];
    }

    int carrier(int place) {
        return carriers[place];
    }

    int band(int place) {
        return bands[place];
    }

    List<String> bands() {
        return bandNames;
    }

    int trial(int place) {
        return trials[place];
    }

    int round(int place) {
        return rounds[place];
    }

    boolean hasSucceeded(int place) {
        return hasSucceeded[place];
    }

    /** The hour on the campsite’s clock. */
    int hour(int place) {
        return hours[place];
    }
}
