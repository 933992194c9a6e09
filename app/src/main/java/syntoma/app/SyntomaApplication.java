package syntoma.app;

import java.io.IOException;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.core.env.SimpleCommandLinePropertySource;
import syntoma.app.access.SetPhrase;
import syntoma.app.platform.Start;

/** Starts Syntoma. */
@SpringBootApplication
public class SyntomaApplication {
    /**
     * Starts with {@code --server.port}, {@code --syntoma.data}, {@code --syntoma.demo} and {@code --syntoma.lan}; with {@code
     * --syntoma.phrase=DIR} sets the pass phrase of those data instead.
     */
    public static void main(String[] args) throws IOException {
        String phraseOf = new SimpleCommandLinePropertySource(args).getProperty("syntoma.phrase");
        if (phraseOf != null) {
            System.exit(SetPhrase.run(phraseOf));
        }
        Start.run(SyntomaApplication.class, args);
    }
}
