package syntoma.app.store;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;

/** A store on its own, opened as the application opens it, with its force. */
record TestStore(HikariDataSource source, Force force, Connection connection, Statement sql) implements AutoCloseable {
    static TestStore open(StoreFiles files, StoreAddress address) throws SQLException {
        HikariDataSource source = new HikariDataSource();
        source.setJdbcUrl(address.jdbc("syntoma") + ";WRITE_DELAY=0");
        source.setUsername("sa");
        source.setPassword("");
        Force force = new Force(source, files, address);
        Connection connection = source.getConnection();
        return new TestStore(source, force, connection, connection.createStatement());
    }

    @Override
    public void close() throws IOException, SQLException {
        sql.close();
        connection.close();
        force.close();
        source.close();
    }
}
