package app.layette.core.evidence;

/**
 * What something is called where it is meant and not told: in code each thing has a type of its own for it, in documents
 * and forms all of them are texts.
 */
public interface Id {
    /** As documents and forms write it. */
    String text();
}
