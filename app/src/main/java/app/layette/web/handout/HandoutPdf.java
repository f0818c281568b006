package app.layette.web.handout;

import app.layette.web.paper.PdfPrinter;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** The handout on paper: the same sheet as on screen. */
@Component
class HandoutPdf {
    private final PdfPrinter printer;

    HandoutPdf(PdfPrinter printer) {
        this.printer = printer;
    }

    /**
     * Draws the sheet.
     *
     * @param qr the QR code of the family's page as SVG; empty for none
     */
    byte[] of(HandoutSheet sheet, String lang, String qr, String qrSays) {
        return printer.print(
                "handout/pdf",
                lang,
                Map.of(
                        "sheet", sheet,
                        "lang", lang,
                        "inks", (UnaryOperator<String>) printer::inked,
                        "qr", qr,
                        "qrSays", qrSays));
    }
}
