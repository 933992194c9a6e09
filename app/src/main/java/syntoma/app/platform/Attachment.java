package syntoma.app.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;

/** An answer that is a file to be kept. */
public final class Attachment {
    private Attachment() {}

    /** Where the file is to be written. */
    public static OutputStream of(HttpServletResponse response, String type, String name) throws IOException {
        response.setContentType(type);
        response.setHeader("Content-Disposition", "attachment; filename=\"" + name + "\"");
        return response.getOutputStream();
    }
}
