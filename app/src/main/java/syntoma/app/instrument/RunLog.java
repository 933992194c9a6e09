package syntoma.app.instrument;

import java.util.LinkedHashMap;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import syntoma.app.measurement.AutomaticLog;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;

/** Takes runs that are over into the log. */
@Component
class RunLog {
    private static final Logger LOG = LoggerFactory.getLogger(RunLog.class);

    private final RunBook book;
    private final AutomaticLog log;

    RunLog(RunBook book, AutomaticLog log) {
        this.book = book;
        this.log = log;
    }

    /** Logs a run with the reading beside it; one that the log does not take is kept, and says why. */
    void put(long id, Map<String, String> reading) {
        Map<String, String> run = book.forTheLog(id);
        if (run.isEmpty()) {
            return;
        }
        Map<String, String> both = new LinkedHashMap<>(reading);
        both.putAll(run);
        try {
            book.noteLogged(id, log.log(both));
        } catch (InvalidInputException refused) {
            without(id, run, refused);
        } catch (ConflictException refused) {
            book.noteRefused(id, refused.getMessage());
        }
    }

    /** Logs a run without the reading that the log does not take. */
    private void without(long id, Map<String, String> run, InvalidInputException refused) {
        try {
            book.noteLogged(id, log.log(run));
            LOG.info("run {} was logged without its reading: {}", id, refused.getMessage());
        } catch (InvalidInputException | ConflictException again) {
            book.noteRefused(id, again.getMessage());
        }
    }
}
