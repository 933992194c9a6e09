package syntoma.app.access;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.web.embedded.jetty.JettyServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Fits the door out, and opens it to the network where the start says so. */
@Configuration
class AccessConfig {
    @Bean
    WebServerFactoryCustomizer<JettyServletWebServerFactory> doorCustomizer(Door door) {
        return factory -> factory.addServerCustomizers(door::fit);
    }

    @Bean
    ApplicationRunner openedToTheNetwork(Network network, @Value("${syntoma.lan:false}") boolean lan) {
        return arguments -> {
            if (lan) {
                network.serve();
                String fingerprint = network.certificate() == null
                        ? ""
                        : AccessService.fingerprint(network.certificate().server());
                System.out.println("On the vehicle's network: "
                        + String.join(
                                ", ",
                                network.hosts().stream()
                                        .map(host -> "https://" + host + ":" + network.port())
                                        .toList())
                        + "\nThe certificate that devices are shown has the SHA-256 fingerprint " + fingerprint);
            }
        };
    }

    /** The certificate of the authority, for a phone to trust; it is no secret. */
    @RestController
    @io.swagger.v3.oas.annotations.Hidden
    static class Authority {
        private final Certificates certificates;

        Authority(Certificates certificates) {
            this.certificates = certificates;
        }

        @GetMapping("/syntoma-authority.crt")
        ResponseEntity<String> authority() {
            return ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                    .header("Content-Disposition", "attachment; filename=\"syntoma-authority.crt\"")
                    .body(certificates.authority());
        }
    }
}
