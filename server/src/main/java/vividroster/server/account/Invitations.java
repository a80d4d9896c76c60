package vividroster.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.access.Invitation;
import vividroster.core.access.Role;
import vividroster.core.roster.SectionScope;
import vividroster.server.account.InvitationQueries.InvitationRow;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** Invitations by a one-time link. */
@Service
class Invitations {

    private static final int TOKEN_BYTES = 24;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final InvitationQueries queries;
    private final Accounts accounts;
    private final Office office;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Invitations(InvitationQueries queries, Accounts accounts, Office office, Clock clock) {
        this.queries = queries;
        this.accounts = accounts;
        this.office = office;
        this.clock = clock;
    }

    /** @param token of the link, told this once */
    record Made(UUID id, String token, Instant goodUntil) {}

    /** @throws Problem where a coach would have no section, or somebody else one */
    @Transactional
    Made make(SignedIn by, String displayName, Role role, List<SectionScope> sections) {
        Accounts.refuseSections(role, sections);
        byte[] token = new byte[TOKEN_BYTES];
        random.nextBytes(token);
        String words = Base64.getUrlEncoder().withoutPadding().encodeToString(token);
        InvitationRow row = new InvitationRow(
                by.programId(),
                Ids.next(),
                displayName.strip(),
                role,
                sections,
                by.accountId(),
                new Invitation(clock.instant(), Optional.empty(), Optional.empty()));
        queries.insert(row, hash(words));
        return new Made(row.id(), words, row.invitation().goodUntil());
    }

    /** An invitation with what became of it. @param fault empty while it can be taken */
    record Kept(UUID id, String displayName, Role role, Instant goodUntil, Optional<Invitation.Fault> fault) {}

    @Transactional(readOnly = true)
    List<Kept> all(UUID programId) {
        Instant now = clock.instant();
        return queries.findAll(programId).stream()
                .map(row -> new Kept(
                        row.id(),
                        row.displayName(),
                        row.role(),
                        row.invitation().goodUntil(),
                        row.invitation().fault(now)))
                .toList();
    }

    @Transactional
    void withdraw(UUID programId, UUID id) {
        if (!queries.putWithdrawn(programId, id, clock.instant())) {
            throw Problem.conflict("This invitation was used or taken back already.");
        }
    }

    /** Whom a link invites, and where. */
    record Invited(String program, String displayName, Role role) {}

    /** @throws Problem where the link is none, or good no longer */
    @Transactional
    Invited look(String token) {
        InvitationRow row = open(token);
        return new Invited(office.name(row.programId()), row.displayName(), row.role());
    }

    /**
     * Makes the account a link is for; the link is used up.
     *
     * @return the account, by programme and id
     * @throws Problem where the link is good no longer, the name is taken or the password too easy; the link stays good then
     */
    @Transactional
    SignedIn take(String token, String signInName, String password) {
        InvitationRow row = open(token);
        UUID accountId =
                accounts.add(row.programId(), signInName, row.displayName(), row.role(), row.sections(), password);
        queries.putUsed(row.programId(), row.id(), clock.instant());
        return accounts.signedIn(row.programId(), accountId);
    }

    private InvitationRow open(String token) {
        InvitationRow row = queries.findByToken(hash(token))
                .orElseThrow(() -> Problem.notFound(
                        "This link is no invitation; perhaps a part of it is missing. Ask for it again."));
        row.invitation().fault(clock.instant()).ifPresent(fault -> {
            throw Problem.conflict(sentence(fault, row));
        });
        return row;
    }

    private String sentence(Invitation.Fault fault, InvitationRow row) {
        Invitation invitation = row.invitation();
        ZoneId zone = office.zone(row.programId());
        return switch (fault) {
            case USED ->
                "This invitation was used on " + day(invitation.usedAt().orElseThrow(), zone)
                        + ". If that was you, sign in; if not, tell your director.";
            case WITHDRAWN -> "This invitation was taken back. Ask your director for another.";
            case LATE ->
                "This invitation was good until " + day(invitation.goodUntil(), zone)
                        + ". Ask your director for another.";
        };
    }

    private static String day(Instant moment, ZoneId zone) {
        return DAY.format(LocalDate.ofInstant(moment, zone));
    }

    private static byte[] hash(String token) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
