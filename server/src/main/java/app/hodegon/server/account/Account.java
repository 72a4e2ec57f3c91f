package app.hodegon.server.account;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Someone who can sign in. Kept in the session, so without secrets beyond the password's hash while signing in. */
public record Account(UUID id, String email, String passwordHash, Role role, String name) implements UserDetails {

    /** Characters of a password that is set. */
    public static final int SHORTEST_PASSWORD = 8;

    /** The hash reads 72 bytes. */
    public static final int LONGEST_PASSWORD = 72;

    /** What an account may do. */
    public enum Role {
        COACH,
        STUDENT
    }

    /** The same account without the hash, to be kept in a session. */
    Account withoutHash() {
        return new Account(id, email, "", role, name);
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    /** Names the account in sessions: an e-mail would stay there after an erasure. */
    @Override
    public String getUsername() {
        return id.toString();
    }
}
