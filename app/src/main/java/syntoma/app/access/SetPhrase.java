package syntoma.app.access;

import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.StandardOpenOption;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.store.StoreFiles;

/** Sets the pass phrase at the machine itself, also where it was forgotten: whoever may write the data may set it. */
public final class SetPhrase {
    private SetPhrase() {}

    /** Asks for the phrase, twice where somebody types it; returns the status of the process. */
    public static int run(String directory) throws IOException {
        StoreFiles files = StoreFiles.in(directory);
        files.prepare();
        try (FileChannel lock = FileChannel.open(
                files.lock(), StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS)) {
            if (lock.tryLock() == null) {
                return refuse("the data in " + files.dir()
                        + " are in use; stop Syntoma first, or set the phrase in it, under Devices");
            }
            String phrase = ask();
            if (phrase == null) {
                return refuse("the two are not the same; nothing was set");
            }
            SecretFiles secrets = new SecretFiles(files);
            new Phrase(secrets).set(phrase);
            Files.deleteIfExists(secrets.at(Sessions.FILE));
            System.out.println("The pass phrase for the data in " + files.dir()
                    + " is set. Devices that were logged in have to log in again.");
            return 0;
        } catch (InvalidInputException refused) {
            return refuse(refused.getMessage());
        }
    }

    private static int refuse(String why) {
        System.err.println("syntoma: " + why);
        return 1;
    }

    @org.springframework.lang.Nullable
    private static String ask() throws IOException {
        Console console = System.console();
        if (console == null) {
            BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
            String line = in.readLine();
            return line == null ? "" : line;
        }
        String first = new String(console.readPassword("Pass phrase, at least 10 characters: "));
        String second = new String(console.readPassword("Once more: "));
        return first.equals(second) ? first : null;
    }
}
