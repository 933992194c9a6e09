package syntoma.app.findings;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import syntoma.app.measurement.LogColumns;
import syntoma.core.reading.Figure;

/** Reads a long log at the start, so that who asks the trip first need not wait for it. */
@Component
class Warming {
    /** A shorter one is read while it is asked for. */
    private static final long LONG = 50_000;

    private final TripLog log;
    private final LogColumns columns;

    Warming(TripLog log, LogColumns columns) {
        this.log = log;
        this.columns = columns;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        Thread reader = new Thread(this::read, "trip-log");
        reader.setDaemon(true);
        reader.setPriority(Thread.MIN_PRIORITY);
        reader.start();
    }

    private void read() {
        if (columns.count() > LONG) {
            TripLog.Snapshot now = log.snapshot();
            now.figure(Figure.RSRP_DBM);
            now.figure(Figure.UP_MBPS);
            now.figure(Figure.DOWN_MBPS);
        }
    }
}
