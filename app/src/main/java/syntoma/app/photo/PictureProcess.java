package syntoma.app.photo;

import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Makes one picture ready, in a process of its own: takes the file from its input and gives width, height and the JPEG to its output. Ends
 * with {@link #REFUSED} and the reason where it is refused.
 */
final class PictureProcess {
    static final int REFUSED = 3;

    private PictureProcess() {}

    public static void main(String[] args) throws IOException {
        goFirst();
        try {
            Picture picture = Picture.of(System.in.readAllBytes());
            DataOutputStream out = new DataOutputStream(System.out);
            out.writeInt(picture.widthPx());
            out.writeInt(picture.heightPx());
            out.write(picture.jpeg());
            out.flush();
        } catch (PictureException refused) {
            System.out.write(refused.getMessage().getBytes(StandardCharsets.UTF_8));
            System.out.flush();
            System.exit(REFUSED);
        }
    }

    /** Where the system runs out of memory it is to end this process, and not the one that keeps the log. */
    private static void goFirst() {
        try {
            Files.writeString(Path.of("/proc/self/oom_score_adj"), "1000");
        } catch (IOException otherSystem) {
            // it decides by itself
        }
    }
}
