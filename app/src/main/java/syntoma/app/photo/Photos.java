package syntoma.app.photo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import syntoma.app.platform.NotFoundException;
import syntoma.app.store.StoreEmptiedEvent;
import syntoma.app.store.StoreFiles;

/** Keeps pictures. */
@Service
public class Photos {
    private final StoreFiles files;
    private final PictureMaker maker;

    Photos(StoreFiles files, PictureMaker maker) {
        this.files = files;
        this.maker = maker;
    }

    /** A picture as it is kept; {@code hash} is the SHA-256 of its file. */
    public record StoredPicture(String hash, int widthPx, int heightPx) {}

    /**
     * Keeps a picture. Reading it takes its time: never to be called in a transaction.
     *
     * @throws syntoma.app.platform.InvalidInputException when it is none that can be read
     */
    public StoredPicture keep(byte[] sent) {
        Picture picture = maker.make(sent);
        String hash = hash(picture.jpeg());
        try {
            files.preparePhotos();
            Path at = path(hash);
            if (!Files.exists(at)) {
                write(picture.jpeg(), at);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new StoredPicture(hash, picture.widthPx(), picture.heightPx());
    }

    /** The files of all pictures, by name. */
    public List<Path> files() {
        if (!Files.isDirectory(files.photos())) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(files.photos())) {
            return all.filter(f -> f.getFileName().toString().endsWith(".jpg"))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Whether bytes are a picture that was kept under a hash. */
    public static boolean isOf(String hash, byte[] jpeg) {
        boolean marked = jpeg.length > 2 && (jpeg[0] & 0xff) == 0xff && (jpeg[1] & 0xff) == 0xd8;
        return marked && hash(jpeg).equals(hash);
    }

    /** Keeps a picture as it is, one that was kept before, such as in an archive. */
    public void keepAgain(String hash, byte[] jpeg) {
        try {
            files.preparePhotos();
            if (!Files.exists(path(hash))) {
                write(jpeg, path(hash));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Deletes all but some. */
    public void keepOnly(Set<String> hashes) {
        try {
            for (Path file : files()) {
                if (!hashes.contains(file.getFileName().toString().replace(".jpg", ""))) {
                    Files.delete(file);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A file is under its name only when all of it is on the disk. */
    private void write(byte[] jpeg, Path at) throws IOException {
        Path part = Files.createTempFile(files.photos(), "part", null);
        try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
            ByteBuffer left = ByteBuffer.wrap(jpeg);
            while (left.hasRemaining()) {
                channel.write(left);
            }
            channel.force(true);
        }
        Files.move(part, at, StandardCopyOption.ATOMIC_MOVE);
    }

    /**
     * The JPEG of a hash.
     *
     * @throws NotFoundException when its file is gone
     */
    public byte[] read(String hash) {
        try {
            return Files.readAllBytes(path(hash));
        } catch (IOException gone) {
            throw new NotFoundException("the file of this picture is gone");
        }
    }

    private Path path(String hash) {
        return files.photos().resolve(hash + ".jpg");
    }

    private static String hash(byte[] jpeg) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(jpeg));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    @EventListener(StoreEmptiedEvent.class)
    void emptied() throws IOException {
        files.deletePhotos();
    }
}
