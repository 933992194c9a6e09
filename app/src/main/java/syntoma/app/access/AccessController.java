package syntoma.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.Problem;

/** Logging in and out, the pass phrase, pairing, and which devices are admitted. */
@RestController
class AccessController {
    private final AccessService access;

    AccessController(AccessService access) {
        this.access = access;
    }

    /**
     * Whether a log in is needed, and done.
     *
     * @param page the one page that a guest may read; null for who may do everything
     */
    record SessionView(boolean needed, boolean ok, @Nullable String page) {}

    /**
     * What lets in, one of the three.
     *
     * @param phrase the pass phrase
     * @param code of a pairing
     * @param guest the word in a guest's link
     * @param device what the device is to be called in the list of devices
     */
    record LoginRequest(
            @Nullable String phrase, @Nullable String code, @Nullable String guest, @Nullable String device) {}

    @GetMapping("/api/session")
    SessionView session(HttpServletRequest request, HttpServletResponse response) {
        return access.session(request, response);
    }

    @PostMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void logIn(@RequestBody LoginRequest login, HttpServletRequest request, HttpServletResponse response) {
        access.logIn(login, request, response);
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void logOut(HttpServletRequest request, HttpServletResponse response) {
        access.logOut(request, response);
    }

    /**
     * A pass phrase to be set.
     *
     * @param old the one that is set; needed where there is one
     */
    record PhraseRequest(@Nullable String phrase, @Nullable String old) {}

    /** Sets the pass phrase, from this machine alone; all other devices log in again. */
    @PutMapping("/api/phrase")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setPhrase(@RequestBody PhraseRequest phrase, HttpServletRequest request) {
        access.setPhrase(phrase, request);
    }

    /**
     * The certificate that devices are shown.
     *
     * @param owners whether it is the owner's own
     * @param fingerprint SHA-256 of the server's certificate
     * @param authority SHA-256 of the authority's that a phone can be told to trust; null for the owner's own
     */
    record CertificateView(boolean owners, String fingerprint, @Nullable String authority, Instant until) {}

    /**
     * Who is served.
     *
     * @param served whether the vehicle's network is
     * @param here whether this call comes from the machine that serves
     * @param addresses for devices on the network
     */
    record NetworkView(
            boolean served,
            boolean phraseSet,
            boolean here,
            List<String> addresses,
            @Nullable CertificateView certificate,
            List<LocalNetworkView> networks) {}

    /**
     * A private network that this machine is on, or was on.
     *
     * @param name as a person calls it
     * @param interfaceName as the system calls the way to it
     * @param addresses this machine's own there
     * @param up whether the machine is on it now
     * @param served whether devices on it are let as far as the log in; null where nobody has said, which is no
     */
    record LocalNetworkView(
            String id,
            String name,
            String interfaceName,
            String prefix,
            List<String> addresses,
            boolean up,
            @Nullable Boolean served) {}

    /**
     * Whether a network is served, from now on.
     *
     * @param name the new name; left out to leave it as it is
     */
    record LocalNetworkRequest(boolean served, @Nullable String name) {}

    @PutMapping("/api/networks/{id}")
    NetworkView decide(@PathVariable String id, @RequestBody LocalNetworkRequest wanted, HttpServletRequest request) {
        return access.decide(id, wanted, request);
    }

    /** Forgets a network: it asks again the next time. */
    @DeleteMapping("/api/networks/{id}")
    NetworkView forget(@PathVariable String id, HttpServletRequest request) {
        return access.forget(id, request);
    }

    /** Whether the vehicle's network is to be served, until Syntoma is stopped. */
    record NetworkRequest(boolean served) {}

    @GetMapping("/api/network")
    NetworkView network(HttpServletRequest request) {
        return access.network(request);
    }

    @PutMapping("/api/network")
    NetworkView serve(@RequestBody NetworkRequest wanted, HttpServletRequest request, HttpServletResponse response) {
        return access.serve(wanted.served(), request, response);
    }

    /**
     * A code that lets one phone in, once.
     *
     * @param url with the code behind the #, which no server and no log sees
     * @param qr the same as a QR code: rows of modules, 1 is dark
     */
    record PairingView(String code, String url, Instant expiresAt, List<String> qr) {}

    @PostMapping("/api/pairing")
    PairingView pair(HttpServletRequest request) {
        return access.pair(request);
    }

    /**
     * A device that has logged in, or a guest's link.
     *
     * @param page the one page that a guest may read; null for a device
     * @param thisOne whether it is the one that asks
     */
    record DeviceView(
            String id,
            String device,
            String source,
            @Nullable String page,
            Instant from,
            Instant seen,
            Instant until,
            boolean thisOne) {}

    @GetMapping("/api/devices")
    List<DeviceView> devices(HttpServletRequest request) {
        return access.devices(request);
    }

    /** Ends the session of a device, or a guest's link. */
    @DeleteMapping("/api/devices/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable String id) {
        access.end(id);
    }

    /**
     * A link to be made for a guest.
     *
     * @param page the address of the verdict, such as /trials?campsite=…&amp;trial=…
     * @param days after which it ends, 1 to 90
     * @param name for whom it is, to know it by in the list of devices
     */
    record GuestRequest(@Nullable String page, int days, @Nullable String name) {}

    /** A link for a guest; it is not shown again. */
    record GuestView(String url, Instant until) {}

    @PostMapping("/api/guests")
    GuestView invite(@RequestBody GuestRequest wanted, HttpServletRequest request) {
        return access.invite(wanted, request);
    }

    @ExceptionHandler
    ResponseEntity<byte[]> answerRefusal(AccessRefusedException refused) {
        ResponseEntity.BodyBuilder answer =
                ResponseEntity.status(refused.status()).contentType(MediaType.APPLICATION_PROBLEM_JSON);
        if (refused.retryAfterS() > 0) {
            answer.header("Retry-After", String.valueOf(refused.retryAfterS()));
        }
        return answer.body(Problem.body(refused.status(), refused.getMessage()));
    }
}
