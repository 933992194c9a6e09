package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A process that writes from several threads is killed again and again; what it acknowledged is there, once and whole. */
class KilledTest {
    private static final int KILLS = 4;
    private static final long SEED = 7;

    /** Killed so long at most after it acknowledged some changes; one run in four while it makes its first ones. */
    private static final int LATEST_MS = 80;

    private static final int FEWEST_CHANGES = 3;
    private static final int MOST_CHANGES = 12;
    private static final int TOLD_PER_KILL = 3;

    @TempDir
    private Path dir;

    /** Two stores at a time, since most of a run is its start. */
    @Test
    void nothing_acknowledged_is_lost_doubled_or_torn() throws Exception {
        ExecutorService lanes = Executors.newFixedThreadPool(2);
        try {
            List<Future<?>> runs = new ArrayList<>();
            for (int lane = 0; lane < 2; lane++) {
                Lane one = new Lane(Files.createDirectory(dir.resolve("lane" + lane)), SEED + lane);
                runs.add(lanes.submit(() -> one.run((KILLS + 1) / 2)));
            }
            for (Future<?> run : runs) {
                run.get();
            }
        } finally {
            lanes.shutdownNow();
        }
    }

    /** One store whose process is killed again and again. */
    private static final class Lane {
        private final Path dir;
        private final Random random;

        /** Acknowledged by the end of the run before. */
        private final Set<String> before = new HashSet<>();

        /** Acknowledged and not deleted, and those whose deletion was not acknowledged yet, or was. */
        private final Set<String> kept = new HashSet<>();

        private final Set<String> unsure = new HashSet<>();
        private final Set<String> gone = new HashSet<>();
        private final Set<String> goneBefore = new HashSet<>();

        private Lane(Path dir, long seed) {
            this.dir = dir;
            this.random = new Random(seed);
        }

        private Void run(int kills) throws Exception {
            for (int run = 1; run <= kills; run++) {
                runAndKill(run);
            }
            assertTrue(
                    kept.size() >= kills * TOLD_PER_KILL, "too few changes were acknowledged to tell: " + kept.size());
            runAndKill(kills + 1);
            return null;
        }

        /** Starts the process, compares what it has with what was acknowledged, lets it write, and kills it. */
        private void runAndKill(int run) throws Exception {
            Process child = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-XX:TieredStopAtLevel=1",
                            "-XX:+UseSerialGC",
                            "-Xmx200m",
                            "-cp",
                            System.getProperty("java.class.path"),
                            WritingChild.class.getName(),
                            dir.toString(),
                            String.valueOf(run))
                    .redirectErrorStream(true)
                    .start();
            List<String> have = new ArrayList<>();
            List<String> other = new ArrayList<>();
            boolean ready = false;
            int wanted = run % 4 == 0 ? 0 : random.nextInt(FEWEST_CHANGES, MOST_CHANGES);
            int changes = 0;
            try (BufferedReader out =
                    new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
                for (String line = out.readLine(); line != null; line = out.readLine()) {
                    if (line.equals("ready")) {
                        ready = true;
                        if (wanted == 0) {
                            killLater(child);
                        }
                    } else if (line.startsWith("have ")) {
                        have.add(line.substring(5));
                    } else if (line.startsWith("kept ")) {
                        kept.add(line.substring(5));
                        if (++changes == wanted) {
                            killLater(child);
                        }
                    } else if (line.startsWith("going ")) {
                        unsure.add(line.substring(6));
                    } else if (line.startsWith("gone ")) {
                        kept.remove(line.substring(5));
                        unsure.remove(line.substring(5));
                        gone.add(line.substring(5));
                    } else if (!ready) {
                        other.add(line);
                    }
                }
            } finally {
                child.toHandle().destroyForcibly();
            }
            assertTrue(ready, "start " + run + " failed: " + String.join("\n", other));
            compare(run, have);
        }

        /** The kept ones of this run were not there when it said what it has. */
        private void compare(int run, List<String> have) {
            Set<String> there = new HashSet<>(have);
            assertEquals(have.size(), there.size(), "start " + run + ": something is there twice");
            assertEquals(
                    List.of(), have.stream().filter(k -> k.startsWith("TORN")).toList(), "start " + run);
            List<String> lost = before.stream()
                    .filter(k -> !there.contains(k) && !unsure.contains(k))
                    .toList();
            assertEquals(List.of(), lost, "start " + run + ": lost of " + before.size());
            assertEquals(
                    List.of(), goneBefore.stream().filter(there::contains).toList(), "start " + run + ": came back");
            goneBefore.clear();
            goneBefore.addAll(gone);
            before.clear();
            before.addAll(kept);
        }

        private void killLater(Process child) {
            int ms = random.nextInt(LATEST_MS);
            Thread killer = new Thread(() -> {
                try {
                    if (!child.waitFor(ms, java.util.concurrent.TimeUnit.MILLISECONDS)) {
                        child.toHandle().destroyForcibly();
                    }
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                }
            });
            killer.setDaemon(true);
            killer.start();
        }
    }
}
