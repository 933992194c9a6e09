package syntoma.app.gear;

import static syntoma.app.gear.SheetField.bands;
import static syntoma.app.gear.SheetField.choice;
import static syntoma.app.gear.SheetField.choiceList;
import static syntoma.app.gear.SheetField.date;
import static syntoma.app.gear.SheetField.integer;
import static syntoma.app.gear.SheetField.number;
import static syntoma.app.gear.SheetField.rows;
import static syntoma.app.gear.SheetField.text;
import static syntoma.app.gear.SheetField.yesno;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Feed;
import syntoma.core.chain.GainRange;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Use;
import syntoma.core.reading.Rat;

/** The data sheets: which fields each kind of gear has. One place for the form, the reader and the file format. */
final class SheetForms {
    static final List<String> CONNECTORS = Connector.kinds().stream()
            .flatMap(k -> Stream.of(k + "-male", k + "-female"))
            .toList();
    static final List<String> CABLE_CLASSES =
            CableClass.all().stream().map(CableClass::name).toList();

    private static final List<String> USES = labels(Use.values(), Use::label);
    private static final List<String> SIM_SIZES = labels(SimSize.values(), SimSize::label);
    private static final List<String> CELLULAR_RATS =
            Arrays.stream(Rat.values()).filter(Rat::isCellular).map(Rat::label).toList();
    private static final double MOST_MHZ = 60_000;

    private SheetForms() {}

    private static <T> List<String> labels(T[] things, Function<T, String> label) {
        return Arrays.stream(things).map(label).toList();
    }

    static List<SheetField> of(GearKind kind) {
        return switch (kind) {
            case DEVICE -> DEVICE;
            case ANTENNA -> ANTENNA;
            case CABLE -> CABLE;
            case ADAPTER -> ADAPTER;
            case BOOSTER -> BOOSTER;
            case MOUNT -> MOUNT;
            case SIM -> SIM;
        };
    }

    private static final List<SheetField> POWER = List.of(
            yesno("mainsOnly", "Runs on mains only"),
            choiceList("feeds", "Fed by", labels(Feed.values(), Feed::label)),
            number("lowV", "DC input from", "V", 1, 60),
            number("highV", "DC input to", "V", 1, 60),
            number("passiveV", "Passive PoE of", "V", 1, 60),
            number("drawW", "Usual draw", "W", 0, 500),
            number("peakW", "Maximum draw", "W", 0, 500));

    private static final List<SheetField> DEVICE = Stream.concat(
                    Stream.of(
                            choice("type", "Type", List.of("router", "hotspot", "phone", "modem"))
                                    .first(),
                            choiceList("rats", "Radio", CELLULAR_RATS),
                            bands("bands", "Bands").first(),
                            integer("layersLte", "Streams, LTE", "", 1, 8).first(),
                            integer("layersNr", "Streams, NR", "", 1, 8),
                            yesno("takesAntennas", "Outside antennas possible").first(),
                            rows(
                                    "ports",
                                    "Antenna ports",
                                    text("label", "Port"),
                                    choice("use", "For", USES),
                                    choice("connector", "Connector", CONNECTORS),
                                    yesno("main", "Main")),
                            number("portSpacingMm", "Ports sit apart", "mm", 2, 300),
                            choice(
                                    "internal",
                                    "Own antennas, with leads on",
                                    labels(InternalAntennas.values(), InternalAntennas::label)),
                            integer("simSlots", "Card slots", "", 0, 8),
                            choice("simSize", "Card size", SIM_SIZES),
                            yesno("esim", "Takes an eSIM too"),
                            text("lockedTo", "Locked to carrier"),
                            integer("modems", "Modems", "", 1, 8),
                            text("category", "Modem category"),
                            number("downMaxMbps", "Modem, at most", "Mb/s", 1, 20_000),
                            integer("aggregates", "Carriers it aggregates", "", 1, 8),
                            number("ethernetMbps", "Ethernet port", "Mb/s", 0, 10_000),
                            text("wifi", "Wi-Fi generation"),
                            number("wifiMbps", "Wi-Fi, at most", "Mb/s", 1, 50_000),
                            integer("wifiAntennas", "Wi-Fi antennas of its own", "", 0, 16),
                            number("batteryHours", "Battery", "h", 0, 200),
                            choiceList("features", "Can do", labels(Feature.values(), Feature::label)),
                            integer("deviceLimit", "Devices at most", "", 1, 1000),
                            date("firmware", "Firmware of")),
                    POWER.stream())
            .toList();

