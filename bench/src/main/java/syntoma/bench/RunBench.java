package syntoma.bench;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import syntoma.standin.World;
import syntoma.standin.WorldLink;
import syntoma.standin.air.Hands;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.Link;
import syntoma.standin.speed.SpeedServer;

/**
 * Runs of the application against the speed server behind its own shaper: how near the measured rate and latency are to the
 * link's, what the client takes of a core, and how near a light run comes to a full one on the air of the made-up world.
 */
final class RunBench {
    private static final double[] RATES_MBPS = {0.2, 5, 100, 600};
    private static final double IDLE_MS = 30;
    private static final double BUFFER_MS = 150;
    private static final double RATE_WITHIN = 0.03;
    private static final double LATENCY_WITHIN = 0.10;
    private static final double LATENCY_WITHIN_MS = 5;
    private static final double LIGHT_WITHIN = 0.10;
    private static final Clock MORNING = Clock.fixed(Instant.parse("2026-08-20T09:00:00Z"), ZoneOffset.ofHours(2));
    private static final long FIRST_SEED = 1;

    private static final int PAIRS = 12;

    private static final Limits MANY = new Limits(8, Duration.ofMinutes(2), 20_000_000_000L);

    private RunBench() {}

    private record Fixed(double downMbps, double upMbps, double idleMs, double bufferMs) implements Link {}

    static void run(Path start) throws Exception {
        Path dir = Files.createTempDirectory("syntoma-run");
        try (RunningApp app = RunningApp.start(start, dir.resolve("data"), dir.resolve("gc"))) {
            for (double mbps : RATES_MBPS) {
                try (SpeedServer server =
                        SpeedServer.start("127.0.0.1", 0, "", MANY, new Fixed(mbps, mbps, IDLE_MS, BUFFER_MS))) {
                    rate(app, server, mbps);
                }
            }
            light(app);
        }
    }

    private static void rate(RunningApp app, SpeedServer server, double mbps) throws Exception {
        use(app, server);
        double cpuBefore = app.cpuMs();
        long startNs = System.nanoTime();
        JsonObject run = measure(app, "full");
        double cores = (app.cpuMs() - cpuBefore) / ((System.nanoTime() - startNs) / 1e6);
        for (String way : List.of("down", "up")) {
            double ratio = number(run, way + "Mbps") / mbps;
            Bench.report(
                    "run " + way + " at " + mbps + " Mb/s, measured against the link",
                    ratio,
                    "times",
                    "within 3 %",
                    Math.abs(ratio - 1) <= RATE_WITHIN);
            double off = Math.abs(number(run, way + "LoadedMs") - IDLE_MS - BUFFER_MS);
            Bench.report(
                    "latency while going " + way + " at " + mbps + " Mb/s, off by",
                    off,
                    "ms",
                    "within 10 % or 5 ms",
                    off <= Math.max(LATENCY_WITHIN_MS, LATENCY_WITHIN * (IDLE_MS + BUFFER_MS)));
        }
        Bench.report("what a run at " + mbps + " Mb/s takes of a core", cores, "cores", "under 1", cores < 1);
    }

    private static void light(RunningApp app) throws Exception {
        List<Double> errors = new ArrayList<>();
        List<Double> shares = new ArrayList<>();
        for (int i = 0; i < PAIRS; i++) {
            // each pair in a world of its own: the noise of one is the same whenever it is begun
            WorldLink link =
                    new WorldLink(FIRST_SEED + i, MORNING, Hands.of("Amber Spit", World.MAST_PANEL, "Tarnwave"));
            try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", MANY, link)) {
                use(app, server);
                JsonObject full = measure(app, "full");
                JsonObject light = measure(app, "light");
                errors.add(Math.abs(number(light, "downMbps") / number(full, "downMbps") - 1));
                errors.add(Math.abs(number(light, "upMbps") / number(full, "upMbps") - 1));
                shares.add(number(light, "bytesUsed") / number(full, "bytesUsed"));
            }
        }
        double error = median(errors);
        double share = median(shares);
        Bench.report("light run against full, median error", error, "", "at most 0.1", error <= LIGHT_WITHIN);
        Bench.report("light run's data against full", share, "times", "at most 1/3", share <= 1.0 / 3);
    }

    private static double median(List<Double> values) {
        double[] sorted = values.stream().mapToDouble(v -> v).sorted().toArray();
        return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }

    private static void use(RunningApp app, SpeedServer server) throws Exception {
        app.call("PUT", "/api/measure/server", "{\"address\":\"http://127.0.0.1:" + server.port() + "\"}");
    }

    private static JsonObject measure(RunningApp app, String kind) throws Exception {
        JsonObject run = json(app.call(
                "POST",
                "/api/runs",
                "{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\",\"campsite\":\"Amber Spit\",\"log\":false,\"kind\":\""
                        + kind + "\"}"));
        String path = "/api/runs/" + run.get("id").getAsLong();
        while (!Arrays.asList("done", "failed", "cancelled")
                .contains(run.get("state").getAsString())) {
            Thread.sleep(500);
            run = json(app.call("GET", path, null));
        }
        if (!run.get("state").getAsString().equals("done")) {
            throw new IllegalStateException(run.toString());
        }
        return run;
    }

    private static JsonObject json(String text) {
        return JsonParser.parseString(text).getAsJsonObject();
    }

    private static double number(JsonObject run, String field) {
        return run.get(field).getAsDouble();
    }
}
