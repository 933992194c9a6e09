package syntoma.app.access;

import java.util.Optional;
import java.util.concurrent.Semaphore;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.stereotype.Component;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.access.PassPhrase;

/** The pass phrase of these data, kept as an Argon2id hash in a file of its own. */
@Component
class Phrase {
    private static final String FILE = "phrase";

    /** Each takes 16 MB while it is checked. */
    private static final int AT_ONCE = 2;

    private final SecretFiles files;
    private final Semaphore checking = new Semaphore(AT_ONCE, true);
    private final Argon2PasswordEncoder argon2 = Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();

    Phrase(SecretFiles files) {
        this.files = files;
    }

    boolean isSet() {
        return files.read(FILE).isPresent();
    }

    boolean is(String typed) {
        Optional<String> hash = files.read(FILE);
        if (hash.isEmpty() || typed.length() > PassPhrase.LONGEST * 2) {
            return false;
        }
        checking.acquireUninterruptibly();
        try {
            return argon2.matches(PassPhrase.read(typed), hash.get().strip());
        } finally {
            checking.release();
        }
    }

    /** Takes a phrase, or says why not without a word of it. */
    void set(String typed) {
        PassPhrase.problem(typed).ifPresent(problem -> {
            throw new InvalidInputException("phrase", problem);
        });
        checking.acquireUninterruptibly();
        try {
            files.write(FILE, argon2.encode(PassPhrase.read(typed)) + "\n");
        } finally {
            checking.release();
        }
    }
}
