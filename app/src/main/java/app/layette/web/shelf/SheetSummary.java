package app.layette.web.shelf;

/**
 * A sheet in a list.
 *
 * @param id stable name
 * @param version newest version at hand
 * @param title maker and name
 * @param confirmed whether a lead has confirmed it
 * @param importedBy who brought it in
 */
public record SheetSummary(String id, int version, String title, boolean confirmed, String importedBy) {}
