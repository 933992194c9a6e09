package syntoma.app.access;

import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.access.AccessController.CertificateView;
import syntoma.app.access.AccessController.DeviceView;
import syntoma.app.access.AccessController.GuestRequest;
import syntoma.app.access.AccessController.GuestView;
import syntoma.app.access.AccessController.LocalNetworkRequest;
import syntoma.app.access.AccessController.LocalNetworkView;
import syntoma.app.access.AccessController.LoginRequest;
import syntoma.app.access.AccessController.NetworkView;
import syntoma.app.access.AccessController.PairingView;
import syntoma.app.access.AccessController.PhraseRequest;
import syntoma.app.access.AccessController.SessionView;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.LocalMachine;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.Text;

/** Lets devices in and out. */
@Service
class AccessService {
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_PAGE = 2_000;
    private static final int LONGEST_INVITATION_DAYS = 90;

    private final Network network;
    private final Addresses addresses;
    private final KnownNetworks known;
    private final Phrase phrase;
    private final Sessions sessions;
    private final Pairing pairing;
    private final Throttle throttle;
    private final Callers callers;
    private final WallClock clock;

    AccessService(
            Network network,
            Addresses addresses,
            KnownNetworks known,
            Phrase phrase,
            Sessions sessions,
            Pairing pairing,
            Throttle throttle,
            Callers callers,
            WallClock clock) {
        this.network = network;
        this.addresses = addresses;
        this.known = known;
        this.phrase = phrase;
        this.sessions = sessions;
        this.pairing = pairing;
        this.throttle = throttle;
        this.callers = callers;
        this.clock = clock;
    }

    SessionView session(HttpServletRequest request, HttpServletResponse response) {
        Optional<Session> session = callers.session(request);
        session.ifPresent(s -> Callers.renew(request, response, Duration.between(clock.now(), s.until())));
        boolean ok = !network.isServed() || session.isPresent();
        return new SessionView(
                network.isServed(),
                ok,
                network.isServed() ? session.map(Session::page).orElse(null) : null);
    }

    void logIn(LoginRequest login, HttpServletRequest request, HttpServletResponse response) {
        String device = name("device", login.device(), "a device");
        String from = request.getRemoteAddr();
        if (login.guest() != null) {
            // a word of 256 random bits is not guessed: it is neither counted nor does it forgive what was
            Session guest = sessions.of(login.guest())
                    .filter(Session::isGuest)
                    .orElseThrow(() -> AccessRefusedException.wrong("the link has ended, or was taken back"));
            Callers.give(request, response, login.guest(), Duration.between(clock.now(), guest.until()));
            return;
        }
        if (login.code() != null) {
            requireNoWait(throttle.waitForCode(from));
            if (!pairing.use(login.code())) {
                throw AccessRefusedException.wrong(
                        "the code is wrong, was used already, or is older than five minutes; make another");
            }
        } else if (login.phrase() == null) {
            throw new InvalidInputException(
                    "phrase", "phrase is missing; allowed are a phrase, or the code of a pairing");
        } else {
            requireNoWait(throttle.waitForPhrase(from));
            if (!phrase.is(login.phrase())) {
                throw AccessRefusedException.wrong("the pass phrase is wrong");
            }
        }
        throttle.right(from);
        callers.session(request).ifPresent(earlier -> sessions.end(earlier::equals));
        Callers.give(request, response, sessions.begin(device, from), Sessions.UNUSED);
    }

    private static void requireNoWait(Duration wait) {
        if (!wait.isZero()) {
            throw AccessRefusedException.tooOften(wait.toSeconds() + 1);
        }
    }

    void logOut(HttpServletRequest request, HttpServletResponse response) {
        callers.session(request)
                .filter(s -> !s.isGuest())
                .ifPresent(session -> sessions.end(s -> s.id().equals(session.id())));
        Callers.give(request, response, "", Duration.ZERO);
    }

