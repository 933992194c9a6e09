package syntoma.app.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.tabletext.Mapping;

/** How tables kept by hand are read, remembered by their headings. */
@Service
@Transactional
class Mappings {
    private static final int LONGEST = 1_000_000;

    private static final ObjectMapper JSON = new ObjectMapper();

    private final EntityManager entities;
    private final Clock clock;

    Mappings(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** How a table with these headings is read; empty where that was never said. */
    @Transactional(readOnly = true)
    public Optional<TableReading> find(List<String> headings) {
        return Optional.ofNullable(entities.find(KeptMapping.class, print(headings)))
                .map(kept -> read(kept.mapping));
    }

    /** The same, ready to read rows by. */
    @Transactional(readOnly = true)
    public Optional<Mapping> of(List<String> headings) {
        return find(headings).map(TableReading::mapping);
    }

    /**
     * Remembers how tables with its headings are read.
     *
     * @throws InvalidInputException when measurements cannot be read by it
     */
    public void keep(TableReading reading) {
        reading.mapping();
        String headings = print(
                reading.columns().stream().map(TableReading.ColumnUse::heading).toList());
        String mapping = write(reading);
        if (mapping.length() > LONGEST) {
            throw new InvalidInputException(
                    "columns", "columns take " + mapping.length() + " characters; allowed are up to " + LONGEST);
        }
        entities.merge(new KeptMapping(headings, mapping, OffsetDateTime.now(clock)));
    }

    private String write(TableReading reading) {
        try {
            return JSON.writeValueAsString(reading);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private TableReading read(String mapping) {
        try {
            return JSON.readValue(mapping, TableReading.class);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static String print(List<String> headings) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            headings.forEach(
                    h -> digest.update(((h == null ? "" : h.strip()) + "\n").getBytes(StandardCharsets.UTF_8)));
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
