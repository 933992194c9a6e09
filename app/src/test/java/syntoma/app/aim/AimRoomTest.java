package syntoma.app.aim;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Sweeps with typed levels, masts, and bearings that cross. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class AimRoomTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer send(MockHttpServletRequestBuilder to, String body) throws Exception {
        return requests.ask(to.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private void stand(String campsite, String setup) throws Exception {
        stand(campsite, setup, "Tarnwave");
    }

    private void stand(String campsite, String setup, String carrier) throws Exception {
        Requests.Answer answer = send(
                put("/api/standing"),
                "{\"campsite\":\"" + campsite + "\",\"setup\":\"" + setup + "\",\"carrier\":\"" + carrier + "\"}");
        assertEquals(200, answer.status(), answer.text());
    }

    /** A sweep of an antenna of about 60°, best at a true heading. */
    private JsonNode sweep(double best) throws Exception {
        long id = send(post("/api/aim/sweeps"), "{}").json().get("id").asLong();
        JsonNode view = null;
        for (int deg = 0; deg < 360; deg += 30) {
            double off = Math.toRadians(Math.IEEEremainder(deg - best, 360)) / 2;
            double lost = Math.min(22, -199 * Math.log10(Math.max(1e-6, Math.cos(off))));
            Requests.Answer answer = send(
                    post("/api/aim/sweeps/" + id + "/points"),
                    String.format(
                            Locale.ROOT,
                            "{\"headingDeg\":%d,\"rsrpDbm\":%.1f,\"band\":\"B20\",\"cellId\":\"7\"}",
                            deg,
                            -90 - lost));
            assertEquals(201, answer.status(), answer.text());
            view = answer.json();
        }
        return view;
    }

    @Test
    void a_sweep_says_where_it_is_best_and_bearings_of_two_places_cross() throws Exception {
        assertEquals(
                200, send(put("/api/aim/declination"), "{\"declinationDeg\":7}").status());
        stand("Lighthouse Meadow", "Mast panel");
        JsonNode swept = sweep(40);
        assertTrue(swept.get("nextDeg").isNull(), "every 30° is read");
        assertEquals(40, swept.at("/result/fit/bestDeg").asDouble(), 2);
        assertEquals(33, swept.at("/result/fit/bestMagneticDeg").asDouble(), 2);
        assertTrue(swept.at("/result/sentence").asText().startsWith("Best at "), swept.toString());
        assertEquals(72, swept.at("/result/curve").size());
        long id = swept.get("id").asLong();
        long point = swept.at("/points/0/id").asLong();
        JsonNode less = requests.ask(delete("/api/aim/sweeps/" + id + "/points/" + point))
                .json();
        assertEquals(11, less.get("points").size());
        assertEquals(0, less.get("nextDeg").asDouble());
        assertEquals(
                12,
                requests.ask(post("/api/aim/sweeps/" + id + "/points/" + point + "/restore"))
                        .json()
                        .get("points")
                        .size());
        stand("Amber Spit", "Mast panel");
        JsonNode elsewhere = requests.read("/api/aim").json();
        assertEquals(0, elsewhere.get("crossings").size());
        // any mast north-east of the one place; from the other its bearing is what the mast there says
        double lat = 57.6;
        double lon = 20.5;
        send(post("/api/aim/masts"), String.format(Locale.ROOT, "{\"name\":\"Seen\",\"lat\":%f,\"lon\":%f}", lat, lon));
        JsonNode masts = requests.read("/api/aim").json().get("masts");
        double bearing = masts.get(masts.size() - 1).get("trueDeg").asDouble();
        sweep(bearing);
        JsonNode crossings = requests.read("/api/aim").json().get("crossings");
        assertEquals(1, crossings.size(), crossings.toString());
        assertEquals(2, crossings.at("/0/places").size());
    }

    @Test
    void two_antennas_swept_at_one_place_are_held_against_each_other() throws Exception {
        stand("Sawmill Yard", "Mast panel", "Ostrel");
        sweep(100);
        stand("Sawmill Yard", "Roof dome", "Ostrel");
        long id = send(post("/api/aim/sweeps"), "{}").json().get("id").asLong();
        for (int deg = 0; deg < 360; deg += 60) {
            send(post("/api/aim/sweeps/" + id + "/points"), "{\"headingDeg\":" + deg + ",\"rsrpDbm\":-95}");
        }
        JsonNode view = requests.read("/api/aim").json();
        assertTrue(
                view.get("pointings").toString().contains("On the mark Roof dome is 5"),
                view.get("pointings").toString());
        assertTrue(view.at("/sweeps/0/sentence").asText().startsWith("No direction matters here"), view.toString());
    }

    @Test
    void what_cannot_be_is_refused_by_its_field() throws Exception {
        stand("Sawmill Yard", "Mast panel");
        long id = send(post("/api/aim/sweeps"), "{}").json().get("id").asLong();
        String points = "/api/aim/sweeps/" + id + "/points";
        refused("headingDeg", send(post(points), "{\"rsrpDbm\":-90}"));
        refused("headingDeg", send(post(points), "{\"headingDeg\":400,\"rsrpDbm\":-90}"));
        refused("rsrpDbm", send(post(points), "{\"headingDeg\":40,\"rsrpDbm\":-20}"));
        refused("band", send(post(points), "{\"headingDeg\":40,\"rsrpDbm\":-90,\"band\":\"B999\"}"));
        refused("lat", send(post("/api/aim/masts"), "{\"name\":\"M\",\"lat\":91,\"lon\":0}"));
        refused("lon", send(post("/api/aim/masts"), "{\"name\":\"M\",\"lat\":9}"));
        refused("name", send(post("/api/aim/masts"), "{\"lat\":9,\"lon\":9}"));
        refused("declinationDeg", send(put("/api/aim/declination"), "{\"declinationDeg\":91}"));
        assertEquals(
                404, send(post("/api/aim/crossings"), "{\"key\":\"Brissa/1\"}").status());
        assertEquals(409, send(post(points), "{\"headingDeg\":40}").status(), "no router says a level here");
    }

    private static void refused(String field, Requests.Answer answer) throws Exception {
        assertEquals(400, answer.status(), answer.text());
        assertEquals(field, answer.json().at("/errors/0/field").asText(), answer.text());
    }
}
