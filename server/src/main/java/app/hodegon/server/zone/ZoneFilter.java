package app.hodegon.server.zone;

import app.hodegon.server.account.Account;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.ZoneId;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Remembers where whoever is signed in is, as the browser says with every request; written when it changes. */
@Component
class ZoneFilter extends OncePerRequestFilter {

    private static final String HEADER = "Time-Zone";

    private final ZoneRepository zones;

    /** Where each account was last seen. Not in its session: many requests of one page would write it at once. */
    private final Map<UUID, String> seen = new ConcurrentHashMap<>();

    ZoneFilter(ZoneRepository zones) {
        this.zones = zones;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String zone = request.getHeader(HEADER);
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (zone != null && who != null && who.getPrincipal() instanceof Account account) remember(account.id(), zone);
        chain.doFilter(request, response);
    }

    /** A zone that this server does not know changes nothing. */
    private void remember(UUID account, String zone) {
        if (zone.equals(seen.get(account)) || !ZoneId.getAvailableZoneIds().contains(zone)) return;
        zones.set(account, ZoneId.of(zone));
        seen.put(account, zone);
    }
}
