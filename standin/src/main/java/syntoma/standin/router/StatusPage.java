package syntoma.standin.router;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Optional;
import syntoma.standin.Air;
import syntoma.standin.WorldLink;
import syntoma.standin.air.Cell;
import syntoma.standin.air.HeardCell;

/** What the made-up router says of itself, in two made-up layouts. */
enum StatusPage {
    /** Cells in a list, numbers with their units. */
    SIGNAL {
        @Override
        ObjectNode of(WorldLink link) {
            ObjectNode page = NODES.objectNode();
            page.putObject("device").put("name", "Curlew").put("temperature", 41);
            ObjectNode said = page.putObject("link");
            Optional<Air> air = link.air();
            said.put("operator", air.isEmpty() ? "" : link.hands().carrier());
            said.put("mode", air.map(Air::mode).orElse("no service"));
            ArrayNode cells = said.putArray("cells");
            for (int i = 0; i < air.map(a -> a.cells().size()).orElse(0); i++) {
                HeardCell heard = air.get().cells().get(i);
                Cell cell = heard.cell();
                cells.addObject()
                        .put("role", i == 0 ? "primary" : cell.isNr() ? "nr" : "secondary")
                        .put("rat", cell.isNr() ? "NR" : "LTE")
                        .put("band", cell.channel().band())
                        .put("arfcn", cell.channel().number())
                        .put("bandwidth", text("%.0f MHz", cell.channel().widthMhz()))
                        .put("pci", cell.pci())
                        .put("cell", cell.id())
                        .put("rsrp", text("%.0f dBm", heard.rsrpDbm()))
                        .put("rsrq", text("%.1f dB", heard.rsrqDb()))
                        .put("sinr", text("%.1f dB", heard.sinrDb()));
            }
            return page;
        }
    },

    /** Everything flat, and as text; the first LTE cell and the NR one alone. */
    RADIO {
        @Override
        ObjectNode of(WorldLink link) {
            ObjectNode page = NODES.objectNode();
            Optional<Air> air = link.air();
            page.put("network_operator", air.isEmpty() ? "" : link.hands().carrier());
            page.put("network_mode", air.map(Air::mode).orElse("none"));
            air.ifPresent(a -> {
                put(page, "lte", a.primary());
                HeardCell last = a.cells().get(a.cells().size() - 1);
                if (last.cell().isNr()) {
                    put(page, "nr", last);
                }
            });
            return page;
        }

        private void put(ObjectNode page, String prefix, HeardCell heard) {
            Cell cell = heard.cell();
            page.put(prefix + "_band", cell.channel().band().substring(1));
            page.put(prefix + "_arfcn", text("%d", cell.channel().number()));
            page.put(prefix + "_bandwidth", text("%.0f", cell.channel().widthMhz()));
            page.put(prefix + "_pci", text("%d", cell.pci()));
            page.put(prefix + "_cellid", cell.id());
            page.put(prefix + "_rsrp", text("%.0f", heard.rsrpDbm()));
            page.put(prefix + "_rsrq", text("%.1f", heard.rsrqDb()));
            page.put(prefix + "_sinr", text("%.1f", heard.sinrDb()));
        }
    };

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    /** As JSON. */
    abstract ObjectNode of(WorldLink link);

    private static String text(String format, Object value) {
        return String.format(Locale.ROOT, format, value);
    }
}
