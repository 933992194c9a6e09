package syntoma.core.reply;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AtAnswersTest {
    @Test
    void indices_give_the_lower_edge_of_their_interval() {
        RouterReading reading = AtAnswers.read(List.of(
                "OK",
                "+COPS: 0,0,\"Tarnwave\",7",
                "OK",
                "+CEREG: 2,1,\"1A2B\",\"01A2B3C4\",7",
                "+CSQ: 18,99",
                "OK",
                "+CESQ: 99,99,255,255,17,44",
                "OK"));
        assertEquals(Optional.of("LTE"), reading.mode());
        assertEquals(Optional.of("Tarnwave"), reading.carrier());
        Cell cell = reading.cells().get(0);
        assertEquals(1, reading.cells().size());
        assertEquals(Optional.of(-77.0), cell.rssiDbm());
        assertEquals(Optional.of(-97.0), cell.rsrpDbm());
        assertEquals(Optional.of(-11.5), cell.rsrqDb());
        assertEquals(Optional.of("27440068"), cell.cellId());
        assertEquals(List.of(), reading.problems());
    }

    @Test
    void an_nr_leg_stands_beside_its_anchor_and_an_nr_cell_alone_is_the_primary_one() {
        RouterReading nsa = AtAnswers.read(List.of("+COPS: 0,0,\"Ostrel\",13", "+CESQ: 99,99,255,255,20,50,65,60,70"));
        assertEquals(Optional.of("NR-NSA"), nsa.mode());
        assertEquals(
                List.of(Role.PRIMARY, Role.NR),
                nsa.cells().stream().map(Cell::role).toList());
        assertEquals(Optional.of(-97.0), nsa.cells().get(1).rsrpDbm());
        assertEquals(Optional.of(-11.0), nsa.cells().get(1).rsrqDb());
        assertEquals(Optional.of(11.5), nsa.cells().get(1).sinrDb());
        RouterReading sa = AtAnswers.read(List.of("+COPS: 0,0,\"Ostrel\",11", "+CESQ: 99,99,255,255,255,255,65,60,70"));
        assertEquals(Optional.of("NR-SA"), sa.mode());
        assertEquals(Role.PRIMARY, sa.cells().get(0).role());
    }

    @Test
    void what_is_not_registered_has_no_cell() {
        RouterReading none = AtAnswers.read(List.of("+COPS: 0", "+CEREG: 2,2", "+C5GREG: 2,0", "+CSQ: 99,99"));
        assertEquals(Optional.of("none"), none.mode());
        assertEquals(List.of(), none.cells());
    }

    @Test
    void noise_and_errors_are_passed_over() {
        RouterReading reading = AtAnswers.read(List.of(
                "AT+COPS?",
                "+CME ERROR: 100",
                "ERROR",
                "RING",
                "+CESQ: 99,99,255,255,x,44",
                "+CSQ: ,",
                "+CEREG: 2,5",
                ""));
        assertEquals(Optional.of(-97.0), reading.cells().get(0).rsrpDbm());
        assertEquals(Optional.empty(), reading.cells().get(0).rsrqDb());
        assertEquals(List.of(), AtAnswers.read(List.of()).cells());
    }
}