    void setPhrase(PhraseRequest wanted, HttpServletRequest request) {
        onlyHere(request, "the pass phrase is set");
        if (wanted.phrase() == null) {
            throw new InvalidInputException("phrase", "phrase is missing");
        }
        if (phrase.isSet()) {
            if (wanted.old() == null) {
                throw new InvalidInputException("old", "old is missing; the phrase that is set is asked for");
            }
            requireNoWait(throttle.waitForPhrase(request.getRemoteAddr()));
            if (!phrase.is(wanted.old())) {
                throw new InvalidInputException("old", "this is not the phrase that is set");
            }
            throttle.right(request.getRemoteAddr());
        }
        phrase.set(wanted.phrase());
        pairing.forgetAll();
        throttle.forgetAll();
        String mine = callers.session(request).map(Session::id).orElse("");
        sessions.end(session -> !session.isGuest() && !session.id().equals(mine));
    }

    private static void onlyHere(HttpServletRequest request, String what) {
        if (!LocalMachine.isSender(request)) {
            throw AccessRefusedException.notFromThere(
                    what + " on the machine that runs Syntoma, not from another device");
        }
    }

    NetworkView network(HttpServletRequest request) {
        Certificates.ServedCertificate shown = network.certificate();
        List<String> addresses =
                network.isServed() ? network.hosts().stream().map(this::address).toList() : List.of();
        return new NetworkView(
                network.isServed(),
                phrase.isSet(),
                LocalMachine.isSender(request),
                addresses,
                shown == null ? null : view(shown),
                networks());
    }

    /** Those that the machine is on, then those that it was on. */
    private List<LocalNetworkView> networks() {
        List<LocalNetworkView> views = new ArrayList<>();
        List<KnownNetworks.NetworkDecision> away = new ArrayList<>(known.all());
        for (LocalNetwork up : addresses.networks()) {
            Optional<KnownNetworks.NetworkDecision> said = known.of(up);
            said.ifPresent(away::remove);
            views.add(view(
                    said.map(KnownNetworks.NetworkDecision::id).orElseGet(() -> newId(up)),
                    said.map(KnownNetworks.NetworkDecision::name).orElseGet(() -> KnownNetworks.usualName(up)),
                    up,
                    true,
                    said.map(KnownNetworks.NetworkDecision::served).orElse(null)));
        }
        away.forEach(said -> views.add(view(said.id(), said.name(), said.network(), false, said.served())));
        return views;
    }

    private static LocalNetworkView view(
            String id, String name, LocalNetwork network, boolean up, @Nullable Boolean served) {
        return new LocalNetworkView(
                id,
                name,
                network.interfaceName(),
                network.prefix(),
                network.addresses().stream().map(Addresses::inLink).toList(),
                up,
                served);
    }

    /** By what one is named of which nothing was said yet. */
    private static String newId(LocalNetwork network) {
        return Secret.hash(network.interfaceName() + " " + network.prefix() + " " + network.router());
    }

    NetworkView decide(String id, LocalNetworkRequest wanted, HttpServletRequest request) {
        onlyHere(request, "networks are chosen");
        String called = wanted.name() == null || wanted.name().isBlank() ? null : name("name", wanted.name(), "");
        LocalNetwork meant = addresses.networks().stream()
                .filter(up -> known.of(up)
                        .map(KnownNetworks.NetworkDecision::id)
                        .orElseGet(() -> newId(up))
                        .equals(id))
                .findFirst()
                .or(() -> known.all().stream()
                        .filter(said -> said.id().equals(id))
                        .map(KnownNetworks.NetworkDecision::network)
                        .findFirst())
                .orElseThrow(() -> new NotFoundException("this machine is on no such network, and was on none"));
        network.decide(meant, wanted.served(), called);
        return network(request);
    }

    NetworkView forget(String id, HttpServletRequest request) {
        onlyHere(request, "a network is forgotten");
        network.forget(id);
        return network(request);
    }

