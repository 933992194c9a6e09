package syntoma.app.demo;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Fills an empty log with the demo data at a start that asks for them. */
@Component
class DemoLoader implements ApplicationRunner {
    private final DemoService demo;
    private final boolean wanted;

    DemoLoader(DemoService demo, @Value("${syntoma.demo}") boolean wanted) {
        this.demo = demo;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (wanted && demo.isEmpty()) {
            demo.show();
        } else {
            demo.goOn();
        }
    }
}
