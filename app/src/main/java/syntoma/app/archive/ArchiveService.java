package syntoma.app.archive;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.HashSet;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Service;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.photo.Photos;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.store.StoreFiles;
import syntoma.app.store.StoreTables;
import syntoma.core.unit.Text;

/** Gives everything as one file, and takes such a file in, as a whole or not at all. */
@Service
class ArchiveService {
    private final Archives archives;
    private final StoreTables tables;
    private final Photos photos;
    private final StoreFiles files;
    private final IntakeTurn turn;

    ArchiveService(Archives archives, StoreTables tables, Photos photos, StoreFiles files, IntakeTurn turn) {
        this.archives = archives;
        this.tables = tables;
        this.photos = photos;
        this.files = files;
        this.turn = turn;
    }

    /**
     * What became of an archive.
     *
     * @param keptAs the file in the data directory that holds the previous data; empty where there were none
     */
    record RestoredView(long rows, int photos, String keptAs) {}

    void write(OutputStream out) {
        archives.write(out);
    }

    /**
     * Takes an archive in.
     *
     * @param replace whether the existing data are replaced; a copy of them is kept in the data directory
     * @throws ConflictException when there is something and it is not to go
     * @throws InvalidInputException when it is no archive, or not a whole one; nothing is changed then
     */
    RestoredView takeIn(InputStream in, boolean replace) throws IOException, InterruptedException {
        requireRoom(replace);
        Files.createDirectories(files.spool());
        Path file = Files.createTempFile(files.spool(), "archive", null);
        try {
            Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
            try (Archive archive = Archive.open(file)) {
                return takeIn(archive, replace);
            }
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** Whether there is something that the archive would replace; refused unless that was asked for. */
    private boolean requireRoom(boolean replace) {
        boolean untouched = tables.areUntouched();
        if (!untouched && !replace) {
            throw new ConflictException(
                    "there are data here already; an archive goes into an empty Syntoma. Start one with --data on another"
                            + " directory, or say replace=true: a copy of what is here is kept beside it");
        }
        return !untouched;
    }

    private RestoredView takeIn(Archive archive, boolean replace) throws IOException, InterruptedException {
        AtomicReference<List<StoreTables.Table>> known = new AtomicReference<>();
        AtomicReference<String> layout = new AtomicReference<>();
        tables.look(view -> {
            known.set(view.tables());
            layout.set(view.layout());
        });
        long rows = archive.check(known.get(), Integer.parseInt(layout.get()));
        List<String> pictures = archive.photos();
        for (String hash : pictures) {
            if (!Photos.isOf(hash, archive.photo(hash))) {
                throw new InvalidInputException(
                        "archive",
                        "photos/" + hash + ".jpg is not the picture of that name; it was changed or damaged");
            }
        }
        if (!turn.take(0)) {
            throw new ConflictException("an import is under way; take the archive in when it is done");
        }
        try {
            for (String hash : pictures) {
                photos.keepAgain(hash, archive.photo(hash));
            }
            AtomicReference<String> keptAs = new AtomicReference<>("");
            tables.fill(
                    () -> {
                        // looked at again: somebody may have logged something while the archive was read
                        if (requireRoom(replace)) {
                            keptAs.set(keep());
                        }
                    },
                    archive::each,
                    archive.next(known.get()));
            photos.keepOnly(new HashSet<>(pictures));
            return new RestoredView(rows, pictures.size(), keptAs.get());
        } catch (StoreTables.UnfitArchiveException unfit) {
            throw new InvalidInputException(
                    "archive", "the archive cannot be taken in: " + Text.shortened(unfit.getMessage()));
        } finally {
            turn.give();
        }
    }

    /** Writes the existing data into the data directory before they are replaced. */
    private String keep() {
        try {
            Path file = files.unused("before-archive-" + StoreFiles.stamp(), ".zip");
            try (OutputStream out = Files.newOutputStream(file, StandardOpenOption.CREATE_NEW)) {
                archives.write(out);
            } catch (IOException | RuntimeException cutOff) {
                Files.deleteIfExists(file);
                throw cutOff;
            }
            StoreFiles.restrictFile(file);
            StoreFiles.sync(file);
            return file.getFileName().toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
