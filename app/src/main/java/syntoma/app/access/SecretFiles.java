package syntoma.app.access;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import org.springframework.stereotype.Component;
import syntoma.app.store.StoreFiles;

/** Small files that only their owner may read, each written as a whole or not at all. */
@Component
final class SecretFiles {
    private final StoreFiles files;

    SecretFiles(StoreFiles files) {
        this.files = files;
    }

    Path at(String name) {
        return files.access().resolve(name);
    }

    /** What a file holds; empty when there is none. */
    Optional<String> read(String name) {
        try {
            return Optional.of(Files.readString(at(name)));
        } catch (NoSuchFileException none) {
            return Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    synchronized void write(String name, String text) {
        try {
            files.prepareAccess();
            Path whole = at(name + ".new");
            Files.deleteIfExists(whole);
            Files.createFile(whole);
            StoreFiles.restrictFile(whole);
            Files.write(whole, text.getBytes(StandardCharsets.UTF_8));
            Files.move(whole, at(name), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
