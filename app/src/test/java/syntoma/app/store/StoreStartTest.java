package syntoma.app.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** No start deletes a store, whatever lies beside it; a store of a newer version is left alone. */
class StoreStartTest {
    @TempDir
    private Path dir;

    private StoreFiles files;

    @BeforeEach
    void open() {
        files = new StoreFiles(dir);
    }

    private String address() {
        return StoreAddress.of(dir.toString()).jdbc(StoreFiles.DATABASE);
    }

    private void run(String statement) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address(), "sa", "");
                Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }

    private String read(String query) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address(), "sa", "");
                Statement sql = connection.createStatement();
                ResultSet row = sql.executeQuery(query)) {
            row.next();
            return row.getString(1);
        }
    }

    private void ofLayout(int layout) {
        Flyway.configure()
                .dataSource(address(), "sa", "")
                .locations("classpath:db/migration")
                .javaMigrations(new LeadsByKey())
                .target(Integer.toString(layout))
                .load()
                .migrate();
    }

    private List<Path> named(String start) throws IOException {
        try (Stream<Path> all = Files.list(dir)) {
            return all.filter(f -> f.getFileName().toString().startsWith(start))
                    .sorted()
                    .toList();
        }
    }

    private List<String> start() throws IOException {
        return new StoreStart(files).prepare();
    }

    @Test
    void a_first_start_makes_the_store_whole_and_one_that_was_broken_off_leaves_nothing_behind() throws Exception {
        Files.write(files.working(), new byte[] {1, 2, 3});
        assertEquals(List.of(), start());
        assertEquals(
                Integer.toString(StoreLayout.newestKnown()),
                read("select max(cast(\"version\" as int)) from \"flyway_schema_history\""));
        assertFalse(Files.exists(files.working()));
    }

    @Test
    void a_leftover_mark_beside_a_log_with_data_deletes_nothing() throws Exception {
        start();
        run("insert into campsite (name) values ('Quarry Lake')");
        files.preparePhotos();
        Path photo = Files.write(files.photos().resolve("a.jpg"), new byte[] {7});
        Files.createFile(dir.resolve("syntoma.new"));
        List<String> said = start();
        assertTrue(said.get(0).contains("used as it is"), said.toString());
        assertEquals("Quarry Lake", read("select name from campsite"));
        assertTrue(Files.exists(photo));
        assertEquals(List.of(), start());
    }

    @Test
    void an_empty_log_of_a_broken_first_start_is_moved_aside_and_said() throws Exception {
        ofLayout(11);
        byte[] before = Files.readAllBytes(files.store());
        Files.createFile(dir.resolve("syntoma.new"));
        List<String> said = start();
        assertTrue(said.get(0).contains("was broken off"), said.toString());
        Path aside = named("aside-").get(0);
        assertArrayEquals(before, Files.readAllBytes(aside.resolve("syntoma.mv.db")));
        assertTrue(Files.exists(files.store()));
    }

    @Test
    void a_newer_log_is_refused_in_words_and_left_as_it_is() throws Exception {
        start();
        run(
                "insert into \"flyway_schema_history\" (\"installed_rank\", \"version\", \"description\", \"type\", \"script\","
                        + " \"installed_by\", \"execution_time\", \"success\") values (999, '99', 'x', 'SQL', 'x', 'sa', 1, true)");
        byte[] before = Files.readAllBytes(files.store());
        String refused = assertThrows(StartRefusedException.class, this::start).getMessage();
        assertTrue(refused.contains("layout 99") && refused.contains("up to " + StoreLayout.newestKnown()), refused);
        assertEquals(1, refused.lines().count());
        assertArrayEquals(before, Files.readAllBytes(files.store()));
    }

    @Test
    void an_older_log_is_converted_and_kept_as_it_was() throws Exception {
        ofLayout(20);
        run("insert into campsite (name) values ('Quarry Lake')");
        byte[] before = Files.readAllBytes(files.store());
        List<String> said = start();
        assertTrue(said.get(0).contains("in layout 20"), said.toString());
        assertEquals("Quarry Lake", read("select name from campsite"));
        assertArrayEquals(before, Files.readAllBytes(named("before-layout-").get(0)));
        assertEquals(List.of(), start());
    }

    @Test
    void the_newest_three_copies_from_before_are_kept() throws Exception {
        for (String stamp : List.of("20250101-120000", "20250201-120000", "20260301-120000", "20260401-120000")) {
            Files.writeString(dir.resolve("before-layout-28-from-27-" + stamp + ".mv.db"), stamp);
        }
        Files.writeString(dir.resolve("before-layout-of-mine.mv.db"), "own");
        ofLayout(20);
        start();
        List<String> left = named("before-layout-").stream()
                .map(f -> f.getFileName().toString())
                .toList();
        assertEquals(4, left.size(), left.toString());
        assertTrue(left.contains("before-layout-28-from-27-20260301-120000.mv.db"), left.toString());
        assertTrue(left.contains("before-layout-of-mine.mv.db"), left.toString());
    }

    @Test
    void a_file_that_is_no_log_is_refused_and_left_as_it_is() throws Exception {
        Files.writeString(files.store(), "no database");
        String refused = assertThrows(StartRefusedException.class, this::start).getMessage();
        assertTrue(refused.contains("cannot be opened as a log"), refused);
        assertEquals("no database", Files.readString(files.store()));
    }

    @Test
    void a_demo_deletes_what_a_demo_made_and_moves_anything_else_aside() throws Exception {
        DemoDirectory demo = new DemoDirectory(files);
        assertTrue(demo.empty().isEmpty());
        start();
        demo.claim();
        assertTrue(demo.empty().isEmpty());
        assertFalse(Files.exists(files.store()));
        start();
        run("insert into campsite (name) values ('Quarry Lake')");
        byte[] mine = Files.readAllBytes(files.store());
        String said = demo.empty().orElseThrow();
        assertTrue(said.contains("was moved to"), said);
        assertArrayEquals(mine, Files.readAllBytes(named("aside-").get(0).resolve("syntoma.mv.db")));
    }
}
