package keyslate.store;

/**
 * When copies of the data file are made by themselves.
 *
 * @param everyDays 0 = never, else 1 to 365
 * @param kept so many of them, 1 to 99; older ones go
 * @param folder where, on this machine; null = the usual folder beside the data file
 */
public record BackupPlan(int everyDays, int kept, String folder) {}
