package syntoma.app.platform;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.core.env.SimpleCommandLinePropertySource;

/**
 * Starts the application after looking at what commonly stands in the way: a busy port, data in use by another start, a
 * directory that cannot be written. Each of them ends the start with one line.
 */
public final class Start {
    private static final String LOCK = "in-use.lock";
    private static final String DEMO_MARK = "demo-data";
    private static final String STORE = "syntoma.mv.db";

    /** Keeps the directory's lock: a channel that nothing refers to is closed, and its lock let go. */
    private static FileChannel held;

    private Start() {}

    /** Starts, or ends the process with status 1 after saying why not. */
    public static void run(Class<?> application, String[] args) {
        SimpleCommandLinePropertySource options = new SimpleCommandLinePropertySource(args);
        int port = Integer.parseInt(option(options, "server.port", "8787"));
        Path data = Path.of(option(options, "syntoma.data", "data/own")).toAbsolutePath();
        boolean demo = Boolean.parseBoolean(option(options, "syntoma.demo", "false"));
        try {
            prepare(data, demo, port);
            SpringApplication spring = new SpringApplication(application);
            spring.setLogStartupInfo(false);
            spring.addListeners((ApplicationReadyEvent ready) ->
                    System.out.println("Syntoma is ready at http://127.0.0.1:" + port + " with the data in " + data));
            spring.run(args);
        } catch (CannotStart refused) {
            end(refused.getMessage());
        } catch (RuntimeException failed) {
            end(reason(failed, data));
        }
    }

    /** Why Syntoma cannot start, in one line. */
    static final class CannotStart extends RuntimeException {
        CannotStart(String message) {
            super(message);
        }
    }

    /** Takes the directory for this process, and empties it of an earlier demo. */
    static void prepare(Path data, boolean demo, int port) {
        try {
            Files.createDirectories(data);
            FileChannel channel =
                    FileChannel.open(data.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = channel.tryLock();
            if (lock == null) {
                throw new CannotStart("the data in " + data + " are in use by another start of Syntoma; stop that one,"
                        + " or choose another directory with --data");
            }
            held = channel;
            if (demo) {
                emptyOfDemo(data);
            }
            Path probe = data.resolve("write-probe");
            Files.write(probe, new byte[8192]);
            Files.delete(probe);
        } catch (IOException | java.nio.channels.OverlappingFileLockException e) {
            throw new CannotStart("the directory " + data + " cannot be written (" + describe(e)
                    + "); free some space, allow writing, or choose another directory with --data");
        }
        try (ServerSocket probe = new ServerSocket()) {
            probe.setReuseAddress(true);
            probe.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        } catch (IOException e) {
            throw new CannotStart(
                    "port " + port + " on 127.0.0.1 is taken by another program; choose another with" + " --port");
        }
    }

    private static void emptyOfDemo(Path data) throws IOException {
        boolean ours = Files.exists(data.resolve(DEMO_MARK));
        if (!ours && Files.exists(data.resolve(STORE))) {
            throw new CannotStart("the directory " + data + " holds data that are not the demo's; choose another with"
                    + " --data, so that nothing of yours is lost");
        }
        try (Stream<Path> files = Files.list(data)) {
            List<Path> old = files.filter(f -> f.getFileName().toString().startsWith("syntoma."))
                    .toList();
            for (Path file : old) {
                Files.delete(file);
            }
        }
        Files.writeString(data.resolve(DEMO_MARK), "Emptied at each ./syntoma demo.\n");
    }

    private static String reason(Throwable failed, Path data) {
        Throwable root = failed;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        String text = root instanceof IOException ? describe((IOException) root) : String.valueOf(root.getMessage());
        return "the start with the data in " + data + " failed: "
                + text.lines().findFirst().orElse("no reason given");
    }

    private static String describe(Exception e) {
        String name = e.getClass().getSimpleName();
        return switch (name) {
            case "AccessDeniedException" -> "access denied";
            case "FileAlreadyExistsException" -> "a file stands in its place";
            default -> {
                String message = String.valueOf(e.getMessage());
                yield message.substring(message.lastIndexOf(':') + 1).strip();
            }
        };
    }

    private static String option(SimpleCommandLinePropertySource options, String name, String otherwise) {
        String value = options.getProperty(name);
        return value == null ? otherwise : value;
    }

    private static void end(String line) {
        System.err.println("syntoma: " + line);
        System.exit(1);
    }
}
