package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The whole application killed in the middle of larger work: an import, undoing it, a merge, a restored archive, a change of layout.
 * After each start the state is the one before the work or the one after it. Part of {@code ./syntoma endure}.
 */
class KilledWork {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final long SEED = 55;
    private static final int ROWS = 400;
    private static final int KILLS_OF_A_CHANGE = 3;
    private static final int LATEST_IN_A_START_MS = 4_000;

    @TempDir
    private Path dir;

    /** A piece of work; it is asked for by names, since numbers may differ after a restore. */
    private interface Step {
        int doIn(RunningApp app) throws IOException;
    }

    private record NamedWork(String name, Step step) {}

    /** Goes round: the last step restores what existed before the first. */
    private List<NamedWork> steps(byte[] base) throws IOException {
        byte[] picture = picture();
        return List.of(
                new NamedWork(
                        "import",
                        app -> app.send("POST", "/api/measurements/import", "text/csv", rows("Batch", 20, ROWS))),
                new NamedWork("undo the import", KilledWork::undo),
                new NamedWork("note", app -> json(app, "PUT", stay(app) + "/note", "{\"note\":\"under the trees\"}")),
                new NamedWork(
                        "photo", app -> app.send("POST", stay(app) + "/photos", "application/octet-stream", picture)),
                new NamedWork(
                        "merge",
                        app -> json(
                                app,
                                "POST",
                                "/api/names/campsite/" + campsite(app, "Site 1") + "/merge",
                                "{\"into\":" + campsite(app, "Site 2") + "}")),
                new NamedWork("undo the merge", KilledWork::undo),
                new NamedWork(
                        "rename",
                        app -> json(
                                app,
                                "PUT",
                                "/api/names/campsite/" + campsite(app, "Site 3"),
                                "{\"name\":\"Far Meadow\"}")),
                new NamedWork(
                        "delete",
                        app -> app.send(
                                "DELETE",
                                "/api/measurements/" + first(app, "/api/measurements?limit=1"),
                                "text/plain",
                                new byte[0])),
                new NamedWork(
                        "gear",
                        app -> json(
                                app,
                                "POST",
                                "/api/gear",
                                "{\"kind\":\"mount\",\"name\":\"Ladder mount\",\"state\":\"owned\",\"sheet\":{}}")),
                new NamedWork(
                        "restore", app -> app.send("POST", "/api/archive?replace=true", "application/zip", base)));
    }

    @Test
    void work_that_a_kill_cuts_off_is_done_or_not_begun() throws Exception {
        byte[] base = base();
        List<NamedWork> steps = steps(base);
        List<String> states = new ArrayList<>();
        long[] tookMs = new long[steps.size()];
        try (RunningApp app = RunningApp.start(dir.resolve("calm"), false)) {
            assertTrue(restored(app, base));
            states.add(state(app));
            for (int i = 0; i < steps.size(); i++) {
                long begun = System.nanoTime();
                int status = steps.get(i).step().doIn(app);
                assertTrue(status < 300, steps.get(i).name() + " answers " + status);
                tookMs[i] = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
                states.add(state(app));
            }
        }
        assertEquals(states.get(0), states.get(steps.size()), "the last step restores the state before the first");

        int kills = Integer.getInteger("endure.kills") / 2;
        Random random = new Random(SEED);
        int done = 0;
        int at = 0;
        Path data = dir.resolve("killed");
        try (RunningApp app = RunningApp.start(data, false)) {
            assertTrue(restored(app, base));
        }
        for (int kill = 0; kill < kills; kill++) {
            boolean acknowledged;
            try (RunningApp app = RunningApp.start(data, false)) {
                NamedWork next = steps.get(at);
                Thread killer = killer(app, random.nextLong(tookMs[at] + 20));
                acknowledged = acknowledged(next.step(), app);
                killer.join();
            }
            String before = states.get(at);
            String after = states.get(at + 1);
            try (RunningApp app = RunningApp.start(data, false)) {
                String found = state(app);
                boolean isDone = found.equals(after);
                assertTrue(
                        isDone || found.equals(before), steps.get(at).name() + ": neither before nor after: " + found);
                assertTrue(isDone || !acknowledged, steps.get(at).name() + " was acknowledged and is lost");
                if (!isDone && kill % 2 == 1) {
                    // not the same piece of work for ever
                    isDone = steps.get(at).step().doIn(app) < 300;
                    assertTrue(isDone);
                }
                done += isDone ? 1 : 0;
                at = (at + (isDone ? 1 : 0)) % steps.size();
            }
        }
        System.out.println(kills + " kills in larger work: each piece done whole (" + done + ") or not begun");
    }

