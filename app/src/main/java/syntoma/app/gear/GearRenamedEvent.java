package syntoma.app.gear;

/** A piece of gear has another name. */
public record GearRenamedEvent(String from, String to) {}
