package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.LongStream;
import java.util.stream.Stream;
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

    /** What a process holds: memory in kB, threads, open files. */
    private record HeldMemory(long residentKb, long threads, long files) {
        static HeldMemory of(long pid) throws IOException {
            Path process = Path.of("/proc", Long.toString(pid));
            Map<String, Long> status = new HashMap<>();
            Files.readAllLines(process.resolve("status")).forEach(line -> {
                String[] parts = line.split("[:\\s]+");
                if (parts.length > 1 && parts[1].matches("\\d+")) {
                    status.put(parts[0], Long.parseLong(parts[1]));
                }
            });
            try (Stream<Path> open = Files.list(process.resolve("fd"))) {
                return new HeldMemory(status.get("VmRSS"), status.get("Threads"), open.count());
            }
        }
    }

    /** After a warm-up of a third of the time, nothing that is held goes on growing. */
    @Test
    void memory_threads_and_files_stay_as_they_are_under_mixed_load() throws Exception {
        long minutes = Integer.getInteger("endure.minutes");
        try (RunningApp app = RunningApp.start(dir.resolve("soak"), true)) {
            long begun = System.nanoTime();
            List<HeldMemory> held = new ArrayList<>();
            Random random = new Random(SEEDS[1]);
            for (long call = 0; System.nanoTime() - begun < TimeUnit.MINUTES.toNanos(minutes); call++) {
                mixed(app, random);
                if (call % 50 == 0) {
                    held.add(HeldMemory.of(app.pid()));
                }
            }
            List<HeldMemory> warm = held.subList(held.size() / 3, held.size());
            HeldMemory first = most(warm.subList(0, warm.size() / 2));
            HeldMemory last = most(warm.subList(warm.size() / 2, warm.size()));
            System.out.println(minutes + " minutes of mixed load: " + first + ", then " + last);
            assertTrue(last.residentKb <= 1.15 * first.residentKb + 20_000, first + ", then " + last);
            assertTrue(last.threads <= first.threads + 4, first + ", then " + last);
            assertTrue(last.files <= first.files + 8, first + ", then " + last);
        }
    }

    private static HeldMemory most(List<HeldMemory> held) {
        return new HeldMemory(
                held.stream().mapToLong(HeldMemory::residentKb).max().orElse(0),
                held.stream().mapToLong(HeldMemory::threads).max().orElse(0),
                held.stream().mapToLong(HeldMemory::files).max().orElse(0));
    }

    private static final List<String> READ = List.of(
            "/api/pitch",
            "/api/stays",
            "/api/logbook",
            "/api/trials/results",
            "/api/findings?metric=up&baseline=Roof%20dome",
            "/api/measurements.csv",
            "/api/archive",
            "/tonight");

    private void mixed(RunningApp app, Random random) throws IOException, InterruptedException {
        switch (random.nextInt(4)) {
            case 0 -> logs(app, next.incrementAndGet());
            case 1 -> imports(app, List.of(next.incrementAndGet(), next.incrementAndGet()));
            case 2 ->
                sent(app, "/api/gear/sheet-text", "application/json", "{\"kind\":\"device\",\"text\":\"LTE B3\"}");
            default -> app.read(READ.get(random.nextInt(READ.size())));
        }
    }

    /** A full disk is said at every kind of write; what was acknowledged before is there when there is room again. */
    @Test
    void a_full_disk_is_said_and_loses_nothing() throws Exception {
        Path small = Files.createDirectory(dir.resolve("small"));
        int mounted = new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=48m", "tmpfs", small.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        assumeTrue(mounted == 0, "a small disk can only be made as root");
        try {
            Set<Long> acknowledged = ConcurrentHashMap.newKeySet();
            try (RunningApp app = RunningApp.start(small.resolve("data"), false)) {
                for (int i = 0; i < 20; i++) {
                    long number = next.incrementAndGet();
                    assertTrue(logs(app, number));
                    acknowledged.add(number);
                }
                fill(small.resolve("ballast"));
                List<Long> many = LongStream.range(0, 60_000)
                        .map(i -> next.incrementAndGet())
                        .boxed()
                        .toList();
                if (imports(app, many)) {
                    acknowledged.addAll(many);
                }
                for (int i = 0; i < 20; i++) {
                    long number = next.incrementAndGet();
                    if (logs(app, number)) {
                        acknowledged.add(number);
                    }
                }
                compare(app, acknowledged);
                Files.delete(small.resolve("ballast"));
                long number = next.incrementAndGet();
                if (logs(app, number)) {
                    acknowledged.add(number);
                }
                try (Stream<Path> left = Files.list(small.resolve("data/spool"))) {
                    assertEquals(List.of(), left.toList());
                }
            }
            try (RunningApp app = RunningApp.start(small.resolve("data"), false)) {
                compare(app, acknowledged);
                assertTrue(logs(app, next.incrementAndGet()));
            }
            System.out.println("a full disk: " + acknowledged.size() + " acknowledged measurements, all there once");
        } finally {
            new ProcessBuilder("umount", "-l", small.toString()).start().waitFor();
        }
    }

    private static void fill(Path ballast) throws IOException {
        byte[] piece = new byte[1 << 16];
        try (OutputStream out = Files.newOutputStream(ballast)) {
            while (true) {
                out.write(piece);
            }
        } catch (IOException full) {
            // as it should be
        }
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
