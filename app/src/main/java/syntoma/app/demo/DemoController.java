package syntoma.app.demo;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The demo: shown in an empty log, and removed. */
@RestController
@RequestMapping("/api/demo")
class DemoController {
    private final DemoService demo;

    DemoController(DemoService demo) {
        this.demo = demo;
    }

    /** Whether the demo is shown, and whether it can be. */
    record DemoView(boolean shown, boolean offered) {}

    @GetMapping
    DemoView demo() {
        return new DemoView(demo.isShown(), demo.isEmpty());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void show() {
        demo.show();
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway() throws InterruptedException {
        demo.putAway();
    }
}
