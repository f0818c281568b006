package app.layette.web.recall;

/** A recall was published, or taken back. */
public record RecallPublished(String model) {}
