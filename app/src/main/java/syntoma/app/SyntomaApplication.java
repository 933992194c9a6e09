package syntoma.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Syntoma. */
@SpringBootApplication
public class SyntomaApplication {
    /** Starts with {@code --server.port}, {@code --syntoma.data} and {@code --syntoma.demo}. */
    public static void main(String[] args) {
        SpringApplication.run(SyntomaApplication.class, args);
    }
}
