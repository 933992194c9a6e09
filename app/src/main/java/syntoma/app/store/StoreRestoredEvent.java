package syntoma.app.store;

/** All of the store is another's: what was kept in memory of it is of before. */
public record StoreRestoredEvent() {}
