package syntoma.bench.empty;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;

/** A Spring Boot application that does nothing, on the same starters and the same database as Syntoma. */
@SpringBootApplication
public class EmptyApplication {
    /** The one table that it has, so that the database is used as it is meant to be. */
    @Entity
    @Table(name = "nothing")
    static class Nothing {
        @Id
        Long id;
    }

    /** Takes what a Spring Boot application takes; says a line when it is ready. */
    public static void main(String[] args) {
        SpringApplication application = new SpringApplication(EmptyApplication.class);
        application.addListeners((ApplicationReadyEvent ready) -> System.out.println("Nothing is ready at all"));
        application.run(args);
    }
}
