package syntoma.app.access;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.math.BigInteger;
import java.net.InetAddress;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.CertificateException;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Date;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.bouncycastle.asn1.ASN1OctetString;
import org.bouncycastle.asn1.DEROctetString;
import org.bouncycastle.asn1.pkcs.PrivateKeyInfo;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.openssl.PEMKeyPair;
import org.bouncycastle.openssl.PEMParser;
import org.bouncycastle.openssl.jcajce.JcaPEMKeyConverter;
import org.bouncycastle.openssl.jcajce.JcaPEMWriter;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.util.io.pem.PemObject;
import org.springframework.stereotype.Component;

/**
 * The certificate that this machine shows to devices. Without one of the owner's, an authority of its own is made once, whose
 * certificate a phone can be told to trust, and from it the server's, again whenever the machine's addresses change.
 *
 * <p>The authority can vouch for private addresses and local names alone (RFC 5280,
 * 4.2.1.10), so that a phone which trusts it gives little away if its key is stolen. A server's certificate lasts 397 days, the most that browsers take.
 */
@Component
class Certificates {
    static final String OWN_CERTIFICATE = "own-certificate.pem";
    static final String OWN_KEY = "own-key.pem";
    private static final String AUTHORITY = "authority.pem";
    private static final String AUTHORITY_KEY = "authority-key.pem";
    private static final String SERVER = "server.pem";
    private static final String SERVER_KEY = "server-key.pem";

    private static final Duration AUTHORITY_LASTS = Duration.ofDays(3650);
    private static final Duration SERVER_LASTS = Duration.ofDays(397);
    private static final Duration RENEWED_BEFORE = Duration.ofDays(60);
    private static final Duration CLOCKS_DIFFER = Duration.ofDays(1);
    private static final int SERIAL_BITS = 120;
    private static final String SIGNED_WITH = "SHA256withECDSA";

    /** Networks that an authority may vouch for: address and mask in bytes. */
    private static final List<String> NETWORKS = List.of(
            "7f000000ff000000",
            "64400000ffc00000",
            "0a000000ff000000",
            "ac100000fff00000",
            "c0a80000ffff0000",
            "00000000000000000000000000000001ffffffffffffffffffffffffffffffff",
            "fc000000000000000000000000000000fe000000000000000000000000000000");

    private static final List<String> LOCAL_NAMES = List.of("localhost", "local", "lan", "internal", "home.arpa");

    private final SecretFiles files;
    private final Addresses addresses;
    private final WallClock clock;

    Certificates(SecretFiles files, Addresses addresses, WallClock clock) {
        this.files = files;
        this.addresses = addresses;
        this.clock = clock;
    }

    /**
     * What the server shows.
     *
     * @param chain the server's certificate first
     * @param isOwners whether it is the owner's own
     * @param names that it is for
     */
    record ServedCertificate(List<X509Certificate> chain, PrivateKey key, boolean isOwners, Set<String> names) {
        X509Certificate server() {
            return chain.get(0);
        }

