package syntoma.core.diagnosis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.trial.Outcome;

/** A cell's hours, and when an upload at night is sent soonest. */
class CellDayTest {
    private final List<ObservedRun> runs = new ArrayList<>();

    private void run(int hour, double up) {
        runs.add(new ObservedRun(
                "Mast panel",
                "Tarnwave",
                1,
                1,
                OffsetDateTime.parse("2026-08-20T00:00:00+03:00").withHour(hour).withMinute(runs.size() % 60),
                Outcome.OK,
                "B20",
                "77",
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(3 * up),
                OptionalDouble.of(up),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                false,
                false,
                Optional.empty()));
    }

    @Test
    void each_hour_has_its_median_and_its_ends_and_hours_without_runs_are_empty() {
        run(20, 2);
        run(20, 4);
        run(20, 3);
        CellDay day = CellDay.of(runs);
        CellDay.Hour evening = day.hours().get(20);
        assertEquals(3, evening.runs());
        assertEquals(new CellDay.Spread(2, 3, 4), evening.up().orElseThrow());
        assertTrue(day.hours().get(3).up().isEmpty());
        assertEquals(24, day.hours().size());
    }

    @Test
    void eleven_gigabytes_wait_for_the_hours_in_which_they_go_fast() {
        for (int hour = 20; hour < 24; hour++) {
            run(hour, 3);
        }
        for (int hour = 1; hour < 7; hour++) {
            run(hour, 12.4);
        }
        CellDay.Upload upload = CellDay.of(runs).upload(11).orElseThrow();
        // 11 GB at 12.4 Mb/s take 1 h 58 min (docs/methods.md#12-needs)
        assertEquals(1, upload.fromHour());
        assertEquals(1.97, upload.takes(), 0.01);
        assertEquals("11 GB tonight: begin at 01:00, done by about 02:58 at about 12 Mb/s.", upload.says());
    }

    @Test
    void what_no_night_was_measured_for_has_no_answer_and_too_much_for_one_night_neither() {
        run(14, 10);
        assertTrue(CellDay.of(runs).upload(11).isEmpty());
        run(2, 0.5);
        assertTrue(CellDay.of(runs).upload(200).isEmpty());
    }
}
