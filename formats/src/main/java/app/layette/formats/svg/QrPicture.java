package app.layette.formats.svg;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** An address as a QR code, drawn as one SVG path so that it prints sharp at any size. */
public final class QrPicture {
    private static final int QUIET_MODULES = 4;

    private QrPicture() {}

    /**
     * The code of an address.
     *
     * @throws IllegalArgumentException when it is too long for a QR code
     */
    public static String of(String address) {
        BitMatrix code;
        try {
            code = new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M,
                                    EncodeHintType.MARGIN,
                                    QUIET_MODULES));
        } catch (WriterException e) {
            throw new IllegalArgumentException("The address (" + address.length() + " characters) fits no QR code", e);
        }
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < code.getHeight(); y++) {
            int x = 0;
            while (x < code.getWidth()) {
                int run = 0;
                while (x + run < code.getWidth() && code.get(x + run, y)) {
                    run++;
                }
                if (run > 0) {
                    // A run at a time: single squares would show hairlines between them.
                    path.append("M")
                            .append(x)
                            .append(' ')
                            .append(y)
                            .append('h')
                            .append(run)
                            .append("v1h-")
                            .append(run)
                            .append('z');
                }
                x += Math.max(1, run);
            }
        }
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" class=\"qr\" viewBox=\"0 0 " + code.getWidth() + " "
                + code.getHeight() + "\" width=\"120\" height=\"120\" role=\"img\" aria-label=\"QR\">"
                + "<rect width=\"100%\" height=\"100%\" fill=\"#fff\"/><path d=\"" + path + "\" fill=\"#000\"/></svg>";
    }
}
