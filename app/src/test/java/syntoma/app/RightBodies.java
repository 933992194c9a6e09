package syntoma.app;

import java.util.Map;
import java.util.TreeMap;

/** A body that is right for each operation that has one; numbers of things of the demo stand in braces. */
final class RightBodies {
    private static final String ROOF =
            "{\"shape\":\"panel-van\",\"lengthM\":4,\"widthM\":1.7,\"thicknessMm\":30,\"wallMm\":25,\"doubleSkin\":true,"
                    + "\"things\":[{\"kind\":\"vent\",\"name\":\"Vent\",\"x\":2,\"y\":0.6,\"lengthM\":0.4,\"widthM\":0.4,"
                    + "\"heightM\":0.1,\"clearM\":0.05,\"freeMm\":null}],\"antenna\":{\"name\":\"Alder\",\"lengthM\":0.2,\"widthM\":0.2,"
                    + "\"heightM\":0.1,\"clearanceM\":0.5,\"groundPlaneM\":0.2,\"plateM\":0,\"fixing\":\"drilled\","
                    + "\"holeMm\":20,\"x\":1,\"y\":0.8},\"cable\":{\"cableClass\":\"195-class\",\"leadM\":3,\"slackM\":0.3,"
                    + "\"dripLoopM\":0.2,\"dropM\":1,\"entryX\":null,\"entryY\":null,\"bends\":[{\"x\":2,\"y\":1}],\"deviceX\":3,\"deviceY\":1},"
                    + "\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":9,\"stemMm\":18,\"ductMm\":25},\"mast\":{\"areaM2\":0.1,"
                    + "\"leverM\":2,\"clampNm\":50,\"raisedM\":6,\"laidM\":0.3,\"weightKg\":5,\"holdsKg\":9},\"booster\":{\"name\":\"Bittern\",\"gainDb\":50,\"outputDbm\":10,"
                    + "\"outsideX\":1,\"outsideY\":0.8,\"outsideUpM\":0.2,\"outsideGainDbi\":7,\"insideX\":3,\"insideY\":0.8,"
                    + "\"insideDownM\":0.5,\"insideGainDbi\":2,\"facing\":false,\"donorRsrpDbm\":-95,\"donorSinrDb\":5,"
                    + "\"targetDbm\":-100,\"reported\":[{\"band\":\"B20\",\"gainDb\":40}],\"warns\":false},\"router\":{\"closed\":true,\"sunny\":false,"
                    + "\"simInReach\":true,\"ratedC\":60,\"reach\":[{\"name\":\"Bunk\",\"x\":3,\"y\":1,\"outside\":false,"
                    + "\"walls\":1}]},\"power\":{\"device\":\"Curlew\",\"peakW\":20,\"sourceX\":3,\"sourceY\":1,\"wayM\":3,"
                    + "\"wireMm2\":1.5},\"mains\":true,\"tasks\":[{\"key\":\"own-1\",\"name\":\"Paint\",\"minutes\":20,\"people\":1,"
                    + "\"waitMin\":60,\"weather\":\"dry\",\"after\":[\"roof-test\"],\"before\":[\"route\"]}]}";

    private RightBodies() {}

