package syntoma.app;

import org.springframework.boot.autoconfigure.SpringBootApplication;
import syntoma.app.platform.Start;

/** Starts Syntoma. */
@SpringBootApplication
public class SyntomaApplication {
    /** Starts with {@code --server.port}, {@code --syntoma.data} and {@code --syntoma.demo}. */
    public static void main(String[] args) {
        Start.run(SyntomaApplication.class, args);
    }
}
