package syntoma.standin.router;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import syntoma.standin.Air;
import syntoma.standin.WorldLink;
import syntoma.standin.air.HeardCell;

/** What a modem answers to standard commands, over the air of the made-up world. */
final class Answers {
    private static final int E_UTRAN = 7;
    private static final int DUAL = 13;

    /** Operation not allowed (TS 27.007, 9.2). */
    private static final String NOT_NOW = "+CME ERROR: 3";

    private final WorldLink link;
    private boolean echo = true;

    Answers(WorldLink link) {
        this.link = link;
    }

    boolean echoes() {
        return echo;
    }

    /** The lines of an answer, the last of which ends it. */
    List<String> to(String command) {
        Optional<Air> air = link.air();
        return switch (command.toUpperCase(Locale.ROOT)) {
            case "AT", "AT+COPS=3,0", "AT+CEREG=2" -> List.of("OK");
            case "ATE0", "ATE1" -> {
                echo = command.endsWith("1");
                yield List.of("OK");
            }
            case "AT+COPS?" ->
                List.of(
                        air.map(a -> "+COPS: 0,0,\"" + link.hands().carrier() + "\"," + technology(a))
                                .orElse("+COPS: 0"),
                        "OK");
            case "AT+CEREG?" ->
                List.of(
                        air.map(a -> "+CEREG: 2,1,\"0041\",\"%08X\",%d"
                                        .formatted(
                                                Long.parseLong(
                                                        a.primary().cell().id()),
                                                E_UTRAN))
                                .orElse("+CEREG: 2,2"),
                        "OK");
            case "AT+CSQ" -> List.of("+CSQ: 99,99", "OK");
            case "AT+CESQ" -> air.map(Answers::quality).orElse(List.of(NOT_NOW));
            default -> List.of("ERROR");
        };
    }

    private static int technology(Air air) {
        return air.mode().equals("LTE") ? E_UTRAN : DUAL;
    }

    /** The extended quality: indices of intervals, 255 for what there is none of. */
    private static List<String> quality(Air air) {
        HeardCell primary = air.primary();
        HeardCell last = air.cells().get(air.cells().size() - 1);
        List<String> indices = new ArrayList<>(List.of(
                "99", "99", "255", "255", index((primary.rsrqDb() + 20) * 2, 34), index(primary.rsrpDbm() + 141, 97)));
        indices.addAll(
                last.cell().isNr()
                        ? List.of(
                                index((last.rsrqDb() + 43.5) * 2, 126),
                                index(last.rsrpDbm() + 157, 126),
                                index((last.sinrDb() + 23.5) * 2, 127))
                        : List.of("255", "255", "255"));
        return List.of("+CESQ: " + String.join(",", indices), "OK");
    }

    private static String index(double value, int most) {
        return Long.toString(Math.max(0, Math.min(most, (long) Math.floor(value))));
    }
}
