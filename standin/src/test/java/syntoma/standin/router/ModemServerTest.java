package syntoma.standin.router;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import syntoma.core.reply.AtAnswers;
import syntoma.core.reply.Cell;
import syntoma.core.reply.RouterReading;
import syntoma.standin.World;
import syntoma.standin.WorldLink;
import syntoma.standin.air.Hands;
import syntoma.standin.air.HeardCell;

class ModemServerTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-07-12T11:00:00Z"), ZoneOffset.ofHours(3));

    private static String ask(Socket modem, String... commands) throws IOException {
        StringBuilder all = new StringBuilder();
        InputStream in = modem.getInputStream();
        byte[] piece = new byte[4_096];
        for (String command : commands) {
            modem.getOutputStream().write((command + "\r").getBytes(StandardCharsets.US_ASCII));
            int from = all.length();
            while (!all.substring(from).matches("(?s).*\r\n(OK|ERROR|\\+CME ERROR: [0-9]+)\r\n$")) {
                all.append(new String(piece, 0, in.read(piece), StandardCharsets.US_ASCII));
            }
        }
        return all.toString();
    }

    @Test
    void it_says_by_standard_commands_what_the_world_has() throws Exception {
        WorldLink link = new WorldLink(
                NOON, Hands.of("Birch Hollow", World.ROOF_DOME, "Ostrel").mode(true));
        try (ModemServer modem = ModemServer.start("127.0.0.1", 0, link);
                Socket socket = new Socket("127.0.0.1", modem.port())) {
            assertTrue(ask(socket, "AT+CSQ").startsWith("AT+CSQ\r\r\n"), "it echoes until it is told otherwise");
            String said = ask(socket, "ATE0") + ask(socket, AtAnswers.COMMANDS.toArray(String[]::new));
            assertTrue(said.contains("\r\n+CEREG: 1\r\n"), "a line that nobody asked for: " + said);
            assertTrue(said.contains("\r\nERROR\r\n"), "it knows no AT+C5GREG: " + said);
            RouterReading reading = AtAnswers.read(List.of(said.split("\r\n")));
            HeardCell heard = link.air().orElseThrow().primary();
            Cell cell = reading.cells().get(0);
            assertEquals(Optional.of("Ostrel"), reading.carrier());
            assertEquals(Optional.of("LTE"), reading.mode());
            assertEquals(Optional.of(heard.cell().id()), cell.cellId());
            assertEquals(Math.floor(heard.rsrpDbm()), cell.rsrpDbm().orElseThrow());
            link.hold(Hands.of("Juniper Ridge", World.WHIPS, "Ostrel"));
            assertTrue(ask(socket, "AT+CESQ").contains("+CME ERROR: 3"), "no service there");
        }
    }
}
