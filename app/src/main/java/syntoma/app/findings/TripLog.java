package syntoma.app.findings;

import java.lang.ref.SoftReference;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.StayTime;
import syntoma.app.campsite.Visits;
import syntoma.app.history.Journal;
import syntoma.app.measurement.LogColumns;
import syntoma.app.store.Revision;
import syntoma.app.store.StoreEmptiedEvent;
import syntoma.app.store.StoreRestoredEvent;
import syntoma.core.reading.Figure;

/**
 * The whole log in memory, column by column, kept until it changes: what is logged is added at its end, after any other change it is
 * read again. Figures are read when they are asked for, the latest few are kept.
 */
@Component
class TripLog {
    /** The level and two more: 16 MB each at two million measurements. */
    private static final int MOST_FIGURES = 3;

    private final LogColumns log;
    private final Visits visits;
    private final Journal journal;
    private final Revision revision;

    /** Given back before memory runs out: it can be read again. */
    private SoftReference<Snapshot> latest = new SoftReference<>(null);

    TripLog(LogColumns log, Visits visits, Journal journal, Revision revision) {
        this.log = log;
        this.visits = visits;
        this.journal = journal;
        this.revision = revision;
    }

    /**
     * The log at one moment.
     *
     * @param order the places of its measurements in the order of time
     * @param stays the number of the stay of each place; of one in none, its campsite’s number less than 0
     */
    final class Snapshot {
        private final long number;
        private final Journal.Mark mark;
        private final Columns columns;
        private final int size;
        private final List<StayTime> times;
        private final int[] order;
        private final int[] stays;
        private final List<String> bands;
        private final Map<Figure, double[]> figures;

        private Snapshot(
                long number,
                Journal.Mark mark,
                Columns columns,
                List<StayTime> times,
                @Nullable int[] staysBefore,
                Map<Figure, double[]> figures) {
            this.number = number;
            this.mark = mark;
            this.columns = columns;
            this.size = columns.size();
            this.times = times;
            this.order = inOrder(columns);
            this.stays = stays(columns, times, staysBefore);
            this.bands = List.copyOf(columns.bands());
            this.figures = figures;
        }

        /** The bands that there are, by their numbers. */
        List<String> bands() {
            return bands;
        }

        Columns columns() {
            return columns;
        }

        int size() {
            return size;
        }

        /** The measurement that is the i-th in time. */
        int at(int i) {
            return order[i];
        }

        int stay(int place) {
            return stays[place];
        }

        List<StayTime> times() {
            return times;
        }

        /** The values of a figure by place; NaN where there is none. */
        double[] figure(Figure figure) {
            synchronized (TripLog.this) {
                double[] known = figures.get(figure);
                int from = known == null ? 0 : known.length;
                double[] values = known == null || from < size ? new double[size] : known;
                if (values != known) {
                    if (known != null) {
                        System.arraycopy(known, 0, values, 0, from);
                    }
                    Arrays.fill(values, from, size, Double.NaN);
                    int[] place = {from};
                    log.numbers(figure, from == 0 ? 0 : columns.id(from - 1), n -> {
                        int at = columns.place(n.id(), place[0]);
                        if (at >= 0 && at < size) {
                            values[at] = n.value();
                            place[0] = at + 1;
                        }
                    });
                    figures.put(figure, values);
                }
                return values;
            }
        }
    }

    /** The log as it is now. */
    synchronized Snapshot snapshot() {
        long number = revision.number();
        Snapshot kept = latest.get();
        if (kept != null && kept.number == number) {
            return kept;
        }
        Journal.Mark mark = journal.mark();
        List<StayTime> times = visits.times();
        long count = log.count();
        if (kept != null && kept.mark.equals(mark) && count >= kept.size) {
            Columns columns = kept.columns;
            log.attempts(columns.last(), columns::add);
            if (columns.size() == count) {
                return keep(new Snapshot(
                        number, mark, columns, times, kept.times.equals(times) ? kept.stays : null, kept.figures));
            }
        }
        kept = null;
        latest.clear();
        Columns columns = new Columns();
        log.attempts(0, columns::add);
        columns.trim();
        return keep(new Snapshot(number, mark, columns, times, null, figures()));
    }

    private Snapshot keep(Snapshot snapshot) {
        latest = new SoftReference<>(snapshot);
        return snapshot;
    }

    /** What is kept is of another log. */
    @EventListener({StoreEmptiedEvent.class, StoreRestoredEvent.class})
    public synchronized void forget() {
        latest.clear();
    }

    private static Map<Figure, double[]> figures() {
        return new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<Figure, double[]> eldest) {
                return size() > MOST_FIGURES;
            }
        };
    }

    private static int[] inOrder(Columns columns) {
        int size = columns.size();
        int[] order = new int[size];
        boolean sorted = true;
        for (int i = 0; i < size; i++) {
            order[i] = i;
            sorted &= i == 0 || columns.atNanos(i - 1) <= columns.atNanos(i);
        }
        return sorted ? order : byTime(columns, order);
    }

    /** Merges the runs that are in order already, as a log that was imported in pieces has them. */
    private static int[] byTime(Columns columns, int[] order) {
        Integer[] boxed = new Integer[order.length];
        for (int i = 0; i < boxed.length; i++) {
            boxed[i] = i;
        }
        Arrays.sort(boxed, Comparator.comparingLong(columns::atNanos));
        for (int i = 0; i < boxed.length; i++) {
            order[i] = boxed[i];
        }
        return order;
    }

    private static int[] stays(Columns columns, List<StayTime> times, @Nullable int[] before) {
        int[] stays = new int[columns.size()];
        int from = 0;
        if (before != null) {
            System.arraycopy(before, 0, stays, 0, before.length);
            from = before.length;
        }
        Map<Long, List<Span>> perCampsite = new HashMap<>();
        for (StayTime time : times) {
            perCampsite
                    .computeIfAbsent(time.campsiteId(), c -> new ArrayList<>())
                    .add(new Span(
                            (int) time.id(),
                            Columns.nanos(time.arrivedAt()),
                            time.leftAt() == null ? Long.MAX_VALUE : Columns.nanos(time.leftAt())));
        }
        perCampsite.values().forEach(spans -> spans.sort(Comparator.comparingLong(Span::from)));
        for (int i = from; i < stays.length; i++) {
            stays[i] = stay(
                    perCampsite.getOrDefault((long) columns.campsite(i), List.of()),
                    columns.atNanos(i),
                    -columns.campsite(i));
        }
        return stays;
    }

    private record Span(int stay, long from, long to) {}

    private static int stay(List<Span> spans, long at, int none) {
        int low = 0;
        int high = spans.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (spans.get(middle).from <= at) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        for (int i = low - 1; i >= 0 && i >= low - 2; i--) {
            if (at <= spans.get(i).to) {
                return spans.get(i).stay;
            }
        }
        return none;
    }
}
