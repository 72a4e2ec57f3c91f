package app.hodegon.server.student;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.NotFound;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A coach's students, and how they get their accounts. */
@Service
public class Students {

    private static final Duration INVITATION_LASTS = Duration.ofDays(14);
    private static final int TOKEN_BYTES = 24;

    private final StudentRepository students;
    private final Accounts accounts;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Students(StudentRepository students, Accounts accounts, Clock clock) {
        this.students = students;
        this.accounts = accounts;
        this.clock = clock;
    }

    List<RosterLine> roster(Account coach) {
        return students.roster(coach.id());
    }

    /**
     * @throws NotFound if there is no such student of this coach
     */
    public StoredStudent ofCoach(Account coach, UUID id) {
        return students.ofCoach(coach.id(), id).orElseThrow(() -> new NotFound("student"));
    }

    public int count(Account coach) {
        return students.ofCoachCount(coach.id());
    }

    /** A student whom the caller may see. */
    public StoredStudent byId(UUID id) {
        return students.byId(id).orElseThrow(() -> new NotFound("student"));
    }

    /** The student who is signed in. */
    public StoredStudent self(Account account) {
        return students.ofAccount(account.id()).orElseThrow(() -> new NotFound("student"));
    }

    /** Which adult knows that this junior practises. */
    public void setAdult(Account account, String adult) {
        students.setAdult(account.id(), adult);
    }

    @Transactional
    public StoredStudent add(Account coach, StudentEntry entry) {
        UUID id = students.add(
                coach.id(), entry.name().strip(), entry.complaint().strip(), entry.units(), entry.profile());
        return students.byId(id).orElseThrow();
    }

    @Transactional
    StoredStudent update(Account coach, UUID id, StudentEntry entry) {
        ofCoach(coach, id);
        students.update(id, entry.name().strip(), entry.complaint().strip(), entry.units(), entry.profile());
        return ofCoach(coach, id);
    }

    /** A one-time token for the student's sign-up; an earlier one stops working. */
    @Transactional
    public String invite(Account coach, UUID id) {
        if (ofCoach(coach, id).signedUp()) throw new Conflict("This student has an account already.");
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        students.invite(id, hash(token), OffsetDateTime.now(clock).plus(INVITATION_LASTS));
        return token;
    }

    StudentRepository.Invited invited(String token) {
        return students.invited(hash(token)).orElseThrow(() -> new NotFound("invitation, or it was used already"));
    }

    /** Makes the invited student's account and uses the invitation up. */
    @Transactional
    public Account accept(String token, String email, String password) {
        StudentRepository.Invited invited = invited(token);
        if (!students.useUp(hash(token))) throw new NotFound("invitation, or it was used already");
        Account account = accounts.add(email, password, Account.Role.STUDENT, invited.name());
        students.setAccount(invited.student(), account.id());
        return account;
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
