package app.layette.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.measure.UnitSystem;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.formats.Examples;
import app.layette.formats.wording.Wording;
import java.io.StringReader;
import java.util.HashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

class SvgWriterTest {
    private final Wording words = new Wording(Locale.ENGLISH, UnitSystem.METRIC);

    private static Document parse(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    @Test
    void viewsAreWellFormedNamedAndFreeOfStyleAndScript() throws Exception {
        for (String name : new String[] {"ready", "slot-above-shoulder", "handle-not-known"}) {
            Situation situation = Examples.plan(name).situation();
            for (Drawing drawing : new Drawing[] {SideView.of(situation), HarnessView.of(situation)}) {
                String svg = SvgWriter.write(drawing, words);
                Document document = parse(svg);
                assertThat(document.getElementsByTagName("title").item(0).getTextContent())
                        .startsWith(drawing.name().equals("side") ? "Side view" : "Harness view");
                assertThat(svg).doesNotContain("style=", "<script", "NaN", "Infinity", "?drawing");
            }
        }
    }

    @Test
    void everyReadingOfEveryIndicatorLooksDifferent() throws Exception {
        for (Indicator.Kind kind : Indicator.Kind.values()) {
            Set<String> pictures = new HashSet<>();
            for (Indicator.Reading reading : Indicator.Reading.values()) {
                String picture = ReadingPicture.of(kind, reading);
                parse(picture);
                pictures.add(picture);
            }
            assertThat(pictures).as("%s", kind).hasSize(5);
        }
    }

    @Test
    void everyAnswerPictureBelongsToAnAnswerAndLooksLikeNoOther() throws Exception {
        for (Question question : Question.values()) {
            Set<String> pictures = new HashSet<>();
            int drawn = 0;
            for (String answer : Answers.to(question)) {
                Optional<String> picture = AnswerPicture.of(question.name(), answer);
                if (picture.isPresent()) {
                    parse(picture.get());
                    assertThat(picture.get()).doesNotContain("null", "part.", "style=");
                    pictures.add(picture.get());
                    drawn++;
                }
            }
            assertThat(pictures).as("%s", question).hasSize(drawn);
        }
        for (HandlePosition position : HandlePosition.values()) {
            assertThat(AnswerPicture.of("HANDLE", position.name())).isPresent();
        }
        parse(AnswerPicture.shoulder(4, 0));
    }
}