    private static final List<SheetField> ANTENNA = List.of(
            choice("pattern", "Hears", List.of("all around", "one direction")).first(),
            number("beamDeg", "Beam width", "°", 1, 360),
            rows(
                            "ranges",
                            "Frequency ranges",
                            number("fromMhz", "From", "MHz", 1, MOST_MHZ),
                            number("toMhz", "To", "MHz", 1, MOST_MHZ),
                            number("fromDbi", "Gain at from", "dBi", GainRange.LEAST_DBI, GainRange.MOST_DBI),
                            number("toDbi", "Gain at to", "dBi", GainRange.LEAST_DBI, GainRange.MOST_DBI))
                    .first(),
            rows(
                            "leads",
                            "Leads, one per element",
                            text("label", "Lead"),
                            choice("use", "For", USES),
                            choice("connector", "Ends in", CONNECTORS),
                            number("lengthM", "Length", "m", 0, 30),
                            choice("cableClass", "Cable", CABLE_CLASSES),
                            number("fromMhz", "Its own range from", "MHz", 1, MOST_MHZ),
                            number("toMhz", "to", "MHz", 1, MOST_MHZ),
                            number("gainDbi", "Its gain", "dBi", GainRange.LEAST_DBI, GainRange.MOST_DBI))
                    .first(),
            choice("mounting", "Mounting", List.of("bolt", "magnet", "mast", "window", "adhesive")),
            number("holeMm", "Hole", "mm", 1, 200),
            number("groundPlaneCm2", "Ground plane needed", "cm²", 0, 20_000),
            number("heightM", "Height", "m", 0, 5),
            number("clearanceM", "Clearance", "m", 0, 5),
            text("weatherRating", "Weather rating, such as IP67"));

    private static final List<SheetField> CABLE = List.of(
            choice("cableClass", "Class", CABLE_CLASSES).first(),
            number("lengthM", "Length", "m", 0.05, 50).first(),
            choice("first", "One end", CONNECTORS).first(),
            choice("second", "Other end", CONNECTORS).first());

    private static final List<SheetField> ADAPTER = List.of(
            choice("first", "One end", CONNECTORS).first(),
            choice("second", "Other end", CONNECTORS).first(),
            choice("form", "Form", List.of("pigtail", "rigid")).first(),
            number("lossDb", "Loss", "dB", 0, 10));

    private static final List<SheetField> BOOSTER = Stream.concat(
                    Stream.of(
                            rows(
                                            "uplink",
                                            "Passbands, uplink",
                                            number("fromMhz", "From", "MHz", 1, MOST_MHZ),
                                            number("toMhz", "To", "MHz", 1, MOST_MHZ))
                                    .first(),
                            rows(
                                            "downlink",
                                            "Passbands, downlink",
                                            number("fromMhz", "From", "MHz", 1, MOST_MHZ),
                                            number("toMhz", "To", "MHz", 1, MOST_MHZ))
                                    .first(),
                            yesno("tdd", "Follows TDD"),
                            number("gainDb", "Gain", "dB", 0, 100).first(),
                            number("ratedOutputDbm", "Rated output", "dBm", -30, 40),
                            choice("donor", "Connector, outside", CONNECTORS),
                            choice("indoor", "Connector, inside", CONNECTORS)),
                    POWER.stream())
            .toList();

    private static final List<SheetField> MOUNT =
            List.of(number("heightM", "Raises by", "m", 0, 15).first());

    private static final List<SheetField> SIM = List.of(
            text("carrier", "Carrier").first(),
            choice("size", "Card", SIM_SIZES).first(),
            number("allowanceGb", "Data allowance", "GB", 0, 100_000).first(),
            integer("resetDay", "Resets on day", "", 1, 31),
            number("capMbps", "Speed cap", "Mb/s", 0.01, 20_000),
            number("pricePerMonth", "Price a month", "", 0, 100_000),
            text("terms", "Terms"));
}