    @Test
    void a_change_of_layout_that_is_cut_off_goes_on_at_the_next_start() throws Exception {
        Random random = new Random(SEED);
        EarlierData earlier = EarlierData.ofLayout(27);
        int times = Math.max(1, Integer.getInteger("endure.kills") / 20);
        for (int i = 0; i < times; i++) {
            Path data = dir.resolve("earlier" + i);
            earlier.copyTo(data);
            for (int kill = 0; kill < KILLS_OF_A_CHANGE; kill++) {
                RunningApp.startAndKill(data, random.nextInt(LATEST_IN_A_START_MS));
            }
            try (RunningApp app = RunningApp.start(data, false)) {
                earlier.requireAllIn(app);
            }
        }
        System.out.println(times * KILLS_OF_A_CHANGE + " kills while an earlier layout is changed: nothing is missing");
    }

    private static boolean acknowledged(Step step, RunningApp app) {
        try {
            return step.doIn(app) < 300;
        } catch (IOException | java.io.UncheckedIOException killed) {
            return false;
        }
    }

    private static Thread killer(RunningApp app, long afterMs) {
        Thread killer = new Thread(() -> {
            try {
                Thread.sleep(afterMs);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
            app.kill();
        });
        killer.start();
        return killer;
    }

    private byte[] base() throws IOException {
        try (RunningApp app = RunningApp.start(dir.resolve("base"), false)) {
            for (int i = 1; i <= 3; i++) {
                assertEquals(200, app.send("POST", "/api/measurements/import", "text/csv", rows("Site " + i, i, 40)));
            }
            return app.bytes("/api/archive");
        }
    }

    private static boolean restored(RunningApp app, byte[] archive) throws IOException {
        return app.send("POST", "/api/archive?replace=true", "application/zip", archive) == 200;
    }

    /** All that a user sees, without the numbers of rows and the times of changes. */
    private static String state(RunningApp app) throws IOException {
        StringBuilder state = new StringBuilder(app.read("/api/measurements.csv"));
        for (String path : List.of("/api/stays", "/api/campsites", "/api/gear.json", "/api/needs", "/api/vehicle")) {
            state.append(app.read(path).replaceAll("\"(id|version|\\w*Id)\":\\d+,?", ""));
        }
        JsonNode page = JSON.readTree(app.read(stay(app) + "/page"));
        state.append(page.path("note")).append(page.path("photos").size());
        return state.toString();
    }

    private static int json(RunningApp app, String method, String path, String body) throws IOException {
        return app.send(method, path, "application/json", body.getBytes(StandardCharsets.UTF_8));
    }

    private static int undo(RunningApp app) throws IOException {
        return json(app, "POST", "/api/changes/" + first(app, "/api/changes?limit=1") + "/undo", "");
    }

    private static String stay(RunningApp app) throws IOException {
        return "/api/stays/" + first(app, "/api/stays");
    }

    private static String first(RunningApp app, String list) throws IOException {
        return JSON.readTree(app.read(list)).path(0).path("id").asText();
    }

    private static String campsite(RunningApp app, String name) throws IOException {
        for (JsonNode site : JSON.readTree(app.read("/api/campsites"))) {
            if (site.path("name").asText().equals(name)) {
                return site.path("id").asText();
            }
        }
        throw new AssertionError(name + " is not there");
    }

    private static byte[] rows(String campsite, int day, int count) {
        StringBuilder file = new StringBuilder("taken_at,campsite,setup,outcome,rsrp_dbm\n");
        for (int i = 0; i < count; i++) {
            file.append("2026-08-%02dT%02d:%02d:00+03:00,%s,Whips,ok,-%d\n"
                    .formatted(day, 8 + i / 60, i % 60, campsite, 70 + i % 40));
        }
        return file.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }
}
