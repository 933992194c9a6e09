package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import jakarta.persistence.EntityManagerFactory;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** The main lists over the demo log: few statements however long they are. */
@ApiTest
@TestPropertySource(properties = {"syntoma.demo=true", "spring.jpa.properties.hibernate.generate_statistics=true"})
class ListsTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private EntityManagerFactory factory;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    @ParameterizedTest
    @CsvSource({
        "/api/stays, 5, 10",
        "/api/measurements?limit=5000, 8, 300",
        "/api/trials, 3, 7",
        "/api/setups, 1, 4",
        "/api/campsites, 1, 10"
    })
    void a_list_is_read_in_a_few_statements(String uri, int most, int least) throws Exception {
        Statistics statistics = factory.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
        int rows = requests.read(uri).json().size();
        assertTrue(rows >= least, uri + " has " + rows + " rows");
        assertTrue(
                statistics.getPrepareStatementCount() <= most, statistics.getPrepareStatementCount() + " statements");
    }

    @Test
    void the_pitch_says_where_the_vehicle_stands_and_what_tonight_measured() throws Exception {
        var pitch = requests.read("/api/pitch").json();
        assertEquals("Lighthouse Meadow", pitch.at("/standing/campsite").asText());
        assertEquals("Mast panel", pitch.at("/standing/setup/name").asText());
        assertEquals("Saturday evening", pitch.at("/tonight/trial").asText());
        assertTrue(pitch.at("/options").size() >= 2);
        assertTrue(pitch.get("headline").asText().contains("Mast panel"));
    }
}
