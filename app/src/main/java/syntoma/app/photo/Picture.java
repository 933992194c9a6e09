package syntoma.app.photo;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;

/**
 * A picture made ready: upright, at most {@value #LONGEST_PX} pixels long, drawn again so that nothing but its pixels is left. To be made in
 * a process of its own ({@link PictureMaker}): a file from elsewhere may take more memory or time than anybody foresees.
 */
record Picture(byte[] jpeg, int widthPx, int heightPx) {
    static final int LONGEST_PX = 1_600;

    private static final double QUALITY = 0.85;

    /** The longest edge that is read: beyond it a small file is taken for a trap. */
    private static final int MOST_EDGE_PX = 30_000;

    /** The most that stands in memory of a picture; of a larger one every second pixel is read, or every third. */
    private static final long MOST_READ_PX = 16_000_000;

    private static final short START_OF_IMAGE = (short) 0xFFD8;
    private static final int START_OF_SCAN = 0xFFDA;
    private static final int APP1 = 0xFFE1;

    static {
        ImageIO.setUseCache(false);
    }

    /**
     * @throws PictureException when it is no picture that can be read
     */
    static Picture of(byte[] sent) throws PictureException {
        PictureFormat format = PictureFormat.of(sent).orElseThrow(Picture::none);
        try {
            BufferedImage small = upright(smaller(read(format, sent)), sent);
            ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
            Thumbnails.of(onPaper(small))
                    .scale(1)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(jpeg);
            return new Picture(jpeg.toByteArray(), small.getWidth(), small.getHeight());
        } catch (IOException | RuntimeException broken) {
            // the readers of the platform throw any of these at a file that is cut or made up
            throw none();
        }
    }

    private static BufferedImage smaller(BufferedImage read) throws IOException {
        return Math.max(read.getWidth(), read.getHeight()) <= LONGEST_PX
                ? read
                : Thumbnails.of(read).size(LONGEST_PX, LONGEST_PX).asBufferedImage();
    }

    private static BufferedImage read(PictureFormat format, byte[] sent) throws IOException, PictureException {
        ImageReader reader = format.reader();
        try (ImageInputStream in =
                ImageIO.createImageInputStream(new ByteArrayInputStream(format.withoutExtras(sent)))) {
            reader.setInput(in, true, true);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            long most = format.mostPixels(sent);
            if (Math.max(width, height) > MOST_EDGE_PX || (long) width * height > most) {
                throw new PictureException("photo has " + width + " × " + height + " pixels; allowed are up to "
                        + most / 1_000_000 + " million, and " + MOST_EDGE_PX + " on each side");
            }
            ImageReadParam param = reader.getDefaultReadParam();
            int step = 1;
            while ((long) (width / step) * (height / step) > MOST_READ_PX) {
                step++;
            }
            param.setSourceSubsampling(step, step, 0, 0);
            return reader.read(0, param);
        } finally {
            reader.dispose();
        }
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

    private static PictureException none() {
        return new PictureException("photo is no picture that can be read; allowed are JPEG, PNG and WebP");
    }
}
