package app.layette.web.fitting;

import app.layette.core.fitting.FittingPlan;
import java.util.UUID;

/**
 * A fitting was planned again without a new entry: another day, another sheet, or another version of this program. Heard
 * inside its transaction.
 */
public record FittingPlannedAgain(UUID fitting, UUID point, FittingPlan plan) {}
