package syntoma.app.photo;

import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;

/**
 * Has pictures made ready by a process of its own, one at a time, within bounds of memory and time: whatever a file does to its reader, it
 * ends that process and nothing else.
 */
@Component
class PictureMaker {
    private static final Logger LOG = LoggerFactory.getLogger(PictureMaker.class);
    private static final List<String> BOUNDS = List.of(
            "-Xmx192m",
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-XX:+ExitOnOutOfMemoryError",
            "-XX:MaxMetaspaceSize=64m",
            "-Djava.awt.headless=true");

    private static final long LONGEST_S = 30;
    private static final long LONGEST_WAIT_S = 60;

    /** A picture that is kept is never larger; the process is not believed beyond this. */
    private static final int MOST_BYTES = 25_000_000;

    private final Semaphore turn = new Semaphore(1, true);

    /**
     * Makes a picture ready.
     *
     * @throws InvalidInputException when it is none, or needs too much to be read
     */
    Picture make(byte[] sent) {
        try {
            if (!turn.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS)) {
                throw new ConflictException(
                        "other pictures are being read; nothing of this one was kept. Try again in a moment");
            }
            try {
                return run(sent);
            } finally {
                turn.release();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ConflictException("Syntoma is stopping; nothing of this picture was kept");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Picture run(byte[] sent) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            Thread feeder = new Thread(() -> feed(process, sent), "picture");
            feeder.setDaemon(true);
            feeder.start();
            Thread guard = new Thread(() -> endInTime(process), "picture-time");
            guard.setDaemon(true);
            guard.start();
            byte[] answer;
            try (InputStream in = process.getInputStream()) {
                answer = in.readNBytes(MOST_BYTES);
            }
            process.waitFor(LONGEST_S, TimeUnit.SECONDS);
            return result(process.isAlive() ? -1 : process.exitValue(), answer);
        } finally {
            process.destroyForcibly();
        }
    }

    private static Picture result(int status, byte[] answer) throws IOException {
        if (status == PictureProcess.REFUSED) {
            throw new InvalidInputException("photo", new String(answer, StandardCharsets.UTF_8));
        }
        if (status != 0) {
            LOG.warn("a picture ended its process with status {}", status);
            throw new InvalidInputException(
                    "photo",
                    "photo needs more memory or time than a picture may take to be read. Save it again as JPEG with fewer"
                            + " pixels, and send that");
        }
        try (DataInputStream in = new DataInputStream(new ByteArrayInputStream(answer))) {
            int width = in.readInt();
            int height = in.readInt();
            return new Picture(in.readAllBytes(), width, height);
        }
    }

    private static void feed(Process process, byte[] sent) {
        try (OutputStream out = process.getOutputStream()) {
            out.write(sent);
        } catch (IOException ended) {
            // how it ended says why
        }
    }

    private static void endInTime(Process process) {
        try {
            if (!process.waitFor(LONGEST_S, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** The same Java and classes as this process has; in a jar that holds its libraries packed, by the launcher that unpacks them. */
    private static List<String> command() {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(BOUNDS);
        URL code = PictureProcess.class.getProtectionDomain().getCodeSource().getLocation();
        boolean packed = code.toString().contains("nested:") || code.toString().contains("BOOT-INF");
        if (packed) {
            command.add("-Dloader.main=" + PictureProcess.class.getName());
        }
        command.addAll(List.of("-cp", System.getProperty("java.class.path")));
        command.add(
                packed ? "org.springframework.boot.loader.launch.PropertiesLauncher" : PictureProcess.class.getName());
        return command;
    }
}
