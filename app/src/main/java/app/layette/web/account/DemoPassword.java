package app.layette.web.account;

/** The password of every demo account; printed at each demo start and refused in production. */
public final class DemoPassword {
    public static final String VALUE = "thread-and-thimble";

    private DemoPassword() {}
}
