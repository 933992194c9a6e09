package syntoma.app.logbook;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import syntoma.app.platform.TooLarge;

/** Reads up to a limit, for bodies that do not say how long they are. */
final class LimitedInput extends FilterInputStream {
    private final long most;
    private long seen;

    LimitedInput(InputStream in, long most) {
        super(in);
        this.most = most;
    }

    @Override
    public int read() throws IOException {
        int value = super.read();
        count(value < 0 ? 0 : 1);
        return value;
    }

    @Override
    public int read(byte[] buffer, int offset, int length) throws IOException {
        int read = super.read(buffer, offset, length);
        count(Math.max(0, read));
        return read;
    }

    private void count(int bytes) {
        seen += bytes;
        if (seen > most) {
            throw new TooLarge("the file has more than " + most / 1_000_000 + " MB, which is the most that is allowed");
        }
    }
}
