package syntoma.app.photo;

import com.twelvemonkeys.imageio.plugins.webp.WebPImageReaderSpi;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;

/** The formats of pictures that are read, known by their first bytes; no other reader of the platform is ever asked. */
enum PictureFormat {
    /** A progressive one stands in memory whole while it is read, a plain one does not. */
    JPEG(200_000_000) {
        @Override
        long mostPixels(byte[] file) {
            return isProgressive(file) ? MOST_PIXELS_WHOLE : super.mostPixels(file);
        }
    },
    PNG(200_000_000) {
        @Override
        byte[] withoutExtras(byte[] file) throws PictureException {
            return PngChunks.critical(file);
        }
    },
    WEBP(16_000_000) {
        @Override
        ImageReader reader() throws IOException {
            return new WebPImageReaderSpi().createReaderInstance(null);
        }
    };

    private static final long MOST_PIXELS_WHOLE = 40_000_000;
    private static final int START_OF_SCAN = 0xFFDA;
    private static final int PROGRESSIVE = 0xFFC2;

    private final long mostPixels;

    PictureFormat(long mostPixels) {
        this.mostPixels = mostPixels;
    }

    /** The format of a file; empty where it is none that is read. */
    static Optional<PictureFormat> of(byte[] file) {
        if (startsWith(file, 0, 0xFF, 0xD8, 0xFF)) {
            return Optional.of(JPEG);
        }
        if (startsWith(file, 0, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A)) {
            return Optional.of(PNG);
        }
        return startsWith(file, 0, 'R', 'I', 'F', 'F') && startsWith(file, 8, 'W', 'E', 'B', 'P')
                ? Optional.of(WEBP)
                : Optional.empty();
    }

    private static boolean startsWith(byte[] file, int from, int... bytes) {
        if (file.length < from + bytes.length) {
            return false;
        }
        for (int i = 0; i < bytes.length; i++) {
            if ((file[from + i] & 0xFF) != bytes[i]) {
                return false;
            }
        }
        return true;
    }

    /** The most pixels that a picture of this format may have, so that it fits into the memory that it is read in. */
    long mostPixels(byte[] file) {
        return mostPixels;
    }

    /** The file without what says nothing of its pixels. */
    byte[] withoutExtras(byte[] file) throws PictureException {
        return file;
    }

    ImageReader reader() throws IOException {
        return ImageIO.getImageReadersByFormatName(name()).next();
    }

    private static boolean isProgressive(byte[] file) {
        ByteBuffer jpeg = ByteBuffer.wrap(file, 2, file.length - 2);
        while (jpeg.remaining() > 4) {
            int marker = jpeg.getShort() & 0xFFFF;
            int length = (jpeg.getShort() & 0xFFFF) - 2;
            if (marker == PROGRESSIVE) {
                return true;
            }
            if (marker >>> 8 != 0xFF || marker == START_OF_SCAN || length < 0 || length > jpeg.remaining()) {
                return false;
            }
            jpeg.position(jpeg.position() + length);
        }
        return false;
    }
}
