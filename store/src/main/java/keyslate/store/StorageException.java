package keyslate.store;

import org.springframework.dao.NonTransientDataAccessResourceException;

/** The data file cannot be written: disk full, folder read-only, or the disk itself fails. The message is for the user. */
public final class StorageException extends NonTransientDataAccessResourceException {
    private static final long serialVersionUID = 1L;

    public StorageException(String message, Throwable cause) {
        super(message, cause);
    }
}
