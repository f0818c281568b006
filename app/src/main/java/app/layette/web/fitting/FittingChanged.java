package app.layette.web.fitting;

import app.layette.core.entry.Entry;
import app.layette.core.fitting.FittingPlan;
import java.util.UUID;

/**
 * A fitting has another entry, of which one press may bring several; heard inside its transaction, so that what follows is stored with it or not at all.
 *
 * @param entry the newest
 * @param plan what follows from all of them so far
 */
public record FittingChanged(UUID fitting, UUID point, Entry entry, FittingPlan plan) {}
