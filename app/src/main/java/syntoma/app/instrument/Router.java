package syntoma.app.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.springframework.lang.Nullable;

/** The router that is watched; there is one at most. */
@Entity
class Router {
    static final int ONLY = 1;

    @Id
    Integer id = ONLY;

    String kind;
    String address;
    String path = "";

    @Nullable
    String username;

    @Nullable
    String password;

    @Nullable
    String token;

    /** As JSON; empty where nothing is mapped. */
    String mapping = "{}";

    protected Router() {}

    static Router none() {
        return new Router();
    }
}
