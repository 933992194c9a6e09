package syntoma.app.photo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.ByteBuffer;
import java.util.zip.CRC32;
import org.junit.jupiter.api.Test;
import syntoma.app.platform.InvalidInputException;

/** Pictures are read by a process of their own, and one that needs too much ends that and nothing else. */
class PictureMakerTest {
    private final PictureMaker maker = new PictureMaker();

    @Test
    void a_picture_comes_back_as_it_would_be_made_here() throws Exception {
        byte[] sent = PictureTest.picture(400, 200, "jpg");
        Picture there = maker.make(sent);
        Picture here = Picture.of(sent);
        assertEquals(here.widthPx(), there.widthPx());
        assertEquals(here.jpeg().length, there.jpeg().length);
    }

    @Test
    void what_is_refused_is_refused_with_the_same_words() {
        InvalidInputException refused =
                assertThrows(InvalidInputException.class, () -> maker.make(new byte[] {1, 2, 3}));
        assertTrue(refused.getMessage().contains("allowed are JPEG, PNG and WebP"), refused.getMessage());
    }

    @Test
    void one_that_needs_too_much_memory_is_refused_and_the_next_is_read() throws Exception {
        // 16-bit colours with a line of 30,000 pixels, taken line by line, and every pixel of 5 megapixels is asked for
        byte[] png = PictureTest.picture(10, 10, "png");
        ByteBuffer header = ByteBuffer.wrap(png);
        header.putInt(16, 29_999).putInt(20, 6_600);
        png[24] = 16;
        CRC32 sum = new CRC32();
        sum.update(png, 12, 17);
        header.putInt(29, (int) sum.getValue());
        InvalidInputException refused = assertThrows(InvalidInputException.class, () -> maker.make(png));
        assertTrue(refused.getMessage().startsWith("photo "), refused.getMessage());
        assertEquals(40, maker.make(PictureTest.picture(40, 30, "png")).widthPx());
    }
}
