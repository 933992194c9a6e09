package syntoma.app.campsite;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.core.trial.StaySpans;

/** Stays that follow one change at a time, and what is counted of them, are those of the whole log. */
@ApiTest
class StaysFollowTest {
    private static final int CHANGES = 150;
    private static final OffsetDateTime START = OffsetDateTime.parse("2026-06-01T08:00:00+03:00");

    @Autowired
    private MockMvc mvc;

    private final Random random = new Random(5);
    private final Map<Long, String> log = new TreeMap<>();
    private final Map<Long, Long> ids = new TreeMap<>();

    @Test
    void whatever_comes_and_goes() throws Exception {
        Requests requests = new Requests(mvc);
        for (int i = 0; i < CHANGES; i++) {
            int kind = random.nextInt(10);
            if (kind < 6 || ids.isEmpty()) {
                log(requests);
            } else if (kind < 9) {
                long hour = new ArrayList<>(ids.keySet()).get(random.nextInt(ids.size()));
                requests.ask(MockMvcRequestBuilders.delete("/api/measurements/" + ids.remove(hour)));
                log.remove(hour);
            } else {
                importSome(requests);
            }
            assertEquals(wanted(), stays(requests), "after change " + i);
        }
    }

    private long freeHour() {
        long hour = random.nextInt(1_500);
        while (log.containsKey(hour)) {
            hour++;
        }
        return hour;
    }

    private void log(Requests requests) throws Exception {
        long hour = freeHour();
        String site = "Site " + random.nextInt(3);
        Map<String, Object> measurement = new TreeMap<>(Map.of(
                "takenAt",
                START.plusHours(hour).toString(),
                "campsite",
                site,
                "setup",
                setup(hour),
                "outcome",
                isOk(hour) ? "ok" : "no_service"));
        if (isOk(hour)) {
            measurement.put("rsrpDbm", -90);
        }
        long id =
                requests.send("/api/measurements", measurement).json().get("id").asLong();
        log.put(hour, site);
        ids.put(hour, id);
    }

    private void importSome(Requests requests) throws Exception {
        StringBuilder file = new StringBuilder("taken_at,campsite,setup,outcome,rsrp_dbm\n");
        for (int i = random.nextInt(8); i >= 0; i--) {
            long hour = freeHour();
            String site = "Site " + random.nextInt(3);
            log.put(hour, site);
            file.append(START.plusHours(hour) + "," + site + "," + setup(hour))
                    .append(isOk(hour) ? ",ok,-90\n" : ",no_service,\n");
        }
        assertEquals(200, requests.importCsv(file.toString()).status());
    }

    private List<String> wanted() {
        StaySpans spans = new StaySpans();
        log.forEach(
                (hour, site) -> spans.add(site.charAt(5), START.plusHours(hour).toInstant()));
        return spans.inOrder().stream()
                .map(s -> "Site " + (char) s.campsite() + " " + s.from() + " " + s.to() + " " + counted(s))
                .toList();
    }

    private List<Long> counted(StaySpans.Span span) {
        List<Long> hours = log.keySet().stream()
                .filter(hour -> log.get(hour).charAt(5) == span.campsite())
                .filter(hour -> !START.plusHours(hour).toInstant().isBefore(span.from()))
                .filter(hour -> !START.plusHours(hour).toInstant().isAfter(span.to()))
                .toList();
        long setups = hours.stream().map(StaysFollowTest::setup).distinct().count();
        return List.of((long) hours.size(), hours.stream().filter(h -> !isOk(h)).count(), setups);
    }

    private static String setup(long hour) {
        return hour % 7 == 0 ? "Whips" : "Dome";
    }

    private static boolean isOk(long hour) {
        return hour % 3 == 0;
    }

    private static List<String> stays(Requests requests) throws Exception {
        List<String> stays = new ArrayList<>();
        for (JsonNode stay : requests.read("/api/stays").json()) {
            stays.add(
                    0,
                    stay.get("campsite").asText() + " "
                            + OffsetDateTime.parse(stay.get("arrivedAt").asText())
                                    .toInstant() + " "
                            + OffsetDateTime.parse(stay.get("leftAt").asText()).toInstant() + " "
                            + List.of(
                                    stay.get("measurements").asLong(),
                                    stay.get("failed").asLong(),
                                    (long) stay.get("setups").size()));
        }
        return stays;
    }
}
