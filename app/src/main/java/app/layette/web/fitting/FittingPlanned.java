package app.layette.web.fitting;

import app.layette.core.fitting.FittingPlan;
import java.util.UUID;

/**
 * A fitting was planned: after all that one press told, or again without a new entry because of another day, another sheet
 * or another version of this program. Heard inside its transaction.
 */
public record FittingPlanned(UUID fitting, UUID point, FittingPlan plan) {}