    private static CertificateView view(Certificates.ServedCertificate shown) {
        X509Certificate authority = shown.chain().get(shown.chain().size() - 1);
        return new CertificateView(
                shown.isOwners(),
                fingerprint(shown.server()),
                shown.isOwners() ? null : fingerprint(authority),
                shown.server().getNotAfter().toInstant());
    }

    static String fingerprint(X509Certificate certificate) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded());
            return HexFormat.ofDelimiter(":").withUpperCase().formatHex(hash);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private String address(String host) {
        return "https://" + host + ":" + network.port();
    }

    NetworkView serve(boolean wanted, HttpServletRequest request, HttpServletResponse response) {
        onlyHere(request, "the network is served or not as is said");
        if (wanted) {
            try {
                network.serve();
            } catch (Certificates.UnusableCertificate unusable) {
                throw new ConflictException(unusable.getMessage());
            }
            // who switches it on goes on without logging in
            if (callers.session(request).isEmpty()) {
                String token = sessions.begin("the machine that runs Syntoma", request.getRemoteAddr());
                Callers.give(request, response, token, Sessions.UNUSED);
            }
        } else {
            network.serveNobodyElse();
        }
        return network(request);
    }

    PairingView pair(HttpServletRequest request) {
        onlyServed();
        Pairing.Code code = pairing.make();
        String url = reachable(request) + "/pair#" + code.text();
        return new PairingView(code.text(), url, code.until(), qr(url));
    }

    /** The address under which another device finds this one: the one that the caller uses itself, where it is another. */
    private String reachable(HttpServletRequest request) {
        List<String> hosts = network.hosts();
        String asked = request.getServerName();
        String used = asked.contains(":") && !asked.startsWith("[") ? "[" + asked + "]" : asked;
        return address(hosts.contains(used) ? used : network.mainHost().orElse(used));
    }

    private void onlyServed() {
        if (!network.isServed()) {
            throw new ConflictException("the vehicle's network is not served; switch that on first");
        }
    }

    private static List<String> qr(String text) {
        try {
            ByteMatrix modules = Encoder.encode(text, ErrorCorrectionLevel.M).getMatrix();
            List<String> rows = new ArrayList<>();
            for (byte[] row : modules.getArray()) {
                StringBuilder line = new StringBuilder();
                for (byte module : row) {
                    line.append(module);
                }
                rows.add(line.toString());
            }
            return rows;
        } catch (WriterException e) {
            throw new IllegalStateException(e);
        }
    }

    List<DeviceView> devices(HttpServletRequest request) {
        String mine = callers.session(request).map(Session::id).orElse("");
        return sessions.all().stream()
                .map(s -> new DeviceView(
                        s.id(), s.device(), s.source(), s.page(), s.from(), s.seen(), s.until(), s.id().equals(mine)))
                .toList();
    }

    void end(String id) {
        if (!sessions.end(session -> session.id().equals(id))) {
            throw new NotFoundException("there is no session of that kind; it may have ended");
        }
    }

    GuestView invite(GuestRequest wanted, HttpServletRequest request) {
        onlyServed();
        String page = wanted.page() == null ? "" : wanted.page();
        if (page.length() > LONGEST_PAGE) {
            throw new InvalidInputException(
                    "page", "page has " + page.length() + " characters; allowed are up to " + LONGEST_PAGE);
        }
        GuestPage.of(page);
        if (wanted.days() < 1 || wanted.days() > LONGEST_INVITATION_DAYS) {
            throw new InvalidInputException(
                    "days", "days is " + wanted.days() + "; allowed are 1 to " + LONGEST_INVITATION_DAYS);
        }
        Instant until = clock.now().plus(Duration.ofDays(wanted.days()));
        String token = sessions.invite(name("name", wanted.name(), "a guest"), page, until);
        return new GuestView(reachable(request) + "/guest#" + token, until);
    }

    private static String name(String field, @Nullable String given, String otherwise) {
        return given == null || given.isBlank()
                ? otherwise
                : InvalidInputException.naming(field, () -> Text.name(field, given, LONGEST_NAME));
    }
}
