package syntoma.core.statustext;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.reply.CellField;
import syntoma.core.reply.Role;

/** How pages name figures of a cell, and which cell they are of, in several languages. */
final class Names {
    private static final int ANY_CASE = Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE;

    /** A name of a figure within a line; {@code role} where the name itself says of which cell it is. */
    record NamedField(CellField field, Optional<Role> role, int count, int from, int to) {}

    /** What may stand before the name of a figure, and says of which cell it is. */
    private static final String OF =
            "(?:(?<nr>ss|nr5g|nr|5g)|(?<lte>lte|4g|rs|pcc|pcell|primary|anchor)|(?<scc>scc|scell|secondary)[-_ ]?(?<count>[0-9])?)";

    private static final Map<CellField, String> FIELDS = Map.of(
            CellField.RSRP_DBM,
                    "rsrp|reference signal received power|referenz(?:signal)?(?:empfangs)?(?:leistung|pegel)"
                            + "|puissance (?:du signal )?de référence|potencia de referencia|potenza di riferimento",
            CellField.RSRQ_DB,
                    "rsrq|reference signal received quality|referenz(?:signal)?qualität|qualité (?:du signal )?de référence"
                            + "|calidad de referencia",
            CellField.RSSI_DBM, "rssi|received signal strength(?: indicator)?",
            CellField.SINR_DB,
                    "sinr|snr|cinr|signal[- ]to[- ](?:interference|noise)(?: ratio)?|signal[-/ ]rausch(?:[- ]verhältnis|[- ]abstand)?"
                            + "|rapport signal[ /](?:sur )?bruit|relación señal[ /](?:a )?ruido|störabstand",
            CellField.ARFCN,
                    "(?:dl[-_ ]?)?(?:nr[-_ ]?|e)?arfcn(?:[-_ ]?dl)?|ch(?=\\.?[ :=]?[0-9]{3,7}(?![0-9]))|(?:dl )?channel(?: (?:no\\.?|number))?|kanal(?:nummer)?|canal|kanava",
            CellField.BANDWIDTH_MHZ,
                    "(?:dl[-_ ]?|channel |kanal)?(?:bandwidth|bandbreite|bandbredd|kaistanleveys|bandbreedte)|largeur de (?:bande|canal)"
                            + "|ancho de (?:banda|canal)|larghezza di banda|dlbw|bw",
            CellField.PCI, "pci|phys(?:ical)?[-_ ]?cell(?:[-_ ]?id(?:entity)?)?|physikalische zell-?id",
            CellField.CELL_ID,
                    "(?:e(?:-utran )?|n(?:r )?|global )?cell[-_ ]?(?:id(?:entity|entifier)?)|e?n?cgi|eci|nci|ci(?=\\s?[:=|\\t]|\\s{2,}|\\s*$)|zell(?:en)?-?(?:id|kennung)"
                            + "|id(?:entifiant)? (?:de )?(?:la )?cellule|id de (?:la )?celda|solun tunnus|cell-?id",
            CellField.BAND,
                    "(?:active |current |frequency |operating |frequenz|frekvens|aktives )?band(?:et)?(?: class)?|bande(?: de fréquences?)?"
                            + "|banda(?: de frecuencia)?|taajuusalue");

    private static final Map<CellField, Stems> STEMS = Map.of(
            CellField.RSRP_DBM,
                    Stems.of("rsrp", "received power", "referenz", "référence", "referencia", "riferimento"),
            CellField.RSRQ_DB, Stems.of("rsrq", "received quality", "referenz", "référence", "referencia"),
            CellField.RSSI_DBM, Stems.of("rssi", "signal strength"),
            CellField.SINR_DB, Stems.of("nr", "signal", "bruit", "señal", "störabstand"),
            CellField.ARFCN, Stems.of("arfcn", "ch", "kanal", "canal", "kanava"),
            CellField.BANDWIDTH_MHZ, Stems.of("band", "bw", "largeur", "ancho", "larghezza", "kaista"),
            CellField.PCI, Stems.of("pci", "phys"),
            CellField.CELL_ID, Stems.of("cell", "cgi", "eci", "nci", "ci", "zell", "celda", "solun"),
            CellField.BAND, Stems.of("band", "taajuus"));

