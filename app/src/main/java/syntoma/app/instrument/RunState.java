package syntoma.app.instrument;

import java.util.Locale;

/** How far a run is. */
enum RunState {
    WAITING,
    IDLE,
    DOWN,
    UP,
    DONE,
    CANCELLED,
    FAILED;

    /** The name in the API. */
    String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    boolean isOver() {
        return compareTo(DONE) >= 0;
    }
}
