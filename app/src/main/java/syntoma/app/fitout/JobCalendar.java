package syntoma.app.fitout;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.ProductId;
import biweekly.util.Duration;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Date;
import java.util.List;
import org.springframework.stereotype.Component;
import syntoma.app.platform.InvalidInputException;

/** A job sheet as iCalendar (RFC 5545), in UTC. */
@Component
class JobCalendar {
    private static final String PRODUCT = "-//Syntoma//job sheet//EN";

    private final Clock clock;

    JobCalendar(Clock clock) {
        this.clock = clock;
    }

    /**
     * An event for each task, with its cautions.
     *
     * @throws InvalidInputException when it does not fit into the hours
     */
    String of(JobSheetView sheet) {
        if (sheet.problem() != null) {
            throw new InvalidInputException("days", sheet.problem());
        }
        ZoneOffset offset = OffsetDateTime.now(clock).getOffset();
        ICalendar calendar = new ICalendar();
        calendar.setProductId(new ProductId(PRODUCT));
        for (JobSheetView.JobTask task : sheet.tasks()) {
            VEvent event = new VEvent();
            event.setUid("roof-" + sheet.plan() + "-" + task.key() + "@syntoma");
            event.setDateTimeStamp(Date.from(clock.instant()));
            event.setSummary(sheet.name() + ": " + task.name());
            event.setDateStart(Date.from(task.from().toInstant(offset)));
            event.setDuration(Duration.builder().minutes(task.minutes()).build());
            List<String> words = new ArrayList<>(task.cautions());
            if (task.lastLook() != null) {
                words.add("Before it: " + task.lastLook());
            }
            if (!task.weather().isEmpty()) {
                words.add("Wants " + task.weather() + ".");
            }
            if (!words.isEmpty()) {
                event.setDescription(String.join(" ", words));
            }
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).version(ICalVersion.V2_0).go();
    }
}
