package syntoma.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.h2.mvstore.MVStoreException;

/**
 * A data directory that each {@code ./syntoma demo} begins again. Its mark names the store that the demo made, by the moment H2 made it:
 * only that one is ever deleted; another one, such as a log of one's own that was copied there, is moved aside.
 */
public final class DemoDirectory {
    private static final Pattern STORE = Pattern.compile("store (-?\\d+)");

    private final StoreFiles files;

    public DemoDirectory(StoreFiles files) {
        this.files = files;
    }

    private Path mark() {
        return files.dir().resolve("demo-data");
    }

    /**
     * Empties the directory of an earlier demo.
     *
     * @return what was moved aside, as a sentence; empty where nothing was
     * @throws StartRefusedException when the directory is not a demo's
     */
    public Optional<String> empty() throws IOException {
        boolean ours = Files.isRegularFile(mark(), LinkOption.NOFOLLOW_LINKS);
        if (!Files.exists(files.store())) {
            if (!ours) {
                Files.createFile(mark());
            }
            return Optional.empty();
        }
        if (!ours) {
            throw new StartRefusedException(
                    "the directory " + files.dir() + " holds data that are not the demo's; choose another"
                            + " with --data, so that nothing of yours is lost");
        }
        OptionalLong made = storedCreation();
        if (made.isPresent() && made.equals(creationOfStore())) {
            files.deleteStore();
            return Optional.empty();
        }
        Path aside = files.moveAside(files.store(), files.lastMark(), files.photos());
        return Optional.of(
                "The log in " + files.dir() + " is not the one that the last demo made; it was moved to " + aside);
    }

    /** Notes that the store that is there now is the demo's. */
    public void claim() throws IOException {
        OptionalLong created = creationOfStore();
        Files.writeString(
                mark(),
                "Emptied at each ./syntoma demo.\n"
                        + (created.isPresent() ? "store " + created.getAsLong() + "\n" : ""));
    }

    private OptionalLong storedCreation() throws IOException {
        Matcher store = STORE.matcher(Files.readString(mark()));
        return store.find() ? OptionalLong.of(Long.parseLong(store.group(1))) : OptionalLong.empty();
    }

    private OptionalLong creationOfStore() {
        try {
            return OptionalLong.of(StoreCheck.creationTime(files.store()));
        } catch (MVStoreException unreadable) {
            return OptionalLong.empty();
        }
    }
}
