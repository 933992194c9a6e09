package syntoma.app.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** What the views say to use, over logs that are drawn by lot: at each campsite a trial of two or three setups, some failing. */
@ApiTest(eachAnew = true)
class OneAnswerOverViewsTest {
    /** A walk over more of them: {@code -Dcampsites=1000}. */
    private static final int CAMPSITES = Integer.getInteger("campsites", 16);

    private static final List<String> SETUPS = List.of("Dome", "Panel", "Whips");
    private static final Pattern USE = Pattern.compile("^(?:Use|Leave it as it is:|Stay with) (Dome|Panel|Whips)\\b");

    @Autowired
    private MockMvc mvc;

    @Test
    void no_two_views_say_to_use_different_setups_of_a_pair() throws Exception {
        Requests requests = new Requests(mvc);
        for (JsonNode need : requests.read("/api/needs").json().get("needs")) {
            ObjectNode own = need.deepCopy();
            own.remove("version");
            own.put("chosen", need.get("name").asText().equals("Video calls"));
            own.put("partOfDay", "any time");
            assertEquals(200, requests.put("/api/needs", own).status());
        }
        List<String> contradictions = new ArrayList<>();
        int decided = 0;
        for (int seed = 0; seed < CAMPSITES; seed++) {
            String campsite = "Camp " + seed;
            Requests.Answer stood =
                    requests.put("/api/standing", Map.of("campsite", campsite, "setup", "Dome", "carrier", "Bluecell"));
            assertEquals(200, stood.status(), stood.text());
            OffsetDateTime now = OffsetDateTime.parse(
                    requests.read("/api/standing").json().get("now").asText());
            Requests.Answer imported = requests.importCsv(trial(seed, campsite, now.plusSeconds(5)));
            assertEquals(200, imported.status(), imported.text());
            JsonNode advice = requests.read("/api/advice").json();
            JsonNode tonight = requests.read("/api/pitch").json();
            for (JsonNode contrast : tonight.at("/tonight/contrasts")) {
                String baseline = contrast.at("/baseline/name").asText();
                String candidate = contrast.at("/candidate/name").asText();
                String use = used(contrast.get("headline").asText());
                if (!use.equals(baseline) && !use.equals(candidate)) {
                    continue;
                }
                decided++;
                String other = use.equals(baseline) ? candidate : baseline;
                if (place(advice, use) > place(advice, other)) {
                    contradictions.add(seed + ": " + contrast.get("headline").asText() + " | "
                            + advice.get("headline").asText());
                }
                String said = used(tonight.get("headline").asText());
                if (said.equals(other) && tonight.at("/tonight/contrasts").size() == 1) {
                    contradictions.add(seed + ": " + contrast.get("headline").asText() + " | "
                            + tonight.get("headline").asText());
                }
            }
        }
        assertEquals(List.of(), contradictions);
        assertTrue(decided > 3, decided + " pairs were decided");
    }

    private static String used(String headline) {
        Matcher use = USE.matcher(headline);
        return use.find() ? use.group(1) : "";
    }

    /** Where an option stands; those that are not among the first few come after all. */
    private static int place(JsonNode advice, String setup) {
        for (int i = 0; i < advice.get("options").size(); i++) {
            if (advice.at("/options/" + i + "/setup/name").asText().equals(setup)) {
                return i;
            }
        }
        return Integer.MAX_VALUE;
    }

    /** Five rounds, a minute a visit; what a setup brings differs by place, so that earlier places mislead. */
    private static String trial(int seed, String campsite, OffsetDateTime from) {
        Random random = new Random(seed);
        StringBuilder csv = new StringBuilder(
                "taken_at,campsite,setup,carrier,down_mbps,up_mbps,down_loaded_ms,up_loaded_ms,outcome,trial,round\n");
        int setups = 2 + random.nextInt(2);
        double place = Math.exp(1.2 + 0.8 * random.nextGaussian());
        double[] own = random.doubles(setups, -0.8, 0.8).toArray();
        double fails = random.nextInt(4) == 0 ? 0.5 : 0.03;
        int minute = 0;
        for (int round = 1; round <= 5; round++) {
            for (int setup = 0; setup < setups; setup++) {
                boolean failed = setup == seed % setups && random.nextDouble() < fails;
                double rate = place * Math.exp(own[setup] + 0.25 * random.nextGaussian());
                double late = 900 / Math.sqrt(rate) * Math.exp(0.2 * random.nextGaussian());
                csv.append(from.plusSeconds(minute++)).append(',').append(campsite);
                csv.append(',').append(SETUPS.get(setup)).append(",Bluecell,");
                csv.append(
                        failed
                                ? ",,,,failed"
                                : String.format(
                                        Locale.ROOT, "%.2f,%.2f,%.0f,%.0f,ok", rate * 3, rate, late * 0.6, late));
                csv.append(",T,").append(round).append('\n');
            }
        }
        return csv.toString();
    }
}
