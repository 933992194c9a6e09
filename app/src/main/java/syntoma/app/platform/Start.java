package syntoma.app.platform;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.springframework.aot.AotDetector;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.context.ApplicationContext;
import org.springframework.context.aot.AbstractAotProcessor;
import org.springframework.core.env.SimpleCommandLinePropertySource;
import org.springframework.lang.Nullable;
import org.springframework.util.ClassUtils;
import syntoma.app.store.DemoDirectory;
import syntoma.app.store.Mend;
import syntoma.app.store.StartRefusedException;
import syntoma.app.store.StoreFiles;
import syntoma.app.store.StoreStart;

/**
 * Starts the application after looking at what commonly stands in the way: a busy port, data in use by another start, a
 * directory that cannot be written. Each of them ends the start with one line.
 */
public final class Start {
    private static final boolean AOT_PROCESSING = Boolean.getBoolean(AbstractAotProcessor.AOT_PROCESSING);

    private static final long LAUNCHER_LOOKED_MS = 200;
    private static final int KILLED = 137;
    private static final int LOCK_TRIES = 15;
    private static final long LOCK_PAUSE_MS = 200;

    /** Keeps the directory's lock: a channel that nothing refers to is closed, and its lock let go. */
    private static FileChannel held;

    private Start() {}

    /** Starts, or ends the process with status 1 after saying why not. */
    public static void run(Class<?> application, String[] args) {
        if (AOT_PROCESSING) {
            // the build writes down which parts there are; nothing is opened for that
            SpringApplication.run(application, args);
            return;
        }
        usePartsWrittenDown(application);
        SimpleCommandLinePropertySource options = new SimpleCommandLinePropertySource(args);
        int port = Integer.parseInt(option(options, "server.port", "8787"));
        boolean demo = Boolean.parseBoolean(option(options, "syntoma.demo", "false"));
        boolean mend = Boolean.parseBoolean(option(options, "syntoma.mend", "false"));
        StoreFiles files = StoreFiles.in(option(options, "syntoma.data", StoreFiles.OWN));
        Path data = files.dir();
        endWith(option(options, "syntoma.launcher", ""));
        LoggingSystem.get(Start.class.getClassLoader()).beforeInitialize();
        try {
            prepare(files, demo, port);
            if (Boolean.parseBoolean(option(options, "syntoma.lan", "false")) && !Files.exists(files.phrase())) {
                throw new StartRefusedException(
                        "--lan lets other devices in, and needs a pass phrase for that; set one with"
                                + " ./syntoma phrase --data " + data
                                + ", or start without --lan and set it under Devices");
            }
            open(files, mend);
            if (demo) {
                new DemoDirectory(files).claim();
            }
            SpringApplication spring = new SpringApplication(application);
            spring.setLogStartupInfo(false);
            spring.setMainApplicationClass(application);
            spring.addListeners((ApplicationReadyEvent ready) ->
                    System.out.println("Syntoma is ready at http://127.0.0.1:" + port + " with the data in " + data));
            ApplicationContext running = spring.run(args);
            if (Boolean.parseBoolean(option(options, "syntoma.rehearse", "false"))) {
                Rehearsal.of(running);
                System.exit(SpringApplication.exit(running));
            }
        } catch (IOException failed) {
            end("the start with the data in " + data + " failed: " + describe(failed));
        } catch (StartRefusedException refused) {
            end(refused.getMessage());
        } catch (RuntimeException failed) {
            end(reason(failed, data));
        }
    }

    /**
     * Ends this process when the launcher that started it is gone: who kills the launcher means Syntoma. Everything acknowledged is on disk
     * at any moment, so that nothing has to be closed first.
     */
    private static void endWith(String launcher) {
        if (launcher.isEmpty()) {
            return;
        }
        long parent = Long.parseLong(launcher);
        Thread watch = new Thread(
                () -> {
                    while (ProcessHandle.current()
                            .parent()
                            .map(ProcessHandle::pid)
                            .filter(pid -> pid == parent)
                            .isPresent()) {
                        try {
                            Thread.sleep(LAUNCHER_LOOKED_MS);
                        } catch (InterruptedException stopped) {
                            return;
                        }
                    }
                    Runtime.getRuntime().halt(KILLED);
                },
                "launcher");
        watch.setDaemon(true);
        watch.start();
    }

    /** What the build has written down of the parts stands in for finding them out at each start. */
    private static void usePartsWrittenDown(Class<?> application) {
        if (ClassUtils.isPresent(application.getName() + "__ApplicationContextInitializer", null)) {
            System.setProperty(AotDetector.AOT_ENABLED, "true");
        }
    }

    /** Takes the directory for this process, and empties it of an earlier demo. */
    static void prepare(StoreFiles files, boolean demo, int port) {
        Path data = files.dir();
        try {
            files.prepare();
            FileChannel channel = FileChannel.open(
                    files.lock(), StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
            FileLock lock = lock(channel);
            if (lock == null) {
                throw new StartRefusedException(
                        "the data in " + data + " are in use by another start of Syntoma; stop that one,"
                                + " or choose another directory with --data");
            }
            held = channel;
            StoreFiles.restrictFile(files.lock());
            files.emptySpool();
            if (demo) {
                new DemoDirectory(files).empty().ifPresent(System.out::println);
            }
            Path probe = Files.createTempFile(files.spool(), "probe", "");
            Files.write(probe, new byte[8192]);
            Files.delete(probe);
        } catch (IOException | java.nio.channels.OverlappingFileLockException e) {
            throw new StartRefusedException("the directory " + data + " cannot be written (" + describe(e)
                    + "); free some space, allow writing, or choose another directory with --data");
        }
        try (ServerSocket probe = new ServerSocket()) {
            probe.setReuseAddress(true);
            probe.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        } catch (IOException e) {
            throw new StartRefusedException(
                    "port " + port + " on 127.0.0.1 is taken by another program; choose another with" + " --port");
        }
    }

    /** A start that follows a stop at once finds the lock still held for a moment. */
    @Nullable
    private static FileLock lock(FileChannel channel) throws IOException {
        for (int tried = 0; ; tried++) {
            FileLock lock = channel.tryLock();
            if (lock != null || tried == LOCK_TRIES) {
                return lock;
            }
            try {
                Thread.sleep(LOCK_PAUSE_MS);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return null;
            }
        }
    }

    /** Looks through the store before H2 does; with {@code mend} it is made again from what can be read. */
    static void open(StoreFiles files, boolean mend) {
        try {
            if (mend) {
                System.out.println(new Mend(files).mend(LocalDateTime.now(ZoneId.systemDefault())));
            }
            new StoreStart(files).prepare().forEach(System.out::println);
        } catch (IOException e) {
            throw new StartRefusedException("the log in " + files.dir() + " cannot be read (" + describe(e) + ")");
        }
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
            case "FileAlreadyExistsException" -> "a file is in its place";
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
