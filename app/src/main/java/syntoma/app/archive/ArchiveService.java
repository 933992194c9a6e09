package syntoma.app.archive;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.HashSet;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Service;
import syntoma.app.campsite.Campsites;
import syntoma.app.gear.GearService;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.photo.Photos;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.app.setup.Setups;
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
    private final Campsites campsites;
    private final Setups setups;
    private final GearService gear;
    private final IntakeTurn turn;
    private final Clock clock;

    ArchiveService(
            Archives archives,
            StoreTables tables,
            Photos photos,
            StoreFiles files,
            Campsites campsites,
            Setups setups,
            GearService gear,
            IntakeTurn turn,
            Clock clock) {
        this.archives = archives;
        this.tables = tables;
        this.photos = photos;
        this.files = files;
        this.campsites = campsites;
        this.setups = setups;
        this.gear = gear;
        this.turn = turn;
        this.clock = clock;
    }

    /**
     * What became of an archive.
     *
     * @param keptAs the file in the data directory that holds what was there before; empty where nothing was
     */
    record RestoredView(long rows, int photos, String keptAs) {}

    void write(OutputStream out) {
        archives.write(out);
    }

    /**
     * Takes an archive in.
     *
     * @param replace whether what is there goes for it; a copy of that is kept in the data directory
     * @throws Conflict when there is something and it is not to go
     * @throws InvalidInput when it is no archive, or not a whole one; nothing is changed then
     */
    RestoredView takeIn(InputStream in, boolean replace) throws IOException, InterruptedException {
        boolean empty = isEmpty();
        if (!empty && !replace) {
            throw new Conflict(
                    "there is something in the log or the rig already; an archive goes into an empty Syntoma. Start one with"
                            + " --data on another directory, or say replace=true: a copy of what is here is kept beside it");
        }
        Files.createDirectories(files.spool());
        Path file = Files.createTempFile(files.spool(), "archive", null);
        try {
            Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
            try (Archive archive = Archive.open(file)) {
                return takeIn(archive, empty);
            }
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private RestoredView takeIn(Archive archive, boolean empty) throws IOException, InterruptedException {
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
                throw new InvalidInput(
                        "archive",
                        "photos/" + hash + ".jpg is not the picture of that name; it was changed or damaged");
            }
        }
        if (!turn.take(0)) {
            throw new Conflict("an import is under way; take the archive in when it is done");
        }
        try {
            String keptAs = empty ? "" : keep();
            for (String hash : pictures) {
                photos.keepAgain(hash, archive.photo(hash));
            }
            tables.fill(archive::each, archive.next(known.get()));
            photos.keepOnly(new HashSet<>(pictures));
            return new RestoredView(rows, pictures.size(), keptAs);
        } catch (StoreTables.Unfit unfit) {
            throw new InvalidInput("archive", "the archive cannot be taken in: " + Text.shortened(unfit.getMessage()));
        } finally {
            turn.give();
        }
    }

    private boolean isEmpty() {
        return campsites.all().isEmpty() && setups.all().isEmpty() && gear.all().isEmpty();
    }

    /** Writes what is there into the data directory before it goes. */
    private String keep() throws IOException {
        Path file = files.dir()
                .resolve("before-archive-"
                        + DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").format(OffsetDateTime.now(clock)) + ".zip");
        try (OutputStream out = Files.newOutputStream(file)) {
            archives.write(out);
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        StoreFiles.restrictFile(file);
        return file.getFileName().toString();
    }
}
