package syntoma.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The time from the call of Java to "ready", against that of a Spring Boot application that does nothing. */
final class StartBench {
    private static final int TIMES = 4;
    private static final double MOST = 1.5;
    private static final String EMPTY = "syntoma.bench.empty.EmptyApplication";

    private StartBench() {}

    /** The empty one and Syntoma in turn, both on data that they made at their first start. */
    static void run(Path start, Path dir) throws IOException {
        double[] empty = new double[TIMES];
        double[] own = new double[TIMES];
        for (int i = 0; i < TIMES; i++) {
            empty[i] = ready(empty(start, dir));
            own[i] = ready(own(start, dir.resolve("own")));
        }
        double ratio = median(own) / median(empty);
        Bench.report("start, against an empty application's", ratio, "times", "at most 1.5", ratio <= MOST);
    }

    /** How much longer a start takes with a log of many than with an empty one. */
    static void withLog(Path start, Path dir, Path many, String rows) throws IOException {
        double[] none = new double[TIMES];
        double[] full = new double[TIMES];
        for (int i = 0; i < TIMES; i++) {
            none[i] = ready(own(start, dir.resolve("own")));
            full[i] = ready(own(start, many));
        }
        double ratio = median(full) / median(none);
        Bench.report("start with " + rows + " measurements, against none", ratio, "times", "at most 1.2", ratio <= 1.2);
    }

    private static List<String> own(Path start, Path data) {
        return List.of("java", "@" + start.resolve("java.options"), "--server.port=0", "--syntoma.data=" + data);
    }

    private static List<String> empty(Path start, Path dir) {
        String here = Path.of(EMPTY.replace('.', '/') + ".class").toString();
        String classes = StartBench.class.getClassLoader().getResource(here).getPath();
        List<String> command = new ArrayList<>(List.of("java", "-Xmx480m", "-XX:+UseParallelGC", "-cp"));
        command.add(classes.substring(0, classes.length() - here.length()) + ":" + start.resolve("lib") + "/*");
        command.add(EMPTY);
        command.addAll(List.of(
                "--server.port=0",
                "--spring.main.banner-mode=off",
                "--spring.jpa.hibernate.ddl-auto=validate",
                "--spring.flyway.locations=classpath:syntoma/bench/empty",
                "--spring.datasource.url=jdbc:h2:file:" + dir.resolve("nothing")));
        return command;
    }

    private static double ready(List<String> command) throws IOException {
        long begun = System.nanoTime();
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.contains(" is ready at")) {
                    return (System.nanoTime() - begun) / 1e9;
                }
            }
            throw new IOException("it did not start: " + String.join(" ", command));
        } finally {
            process.destroy();
            process.onExit().join();
        }
    }

    /** The median of all but the first, at which the data are made. */
    private static double median(double[] values) {
        double[] sorted = Arrays.stream(values).skip(1).sorted().toArray();
        return sorted[sorted.length / 2];
    }
}