    private static final Map<CellField, Pattern> PATTERNS = compiled();

    private Names() {}

    private static Map<CellField, Pattern> compiled() {
        Map<CellField, Pattern> patterns = new java.util.EnumMap<>(CellField.class);
        FIELDS.forEach((field, names) -> patterns.put(
                field,
                Pattern.compile(
                        "(?<![\\p{L}\\p{N}])(?<!(?:ul|uplink)[-_ ])(?:" + OF + "[-_ ]{0,2})?(?:" + names
                                + ")(?:_?dbm?)?(?![\\p{L}])",
                        ANY_CASE)));
        return patterns;
    }

    /** The names of figures in a line, in their order; where two overlap the longer one counts. */
    static List<NamedField> in(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        List<NamedField> found = new ArrayList<>();
        PATTERNS.forEach((field, pattern) -> {
            if (!STEMS.get(field).areIn(lower)) {
                return;
            }
            Matcher m = pattern.matcher(line);
            while (m.find()) {
                found.add(new NamedField(
                        field,
                        role(m),
                        m.group("count") == null ? 0 : Integer.parseInt(m.group("count")),
                        m.start(),
                        m.end()));
            }
        });
        found.sort((a, b) -> a.from != b.from ? Integer.compare(a.from, b.from) : Integer.compare(b.to, a.to));
        List<NamedField> kept = new ArrayList<>();
        for (NamedField named : found) {
            if (kept.isEmpty() || named.from >= kept.get(kept.size() - 1).to) {
                kept.add(named);
            }
        }
        return kept;
    }

    /** Names that other texts use as well; alone in a line they need a mark between them and their value. */
    private static final Set<CellField> COMMON =
            Set.of(CellField.BAND, CellField.ARFCN, CellField.BANDWIDTH_MHZ, CellField.CELL_ID);

    private static final Pattern MARK = Pattern.compile("^\\s*(?:\\([^)]{0,12}\\)\\s*)?(?:[:=|>#]|\\t|\\.{3,}| {2,})");
    private static final Pattern OF_RADIO = Pattern.compile(
            "(?iu)arfcn|\\d\\s?MHz|(?<!\\p{L})(?:lte|nr|4g|5g)(?!\\p{L})|^[^\\p{L}]*band[ :=]*[bn]?[0-9]{1,3}\\W*(?:[,;|].*)?$");

    /** Those of lines, each of which is looked at once: lines of a page differ in their numbers most. */
    static final class NamesOfLines {
        private final Map<String, List<NamedField>> known = new HashMap<>();

        List<NamedField> in(Lines.Line line) {
            return known.computeIfAbsent(shape(line), shape -> ofCell(line.text()));
        }

        /** The line with all digits alike but those that a name can have: of 4G and 5G, and counts of secondary cells. */
        private static String shape(Lines.Line line) {
            String text = line.text();
            if (COUNTED.areIn(line.lower())) {
                return text;
            }
            StringBuilder shape = new StringBuilder(text);
            for (int i = 0; i < text.length(); i++) {
                char c = text.charAt(i);
                boolean ofG = i + 1 < text.length() && (text.charAt(i + 1) == 'g' || text.charAt(i + 1) == 'G');
                if (c >= '0' && c <= '9' && !ofG) {
                    shape.setCharAt(i, '0');
                }
            }
            return shape.toString();
        }
    }

    private static final Stems COUNTED = Stems.of("scc", "scell", "secondary");

    /** Those of a line that speaks of a cell. */
    private static List<NamedField> ofCell(String line) {
        List<NamedField> names = in(line);
        boolean sure = names.stream().anyMatch(n -> !COMMON.contains(n.field))
                || OF_RADIO.matcher(line).find();
        return sure
                ? names
                : names.stream()
                        .filter(n -> MARK.matcher(line.substring(n.to)).find() || n.to == line.length())
                        .toList();
    }

    private static Optional<Role> role(Matcher m) {
        return m.group("nr") != null
                ? Optional.of(Role.NR)
                : m.group("scc") != null
                        ? Optional.of(Role.SECONDARY)
                        : m.group("lte") != null && !m.group("lte").equalsIgnoreCase("rs")
                                ? Optional.of(Role.PRIMARY)
                                : Optional.empty();
    }

