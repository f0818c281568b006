package app.layette.web.shell;

import app.layette.core.measure.UnitSystem;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the frame around every page shows. */
@ControllerAdvice
class Frame {
    /**
     * The frame's model.
     *
     * @param name of the user
     * @param role of the user, in words
     * @param metric whether metric units come first
     * @param here path of this page, to come back to
     */
    public record FrameView(String name, String role, boolean metric, String here) {}

    private final Viewing viewing;

    Frame(Viewing viewing) {
        this.viewing = viewing;
    }

    @ModelAttribute("frame")
    FrameView frame(@AuthenticationPrincipal SignedIn user, HttpServletRequest request) {
        if (user == null) {
            return null;
        }
        boolean metric = viewing.wording(user).units() == UnitSystem.METRIC;
        String query = request.getQueryString();
        String here = request.getRequestURI() + (query == null ? "" : "?" + query);
        boolean canComeBack = request.getMethod().equals("GET");
        return new FrameView(
                user.displayName(),
                user.role().name().toLowerCase(java.util.Locale.ROOT),
                metric,
                canComeBack ? here : "/");
    }
}
