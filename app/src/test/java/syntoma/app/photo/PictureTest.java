package syntoma.app.photo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures are made upright and small, and keep nothing but their pixels. */
class PictureTest {
    private static final String WHERE = "59.3293 N 18.0686 E";

    static byte[] picture(int width, int height, String format) throws IOException {
        BufferedImage image = new BufferedImage(
                width, height, format.equals("png") ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        // the left half is dark, the rest is bright, or see-through
        for (int x = 0; x < width / 2; x++) {
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, Color.BLACK.getRGB());
            }
        }
        if (!format.equals("png")) {
            for (int x = width / 2; x < width; x++) {
                for (int y = 0; y < height; y++) {
                    image.setRGB(x, y, Color.YELLOW.getRGB());
                }
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** The same JPEG as a phone writes it: turned by a quarter, with the place in its Exif part. */
    private static byte[] turned(byte[] jpeg) {
        byte[] place = (WHERE + "\0").getBytes(StandardCharsets.US_ASCII);
        ByteBuffer tiff = ByteBuffer.allocate(8 + 2 + 2 * 12 + 4 + place.length);
        tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        tiff.putShort((short) 2);
        // what it shows, then how it is turned: the rows of the picture run from its right to its left
        tiff.putShort((short) 0x010E).putShort((short) 2).putInt(place.length).putInt(8 + 2 + 2 * 12 + 4);
        tiff.putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) 6)
                .putShort((short) 0);
        tiff.putInt(0).put(place);
        byte[] exif = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer whole = ByteBuffer.allocate(jpeg.length + 4 + exif.length + tiff.capacity());
        whole.put(jpeg, 0, 2).put((byte) 0xFF).put((byte) 0xE1);
        whole.putShort((short) (2 + exif.length + tiff.capacity())).put(exif).put(tiff.array());
        return whole.put(jpeg, 2, jpeg.length - 2).array();
    }

    @Test
    void a_photo_of_a_phone_stands_upright_and_forgets_where_it_was_taken() throws IOException, PictureException {
        byte[] sent = turned(picture(400, 200, "jpg"));
        assertTrue(new String(sent, StandardCharsets.ISO_8859_1).contains(WHERE));
        Picture picture = Picture.of(sent);
        String kept = new String(picture.jpeg(), StandardCharsets.ISO_8859_1);
        assertFalse(kept.contains(WHERE) || kept.contains("Exif"));
        assertEquals(200, picture.widthPx());
        assertEquals(400, picture.heightPx());
        // what was on its left is on top now
        BufferedImage read = ImageIO.read(new ByteArrayInputStream(picture.jpeg()));
        assertTrue(new Color(read.getRGB(100, 20)).getRed() < 40);
        assertTrue(new Color(read.getRGB(100, 380)).getRed() > 200);
    }

    @Test
    void a_large_one_becomes_small_and_a_see_through_one_white() throws IOException, PictureException {
        Picture large = Picture.of(picture(5_000, 2_500, "jpg"));
        assertEquals(Picture.LONGEST_PX, large.widthPx());
        assertEquals(800, large.heightPx());
        Picture clear = Picture.of(picture(300, 200, "png"));
        BufferedImage read = ImageIO.read(new ByteArrayInputStream(clear.jpeg()));
        assertTrue(new Color(read.getRGB(250, 100)).getBlue() > 240);
        assertTrue(new Color(read.getRGB(20, 100)).getBlue() < 20);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "not a picture", "%PDF-1.7", "GIF89a", "<svg xmlns='x'/>", "II*\0\u0008", "BM6"})
    void what_is_no_picture_is_refused(String text) {
        PictureException refused =
                assertThrows(PictureException.class, () -> Picture.of(text.getBytes(StandardCharsets.UTF_8)));
        assertTrue(refused.getMessage().contains("no picture that can be read"), refused.getMessage());
    }

    @Test
    void one_that_is_cut_anywhere_is_read_or_refused_and_nothing_else() throws IOException, PictureException {
        for (String format : new String[] {"jpg", "png"}) {
            byte[] whole = picture(60, 40, format);
            for (int length = 1; length < whole.length; length += Math.max(1, whole.length / 150)) {
                byte[] cut = Arrays.copyOf(whole, length);
                try {
                    assertTrue(Picture.of(cut).widthPx() > 0);
                } catch (PictureException refused) {
                    assertTrue(refused.getMessage().startsWith("photo "), refused.getMessage());
                }
            }
        }
    }

    @Test
    void a_small_file_that_claims_to_be_huge_is_refused_before_it_is_drawn() throws IOException, PictureException {
        byte[] png = picture(10, 10, "png");
        ByteBuffer header = ByteBuffer.wrap(png);
        header.putInt(16, 29_000).putInt(20, 29_000);
        CRC32 sum = new CRC32();
        sum.update(png, 12, 17);
        header.putInt(29, (int) sum.getValue());
        PictureException refused = assertThrows(PictureException.class, () -> Picture.of(png));
        assertTrue(refused.getMessage().contains("29000 × 29000 pixels"), refused.getMessage());
    }

    /** A lossless WebP of one pixel. */
    @Test
    void webp_is_read() throws Exception {
        Picture picture = Picture.of(webp());
        assertEquals(1, picture.widthPx());
        assertEquals(1, picture.heightPx());
    }

    private static byte[] webp() {
        return Base64.getDecoder().decode("UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==");
    }

    @Test
    void texts_and_profiles_that_unpack_to_any_size_are_never_unpacked() throws Exception {
        byte[] png = picture(8, 8, "png");
        byte[] bomb = with(with(png, "zTXt", bytes("Comment\0\0", 300_000_000)), "iCCP", bytes("p\0\0", 300_000_000));
        assertTrue(bomb.length < 2_000_000, bomb.length + " bytes");
        assertEquals(8, Picture.of(bomb).widthPx());
    }

    /** A PNG with one part more, right behind its header. */
    static byte[] with(byte[] png, String kind, byte[] content) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DataOutputStream to = new DataOutputStream(out);
        to.write(png, 0, 33);
        to.writeInt(content.length);
        byte[] named = kind.getBytes(StandardCharsets.ISO_8859_1);
        to.write(named);
        to.write(content);
        CRC32 sum = new CRC32();
        sum.update(named);
        sum.update(content);
        to.writeInt((int) sum.getValue());
        to.write(png, 33, png.length - 33);
        return out.toByteArray();
    }

    /** A beginning, and so many zeros, packed. */
    static byte[] bytes(String begin, int zeros) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(begin.getBytes(StandardCharsets.ISO_8859_1));
        try (DeflaterOutputStream packed = new DeflaterOutputStream(out)) {
            byte[] piece = new byte[1 << 20];
            for (int left = zeros; left > 0; left -= piece.length) {
                packed.write(piece, 0, Math.min(left, piece.length));
            }
        }
        return out.toByteArray();
    }
}
