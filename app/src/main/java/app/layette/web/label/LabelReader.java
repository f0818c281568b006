package app.layette.web.label;

import app.layette.formats.label.LabelPhoto;
import app.layette.formats.label.LabelValue;
import app.layette.web.photo.CleanPhoto;
import app.layette.web.photo.Darkroom;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Reads what a label seems to say from a photograph that somebody sent. The photograph is not kept. */
@Component
public class LabelReader {
    private static final int AT_ONCE = 2;

    /** Where a sheet keeps what a label says of every seat of its model. */
    private static final Map<LabelValue.Of, String> IN_A_SHEET = Map.of(
            LabelValue.Of.MODEL_NUMBER, "/identity/modelNumbers",
            LabelValue.Of.WEIGHT_MIN, "/limits/weightMin",
            LabelValue.Of.WEIGHT_MAX, "/limits/weightMax",
            LabelValue.Of.LENGTH_MAX, "/limits/lengthMax",
            LabelValue.Of.STANDARDS, "/standards");

    private final Darkroom darkroom;
    private final TesseractPrint print;
    private final Semaphore places = new Semaphore(AT_ONCE, true);

    LabelReader(Darkroom darkroom, TesseractPrint print) {
        this.darkroom = darkroom;
        this.print = print;
    }

    /** Whether print can be read here; codes can in any case. */
    boolean readsPrint() {
        return print.isThere();
    }

    /** Whether a sheet says it too: not when one seat was made, nor its serial number. */
    static boolean isOfSheets(LabelValue.Of of) {
        return IN_A_SHEET.containsKey(of);
    }

    /** The places of a sheet that take what was confirmed, by their pointers. */
    public static Map<String, String> inASheet(Map<String, String> fields, List<String> confirmed) {
        Map<String, String> values = new LinkedHashMap<>();
        for (LabelValue.Of of : LabelValue.Of.values()) {
            if (isOfSheets(of) && confirmed.contains(of.name()) && fields.containsKey(of.name())) {
                values.put(IN_A_SHEET.get(of), fields.get(of.name()));
            }
        }
        return values;
    }

    List<LabelValue> read(String person, MultipartFile photo) throws CleanPhoto.RefusedPhotoException, IOException {
        CleanPhoto clean = darkroom.develop(person, photo);
        BufferedImage picture = ImageIO.read(new ByteArrayInputStream(clean.jpeg()));
        places.acquireUninterruptibly();
        try {
            return LabelPhoto.read(picture, print);
        } finally {
            places.release();
        }
    }
}
