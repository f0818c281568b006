package app.layette.core.evidence;

/**
 * One version of a sheet.
 *
 * @param id stable name of the sheet
 * @param version grows with each change, from 1
 */
public record SheetVersion(String id, int version) {
    @Override
    public String toString() {
        return id + " " + version;
    }
}
