package app.layette.web.workbench;

import app.layette.core.evidence.Complete;
import app.layette.web.account.SignedIn;
import java.time.LocalDate;
import java.util.List;

/** The day drawn by bay, as the first page shows it; the part of the program that keeps appointments has it. */
public interface TodayPlan {
    /**
     * A day.
     *
     * @param day as an address names it
     * @param width of the drawing, in its own units
     * @param hours when it is open and who is there, in words
     * @param now how far across the present is drawn; negative on another day
     * @param lanes by bay
     * @param waiting families on the waiting list
     * @param yesterday what came of the day before, in a sentence; empty where nothing did
     * @param next what comes next, the first first: for a phone
     */
    @Complete
    record Board(
            String day,
            String dayWords,
            String before,
            String after,
            int width,
            int height,
            String hours,
            int now,
            String nowWords,
            List<Tick> ticks,
            List<Lane> lanes,
            List<Waiting> waiting,
            String yesterday,
            List<Card> next) {}

    /** A full hour. */
    record Tick(int x, String words) {}

    /**
     * A bay.
     *
     * @param y its upper edge
     */
    record Lane(String bay, String name, int y, List<Card> cards, List<Gap> gaps) {}

    /**
     * An appointment, drawn.
     *
     * @param mark {@code holds}, {@code fix}, {@code not_known} or {@code advise}: with words, never by colour alone
     * @param over whether nothing is left to do
     */
    @Complete
    record Card(
            String id,
            String address,
            int x,
            int width,
            String from,
            String who,
            String what,
            String mark,
            String state,
            boolean over) {}

    /**
     * A family on the waiting list.
     *
     * @param time what has come free for it, as the form that moves an appointment sends it; empty where nothing has
     * @param words that time in words
     */
    record Waiting(Card card, String time, String words) {}

    /** Free from now on, for somebody who walks in. */
    record Gap(String address, int x, int width, String until, String fits) {}

    /** The day as it is now. */
    Board on(SignedIn user, LocalDate day);
}
