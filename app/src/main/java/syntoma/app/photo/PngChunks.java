package syntoma.app.photo;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * The parts of a PNG (ISO/IEC 15948, 5.3). Those that may be left out hold texts and profiles, which may unpack to any size; of them only
 * which pixels are see-through matters here.
 */
final class PngChunks {
    private static final Set<String> NEEDED = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");
    private static final int SIGNATURE = 8;

    /** Length, kind and sum of a part. */
    private static final int AROUND = 12;

    /** A palette has 256 colours of three bytes at the most; only pixels are longer. */
    private static final int LONGEST_BESIDE_PIXELS = 768;

    private PngChunks() {}

    /**
     * A PNG with the parts alone that its pixels need.
     *
     * @throws PictureException when a part is longer than it can be
     */
    static byte[] critical(byte[] png) throws PictureException {
        ByteArrayOutputStream kept = new ByteArrayOutputStream(png.length);
        kept.write(png, 0, SIGNATURE);
        ByteBuffer file = ByteBuffer.wrap(png);
        int at = SIGNATURE;
        while (at + AROUND <= png.length) {
            int length = file.getInt(at);
            String kind = new String(png, at + 4, 4, StandardCharsets.ISO_8859_1);
            if (length < 0 || length > png.length - at - AROUND) {
                throw new PictureException("photo is a PNG that is cut, or says wrongly how long a part of it is");
            }
            boolean pixels = kind.equals("IDAT");
            if (NEEDED.contains(kind) && !pixels && length > LONGEST_BESIDE_PIXELS) {
                throw new PictureException("photo is a PNG whose part " + kind + " has " + length
                        + " bytes; allowed are " + LONGEST_BESIDE_PIXELS);
            }
            if (NEEDED.contains(kind)) {
                kept.write(png, at, length + AROUND);
            }
            at += length + AROUND;
        }
        return kept.toByteArray();
    }
}