        KeyStore keyStore() {
            try {
                KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
                store.load(null, null);
                store.setKeyEntry("server", key, new char[0], chain.toArray(Certificate[]::new));
                return store;
            } catch (GeneralSecurityException | IOException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    /** The owner's certificate where there is one, else its own for the addresses that are served now. */
    ServedCertificate current(List<InetAddress> served) {
        try {
            boolean owners = files.read(OWN_CERTIFICATE).isPresent()
                    || files.read(OWN_KEY).isPresent();
            return owners ? owners() : own(served);
        } catch (GeneralSecurityException | IOException | OperatorCreationException | IllegalArgumentException e) {
            throw new UnusableCertificate(e);
        }
    }

    /** The certificate of its own authority, for a phone to trust. */
    String authority() {
        try {
            return pem(authorityKeys().certificate());
        } catch (GeneralSecurityException | IOException | OperatorCreationException e) {
            throw new UnusableCertificate(e);
        }
    }

    /** Neither the owner's certificate nor one of its own can be used. */
    static final class UnusableCertificate extends RuntimeException {
        private UnusableCertificate(Exception why) {
            super(
                    "the certificate cannot be used (" + why.getMessage() + "); " + OWN_CERTIFICATE + " and " + OWN_KEY
                            + " in the directory access of the data must be a chain and its key in PEM, the key without a"
                            + " password. Without them Syntoma makes its own",
                    why);
        }
    }

    private ServedCertificate owners() throws IOException, GeneralSecurityException {
        List<X509Certificate> chain = chain(files.read(OWN_CERTIFICATE).orElseThrow(() -> missing(OWN_CERTIFICATE)));
        PrivateKey key = key(files.read(OWN_KEY).orElseThrow(() -> missing(OWN_KEY)));
        Instant until = chain.get(0).getNotAfter().toInstant();
        if (!clock.now().isBefore(until)) {
            throw new CertificateException("it ended " + until);
        }
        return new ServedCertificate(chain, key, true, names(chain.get(0)));
    }

    private static IOException missing(String file) {
        return new IOException(file + " is missing");
    }

    private ServedCertificate own(List<InetAddress> served)
            throws IOException, GeneralSecurityException, OperatorCreationException {
        Keys authority = authorityKeys();
        Set<String> wanted = names(served);
        if (files.read(SERVER).isPresent() && files.read(SERVER_KEY).isPresent()) {
            List<X509Certificate> chain = chain(files.read(SERVER).orElseThrow());
            boolean lasts = clock.now()
                    .plus(RENEWED_BEFORE)
                    .isBefore(chain.get(0).getNotAfter().toInstant());
            if (lasts && names(chain.get(0)).equals(wanted)) {
                return new ServedCertificate(chain, key(files.read(SERVER_KEY).orElseThrow()), false, wanted);
            }
        }
        Keys server = server(authority, wanted);
        List<X509Certificate> chain = List.of(server.certificate(), authority.certificate());
        files.write(SERVER_KEY, pem(server.key()));
        files.write(SERVER, pem(chain.toArray()));
        return new ServedCertificate(chain, server.key(), false, wanted);
    }

    private record Keys(X509Certificate certificate, PrivateKey key) {}

    private synchronized Keys authorityKeys() throws IOException, GeneralSecurityException, OperatorCreationException {
        if (files.read(AUTHORITY).isPresent() && files.read(AUTHORITY_KEY).isPresent()) {
            X509Certificate certificate =
                    chain(files.read(AUTHORITY).orElseThrow()).get(0);
            if (clock.now()
                    .plus(SERVER_LASTS)
                    .isBefore(certificate.getNotAfter().toInstant())) {
                return new Keys(certificate, key(files.read(AUTHORITY_KEY).orElseThrow()));
            }
        }
        KeyPair pair = pair();
        X500Name name = new X500Name("CN=Syntoma on " + addresses.name().orElse("this vehicle"));
        X509v3CertificateBuilder builder = builder(name, name, pair, AUTHORITY_LASTS);
        builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
        builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign));
        builder.addExtension(Extension.nameConstraints, true, new NameConstraints(permitted(), null));
        Keys made = new Keys(sign(builder, pair.getPrivate()), pair.getPrivate());
        files.write(AUTHORITY_KEY, pem(made.key()));
        files.write(AUTHORITY, pem(made.certificate()));
        return made;
    }

    private GeneralSubtree[] permitted() {
        List<GeneralSubtree> permitted = new ArrayList<>();
        NETWORKS.forEach(network -> permitted.add(network(HexFormat.of().parseHex(network))));
        List<String> names = new ArrayList<>(LOCAL_NAMES);
        addresses.name().ifPresent(names::add);
        names.forEach(name -> permitted.add(new GeneralSubtree(new GeneralName(GeneralName.dNSName, name))));
        return permitted.toArray(GeneralSubtree[]::new);
    }

    private static GeneralSubtree network(byte[] addressAndMask) {
        return new GeneralSubtree(new GeneralName(GeneralName.iPAddress, new DEROctetString(addressAndMask)));
    }

    private static boolean permits(X509Certificate authority, InetAddress address) {
        byte[] wanted = address.getAddress();
        NameConstraints constraints = NameConstraints.getInstance(
                ASN1OctetString.getInstance(authority.getExtensionValue(Extension.nameConstraints.getId()))
                        .getOctets());
        return Arrays.stream(constraints.getPermittedSubtrees())
                .map(GeneralSubtree::getBase)
                .filter(name -> name.getTagNo() == GeneralName.iPAddress)
                .map(name -> ASN1OctetString.getInstance(name.getName()).getOctets())
                .anyMatch(network -> network.length == wanted.length * 2 && isIn(network, wanted));
    }

    private static boolean isIn(byte[] addressAndMask, byte[] wanted) {
        for (int i = 0; i < wanted.length; i++) {
            if ((wanted[i] & addressAndMask[wanted.length + i]) != addressAndMask[i]) {
                return false;
            }
        }
        return true;
    }

