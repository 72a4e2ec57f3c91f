package app.hodegon.server.zone;

import app.hodegon.server.account.Account;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.ZoneId;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Remembers where whoever is signed in is, as the browser says with every request; written when it changes. */
@Component
class ZoneFilter extends OncePerRequestFilter {

    static final String HEADER = "Time-Zone";
    private static final String SEEN = "zone";

    private final ZoneRepository zones;

    ZoneFilter(ZoneRepository zones) {
        this.zones = zones;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String zone = request.getHeader(HEADER);
        HttpSession session = request.getSession(false);
        if (zone != null && session != null && !zone.equals(session.getAttribute(SEEN))) remember(zone, session);
        chain.doFilter(request, response);
    }

    /** A zone that this server does not know changes nothing. */
    private void remember(String zone, HttpSession session) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || !(who.getPrincipal() instanceof Account account)) return;
        if (!ZoneId.getAvailableZoneIds().contains(zone)) return;
        zones.set(account.id(), ZoneId.of(zone));
        session.setAttribute(SEEN, zone);
    }
}
