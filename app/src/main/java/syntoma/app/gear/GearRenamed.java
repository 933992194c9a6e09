package syntoma.app.gear;

/** A piece of gear has another name. */
public record GearRenamed(String from, String to) {}
