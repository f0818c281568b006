package app.layette.formats.label;

import com.google.zxing.Binarizer;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.ResultPoint;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.common.HybridBinarizer;
import java.awt.image.BufferedImage;
import java.util.Map;
import java.util.Optional;

/**
 * A bar or QR code of a photograph. Both carry a sum of their own: what is read at all is read right.
 *
 * @param text what it says
 * @param box round it, as far as its reader tells
 */
record LabelCode(String text, PrintedWord.Box box) {
    private static final int LONGEST = 200;

    static Optional<LabelCode> in(BufferedImage photo) {
        int[] pixels = photo.getRGB(0, 0, photo.getWidth(), photo.getHeight(), null, 0, photo.getWidth());
        RGBLuminanceSource light = new RGBLuminanceSource(photo.getWidth(), photo.getHeight(), pixels);
        return decoded(new HybridBinarizer(light)).or(() -> decoded(new GlobalHistogramBinarizer(light)));
    }

    private static Optional<LabelCode> decoded(Binarizer inkOrPaper) {
        try {
            Result result = new MultiFormatReader()
                    .decode(new BinaryBitmap(inkOrPaper), Map.of(DecodeHintType.TRY_HARDER, Boolean.TRUE));
            String text = result.getText().strip();
            return text.isEmpty() || text.length() > LONGEST
                    ? Optional.empty()
                    : Optional.of(new LabelCode(text, box(result.getResultPoints())));
        } catch (NotFoundException e) {
            return Optional.empty();
        }
    }

    private static PrintedWord.Box box(ResultPoint... points) {
        PrintedWord.Box box = null;
        for (ResultPoint point : points) {
            PrintedWord.Box here = new PrintedWord.Box((int) point.getX(), (int) point.getY(), 1, 1);
            box = box == null ? here : box.with(here);
        }
        return box == null ? new PrintedWord.Box(0, 0, 1, 1) : box;
    }
}
