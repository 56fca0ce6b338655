package kelvo.research.bars;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.StateValues;
import kelvo.field.Values;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.replay.TapeReplay;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.LaterDays;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.research.SessionCases;
import kelvo.research.UsualSpreads;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import kelvo.trigger.Trigger;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Bars of one print each tell the same as those prints do. */
class BarValuesProperties {
  private static final int SECURITIES = 4;
  private static final double EXACT = 1e-9;
  private static final Question.Costs FREE = new Question.Costs(Fees.NONE, 10_000);

  private static final List<String> RULES =
      List.of(
          "price between 9 and 12",
          "change % at least 2%",
          "gap at most 3%",
          "volume at least 40K opening, 120K morning",
          "premarket volume at most 200K",
          "dollar volume at least 300K",
          "float at least 1M",
          "volume at least 0.05x avg volume 20d",
          "distance from vwap at least 0%",
          "float turnover at least 0.005x",
          "day range % at least 2% or unknown");

  @Provide
  Arbitrary<List<String>> rules() {
    return Arbitraries.of(RULES).list().ofMinSize(1).ofMaxSize(4);
  }

  private static List<Field> told() {
    return FieldCatalogue.usual().stream().filter(field -> BarField.of(field).isPresent()).toList();
  }

  @Property(tries = 20)
  void everyFieldIsThatOfThePrints(@ForAll long seed) {
    List<MinuteTape.Bar> bars = MinuteTape.random(seed, SECURITIES, 120);
    BarSession session = MinuteTape.session(SECURITIES, bars);
    session.know(List.of());
    Session prints = MinuteTape.prints(SECURITIES, bars);
    TapeReplay replay = new TapeReplay(prints);
    BarValues byBars = new BarValues(session);
    StateValues byPrints = new StateValues(prints);
    List<Field.Number> fields = told().stream().map(Field.Number.class::cast).toList();
    List<Values.Numbers> barReadings = fields.stream().map(byBars::numbers).toList();
    List<Values.Numbers> printReadings = fields.stream().map(byPrints::numbers).toList();
    BarRows rows = new BarRows(session.minutes());
    List<Integer> next = new ArrayList<>(List.of(0, 0, 0, 0));
    List<BarState> states = new ArrayList<>();
    for (int security = 0; security < SECURITIES; security++) {
      BarState state = new BarState(session.hours(), true);
      state.begin(security, session.previousCloses()[security], session.floats()[security]);
      states.add(state);
    }
    for (MinuteTape.Bar bar : bars) {
      int security = bar.security();
      rows.moveTo(security);
      BarState state = states.get(security);
      state.take(rows, next.get(security));
      next.set(security, next.get(security) + 1);
      long end = (bar.ofDay() + 1) * DayTime.MINUTE;
      replay.runTo(end - DayTime.SECOND);
      for (int i = 0; i < fields.size(); i++) {
        double expected = printReadings.get(i).of(replay.state(security), end);
        double told = barReadings.get(i).of(state, end);
        assertThat(told)
            .as("%s at %s", fields.get(i).words(), bar.minute())
            .matches(value -> same(value, expected), "is " + expected);
      }
    }
  }

  private static boolean same(double told, double expected) {
    return Double.isNaN(expected)
        ? Double.isNaN(told)
        : Math.abs(told - expected) <= EXACT * Math.max(1, Math.abs(expected));
  }

  @Property(tries = 100)
  void casesAtATimeOfDayAreThoseOfThePrints(
      @ForAll long seed, @ForAll("rules") List<String> rules) {
    List<MinuteTape.Bar> bars = MinuteTape.random(seed, SECURITIES, 120);
    Question question = question(rules, new CaseMoment.AtTime(DayTime.of(10, 30)));

    List<ResearchCase> byBars =
        BarCases.of(
            MinuteTape.session(SECURITIES, bars), question, LaterDays.NONE, UsualSpreads.NONE);
    List<ResearchCase> byPrints =
        SessionCases.of(
            MinuteTape.prints(SECURITIES, bars),
            question,
            LaterDays.NONE,
            () -> UsualSpreads.NONE,
            Progress.NONE);

    assertThat(byBars.stream().map(one -> one.symbol() + " " + one.entry()).toList())
        .containsExactlyInAnyOrderElementsOf(
            byPrints.stream().map(one -> one.symbol() + " " + one.entry()).toList());
  }

  @Property(tries = 200)
  void daysThatAreLeftOutHeldAtNoMinute(@ForAll long seed, @ForAll("rules") List<String> rules) {
    BarSession session = MinuteTape.session(SECURITIES, MinuteTape.random(seed, SECURITIES, 60));
    session.know(List.of());
    Scan scan = TestSessions.scan("asked", List.of(Trigger.ENTERS), rules.toArray(String[]::new));
    ScanCheck check = new ScanCheck(scan, new BarValues(session));
    DayBounds bounds = new DayBounds(check, session, scan.from(), scan.to());
    BarRows rows = new BarRows(session.minutes());
    BarState state = new BarState(session.hours(), true);
    for (int place = 0; place < SECURITIES; place++) {
      if (!bounds.mayHold(place)) {
        rows.moveTo(place);
        state.begin(place, session.previousCloses()[place], session.floats()[place]);
        for (int row = 0; row < rows.size(); row++) {
          state.take(rows, row);
          long end = (rows.minute(row) + 1) * DayTime.MINUTE;
          assertThat(check.holds(state, end, session.phases().indexAt(end))).isFalse();
        }
      }
    }
  }

  @Property(tries = 100)
  void whatComesLaterChangesNoCaseBefore(@ForAll long seed, @ForAll("rules") List<String> rules) {
    List<MinuteTape.Bar> bars = MinuteTape.random(seed, SECURITIES, 120);
    long noon = DayTime.of(12, 0);
    List<MinuteTape.Bar> morning =
        bars.stream().filter(bar -> bar.ofDay() * DayTime.MINUTE < noon).toList();
    Question question = question(rules, new CaseMoment.FirstHit(DayTime.FIRST));

    List<ResearchCase> whole =
        BarCases.of(
            MinuteTape.session(SECURITIES, bars), question, LaterDays.NONE, UsualSpreads.NONE);
    List<ResearchCase> cut =
        BarCases.of(
            MinuteTape.session(SECURITIES, morning), question, LaterDays.NONE, UsualSpreads.NONE);

    assertThat(cut.stream().map(BarValuesProperties::found).toList())
        .isEqualTo(
            whole.stream()
                .filter(one -> one.enteredAt() < noon)
                .map(BarValuesProperties::found)
                .toList());
  }

  private static String found(ResearchCase one) {
    return one.symbol() + " " + one.at() + " " + one.enteredAt() + " " + one.entry() + one.cells();
  }

  private static Question question(List<String> rules, CaseMoment moment) {
    return new Question(
        TestSessions.scan("asked", List.of(Trigger.ENTERS), rules.toArray(String[]::new)),
        moment,
        Direction.LONG,
        FREE);
  }
}
