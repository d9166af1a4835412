package app.etlo.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.security.servlet.UserDetailsServiceAutoConfiguration;

/** Sign-in is Etlo's own; without the exclusion a user of Spring's with a password in the log would be made. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class EtloServer {
    public static void main(String[] args) {
        SpringApplication.run(EtloServer.class, args);
    }
}
