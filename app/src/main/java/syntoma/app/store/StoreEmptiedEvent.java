package syntoma.app.store;

/** The store was emptied: whoever fills something in at the first start does so again. */
public record StoreEmptiedEvent() {}
