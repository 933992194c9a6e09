package syntoma.bench;

import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Random;

/** A spreadsheet of a layout of its own, taken over beside files of the contract's columns, in turns. */
final class TableBench {
    private static final int ROWS = 100_000;
    private static final double LEAST_RATIO = 0.5;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d.M.yyyy");
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm");

    /** What each column is taken for. */
    private static final String[][] COLUMNS = {
        {"Date", "date", ""},
        {"Time", "clock", ""},
        {"Place", "figure", "campsite"},
        {"Router", "figure", "setup"},
        {"Operator", "figure", "carrier"},
        {"Technology", "figure", "rat"},
        {"Band", "figure", "band"},
        {"Signal", "figure", "rsrp_dbm"},
        {"Quality", "figure", "rsrq_db"},
        {"SNR", "figure", "sinr_db"},
        {"Download (Mbit/s)", "figure", "down_mbps"},
        {"Upload (Mbit/s)", "figure", "up_mbps"},
        {"Ping", "figure", "idle_ms"},
        {"Weather", "note", ""}
    };

    private TableBench() {}

    static void run(Path start, Path dir, Path[] own) throws Exception {
        try (RunningApp app = RunningApp.start(start, dir.resolve("tables"), dir.resolve("gc-tables.txt"))) {
            app.remember(reading());
            Path[] foreign = new Path[own.length];
            for (int i = 0; i < own.length; i++) {
                foreign[i] = write(dir.resolve("table" + i + ".csv"), 2020 + i);
            }
            int[] turn = {0};
            double ratio =
                    LogBench.medianRatio(own, file -> app.send(file, ROWS), file -> app.send(foreign[turn[0]++], ROWS));
            Bench.report(
                    "a foreign layout, rate against the contract's columns",
                    ratio,
                    "times",
                    "at least 1/2",
                    ratio >= LEAST_RATIO);
        }
    }

    private static String reading() {
        StringBuilder columns = new StringBuilder();
        for (String[] column : COLUMNS) {
            columns.append(columns.isEmpty() ? "" : ",")
                    .append("{\"heading\":\"%s\",\"use\":\"%s\",\"figure\":%s,\"unit\":\"\"}"
                            .formatted(column[0], column[1], column[2].isEmpty() ? "null" : "\"" + column[2] + "\""));
        }
        return "{\"columns\":[" + columns + "],\"dateOrder\":\"day-first\",\"zone\":\"Europe/Helsinki\","
                + "\"decimalComma\":true,\"setup\":null,\"campsite\":null}";
    }

    private static Path write(Path file, int year) throws IOException {
        Random random = new Random(year);
        LocalDateTime at = LocalDateTime.of(year, 1, 1, 0, 0);
        try (Writer out = Files.newBufferedWriter(file)) {
            StringBuilder header = new StringBuilder();
            for (String[] column : COLUMNS) {
                header.append(header.isEmpty() ? "" : ";").append(column[0]);
            }
            out.write(header + "\n");
            for (int i = 0; i < ROWS; i++) {
                LocalDateTime moment = at.plusMinutes(5L * i);
                out.write("%s;%s;Camp %d;Setup %d;Tarnwave;LTE;B20;%d;%.1f;%.1f;%.2f;%.2f;%d ms;%s%n"
                        .formatted(
                                DAY.format(moment),
                                CLOCK.format(moment),
                                i / 2500,
                                i % 4,
                                80 + random.nextInt(40),
                                -8 - random.nextDouble() * 10,
                                random.nextDouble() * 25,
                                1 + random.nextDouble() * 60,
                                0.5 + random.nextDouble() * 20,
                                30 + random.nextInt(80),
                                i % 10 == 0 ? "rain" : "")
                        .replace('.', ',')
                        .replaceFirst("^(\\d+),(\\d+),", "$1.$2."));
            }
        }
        return file;
    }
}
