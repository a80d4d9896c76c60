package vividroster.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import vividroster.core.access.BackOff;
import vividroster.core.access.Passwords;
import vividroster.server.account.AccountQueries.AccountRow;
import vividroster.server.account.FailureQueries.Failures;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Words;

/** Whether somebody is who they say. Checking a password is work by intention, so that only one is checked at a time. */
@Service
class SignIns {

    private static final int AT_ONCE = Math.max(1, Runtime.getRuntime().availableProcessors() / 4);
    private static final Duration QUEUE = Duration.ofSeconds(5);
    /** A rest is this part of the check before it. Ours: others' answers stay under twice as long. */
    private static final int REST = 2;

    private final AccountQueries accounts;
    private final FailureQueries failures;
    private final PasswordEncoder encoder;
    private final Clock clock;
    private final Semaphore checks = new Semaphore(AT_ONCE, true);
    /** Checked where there is no such name, so that a wrong name takes as long as a wrong password. */
    private final String nobody;

    SignIns(AccountQueries accounts, FailureQueries failures, PasswordEncoder encoder, Clock clock) {
        this.clock = clock;
        this.accounts = accounts;
        this.failures = failures;
        this.encoder = encoder;
        this.nobody = encoder.encode("nobody has this one");
    }

    /**
     * @param address of whoever asks
     * @throws Problem when name and password do not match, or too many tries went before
     */
    SignedIn signIn(String signInName, String password, String address) {
        String name = Accounts.fold(signInName);
        Map<BackOff, String> keys = Map.of(
                BackOff.NAME_FROM_ADDRESS, key("both", name + " " + address),
                BackOff.NAME, key("name", name),
                BackOff.ADDRESS, key("address", address));
        mayTry(keys);
        SignedIn person = inTurn(() -> {
                    mayTry(keys);
                    Optional<AccountRow> account = accounts.findBySignInName(name);
                    boolean right = Passwords.fits(password)
                            && encoder.matches(
                                    password,
                                    account.map(AccountRow::passwordHash).orElse(nobody));
                    if (account.isEmpty() || !right) {
                        Instant now = clock.instant();
                        failures.add(keys.values(), now, now.minus(BackOff.MEMORY));
                        return Optional.<SignedIn>empty();
                    }
                    strengthen(account.get(), password);
                    return Optional.of(account.get().person());
                })
                .orElseThrow(() ->
                        Problem.notSignedIn("Sign-in name and password do not match. Nothing was changed; try again."));
        failures.forget(List.of(keys.get(BackOff.NAME_FROM_ADDRESS), keys.get(BackOff.NAME)));
        failures.forgetBefore(clock.instant().minus(BackOff.MEMORY));
        return person;
    }

    /**
     * Whether somebody who is signed in knows their password; tries count as those at the door.
     *
     * @throws Problem about the field {@code current} where it is another
     */
    void confirm(SignedIn person, String password, String address) {
        String name = accounts.findSignInName(person.programId(), person.accountId());
        try {
            signIn(name, password, address);
        } catch (Problem e) {
            throw e.status() == HttpStatus.UNAUTHORIZED
                    ? Problem.input("current", "This is not your present password.")
                    : e;
        }
    }

    private void mayTry(Map<BackOff, String> keys) {
        Map<String, Failures> failed = failures.find(keys.values());
        Instant now = clock.instant();
        Duration left = keys.entrySet().stream()
                .filter(key -> failed.containsKey(key.getValue()))
                .map(key -> key.getKey()
                        .left(
                                failed.get(key.getValue()).count(),
                                failed.get(key.getValue()).last(),
                                now))
                .max(Duration::compareTo)
                .orElse(Duration.ZERO);
        if (left.isPositive()) {
            throw Problem.tooMany("Too many tries did not match. Wait " + words(left) + ", then try again.", left);
        }
    }

    private static String words(Duration left) {
        long seconds = Math.max(1, left.plusMillis(999).toSeconds());
        return seconds < 120 ? Words.counted(seconds, "second") : Words.counted((seconds + 59) / 60, "minute");
    }

    private interface Check {
        Optional<SignedIn> make();
    }

    private Optional<SignedIn> inTurn(Check check) {
        boolean mine = false;
        long begun = 0;
        try {
            mine = checks.tryAcquire(QUEUE.toMillis(), TimeUnit.MILLISECONDS);
            if (!mine) {
                throw Problem.tooMany(
                        "Many people are signing in at this moment; try again in a few seconds.",
                        Duration.ofSeconds(3));
            }
            begun = System.nanoTime();
            return check.make();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.busy("The server is stopping; try again in a moment.");
        } finally {
            if (mine) {
                leave(Duration.ofNanos(System.nanoTime() - begun));
            }
        }
    }

    /** Where others wait, the next check begins after a rest, so that a crowd at the door leaves the processor to the lessons. */
    private void leave(Duration took) {
        if (!checks.hasQueuedThreads()) {
            checks.release();
            return;
        }
        Thread.startVirtualThread(() -> {
            try {
                Thread.sleep(took.dividedBy(REST));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } finally {
                checks.release();
            }
        });
    }

    private void strengthen(AccountRow account, String password) {
        if (encoder.upgradeEncoding(account.passwordHash())) {
            accounts.putHash(
                    account.person().programId(),
                    account.person().accountId(),
                    account.passwordHash(),
                    encoder.encode(password));
        }
    }

    /** Names and addresses are not kept as they are. */
    private static String key(String kind, String value) {
        try {
            byte[] hash =
                    MessageDigest.getInstance("SHA-256").digest((kind + " " + value).getBytes(StandardCharsets.UTF_8));
            return kind + " " + HexFormat.of().formatHex(hash, 0, 16);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
