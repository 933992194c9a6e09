package syntoma.app.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;

/**
 * Stored chains named their leads by the name of the antenna; now by its number. A lead whose antenna is not in its chain is
 * left out, as it was when it was looked at.
 */
class LeadsByKey implements JavaMigration {
    private static final ObjectMapper JSON = new ObjectMapper();

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("6");
    }

    @Override
    public String getDescription() {
        return "leads by key";
    }

    @Override
    public Integer getChecksum() {
        return 1;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException, IOException {
        Connection connection = context.getConnection();
        Map<Long, String> gear = new HashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("select id, name from gear")) {
            while (rows.next()) {
                gear.put(rows.getLong(1), rows.getString(2));
            }
        }
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("select id, chain from setup_revision");
                PreparedStatement update =
                        connection.prepareStatement("update setup_revision set chain = ? where id = ?")) {
            while (rows.next()) {
                ObjectNode chain = (ObjectNode) JSON.readTree(rows.getString(2));
                if (!chain.path("wiring").isEmpty()) {
                    chain.set("wiring", byKey(chain, gear));
                    update.setString(1, JSON.writeValueAsString(chain));
                    update.setLong(2, rows.getLong(1));
                    update.executeUpdate();
                }
            }
        }
    }

    private static ObjectNode byKey(ObjectNode chain, Map<Long, String> gear) {
        ObjectNode wiring = JSON.createObjectNode();
        chain.path("wiring").properties().forEach(lead -> {
            // of “Alder” and “Alder dome” the one whose name is more of the label
            String antenna = "";
            String name = "";
            for (JsonNode run : chain.path("runs")) {
                String of = gear.get(run.path("antenna").asLong()) + " ";
                if (lead.getKey().startsWith(of) && of.length() > name.length()) {
                    antenna = run.path("antenna").asText();
                    name = of;
                }
            }
            if (!name.isEmpty()) {
                wiring.set(antenna + "/" + lead.getKey().substring(name.length()), lead.getValue());
            }
        });
        return wiring;
    }
}