    private static final Pattern NEIGHBOUR = Pattern.compile(
            "(?<!\\p{L})(?:neighbou?r(?:ing|s)?|nachbar(?:zellen?)?|voisine?s?|vecin[oa]s?|vicin[ei]|grann(?:celler)?|naapuri(?:solut)?"
                    + "|buur(?:cellen)?|intra[- ]?freq\\w*|inter[- ]?freq\\w*)(?!\\p{L})",
            ANY_CASE);
    private static final Pattern SECONDARY = Pattern.compile(
            "(?<!\\p{L})(?:scc|scell|secondary(?: (?:cell|carrier))?|sekundär(?:zelle|e zelle)?|secondaire|secundari[oa]|s-?cell)"
                    + "[-_ #]?(?<n>[0-9])?(?!\\p{L})",
            ANY_CASE);
    private static final Pattern NR = Pattern.compile(
            "(?<!\\p{L})(?:nr|nr5g(?:-nsa)?|5g(?:[- ](?:nr|nsa))?|pscell|scg|en-?dc)(?!\\p{L})", ANY_CASE);
    private static final Pattern PRIMARY = Pattern.compile(
            "(?<!\\p{L})(?:pcc|pcell|primary(?: (?:cell|carrier))?|serving(?: cell)?|anchor|primärzelle|bedienende zelle|cellule (?:principale"
                    + "|de desserte)|celda (?:principal|de servicio)|lte|4g(?: lte)?)(?!\\p{L})",
            ANY_CASE);

    /** Which cell a heading or the beginning of a line is about; {@code count} tells cells of a role apart. */
    record Heading(Role role, int count) {}

    static Optional<Heading> heading(String text) {
        if (NEIGHBOUR.matcher(text).find()) {
            return Optional.of(new Heading(Role.NEIGHBOUR, 0));
        }
        Matcher second = SECONDARY.matcher(text);
        if (second.find()) {
            return Optional.of(
                    new Heading(Role.SECONDARY, second.group("n") == null ? 0 : Integer.parseInt(second.group("n"))));
        }
        if (NR.matcher(text).find()) {
            return Optional.of(new Heading(Role.NR, 0));
        }
        return PRIMARY.matcher(text).find() ? Optional.of(new Heading(Role.PRIMARY, 0)) : Optional.empty();
    }

    private static final Pattern CARRIER = Pattern.compile(
            "(?:^|[,;|{]\\s?[\"']?| {2,})(?:current |registered |serving |home |mobile |nom du |nombre del? |name des )?(?:network[ _-]?)?"
                    + "(?:operator|carrier|provider|network(?:[ _-]?name)?|plmn(?:[ _-]?name)?|isp|netz(?:betreiber|name)?|anbieter|betreiber|opérateur"
                    + "|réseau|operador|red|operatore|rete|operatör|nät|operaattori|verkko|netwerk|provider)(?:[ _-]?name| actuel)?\\s*"
                    + "[\"']?(?:[:=>]|\\t|\\|| {2,})\\s*[\"']?(?<value>[^\"',;|\\t(]{2,40}?)[\"']?\\s*(?:$|[,;|\\t(]| {2,})",
            ANY_CASE);
    private static final Pattern MODE = Pattern.compile(
            "(?<!\\p{L})(?:network (?:type|mode)|(?:system |service )?mode|sysmode|(?:access |radio )?tech(?:nology)?|rat|act|connection(?: type)?"
                    + "|connected (?:to|via)|netz(?:typ|modus|art)|verbindung(?:sart)?|technologie|technik|teknik|type de (?:réseau|connexion)|tipo de (?:red|conexión)"
                    + "|tecnología|registration|registered|status|state|verkkotyyppi)\\s*(?:[:=]|\\t|\\||\\s)\\s*(?<value>[^,;|\\t]{2,40})",
            ANY_CASE);

    private static final Pattern DIGITS = Pattern.compile("[0-9]{3,}");