    /** By the operation. */
    static Map<String, String> all() {
        String plan =
                "{\"device\":{Curlew},\"devicePlacement\":\"inside\",\"booster\":null,\"runs\":[{\"antenna\":{Alder},"
                        + "\"cables\":[{Extension 4.5 m}],\"placement\":\"roof\",\"mastM\":0}],\"adapters\":[{TS9 elbow}],\"sims\":"
                        + "[{Ostrel SIM}],\"wiring\":{},\"mode\":\"automatic\",\"lockedBands\":[\"B20\"],\"source\":\"cellular\"}";
        String gear =
                "{\"kind\":\"cable\",\"name\":\"%s\",\"state\":\"owned\",\"price\":\"12\",\"sheet\":{\"cableClass\":"
                        + "\"240-class\",\"lengthM\":3,\"first\":\"SMA-male\",\"second\":\"SMA-female\"}}";
        Map<String, String> bodies = new TreeMap<>();
        bodies.put("POST /api/gear", gear.formatted("Walked"));
        bodies.put("PUT /api/gear/{id}", gear.formatted("Walked again"));
        bodies.put("POST /api/gear/import", "{\"format\":\"syntoma-gear-1\",\"gear\":[" + gear.formatted("In") + "]}");
        bodies.put(
                "PUT /api/measure/router",
                "{\"kind\":\"http-json\",\"address\":\"http://127.0.0.1:1\",\"path\":\"/a\",\"user\":\"\",\"password\":\"\","
                        + "\"token\":\"\",\"mapping\":{\"mode\":\"/mode\"}}");
        bodies.put("PUT /api/measure/server", "{\"address\":\"http://127.0.0.1:1\",\"key\":\"\"}");
        bodies.put(
                "POST /api/runs",
                "{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\",\"campsite\":\"Amber Spit\",\"trial\":null,"
                        + "\"round\":1,\"kind\":\"light\",\"budgetMb\":2,\"log\":false}");
        bodies.put(
                "POST /api/runs/by-browser",
                "{\"run\":{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\",\"campsite\":\"Amber Spit\",\"trial\":null,"
                        + "\"round\":1,\"kind\":\"light\",\"budgetMb\":2,\"log\":false},\"ownSim\":false,\"leg\":{\"downBytes\":"
                        + "1000,\"downMs\":1,\"upBytes\":1000,\"upMs\":1}}");
        bodies.put(
                "POST /api/runs/{id}/brought",
                "{\"ended\":\"done\",\"laterMs\":0,\"seconds\":1,\"idle\":[{\"atMs\":1,\"ms\":40}],\"down\":{\"fromMs\":0,"
                        + "\"bytes\":1,\"mbps\":[1],\"asked\":[]},\"up\":null}");
        bodies.put("PUT /api/leave", "{\"step\":\"mast Rowan\",\"done\":true}");
        bodies.put(
                "PUT /api/state",
                "{\"antennas\":[{\"name\":\"Alder\",\"at\":\"Curlew\",\"raisedM\":0}],\"sims\":[{\"name\":\"Ostrel SIM\","
                        + "\"device\":\"Curlew\",\"active\":true}],\"devices\":[{\"name\":\"Curlew\",\"bands\":\"B20\"}],"
                        + "\"boosterOn\":\"Bittern\"}");
        bodies.put("POST /api/state/after-the-drive", "{\"down\":true}");
        bodies.put("POST /api/walks/{id}/marks", "{\"place\":\"window left\",\"agoS\":1.5}");
        bodies.put(
                "POST /api/aim/masts",
                "{\"name\":\"M\",\"carrier\":\"Ostrel\",\"cellId\":\"1\",\"lat\":59,\"lon\":18}");
        bodies.put("POST /api/aim/crossings", "{\"key\":\"Ostrel/1\"}");
        bodies.put("POST /api/fitout/plans", "{\"name\":\"Another build\",\"copyOf\":null}");
        bodies.put("PUT /api/fitout/plans/{id}", ROOF);
        bodies.put("POST /api/fitout/assessment", ROOF);
        bodies.put(
                "POST /api/fitout/plans/{id}/job-sheet/steps",
                "{\"task\":\"gather\",\"kind\":\"note\",\"text\":\"the long ladder\",\"campsite\":null}");
        bodies.put("POST /api/fitout/plans/{id}/extension", "{\"setup\":\"Roof dome\"}");
        bodies.put("POST /api/practice/{id}/effort", "{\"rounds\":5,\"runs\":2}");
        bodies.put("POST /api/practice/{id}/trial", "{\"rounds\":5,\"runs\":2}");
        bodies.put("POST /api/practice/{id}/verdict", "{\"said\":\"better\"}");
        bodies.put("PUT /api/aim/declination", "{\"declinationDeg\":7}");
        bodies.put("POST /api/aim/sweeps/{id}/turned", "{\"headingDeg\":30,\"magnetic\":false}");
        bodies.put(
                "POST /api/aim/sweeps/{id}/points",
                "{\"headingDeg\":30,\"magnetic\":false,\"rsrpDbm\":-90,\"band\":\"B3\",\"cellId\":\"7\"}");
        bodies.put(
                "POST /api/arrival",
                "{\"campsite\":\"Quarry Lake\",\"coordinates\":\"63.1, 21.6\",\"surroundings\":[\"woods\"],\"phones\":[{"
                        + "\"carrier\":\"Ostrel\",\"outside\":\"-97\",\"inside\":\"no service\"}],\"again\":true}");
        bodies.put("POST /api/advice/followed", "{\"setup\":\"Mast panel\",\"carrier\":\"Ostrel\"}");
        bodies.put("POST /api/advice/followed/{id}/outcome", "{\"met\":true}");
        bodies.put("POST /api/setups", "{\"name\":\"Walked\"}");
        bodies.put("PUT /api/names/{kind}/{id}", "{\"name\":\"Bog Boardwalk\"}");
        bodies.put("PUT /api/names/{kind}/also", "{\"name\":\"Walked\"}");
        bodies.put("POST /api/names/{kind}/{id}/merge", "{\"into\":{Amber Spit}}");
        bodies.put("POST /api/names/{kind}/{id}/merge/preview", "{\"into\":{Amber Spit}}");
        bodies.put("PUT /api/stays/{id}", "{\"arrivedAt\":\"{arrived}\",\"leftAt\":\"{left}\"}");
        bodies.put("POST /api/stays/{id}/split", "{\"at\":\"{between}\",\"campsite\":\"Walked Meadow\"}");
        bodies.put("POST /api/measurements/move", "{\"measurements\":[{measured}],\"stay\":{stay}}");
        bodies.put("PUT /api/stays/{id}/note", "{\"note\":\"By the alder.\"}");
        bodies.put("PUT /api/stays/{id}/photos/{photo}/caption", "{\"caption\":\"the mast\"}");
        bodies.put("POST /api/ledger/{gear}/readings", "{\"readAt\":\"2026-09-05T10:00:00+02:00\",\"usedGb\":12.5}");
        bodies.put("POST /api/bench/{calculator}", "{\"values\":{\"length\":\"5\"}}");
        bodies.put("PUT /api/setups/{id}/retired", "{\"retired\":false}");
        bodies.put("POST /api/gear/sheet-text", "{\"kind\":\"device\",\"text\":\"LTE B3\"}");
        bodies.put("PUT /api/setups/{id}", plan);
        bodies.put(
                "POST /api/setups/check",
                "{\"plan\":" + plan + ",\"plug\":{\"lead\":\"{Alder}/1\",\"port\":\"M1\"},\"whatIf\":{\"cableClass\":"
                        + "\"240-class\",\"cableM\":3,\"mastM\":1},\"carrier\":\"Ostrel\",\"region\":null}");
        bodies.put(
                "POST /api/candidates",
                "{\"what\":\"device\",\"base\":{Roof dome},\"ids\":[{Curlew},{Plover}],\"weights\":{\"gain\":1,\"bands\":1,"
                        + "\"streams\":1,\"price\":1,\"energy\":1}}");
        bodies.put(
                "PUT /api/needs",
                "{\"name\":\"Telemetry\",\"downMbps\":1,\"upMbps\":1,\"loadedMs\":300,\"lossPct\":1,\"partOfDay\":"
                        + "\"any time\",\"hoursADay\":2,\"chosen\":true}");
        bodies.put(
                "PUT /api/vehicle",
                "{\"vehicle\":\"Heron\",\"body\":\"steel\",\"heightM\":2.86,\"limitM\":4,\"batteryAh\":200,\"batteryV\":12.8,"
                        + "\"hoursADay\":10,\"carrier\":\"Ostrel\",\"region\":\"East shore\",\"budget\":100,\"currency\":\"kr\",\"uploadGb\":1,"
                        + "\"features\":[\"failover\"]}");
        bodies.put("PUT /api/carriers/bands", "{\"carrier\":\"Ostrel\",\"region\":\"North\",\"bands\":[\"B20\"]}");
        bodies.put(
                "PUT /api/standing", "{\"campsite\":\"Quarry Lake\",\"setup\":\"Roof dome\",\"carrier\":\"Ostrel\"}");
        String reading =
                "{\"columns\":[{\"heading\":\"When\",\"use\":\"figure\",\"figure\":\"taken_at\",\"unit\":\"\",\"of\":\"\"},"
                        + "{\"heading\":\"Down\",\"use\":\"figure\",\"figure\":\"down_mbps\",\"unit\":\"MB/s\",\"of\":\"Dome\"}],"
                        + "\"dateOrder\":\"day-first\",\"zone\":\"+03:00\",\"year\":2026,\"clock\":\"18:00\","
                        + "\"decimalComma\":false,\"above\":true,\"each\":\"note\",\"setup\":\"Roof dome\","
                        + "\"campsite\":\"Quarry Lake\"}";
        bodies.put("PUT /api/measurements/import/columns", reading);
        bodies.put(
                "POST /api/measurements/import/rows",
                "{\"reading\":" + reading + ",\"rows\":[[\"14.8.2026 18:05\",\"2\"]]}");
        String design = "{\"contenders\":[{\"setup\":\"Roof dome\",\"carrier\":\"Tarnwave\"},{\"setup\":\"Mast panel\","
                + "\"carrier\":\"Tarnwave\"}],\"difference\":1.5,\"kind\":\"light\",\"minutes\":90,\"gb\":2,\"saving\":\"time\","
                + "\"order\":\"turning\",\"seed\":3}";
        bodies.put("POST /api/trials/design", design);
        bodies.put(
                "POST /api/trials/sheet/entries",
                "{\"campsite\":\"Quarry Lake\",\"trial\":\"Designed\",\"kind\":\"note\",\"text\":\"%s\"}");
        bodies.put(
                "POST /api/trials/designed",
                "{\"campsite\":\"Quarry Lake\",\"name\":\"Designed\",\"design\":" + design + "}");
        bodies.put("POST /api/trials", "{\"campsite\":\"Quarry Lake\",\"name\":\"Planned\",\"plannedRounds\":5}");
        String measurement =
                "{\"takenAt\":\"2026-09-05T20:00:00+02:00\",\"campsite\":\"Quarry Lake\",\"setup\":\"Roof dome\","
                        + "\"carrier\":\"Ostrel\",\"rat\":\"LTE\",\"band\":\"B20\",\"outcome\":\"ok\",\"rsrpDbm\":\"-97.5\","
                        + "\"upMbps\":\"4 Mb/s\",\"trial\":\"Walked\",\"round\":\"1\",\"note\":\"n\",\"server\":\"s\",\"cellId\":\"1\"}";
        bodies.put("POST /api/measurements", measurement);
        bodies.put("PUT /api/measurements/{id}", measurement.replace("20:00", "21:00"));
        bodies.put("POST /api/measurements/check", measurement);
        return bodies;
    }
}
