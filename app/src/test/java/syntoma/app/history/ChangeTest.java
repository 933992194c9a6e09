package syntoma.app.history;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChangeTest {
    private static List<Change> between(String was, String now) throws Exception {
        ObjectMapper json = new ObjectMapper();
        return Change.between(json.readTree(was), json.readTree(now));
    }

    @Test
    void only_what_differs_is_told_by_its_path() throws Exception {
        assertEquals(
                List.of(
                        new Change("price", "130", "91"),
                        new Change("sheet.gainDb", null, "8.5"),
                        new Change("sheet.leads[1].lengthM", "5", "3")),
                between(
                        "{\"price\":1.3E2,\"sheet\":{\"leads\":[{\"lengthM\":5},{\"lengthM\":5}]}}",
                        "{\"price\":91,\"sheet\":{\"gainDb\":8.50,\"leads\":[{\"lengthM\":5.0},{\"lengthM\":3}]}}"));
    }

    @Test
    void the_same_number_written_otherwise_and_a_missing_null_are_no_change() throws Exception {
        assertEquals(List.of(), between("{\"a\":2,\"b\":null}", "{\"a\":2.0}"));
    }
}
