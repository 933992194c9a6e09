package syntoma.app.trial;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.ProductId;
import biweekly.util.Duration;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Date;
import org.springframework.stereotype.Component;
import syntoma.app.platform.InvalidInputException;

/** The times of a trial as iCalendar (RFC 5545), in UTC. */
@Component
class TrialCalendar {
    private static final String PRODUCT = "-//Syntoma//trial//EN";

    private final Sheets sheets;
    private final Clock clock;

    TrialCalendar(Sheets sheets, Clock clock) {
        this.sheets = sheets;
        this.clock = clock;
    }

    /**
     * An event for each time of day.
     *
     * @throws InvalidInputException when the trial is not spread over times of day
     */
    String of(String campsite, String trial) {
        SheetView sheet = sheets.of(campsite, trial);
        if (sheet.sessions().isEmpty()) {
            throw new InvalidInputException("trial", "the trial is made at once; it is not spread over times of day");
        }
        ZoneOffset offset = OffsetDateTime.now(clock).getOffset();
        ICalendar calendar = new ICalendar();
        calendar.setProductId(new ProductId(PRODUCT));
        for (int i = 0; i < sheet.sessions().size(); i++) {
            DesignView.TimeOfDay session = sheet.sessions().get(i);
            VEvent event = new VEvent();
            event.setUid(Integer.toHexString((campsite + "/" + trial).hashCode()) + "-" + (i + 1) + "@syntoma");
            event.setDateTimeStamp(Date.from(clock.instant()));
            event.setSummary(trial + ": rounds " + session.fromRound() + " to " + session.toRound());
            event.setDateStart(Date.from(session.at().toInstant(offset)));
            event.setDuration(Duration.builder()
                    .minutes((int) Math.ceil(sheet.minutes(session)))
                    .build());
            event.setLocation(campsite);
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).version(ICalVersion.V2_0).go();
    }
}
