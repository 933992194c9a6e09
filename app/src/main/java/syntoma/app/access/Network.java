package syntoma.app.access;

import jakarta.annotation.PreDestroy;
import java.net.InetAddress;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.platform.ConflictException;

/** Whether the vehicle's network is served, and under which addresses. It is not, until somebody says so. */
@Service
class Network {
    /** How often it is looked whether the machine's addresses have changed. */
    private static final long LOOKED_S = 5;

    private static final Logger LOG = LoggerFactory.getLogger(Network.class);

    private final Phrase phrase;
    private final Addresses addresses;
    private final KnownNetworks known;
    private final Certificates certificates;
    private final Door door;
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "addresses");
        thread.setDaemon(true);
        return thread;
    });

    private volatile boolean served;

    @Nullable
    private volatile Certificates.ServedCertificate shown;

    /** This machine's addresses on the networks that are served. */
    private volatile List<InetAddress> own = List.of();

    Network(Phrase phrase, Addresses addresses, KnownNetworks known, Certificates certificates, Door door) {
        this.phrase = phrase;
        this.addresses = addresses;
        this.known = known;
        this.certificates = certificates;
        this.door = door;
        watch.scheduleWithFixedDelay(this::look, LOOKED_S, LOOKED_S, TimeUnit.SECONDS);
    }

    boolean isServed() {
        return served;
    }

    /**
     * Serves the vehicle's network. Who says so for the first time means the networks that the machine is on at that moment; one that comes
     * later is asked about.
     */
    synchronized void serve() {
        if (!phrase.isSet()) {
            throw new ConflictException("a pass phrase is needed before the network is served; set one first");
        }
        if (known.all().stream().noneMatch(KnownNetworks.NetworkDecision::served)) {
            addresses.networks().stream()
                    .filter(network -> known.of(network).isEmpty())
                    .forEach(network -> known.decide(network, true, null));
        }
        follow(allowedAddresses());
        served = true;
        door.listenOn(Set.copyOf(own));
    }

    private List<InetAddress> allowedAddresses() {
        return addresses.networks().stream()
                .filter(network -> known.of(network)
                        .filter(KnownNetworks.NetworkDecision::served)
                        .isPresent())
                .flatMap(network -> network.addresses().stream())
                .toList();
    }

    /** Lets a network be served or not, from now on. */
    synchronized void decide(LocalNetwork network, boolean wanted, @Nullable String name) {
        known.decide(network, wanted, name);
        look();
    }

    synchronized void forget(String id) {
        known.forget(id);
        look();
    }

    /** Where another device finds this machine, when the one that asks uses no such address itself. */
    Optional<String> mainHost() {
        return addresses
                .ofDefaultRoute()
                .filter(own::contains)
                .or(() -> own.stream().findFirst())
                .map(Addresses::inLink);
    }

    /** Serves this machine alone. */
    synchronized void serveNobodyElse() {
        served = false;
        door.listenOn(Set.of());
    }

    private synchronized void look() {
        if (!served) {
            return;
        }
        try {
            List<InetAddress> now = allowedAddresses();
            if (!Set.copyOf(now).equals(Set.copyOf(own))) {
                follow(now);
            }
            door.listenOn(Set.copyOf(now));
        } catch (RuntimeException e) {
            LOG.warn("the addresses of this machine changed, and could not be followed: {}", e.getMessage());
        }
    }

    private void follow(List<InetAddress> now) {
        Certificates.ServedCertificate certificate = certificates.current(now);
        try {
            door.show(certificate.keyStore());
        } catch (Exception e) {
            throw new IllegalStateException("the certificate cannot be shown", e);
        }
        shown = certificate;
        own = now;
    }

    /** The certificate that is shown; null while nobody else is served. */
    @Nullable
    Certificates.ServedCertificate certificate() {
        return served ? shown : null;
    }

    int port() {
        return door.port();
    }

    /** What stands in a device's address line: addresses, then names. */
    List<String> hosts() {
        Set<String> hosts = new LinkedHashSet<>();
        Certificates.ServedCertificate certificate = certificate();
        if (certificate != null && certificate.isOwners()) {
            certificate.names().stream().filter(n -> !n.contains("*")).forEach(hosts::add);
        }
        own.forEach(address -> hosts.add(Addresses.inLink(address)));
        addresses.name().ifPresent(name -> hosts.add(name + ".local"));
        return List.copyOf(hosts);
    }

    /** Whether a request may name this machine so: not by a name from elsewhere that was made to point here. */
    boolean isNamed(String host) {
        if (!served) {
            return false;
        }
        Set<String> known = new TreeSet<>(hosts());
        addresses.name().ifPresent(known::add);
        return known.contains(host.toLowerCase(Locale.ROOT));
    }

    @PreDestroy
    void stop() {
        watch.shutdownNow();
    }
}
