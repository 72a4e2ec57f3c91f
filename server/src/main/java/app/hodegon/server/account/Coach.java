package app.hodegon.server.account;

import java.util.UUID;

/**
 * A coach of this house.
 *
 * @param owner whether the coach owns the installation
 */
public record Coach(UUID id, String name, String email, boolean owner) {}
