package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What takes too long for every day: {@code ./syntoma endure}. */
class Endurance {
    private static final long[] SEEDS = {1, 22, 333, 4444};
    private static final int WRITERS = 4;
    private static final int LATEST_MS = 3_000;
    private static final OffsetDateTime START = OffsetDateTime.parse("2026-08-01T00:00:00+03:00");

    @TempDir
    private Path dir;

    private final HttpClient client = HttpClient.newHttpClient();
    private final AtomicLong next = new AtomicLong();

    @Test
    void no_wrong_call_is_a_fault_of_the_servers_own() throws Exception {
        int calls = Integer.getInteger("endure.calls");
        for (long seed : SEEDS) {
            try (RunningApp app = RunningApp.start(dir.resolve("calls" + seed), true)) {
                assertEquals(List.of(), new HostileCalls(app, seed).run(calls), "seed " + seed);
                System.out.println("seed " + seed + ": " + calls + " wrong calls refused in words");
            }
        }
    }

    @Test
    void nothing_acknowledged_is_lost_when_the_whole_application_is_killed() throws Exception {
        int kills = Integer.getInteger("endure.kills");
        Random random = new Random(SEEDS[0]);
        Set<Long> acknowledged = ConcurrentHashMap.newKeySet();
        for (int kill = 0; kill < kills; kill++) {
            RunningApp app = RunningApp.start(dir.resolve("log"), false);
            compare(app, acknowledged);
            List<Thread> writers = new ArrayList<>();
            for (int i = 0; i < WRITERS; i++) {
                Thread writer = new Thread(() -> write(app, acknowledged));
                writer.start();
                writers.add(writer);
            }
            Thread.sleep(random.nextInt(LATEST_MS));
            app.kill();
            for (Thread writer : writers) {
                writer.join();
            }
        }
        try (RunningApp app = RunningApp.start(dir.resolve("log"), false)) {
            compare(app, acknowledged);
        }
        System.out.println(kills + " kills: " + acknowledged.size() + " acknowledged measurements, all there once");
    }

    /** Logs one after the other, now and then a file of several, until nobody answers. */
    private void write(RunningApp app, Set<Long> acknowledged) {
        while (true) {
            boolean file = next.get() % 5 == 0;
            List<Long> numbers = new ArrayList<>();
            for (int i = file ? 20 : 1; i > 0; i--) {
                numbers.add(next.incrementAndGet());
            }
            try {
                if (!(file ? imports(app, numbers) : logs(app, numbers.get(0)))) {
                    return;
                }
                acknowledged.addAll(numbers);
            } catch (IOException killed) {
                return;
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private boolean logs(RunningApp app, long number) throws IOException, InterruptedException {
        String body =
                "{\"takenAt\":\"%s\",\"campsite\":\"Camp %d\",\"setup\":\"Whips\",\"outcome\":\"ok\",\"rsrpDbm\":\"-%d\"}"
                        .formatted(START.plusSeconds(number), number % 9, 70 + number % 40);
        return sent(app, "/api/measurements", "application/json", body) == 201;
    }

    private boolean imports(RunningApp app, List<Long> numbers) throws IOException, InterruptedException {
        StringBuilder file = new StringBuilder("taken_at,campsite,setup,outcome,rsrp_dbm\n");
        for (long number : numbers) {
            file.append(
                    "%s,Site %d,Roof dome,ok,-%d\n".formatted(START.plusSeconds(number), number % 9, 70 + number % 40));
        }
        return sent(app, "/api/measurements/import", "text/csv", file.toString()) == 200;
    }

    private int sent(RunningApp app, String path, String type, String body) throws IOException, InterruptedException {
        return client.send(
                        HttpRequest.newBuilder(URI.create(app.address(path)))
                                .header("Content-Type", type)
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    private static void compare(RunningApp app, Set<Long> acknowledged) {
        Map<Long, String> there = new HashMap<>();
        List<String> faults = new ArrayList<>();
        app.read("/api/measurements.csv").lines().skip(1).forEach(row -> {
            String[] cells = row.split(",", -1);
            long number = OffsetDateTime.parse(cells[0]).toEpochSecond() - START.toEpochSecond();
            if (there.put(number, row) != null) {
                faults.add("twice: " + row);
            }
            if (!row.contains(",-" + (70 + number % 40) + ",")) {
                faults.add("altered: " + row);
            }
        });
        acknowledged.stream().filter(n -> !there.containsKey(n)).forEach(n -> faults.add("lost: " + n));
        assertEquals(List.of(), faults);
    }
}
