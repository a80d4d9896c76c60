package vividroster.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** The server: HTTP API, sign-in and the interface's files. */
@SpringBootApplication
public class VividRosterApplication {

    public static void main(String[] args) {
        SpringApplication.run(VividRosterApplication.class, args);
    }
}
