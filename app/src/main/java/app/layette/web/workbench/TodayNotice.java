package app.layette.web.workbench;

import app.layette.web.account.SignedIn;
import java.util.List;

/** Something that the first page of the day says besides the fittings; other parts of the program have their own. */
public interface TodayNotice {
    /**
     * A line of the first page.
     *
     * @param urgent whether hands are needed today
     */
    record Line(String says, String address, boolean urgent) {}

    /** What is to be said today; empty for nothing. */
    List<Line> today(SignedIn user);
}
