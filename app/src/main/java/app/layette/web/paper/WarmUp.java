package app.layette.web.paper;

import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Prints one page for nobody when the application has started: the first that somebody waits for takes seconds else. */
@Component
@ConditionalOnProperty(name = "layette.warm-up", havingValue = "true", matchIfMissing = true)
class WarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);

    private final PdfPrinter printer;

    WarmUp(PdfPrinter printer) {
        this.printer = printer;
    }

    @EventListener(ApplicationReadyEvent.class)
    public void onReady() {
        Thread warm = new Thread(this::print, "warm-up");
        warm.setDaemon(true);
        warm.setPriority(Thread.MIN_PRIORITY);
        warm.start();
    }

    private void print() {
        try {
            printer.print("paper/blank", "en", Map.of());
        } catch (RuntimeException e) {
            LOG.warn("Nothing was warmed up", e);
        }
    }
}
