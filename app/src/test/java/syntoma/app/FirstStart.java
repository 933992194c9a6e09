package syntoma.app;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.context.ApplicationContext;
import org.springframework.test.context.TestContext;
import org.springframework.test.context.TestExecutionListener;
import syntoma.app.store.Emptying;
import syntoma.app.store.StoreRestoredEvent;

/** Brings an application that stands back to its first start, which takes far less than to start another. */
public class FirstStart implements TestExecutionListener {
    private static final String COUNTED =
            "select table_name, column_name from information_schema.columns where table_schema = 'PUBLIC'"
                    + " and is_identity = 'YES'";

    @Override
    public void beforeTestClass(TestContext test) throws Exception {
        if (!eachAnew(test)) {
            bringBack(test.getApplicationContext());
        }
    }

    @Override
    public void prepareTestInstance(TestContext test) throws Exception {
        if (eachAnew(test)) {
            bringBack(test.getApplicationContext());
        }
    }

    private static boolean eachAnew(TestContext test) {
        return test.getTestClass().getAnnotation(ApiTest.class).eachAnew();
    }

    private static void bringBack(ApplicationContext application) throws Exception {
        numberFromOne(application.getBean(DataSource.class));
        application.getBean(Emptying.class).empty();
        // the demo goes with what it had set up
        application.publishEvent(new StoreRestoredEvent());
        for (ApplicationRunner runner :
                application.getBeansOfType(ApplicationRunner.class).values()) {
            runner.run(new DefaultApplicationArguments());
        }
    }

    private static void numberFromOne(DataSource source) throws SQLException {
        try (Connection connection = source.getConnection();
                Statement sql = connection.createStatement()) {
            List<String> all = new ArrayList<>();
            try (ResultSet rows = sql.executeQuery(COUNTED)) {
                while (rows.next()) {
                    all.add("alter table \"" + rows.getString(1) + "\" alter column \"" + rows.getString(2)
                            + "\" restart with 1");
                }
            }
            for (String restart : all) {
                sql.execute(restart);
            }
        }
    }
}
