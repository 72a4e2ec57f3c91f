package app.hodegon.server.account;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Someone who can sign in. Kept in the session, so without secrets beyond the password's hash while signing in. */
public record Account(UUID id, String email, String passwordHash, Role role, String name) implements UserDetails {

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

    @Override
    public String getUsername() {
        return email;
    }
}
