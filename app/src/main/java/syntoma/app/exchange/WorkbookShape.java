package syntoma.app.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import syntoma.app.platform.InvalidInputException;

/**
 * What a workbook is like before its cells are read: that it unpacks to a size that can be handled, how many rows its sheets
 * have, and where they are merged. What is too large or out of shape is refused here, so that reading it takes little memory.
 *
 * @param byId the sheets by the number of their relation
 */
record WorkbookShape(Map<String, SheetShape> byId) {
    /** Bytes that a workbook may unpack to. Chosen: a million rows of fifteen cells take about as much. */
    private static final long MOST_UNPACKED = 1_000_000_000;

    /** Bytes of all parts that are held in memory as a whole: texts, styles, lists of parts. */
    private static final long MOST_HELD = 60_000_000;

    private static final int MOST_PARTS = 2_000;
    private static final String RELATIONS = "xl/_rels/workbook.xml.rels";

    /**
     * Looks at a workbook.
     *
     * @throws InvalidInputException when it is none, or one that unpacks to too much
     */
    static WorkbookShape of(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            check(zip);
            Map<String, SheetShape> byId = new HashMap<>();
            for (Map.Entry<String, String> sheet : relations(zip).entrySet()) {
                ZipEntry part = zip.getEntry(sheet.getValue());
                if (part != null && isSheet(part)) {
                    try (InputStream in = zip.getInputStream(part)) {
                        byId.put(sheet.getKey(), SheetShape.of(in));
                    }
                }
            }
            return new WorkbookShape(Map.copyOf(byId));
        } catch (XMLStreamException broken) {
            throw WorkbookFile.unreadable();
        }
    }

    boolean knows(String id) {
        return byId.containsKey(id);
    }

    /** The sheet of a relation that is known. */
    SheetShape sheet(String id) {
        return byId.get(id);
    }

    private static void check(ZipFile zip) throws IOException {
        Set<String> names = new HashSet<>();
        long unpacked = 0;
        long held = 0;
        for (Enumeration<? extends ZipEntry> parts = zip.entries(); parts.hasMoreElements(); ) {
            ZipEntry part = parts.nextElement();
            if (!names.add(part.getName()) || names.size() > MOST_PARTS) {
                throw new InvalidInputException(
                        "file", "the workbook has a part twice, or more than " + MOST_PARTS + " parts");
            }
            long size = size(zip, part, MOST_UNPACKED - unpacked);
            unpacked += size;
            held += isSheet(part) ? 0 : size;
            if (unpacked > MOST_UNPACKED || held > MOST_HELD && !isSheet(part)) {
                throw new InvalidInputException(
                        "file",
                        "the workbook unpacks to more than can be read: allowed are " + MOST_UNPACKED / 1_000_000
                                + " MB in all, and " + MOST_HELD / 1_000_000
                                + " MB of texts and pictures. Save the table as CSV");
            }
        }
        if (names.contains("mimetype") || !names.contains("[Content_Types].xml")) {
            throw WorkbookFile.unreadable();
        }
    }

    private static boolean isSheet(ZipEntry part) {
        return part.getName().startsWith("xl/worksheets/") && part.getName().endsWith(".xml");
    }

    /** Bytes that a part unpacks to, whatever its header says; counted a little past the most at the longest. */
    private static long size(ZipFile zip, ZipEntry part, long most) throws IOException {
        byte[] piece = new byte[1 << 16];
        long size = 0;
        try (InputStream in = zip.getInputStream(part)) {
            for (int read = in.read(piece); read >= 0 && size <= most; read = in.read(piece)) {
                size += read;
            }
        }
        return size;
    }

    /** The parts that the workbook names, by the numbers it names them with. */
    private static Map<String, String> relations(ZipFile zip) throws IOException, XMLStreamException {
        Map<String, String> parts = new HashMap<>();
        ZipEntry relations = zip.getEntry(RELATIONS);
        if (relations == null) {
            return parts;
        }
        try (InputStream in = zip.getInputStream(relations)) {
            XMLStreamReader xml = xml(in);
            while (xml.hasNext()) {
                if (xml.next() == XMLStreamConstants.START_ELEMENT
                        && xml.getLocalName().equals("Relationship")) {
                    String target = xml.getAttributeValue(null, "Target");
                    String id = xml.getAttributeValue(null, "Id");
                    if (target != null && id != null) {
                        parts.put(id, target.startsWith("/") ? target.substring(1) : "xl/" + target);
                    }
                }
            }
        }
        return parts;
    }

    /** A reader that resolves nothing. */
    static XMLStreamReader xml(InputStream in) throws XMLStreamException {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return factory.createXMLStreamReader(in);
    }
}
