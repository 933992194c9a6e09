package syntoma.app.photo;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import syntoma.app.platform.InvalidInput;

/** A picture made ready: upright, at most {@value #LONGEST_PX} pixels long, drawn anew so that nothing but its pixels is left. */
record Picture(byte[] jpeg, int widthPx, int heightPx) {
    static final int LONGEST_PX = 1_600;

    private static final double QUALITY = 0.85;

    /** The longest edge that is read: beyond it a small file is taken for a trap. */
    private static final int MOST_EDGE_PX = 30_000;

    private static final long MOST_PIXELS = 200_000_000;

    private static final short START_OF_IMAGE = (short) 0xFFD8;
    private static final int START_OF_SCAN = 0xFFDA;
    private static final int APP1 = 0xFFE1;

    static {
        ImageIO.setUseCache(false);
    }

    /**
     * @throws InvalidInput when it is no picture that can be read
     */
    static Picture of(byte[] sent) {
        BufferedImage upright = upright(sent);
        try {
            BufferedImage small = Math.max(upright.getWidth(), upright.getHeight()) <= LONGEST_PX
                    ? upright
                    : Thumbnails.of(upright).size(LONGEST_PX, LONGEST_PX).asBufferedImage();
            ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
            Thumbnails.of(onPaper(small))
                    .scale(1)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(jpeg);
            return new Picture(jpeg.toByteArray(), small.getWidth(), small.getHeight());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static BufferedImage upright(byte[] sent) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw none();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                return upright(read(reader), sent);
            } finally {
                reader.dispose();
            }
        } catch (InvalidInput refused) {
            throw refused;
        } catch (IOException | RuntimeException broken) {
            // the readers of the platform throw any of these at a file that is cut or made up
            throw none();
        }
    }

    private static BufferedImage read(ImageReader reader) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (Math.max(width, height) > MOST_EDGE_PX || (long) width * height > MOST_PIXELS) {
            throw new InvalidInput(
                    "photo",
                    "photo has " + width + " × " + height + " pixels; allowed are up to " + MOST_PIXELS / 1_000_000
                            + " million");
        }
        ImageReadParam param = reader.getDefaultReadParam();
        // every second pixel, or third, of a large one: it never stands in memory whole
        int step = Math.max(1, Math.max(width, height) / (2 * LONGEST_PX));
        param.setSourceSubsampling(step, step, 0, 0);
        return reader.read(0, param);
    }

    /** The same turned as its Exif part says; as it is where that says nothing. */
    private static BufferedImage upright(BufferedImage read, byte[] sent) {
        return exif(sent)
                .map(ExifUtils::getOrientationFromExif)
                .map(way -> ExifFilterUtils.getFilterForOrientation(way).apply(read))
                .orElse(read);
    }

    /** The Exif part of a JPEG; the reader of the platform refuses to say it where another part stands before it. */
    private static Optional<byte[]> exif(byte[] sent) {
        ByteBuffer jpeg = ByteBuffer.wrap(sent);
        if (sent.length < 4 || jpeg.getShort() != START_OF_IMAGE) {
            return Optional.empty();
        }
        while (jpeg.remaining() > 4) {
            int marker = jpeg.getShort() & 0xFFFF;
            int length = (jpeg.getShort() & 0xFFFF) - 2;
            if (marker >>> 8 != 0xFF || marker == START_OF_SCAN || length < 0 || length > jpeg.remaining()) {
                return Optional.empty();
            }
            byte[] part = new byte[length];
            jpeg.get(part);
            if (marker == APP1 && new String(part, StandardCharsets.ISO_8859_1).startsWith("Exif\0\0")) {
                return Optional.of(part);
            }
        }
        return Optional.empty();
    }

    /** A JPEG has no see-through pixels: they become white. */
    private static BufferedImage onPaper(BufferedImage image) {
        BufferedImage paper = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        paper.createGraphics().drawImage(image, 0, 0, Color.WHITE, null);
        return paper;
    }

    private static InvalidInput none() {
        return new InvalidInput(
                "photo", "photo is no picture that can be read; allowed are JPEG, PNG, GIF, BMP and TIFF");
    }
}
