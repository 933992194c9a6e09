package syntoma.app.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.springframework.lang.Nullable;

/** The speed server that runs use; there is one at most. */
@Entity
@Table(name = "speed_server")
class SpeedServerSetting {
    static final int ONLY = 1;

    @Id
    Integer id = ONLY;

    String address;

    /** As {@link syntoma.app.store.SecretBox} writes it. */
    @Nullable
    String secret;

    boolean setHere;
    boolean publicAllowed;

    protected SpeedServerSetting() {}

    SpeedServerSetting(String address) {
        this.address = address;
    }

    CallPermission permission() {
        return new CallPermission(setHere, publicAllowed);
    }
}
