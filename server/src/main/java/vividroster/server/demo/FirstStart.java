package vividroster.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneId;
import java.util.Base64;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.core.access.Role;
import vividroster.core.season.SchoolYear;
import vividroster.server.account.Accounts;
import vividroster.server.office.Office;

/**
 * Fills an empty database: with the demo, or with an empty programme and a first director whose password is printed
 * once.
 */
@Component
class FirstStart implements ApplicationRunner {

    private static final Month YEAR_BEGINS = Month.AUGUST;

    private final Office office;
    private final Accounts accounts;
    private final DemoLoader demo;
    private final TransactionTemplate transaction;
    private final boolean withDemo;
    private final String firstSignIn;
    private final Clock clock;

    FirstStart(
            Office office,
            Accounts accounts,
            DemoLoader demo,
            PlatformTransactionManager transactions,
            Clock clock,
            @Value("${vivid.demo}") String withDemo,
            @Value("${vivid.first-sign-in}") String firstSignIn) {
        this.clock = clock;
        this.firstSignIn = firstSignIn;
        this.office = office;
        this.accounts = accounts;
        this.demo = demo;
        this.transaction = new TransactionTemplate(transactions);
        this.withDemo = withDemo.equalsIgnoreCase("yes") || withDemo.equalsIgnoreCase("true");
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!office.isEmpty()) {
            return;
        }
        if (withDemo) {
            demo.load();
        } else {
            emptyProgram();
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
        ZoneId zone = ZoneId.systemDefault();
        LocalDate today = clock.instant().atZone(zone).toLocalDate();
        int year = today.getMonth().compareTo(Month.JULY) >= 0 ? today.getYear() : today.getYear() - 1;
        var programId = office.open("My programme", zone, null);
        office.layYear(
                programId,
                year + "–" + (year + 1),
                new SchoolYear(
                        LocalDate.of(year, YEAR_BEGINS, 15),
                        LocalDate.of(year + 1, Month.JUNE, 15),
                        List.of(),
                        List.of()),
                List.of());
        byte[] random = new byte[12];
        new SecureRandom().nextBytes(random);
        String password = Base64.getUrlEncoder().withoutPadding().encodeToString(random);
        accounts.add(programId, "director", "Director", Role.DIRECTOR, password);
        return password;
    }
}
