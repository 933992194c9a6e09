package syntoma.app.csv;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/** Refuses a field or a row that could fill the memory, before it is read as a whole. */
public final class FieldLimit extends FilterReader {
    public static final int LONGEST_FIELD = 64_000;
    public static final int MOST_COLUMNS = 1_000;

    private final char separator;
    private long line = 1;
    private int length;
    private int columns = 1;
    private boolean quoted;
    private boolean closing;

    /** The file is refused; the message names the line and the limit. */
    public static final class TooLong extends IOException {
        private TooLong(String message) {
            super(message);
        }
    }

    public FieldLimit(Reader in, char separator) {
        super(in);
        this.separator = separator;
    }

    @Override
    public int read() throws IOException {
        int read = super.read();
        if (read >= 0) {
            follow((char) read);
        }
        return read;
    }

    @Override
    public int read(char[] chars, int from, int count) throws IOException {
        int read = super.read(chars, from, count);
        for (int i = from; i < from + read; i++) {
            follow(chars[i]);
        }
        return read;
    }

    private void follow(char c) throws TooLong {
        if (c == '\n') {
            line++;
        }
        if (quoted && !closing) {
            closing = c == '"';
            grow();
            return;
        }
        if (closing && c == '"') {
            closing = false;
            grow();
            return;
        }
        if (closing) {
            quoted = false;
            closing = false;
        }
        if (c == '"' && length == 0) {
            quoted = true;
            grow();
        } else if (c == separator) {
            length = 0;
            if (++columns > MOST_COLUMNS) {
                throw new TooLong("line " + line + " has more than " + MOST_COLUMNS + " columns, which is the most that"
                        + " is allowed");
            }
        } else if (c == '\n' || c == '\r') {
            length = 0;
            columns = 1;
        } else {
            grow();
        }
    }

    private void grow() throws TooLong {
        if (++length > LONGEST_FIELD) {
            throw new TooLong("a field that ends on or after line " + line + " has more than " + LONGEST_FIELD
                    + " characters, which is the most that is allowed" + (quoted ? "; is its quote closed?" : ""));
        }
    }
}
