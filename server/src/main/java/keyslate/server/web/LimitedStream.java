package keyslate.server.web;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A stream that is refused once it is longer than it may be. */
public final class LimitedStream extends FilterInputStream {
    private final long most;
    private long read;

    public LimitedStream(InputStream in, long most) {
        super(in);
        this.most = most;
    }

    @Override
    public int read() throws IOException {
        int next = super.read();
        count(next < 0 ? 0 : 1);
        return next;
    }

    @Override
    public int read(byte[] to, int at, int length) throws IOException {
        int some = super.read(to, at, length);
        count(Math.max(0, some));
        return some;
    }

    private void count(int bytes) {
        read += bytes;
        if (read > most) {
            throw new TooLargeException(most);
        }
    }

    /** More came than may come. */
    public static final class TooLargeException extends RuntimeException {
        private static final long serialVersionUID = 1L;

        TooLargeException(long most) {
            super("This file is larger than " + (most >> 20) + " MB. Nothing was taken in.");
        }
    }
}
