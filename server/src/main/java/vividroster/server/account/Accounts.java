package vividroster.server.account;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.access.Passwords;
import vividroster.core.access.Role;
import vividroster.core.roster.SectionScope;
import vividroster.server.account.AccountQueries.PersonRow;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.SignedInPeople;

/** The people of a programme who may sign in. */
@Service
public class Accounts implements SignedInPeople {

    private final AccountQueries queries;
    private final CoachQueries coaches;
    private final PasswordEncoder encoder;
    private final Locks locks;
    private final Passwords passwords;

    Accounts(AccountQueries queries, CoachQueries coaches, PasswordEncoder encoder, Locks locks) {
        this.coaches = coaches;
        this.locks = locks;
        this.queries = queries;
        this.encoder = encoder;
        this.passwords = new Passwords(common());
    }

    private static Set<String> common() {
        try (InputStream list = Accounts.class.getResourceAsStream("/common-passwords.txt")) {
            return new String(list.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .collect(Collectors.toSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One statement with every request, so without a transaction around it. */
    @Override
    public Optional<SignedIn> find(UUID programId, UUID accountId, int version) {
        return queries.find(programId, accountId, version);
    }

    /** Somebody without sections of their own. @throws Problem when the name is taken or the password too easy */
    @Transactional
    public UUID add(UUID programId, String signInName, String displayName, Role role, String password) {
        return add(programId, signInName, displayName, role, List.of(), password);
    }

    /**
     * @param sections of a coach; empty for everybody else
     * @throws Problem when the name is taken or the password too easy
     */
    @Transactional
    public UUID add(
            UUID programId,
            String signInName,
            String displayName,
            Role role,
            List<SectionScope> sections,
            String password) {
        refuseSections(role, sections);
        refuseEasy(password, signInName);
        UUID id = Ids.next();
        if (!queries.insert(programId, id, fold(signInName), displayName.strip(), role, encoder.encode(password))) {
            throw Problem.input("signInName", "\"" + signInName + "\" is taken; choose another sign-in name.");
        }
        coaches.put(programId, id, sections);
        return id;
    }

    /** A coach has sections, nobody else does. */
    static void refuseSections(Role role, List<SectionScope> sections) {
        if ((role == Role.SECTION_COACH) == sections.isEmpty()) {
            throw Problem.input(
                    "sections",
                    sections.isEmpty()
                            ? "Choose the sections the coach sees and hears."
                            : "Only a section coach has sections; everybody else sees more.");
        }
    }

    private void refuseEasy(String password, String signInName) {
        passwords.fault(password, signInName).ifPresent(fault -> {
            throw Problem.input("password", sentence(fault));
        });
    }

    /**
     * Another password of one's own, or given to somebody who forgot theirs; all their sessions end.
     *
     * @throws Problem when it is too easy
     */
    @Transactional
    void changePassword(UUID programId, UUID accountId, String password) {
        refuseEasy(password, person(programId, accountId).signInName());
        queries.putPassword(programId, accountId, encoder.encode(password));
    }

    /** Another password in place of one that everybody can read, where an account still has it. */
    @Transactional
    public void replacePublished(String signInName, String published, String password) {
        queries.findBySignInName(fold(signInName))
                .filter(row -> encoder.matches(published, row.passwordHash()))
                .ifPresent(row -> queries.putPassword(
                        row.person().programId(), row.person().accountId(), encoder.encode(password)));
    }

    /**
     * A new password for whoever signs in by a name, as the shell of the server gives it; all their sessions end.
     *
     * @return whose it is, by the name that is shown; empty where nobody signs in by it
     */
    @Transactional
    public Optional<String> resetPassword(String signInName, String password) {
        Optional<AccountQueries.AccountRow> row = queries.findBySignInName(fold(signInName));
        row.ifPresent(found ->
                queries.putPassword(found.person().programId(), found.person().accountId(), encoder.encode(password)));
        return row.map(found -> found.person().displayName());
    }

    /** How many there are besides a first one, and how many are invited. */
    @Transactional(readOnly = true)
    public int othersOf(UUID programId) {
        return (int) queries.findAll(programId).stream()
                        .filter(person -> !person.disabled())
                        .count()
                - 1
                + queries.countInvited(programId);
    }

    /** The first director of a programme. */
    @Transactional(readOnly = true)
    public SignedIn anyDirector(UUID programId) {
        return queries.findAll(programId).stream()
                .filter(person -> person.role() == Role.DIRECTOR && !person.disabled())
                .findFirst()
                .map(person -> signedIn(programId, person.id()))
                .orElseThrow(() -> Problem.notFound("Nobody directs this programme."));
    }

    /** Ends all sessions of a person. */
    @Transactional
    void signOutEverywhere(UUID programId, UUID accountId) {
        queries.growVersion(programId, accountId);
    }

    /**
     * Name, role, and whether somebody may still sign in.
     *
     * @throws Problem where no director would be left
     */
    @Transactional
    void change(
            UUID programId,
            UUID accountId,
            String displayName,
            Role role,
            List<SectionScope> sections,
            boolean disabled) {
        locks.hold(programId, "people");
        refuseSections(role, sections);
        PersonRow before = person(programId, accountId);
        boolean directs = role == Role.DIRECTOR && !disabled;
        boolean another = queries.findAll(programId).stream()
                .anyMatch(other -> !other.id().equals(accountId) && other.role() == Role.DIRECTOR && !other.disabled());
        if (!directs && !another) {
            throw Problem.conflict("A programme needs a director who can sign in; make somebody else one first.");
        }
        queries.put(programId, new PersonRow(accountId, before.signInName(), displayName.strip(), role, disabled));
        coaches.put(programId, accountId, sections);
    }

    /** The sections of each coach. */
    @Transactional(readOnly = true)
    Map<UUID, List<SectionScope>> sections(UUID programId) {
        return coaches.findAll(programId);
    }

    /** Who somebody is now, after their account was changed. */
    @Transactional(readOnly = true)
    SignedIn signedIn(UUID programId, UUID accountId) {
        return queries.findNow(programId, accountId)
                .orElseThrow(() -> Problem.notSignedIn("This account may not sign in any more."));
    }

    PersonRow person(UUID programId, UUID accountId) {
        return queries.findAll(programId).stream()
                .filter(person -> person.id().equals(accountId))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("There is no such person."));
    }

    private static String sentence(Passwords.Fault fault) {
        return switch (fault) {
            case TOO_SHORT -> "A password has at least " + Passwords.SHORTEST + " letters; a few words are best.";
            case TOO_LONG ->
                "This password is too long: " + Passwords.MOST_BYTES
                        + " plain letters are looked at, fewer where they carry accents.";
            case COMMON -> "This password is among those guessed first; take a few words of your own.";
            case LIKE_THE_NAME -> "This password is hardly more than the sign-in name; take a few words of your own.";
            case TOO_EVEN -> "This password is too even to be safe; take a few words of your own.";
        };
    }

    @Transactional(readOnly = true)
    List<PersonRow> people(UUID programId) {
        return queries.findAll(programId);
    }

    static String fold(String signInName) {
        return signInName.strip().toLowerCase(Locale.ROOT);
    }
}
