package kelvo.research;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kelvo.hit.TestSessions;
import kelvo.time.DayTime;
import kelvo.trade.Fees;

/** Cases whose results are drawn, for tests of what is said of them. */
final class InventedCases {
  static final Question QUESTION =
      new Question(
          TestSessions.scan("risers", List.of()),
          new CaseMoment.FirstHit(DayTime.FIRST),
          Direction.LONG,
          new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION));

  private static final List<String> FLOATS = List.of("under 5M", "5-10M", "10-20M", "over 20M");
  private static final List<String> SECTORS = List.of("kelp foods", "night rail", "tidal power");
  private static final LocalDate FIRST = LocalDate.of(2031, 1, 2);

  static final List<TimeTo> NEVER =
      Collections.nCopies(Reach.values().length, new TimeTo(TimeTo.NEVER, TimeTo.NEVER));

  private InventedCases() {}

  /**
   * About five cases in each of so many sessions. The results of a session have something in
   * common, as those of a real one do.
   *
   * @param edge what those of a float under 5M have besides
   */
  static List<ResearchCase> of(SplittableRandom random, int sessions, double edge) {
    List<ResearchCase> cases = new ArrayList<>();
    for (int session = 0; session < sessions; session++) {
      double common = 0.02 * normal(random);
      int count = 3 + random.nextInt(5);
      for (int i = 0; i < count; i++) {
        Map<Cut, String> cells = new HashMap<>();
        cells.put(Cut.FLOAT, FLOATS.get(random.nextInt(FLOATS.size())));
        cells.put(Cut.SECTOR, SECTORS.get(random.nextInt(SECTORS.size())));
        cells.put(Cut.WEEKDAY, Cut.WEEKDAY.names().get(session % 5));
        double more = cells.get(Cut.FLOAT).equals("under 5M") ? edge : 0;
        cases.add(one(FIRST.plusDays(session), i, common + 0.05 * normal(random) + more, cells));
      }
    }
    return cases;
  }

  private static double normal(SplittableRandom random) {
    return random.nextGaussian();
  }

  static ResearchCase one(LocalDate date, int number, double result, Map<Cut, String> cells) {
    List<Double> all = Collections.nCopies(Held.values().length, result);
    return new ResearchCase(
        date,
        "SYM" + number,
        DayTime.of(10, number),
        DayTime.of(10, number) + 1,
        10,
        false,
        all,
        all,
        all,
        NEVER,
        false,
        CaseTraits.of(cells));
  }
}