    private Keys server(Keys authority, Set<String> names)
            throws IOException, GeneralSecurityException, OperatorCreationException {
        KeyPair pair = pair();
        X500Name issuer = X500Name.getInstance(
                authority.certificate().getSubjectX500Principal().getEncoded());
        X509v3CertificateBuilder builder =
                builder(issuer, new X500Name("CN=Syntoma"), pair, SERVER_LASTS.minus(CLOCKS_DIFFER));
        builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
        builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
        builder.addExtension(Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
        builder.addExtension(
                Extension.authorityKeyIdentifier,
                false,
                new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(authority.certificate()));
        GeneralName[] all = names.stream()
                .map(n -> new GeneralName(isAddress(n) ? GeneralName.iPAddress : GeneralName.dNSName, n))
                .toArray(GeneralName[]::new);
        builder.addExtension(Extension.subjectAlternativeName, false, new GeneralNames(all));
        return new Keys(sign(builder, authority.key()), pair.getPrivate());
    }

    private X509v3CertificateBuilder builder(X500Name issuer, X500Name subject, KeyPair pair, Duration lasts)
            throws GeneralSecurityException, IOException {
        Instant from = clock.now().minus(CLOCKS_DIFFER);
        X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                issuer,
                new BigInteger(SERIAL_BITS, new SecureRandom()).setBit(SERIAL_BITS),
                Date.from(from),
                Date.from(clock.now().plus(lasts)),
                subject,
                pair.getPublic());
        builder.addExtension(
                Extension.subjectKeyIdentifier,
                false,
                new JcaX509ExtensionUtils().createSubjectKeyIdentifier(pair.getPublic()));
        return builder;
    }

    private static KeyPair pair() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        return generator.generateKeyPair();
    }

    private static X509Certificate sign(X509v3CertificateBuilder builder, PrivateKey key)
            throws OperatorCreationException, CertificateException {
        X509CertificateHolder holder = builder.build(new JcaContentSignerBuilder(SIGNED_WITH).build(key));
        return new JcaX509CertificateConverter().getCertificate(holder);
    }

    private Set<String> names(List<InetAddress> served) {
        Set<String> names = new TreeSet<>(Set.of("localhost", "127.0.0.1"));
        served.forEach(address -> names.add(addressText(address)));
        addresses.name().ifPresent(name -> names.addAll(List.of(name, name + ".local")));
        return names;
    }

    private static String addressText(InetAddress address) {
        String link = Addresses.inLink(address);
        return link.startsWith("[") ? link.substring(1, link.length() - 1) : link;
    }

    private static boolean isAddress(String name) {
        return name.contains(":") || name.matches("[0-9.]+");
    }

    private static Set<String> names(X509Certificate certificate) throws CertificateException {
        return certificate.getSubjectAlternativeNames() == null
                ? Set.of()
                : certificate.getSubjectAlternativeNames().stream()
                        .map(name -> String.valueOf(name.get(1)))
                        .collect(Collectors.toCollection(TreeSet::new));
    }

    private static List<X509Certificate> chain(String pem) throws IOException, GeneralSecurityException {
        List<X509Certificate> chain = new ArrayList<>();
        try (PEMParser parser = new PEMParser(new StringReader(pem))) {
            for (Object next = parser.readObject(); next != null; next = parser.readObject()) {
                if (next instanceof X509CertificateHolder holder) {
                    chain.add(new JcaX509CertificateConverter().getCertificate(holder));
                }
            }
        }
        if (chain.isEmpty()) {
            throw new CertificateException("there is no certificate in it");
        }
        return chain;
    }

    private static PrivateKey key(String pem) throws IOException {
        try (PEMParser parser = new PEMParser(new StringReader(pem))) {
            for (Object next = parser.readObject(); next != null; next = parser.readObject()) {
                if (next instanceof PEMKeyPair pair) {
                    return pair.getPublicKeyInfo() == null
                            ? new JcaPEMKeyConverter().getPrivateKey(pair.getPrivateKeyInfo())
                            : new JcaPEMKeyConverter().getKeyPair(pair).getPrivate();
                }
                if (next instanceof PrivateKeyInfo info) {
                    return new JcaPEMKeyConverter().getPrivateKey(info);
                }
            }
        }
        throw new IOException("there is no key without a password in it");
    }

    private static String pem(Object... parts) throws IOException {
        StringWriter text = new StringWriter();
        try (JcaPEMWriter writer = new JcaPEMWriter(text)) {
            for (Object part : parts) {
                writer.writeObject(
                        part instanceof PrivateKey key ? new PemObject("PRIVATE KEY", key.getEncoded()) : part);
            }
        }
        return text.toString();
    }
}
