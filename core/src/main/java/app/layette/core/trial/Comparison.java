package app.layette.core.trial;

import app.layette.core.trial.Search.Outcome;
import java.util.Arrays;
import java.util.Random;
import java.util.function.Function;

/** Runs ways of searching over the same random cars. */
public final class Comparison {
    private final long seed;
    private final int cars;

    /**
     * A comparison that anybody can repeat.
     *
     * @param cars 1 or more
     */
    public Comparison(long seed, int cars) {
        this.seed = seed;
        this.cars = cars;
    }

    /**
     * What came of one way of searching.
     *
     * @param meanCycles on average
     * @param cycles90 90th percentile
     * @param firstTightening share of cars in which the first tightening was right
     * @param mostReclined share that ended on the most reclined step inside the band
     * @param found share that ended inside the band at all
     * @param belowUpperEdge mean distance in degrees of those from the band's upper edge: less gives the airway more room
     * @param wrongWay how often anybody was sent away from the band after a look with the child in
     */
    public record Result(
            double meanCycles,
            int cycles90,
            double firstTightening,
            double mostReclined,
            double found,
            double belowUpperEdge,
            int wrongWay) {}

    /**
     * Searches in every car.
     *
     * @param spread how much wider than assumed the true values scatter; 1 for as assumed
     */
    public Result run(Search search, TrialBand band, double spread) {
        return run(search, band, spread, car -> car);
    }

    /**
     * Searches in every car by other hands.
     *
     * @param hands plays each car
     */
    public Result run(Search search, TrialBand band, double spread, Function<TrialCar, SearchedCar> hands) {
        int[] cycles = new int[cars];
        int first = 0;
        int most = 0;
        int found = 0;
        int wrongWay = 0;
        double below = 0;
        for (int i = 0; i < cars; i++) {
            // Each car has a seed of its own, so that every search meets the same cars whatever it does in them.
            TrialCar car = TrialCar.random(band, spread, new Random(seed * 1_000_003 + i));
            Outcome outcome = search.search(hands.apply(car), band);
            cycles[i] = outcome.cycles();
            first += outcome.firstTightening() ? 1 : 0;
            found += outcome.inBand() ? 1 : 0;
            wrongWay += outcome.wrongWay();
            below += outcome.inBand() ? band.to().minus(outcome.ended()).degrees() : 0;
            most += outcome.inBand() && car.isMostReclined(outcome.step(), band) ? 1 : 0;
        }
        Arrays.sort(cycles);
        return new Result(
                Arrays.stream(cycles).average().orElseThrow(),
                cycles[(int) Math.ceil(0.9 * cars) - 1],
                first / (double) cars,
                most / (double) cars,
                found / (double) cars,
                found == 0 ? 0 : below / found,
                wrongWay);
    }
}
