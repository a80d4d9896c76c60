package vividroster.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.server.account.Programmes;
import vividroster.server.office.Office;

/**
 * Fills an empty database: with the demo, or with an empty programme and a first director whose password is printed
 * once.
 */
@Component
class FirstStart implements ApplicationRunner {

    private final Office office;
    private final Programmes programmes;
    private final DemoLoader demo;
    private final TransactionTemplate transaction;
    private final boolean withDemo;
    private final boolean onThisMachineAlone;
    private final String firstSignIn;

    FirstStart(
            Office office,
            Programmes programmes,
            DemoLoader demo,
            PlatformTransactionManager transactions,
            @Value("${vivid.demo}") String withDemo,
            @Value("${server.address:127.0.0.1}") String address,
            @Value("${vivid.first-sign-in}") String firstSignIn) {
        this.firstSignIn = firstSignIn;
        this.office = office;
        this.programmes = programmes;
        this.demo = demo;
        this.transaction = new TransactionTemplate(transactions);
        this.onThisMachineAlone = isLoopback(address);
        this.withDemo = withDemo.equalsIgnoreCase("yes") || withDemo.equalsIgnoreCase("true");
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!office.isEmpty()) {
            demo.closePublished(onThisMachineAlone);
            return;
        }
        if (withDemo) {
            demo.load();
            demo.closePublished(onThisMachineAlone);
        } else {
            emptyProgram();
        }
    }

    private static boolean isLoopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** Programme, year and director come together or not at all. */
    private void emptyProgram() {
        String password = transaction.execute(status -> openEmptyProgram());
        String words = "First sign-in: director / " + password + System.lineSeparator();
        if (firstSignIn.isEmpty()) {
            System.out.print(words);
            return;
        }
        try {
            Path file = Path.of(firstSignIn);
            Files.deleteIfExists(file);
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            Files.writeString(file, words);
        } catch (IOException e) {
            throw new UncheckedIOException("The first password could not be left in " + firstSignIn, e);
        }
    }

    private String openEmptyProgram() {
        return programmes.open("director").password();
    }
}