    private static final Stems OF_CARRIER = Stems.of(
            "operat",
            "operad",
            "operaa",
            "carrier",
            "provider",
            "network",
            "plmn",
            "isp",
            "netz",
            "anbieter",
            "betreiber",
            "opérateur",
            "réseau",
            "red",
            "rete",
            "nät",
            "verkko",
            "netwerk");
    private static final Stems OF_MODE = Stems.of(
            "network",
            "mode",
            "tech",
            "rat",
            "act",
            "connect",
            "netz",
            "verbindung",
            "réseau",
            "connexion",
            "red",
            "conexión",
            "tecnolog",
            "regist",
            "status",
            "state",
            "verkko",
            "teknik");

    /** The network that a line names. */
    static Optional<String> carrier(Lines.Line line) {
        if (!OF_CARRIER.areIn(line.lower())) {
            return Optional.empty();
        }
        Matcher m = CARRIER.matcher(line.text());
        return m.find() ? network(m.group("value")) : Optional.empty();
    }

    /** A name in the place of a network’s; empty where it is a word of the trade. */
    static Optional<String> network(String value) {
        String name = TECHNOLOGY.matcher(value.strip()).replaceFirst("");
        return Optional.of(name)
                .filter(v -> v.length() > 1 && !isWord(v) && !DIGITS.matcher(v).find() && in(v).isEmpty());
    }

    private static final Pattern TECHNOLOGY = Pattern.compile("(?i)\\s+(?:lte|4g\\+?|5g|nr|umts|3g)$");
    private static final Pattern NETWORK_COLUMN = Pattern.compile(
            "(?i)(?:carrier|operator|network|provider|betreiber|opérateur|operador|operatore|operatör)(?: name)?");

    /** Whether a name of a column is of the network. */
    static boolean isNetworkColumn(String name) {
        return NETWORK_COLUMN.matcher(name.strip()).matches();
    }

    private static final Pattern WORD = Pattern.compile(
            "(?:lte\\+?|[45]g\\+?|3g|nr|umts|gsm|auto(?:matic)?|unknown|none|n/?a|no service|connected|up|down|on|off|yes|no|ok|online|offline"
                    + "|-+|mode.*|type.*|status.*|registered.*|.*\\b(?:lte|nsa|sa|endc|wcdma)\\b.*)");

    /** What is said in the place of a network and is none. */
    private static boolean isWord(String value) {
        return WORD.matcher(value.toLowerCase(Locale.ROOT)).matches();
    }

    private static final Pattern NONE = Pattern.compile(
            "^\\W*(?:not registered|no service|no network|no signal|searching|emergency calls only|nicht registriert|kein (?:netz|dienst)"
                    + "|pas de (?:service|réseau)|non enregistré|sin (?:servicio|red)|no registrad[oa]|nessun servizio|ingen täckning"
                    + "|ei (?:palvelua|verkkoa)|geen (?:dienst|netwerk))\\b.{0,40}$",
            ANY_CASE);

    /** Whether a line says nothing but that there is no service. */
    static boolean saysNone(Lines.Line line) {
        return line.text().length() < LONGEST_NONE && NONE.matcher(line.text()).matches();
    }

    private static final int LONGEST_NONE = 60;

    /** What a line says of the technology in use. */
    static Optional<String> mode(String line) {
        if (!OF_MODE.areIn(line.toLowerCase(Locale.ROOT))) {
            return Optional.empty();
        }
        Matcher m = MODE.matcher(line);
        return m.find()
                ? Optional.of(NEXT.matcher(m.group("value")).replaceFirst("").strip())
                : Optional.empty();
    }

    /** The next name in a line of names and values. */
    private static final Pattern NEXT = Pattern.compile("\\s+[\\p{L}_][\\p{L}\\p{N}_-]*\\s?[:=].*$");

    private static final Pattern UMTS = Pattern.compile("(?i)umts|wcdma|hspa|3g");
    private static final Pattern GSM = Pattern.compile("(?i)gsm|edge|2g");

    /** The technology before LTE that a mode is of, where it is of one. */
    static Optional<String> older(Optional<String> mode) {
        return mode.flatMap(m -> UMTS.matcher(m).find()
                ? Optional.of("UMTS")
                : GSM.matcher(m).find() ? Optional.of("GSM") : Optional.empty());
    }
}
