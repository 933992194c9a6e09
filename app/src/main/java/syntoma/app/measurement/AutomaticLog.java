package syntoma.app.measurement;

import java.util.Map;
import org.springframework.stereotype.Component;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;

/** Takes into the log what was measured by the machine, by the same rules as what is typed. */
@Component
public class AutomaticLog {
    private final MeasurementForm form;
    private final MeasurementLog log;

    AutomaticLog(MeasurementForm form, MeasurementLog log) {
        this.form = form;
        this.log = log;
    }

    /**
     * Logs a measurement.
     *
     * @param figures by the fields of the catalogue
     * @return its number
     * @throws InvalidInputException naming what the log does not take
     * @throws ConflictException when it is there already
     */
    public long log(Map<String, String> figures) {
        MeasurementForm.Result read = form.read(new MeasurementForm.Request(figures));
        return log.store(read.measurement().orElseThrow(() -> new InvalidInputException(read.problems())), null)
                .id();
    }
}
