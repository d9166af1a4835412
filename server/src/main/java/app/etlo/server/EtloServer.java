package app.etlo.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

@SpringBootApplication
public class EtloServer {
    public static void main(String[] args) {
        SpringApplication.run(EtloServer.class, args);
    }
}
