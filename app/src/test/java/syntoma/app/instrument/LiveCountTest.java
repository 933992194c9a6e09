package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.campsite.StandingService;

/** What live readings move is counted, and of a plan only what goes over it. */
@ApiTest(eachAnew = true)
class LiveCountTest {
    private static final OffsetDateTime EVENING = OffsetDateTime.parse("2026-09-05T19:30:00Z");

    private final LiveUses uses = mock(LiveUses.class);
    private final StandingService standing = mock(StandingService.class);
    private final Clock clock = mock(Clock.class);
    private final LiveCount count = new LiveCount(uses, standing, clock);

    /** The private and local networks by their RFC, their neighbours just outside, and one of a carrier's own (RFC 6598). */
    @ParameterizedTest
    @CsvSource({
        "127.0.0.1,true",
        "localhost,true",
        "10.0.0.1,true",
        "11.0.0.1,false",
        "172.16.0.1,true",
        "172.31.255.254,true",
        "172.32.0.1,false",
        "192.168.8.1,true",
        "192.169.8.1,false",
        "169.254.3.4,true",
        "[fe80::1],true",
        "[fd12:3456::1],true",
        "[fc00::1],true",
        "[2001:db8::1],false",
        "100.64.0.1,false",
        "203.0.113.9,false"
    })
    void a_router_is_on_the_vehicles_network_or_elsewhere(String host, boolean within) {
        assertEquals(within, LiveCount.isWithin(host));
    }

    private void timeIs(OffsetDateTime now) {
        when(clock.instant()).thenReturn(now.toInstant());
        when(clock.getZone()).thenReturn(now.getOffset());
    }

    private void standsOn(String carrier) {
        StandingService.StandingLine line = mock(StandingService.StandingLine.class);
        when(line.carrier()).thenReturn(carrier);
        when(standing.line()).thenReturn(line);
    }

    @Test
    void what_stays_in_the_vehicle_is_no_use_of_a_plan() {
        timeIs(EVENING);
        standsOn("Tarnwave");
        count.addMoved("192.168.8.1", 900);
        count.addMoved("127.0.0.1", 100);
        count.keep();
        assertEquals(1000, count.withinBytes());
        verify(uses, never()).add(any(), anyString(), anyLong());
    }

    @Test
    void what_goes_out_is_kept_once_a_minute_under_the_carrier_in_use() {
        standsOn("Tarnwave");
        for (int second = 0; second <= 60; second++) {
            timeIs(EVENING.plusSeconds(second));
            count.addMoved("203.0.113.9", 1000);
        }
        verify(uses).add(EVENING.plusSeconds(60), "Tarnwave", 61_000);
        count.addMoved("203.0.113.9", 500);
        count.keep();
        verify(uses).add(EVENING.plusSeconds(60), "Tarnwave", 500);
    }

    @Test
    void without_a_carrier_nobody_pays() {
        timeIs(OffsetDateTime.ofInstant(Instant.EPOCH, EVENING.getOffset()));
        standsOn(null);
        count.addMoved("203.0.113.9", 1000);
        count.keep();
        verify(uses, never()).add(any(), anyString(), anyLong());
    }

    @Test
    void the_ledger_counts_it(@Autowired LiveUses kept, @Autowired MockMvc mvc) throws Exception {
        Requests requests = new Requests(mvc);
        requests.send("/api/demo", List.of());
        double before = requests.read("/api/measure/plan?carrier=Ostrel")
                .json()
                .get("usedGb")
                .asDouble();
        // of this hour twice, and of the month before
        kept.add(EVENING, "Ostrel", 40_000_000);
        kept.add(EVENING.plusMinutes(20), "Ostrel", 2_000_000);
        kept.add(EVENING.minusDays(31), "Ostrel", 5_000_000);
        assertEquals(42_000_000, kept.bytes("Ostrel", EVENING.minusDays(20), EVENING.plusDays(1)));
        double after = requests.read("/api/measure/plan?carrier=Ostrel")
                .json()
                .get("usedGb")
                .asDouble();
        assertEquals(0.042, after - before, 1e-9);
        JsonNode ledger = requests.read("/api/ledger").json();
        assertTrue(
                ledger.get("live").asText().contains("42 MB of Ostrel SIM"),
                ledger.get("live").asText());
    }
}
