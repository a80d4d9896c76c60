package vividroster.server.account;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.access.Role;
import vividroster.core.season.SchoolYear;
import vividroster.server.office.Office;

/** Opening programmes, each with a year like any other and a first director. */
@Service
public class Programmes {

    private static final Month YEAR_BEGINS = Month.AUGUST;
    private static final int PASSWORD_BYTES = 12;

    private final Office office;
    private final Accounts accounts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Programmes(Office office, Accounts accounts, Clock clock) {
        this.office = office;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** @param password told this once */
    public record Opened(UUID programId, String signInName, String password) {}

    /** A programme that nobody has named yet. @throws vividroster.server.platform.Problem where the sign-in name is taken */
    @Transactional
    public Opened open(String signInName) {
        return open("My programme", signInName, false);
    }

    /** Another programme on the same server. @throws vividroster.server.platform.Problem where the sign-in name is taken */
    @Transactional
    public Opened open(String name, String signInName) {
        return open(name, signInName, true);
    }

    private Opened open(String name, String signInName, boolean named) {
        ZoneId zone = ZoneId.systemDefault();
        LocalDate today = clock.instant().atZone(zone).toLocalDate();
        int year = today.getMonth().compareTo(Month.JULY) >= 0 ? today.getYear() : today.getYear() - 1;
        UUID programId = named ? office.open(name, zone, null) : office.openUnnamed(name, zone);
        office.layYear(
                programId,
                year + "–" + (year + 1),
                new SchoolYear(
                        LocalDate.of(year, YEAR_BEGINS, 15).with(TemporalAdjusters.nextOrSame(DayOfWeek.MONDAY)),
                        LocalDate.of(year + 1, Month.JUNE, 15).with(TemporalAdjusters.previousOrSame(DayOfWeek.FRIDAY)),
                        List.of(),
                        List.of()),
                List.of());
        String password = newPassword();
        accounts.add(programId, signInName, "Director", Role.DIRECTOR, password);
        return new Opened(programId, signInName, password);
    }

    /** One that nobody guesses, for once. */
    public String newPassword() {
        byte[] bytes = new byte[PASSWORD_BYTES];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
