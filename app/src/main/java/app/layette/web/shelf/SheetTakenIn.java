package app.layette.web.shelf;

import app.layette.core.evidence.SheetVersion;
import java.util.UUID;

/** A sheet, or a newer version of one, came onto a shelf; heard inside its transaction. */
public record SheetTakenIn(UUID point, SheetVersion sheet) {}
