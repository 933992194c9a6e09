package syntoma.app.campsite;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.persistence.EntityManager;
import java.time.Duration;
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
@ApiTest(eachAnew = true)
class StaysFollowTest {
    private static final int CHANGES = 150;
    private static final OffsetDateTime START = OffsetDateTime.parse("2026-06-01T08:00:00+03:00");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private EntityManager entities;

    /** The hour of the measurement that each number was given for, and where that was made. */
    private final Map<Long, Long> anchors = new TreeMap<>();

    private final Map<Long, String> sites = new TreeMap<>();

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
            followNumbers(requests, i);
        }
    }

    /** Every number that was ever given leads to the stay around the measurement that it was given for, while that is in the log. */
    private void followNumbers(Requests requests, int change) throws Exception {
        entities.createQuery("from Stay s", Stay.class)
                .getResultList()
                .forEach(stay -> anchors.put(
                        stay.id, Duration.between(START, stay.anchorAt).toHours()));
        Map<Long, JsonNode> now = new TreeMap<>();
        requests.read("/api/stays")
                .json()
                .forEach(stay -> now.put(stay.get("id").asLong(), stay));
        for (Map.Entry<Long, Long> known : anchors.entrySet()) {
            String site = log.get(known.getValue());
            if (site == null || !site.equals(sites.computeIfAbsent(known.getKey(), number -> site))) {
                continue;
            }
            Requests.Answer page = requests.read("/api/stays/" + known.getKey() + "/page");
            assertEquals(200, page.status(), "number " + known.getKey() + " after change " + change);
            JsonNode stay = now.get(page.json().get("stay").asLong());
            OffsetDateTime at = START.plusHours(known.getValue());
            assertEquals(site, stay.get("campsite").asText());
            assertFalse(at.isBefore(OffsetDateTime.parse(stay.get("arrivedAt").asText())), known + " in " + stay);
            assertFalse(at.isAfter(OffsetDateTime.parse(stay.get("leftAt").asText())), known + " in " + stay);
        }
    }

    @Test
    void a_page_that_was_opened_stays_the_same_stay_when_earlier_measurements_arrive_late() throws Exception {
        Requests requests = new Requests(mvc);
        long first = logged(requests, "Late Meadow", 3_016);
        Requests.Answer written = requests.put("/api/stays/" + first + "/note", Map.of("note", "the evening there"));
        assertEquals(200, written.status(), written.text());
        logged(requests, "Late Meadow", 3_010);
        logged(requests, "Other Meadow", 3_012);
        // three stays now; the number and the note are still those of the evening
        JsonNode page = requests.read("/api/stays/" + first + "/page").json();
        assertEquals("the evening there", page.get("note").asText());
        for (JsonNode stay : requests.read("/api/stays").json()) {
            if (stay.get("id").asLong() == first) {
                assertEquals(
                        START.minusYears(1).plusHours(3_016).toInstant(),
                        OffsetDateTime.parse(stay.get("arrivedAt").asText()).toInstant());
            }
        }
    }

    private long logged(Requests requests, String site, long hour) throws Exception {
        requests.send(
                "/api/measurements",
                Map.of(
                        "takenAt",
                        START.minusYears(1).plusHours(hour).toString(),
                        "campsite",
                        site,
                        "setup",
                        "Dome",
                        "outcome",
                        "no_service"));
        return entities.createQuery("select max(s.id) from Stay s", Long.class).getSingleResult();
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
