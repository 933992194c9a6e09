package syntoma.app.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.springframework.lang.Nullable;

/** The router that is watched; there is one at most. */
@Entity
class Router {
    static final int ONLY = 1;
    static final String NO_MAPPING = "{}";

    @Id
    Integer id = ONLY;

    String kind;
    String address;
    String path = "";

    @Nullable
    String username;

    /** As {@link syntoma.app.store.SecretBox} writes it, as the token. */
    @Nullable
    String password;

    @Nullable
    String token;

    /** As JSON; empty where nothing is mapped. */
    String mapping = NO_MAPPING;

    boolean setHere;
    boolean publicAllowed;

    protected Router() {}

    CallPermission permission() {
        return new CallPermission(setHere, publicAllowed);
    }

    static Router none() {
        return new Router();
    }
}
