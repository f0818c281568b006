package app.layette.core.seat;

/** Whether the child is harnessed before or after the restraint is fixed. */
public enum ChildWhen {
    BEFORE,
    AFTER
}
