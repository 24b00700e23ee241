package keyslate.store;

import org.springframework.dao.NonTransientDataAccessResourceException;

/** The data file cannot be written: disk full, folder read-only, or the disk itself fails. The message is for the user. */
public final class StorageException extends NonTransientDataAccessResourceException {
    private static final long serialVersionUID = 1L;

    private final boolean full;

    public StorageException(String message, Throwable cause) {
        this(message, cause, false);
    }

    private StorageException(String message, Throwable cause, boolean full) {
        super(message, cause);
        this.full = full;
    }

    /** There is no room on the disk. */
    public static StorageException full(Throwable cause) {
        return new StorageException("The disk is full. Free some space, then try again.", cause, true);
    }

    /** There is no room for a thing of a size. */
    public static StorageException noRoom(String message) {
        return new StorageException(message, null, true);
    }

    /** Whether room on the disk is all that is missing. */
    public boolean isFull() {
        return full;
    }
}
