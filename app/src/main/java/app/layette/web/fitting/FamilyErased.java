package app.layette.web.fitting;

import java.util.List;
import java.util.UUID;

/**
 * A family's names are no longer kept; whoever keeps something else that could tell who it was lets go of it too. Heard
 * inside its transaction.
 *
 * @param reference what the family was called by until now
 * @param fittings all its fittings
 */
public record FamilyErased(UUID point, String reference, List<UUID> fittings) {}
