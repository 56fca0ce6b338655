package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.LongToDoubleFunction;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.constraints.LongRange;

/**
 * Fields against the plainest way to work them out: from the list of all prints so far, by the
 * words of their definitions, at moments of a random session. Whatever the engine keeps, slides or
 * puts off must come to the same.
 */
class PlainFieldsProperties {
  private static final int PRINTS = 160;
  private static final long CLOSE = DayTime.of(16, 0);
  private static final double PREVIOUS_CLOSE = 10;
  private static final double FLOAT = 10e6;
  private static final double NEAR = 1e-9;

  /** A print; an odd lot counts in volume and VWAP, but sets no price and no extreme. */
  private record Print(long at, double price, long size, boolean oddLot) {
    boolean regular() {
      return at >= SessionHours.OPEN && at < CLOSE;
    }

    boolean early() {
      return at < SessionHours.OPEN;
    }
  }

  private static List<Print> prints(SplittableRandom random) {
    List<Print> prints = new ArrayList<>();
    long at = DayTime.FIRST;
    long price = Price.of(PREVIOUS_CLOSE);
    for (int i = 0; i < PRINTS; i++) {
      at += random.nextLong(12 * DayTime.MINUTE);
      price = Math.max(5_000, price + (random.nextInt(41) - 20) * 50L);
      prints.add(
          new Print(at, Price.dollars(price), 1 + random.nextInt(3_000), random.nextInt(6) == 0));
    }
    return prints.stream().filter(p -> p.at() < DayTime.LAST).toList();
  }

  private static Session session(List<Print> prints) {
    return TestSessions.of(
        1,
        tape ->
            prints.forEach(
                p ->
                    tape.trade(
                        p.at(),
                        0,
                        Price.of(p.price()),
                        p.size(),
                        (p.oddLot() ? SaleCondition.ODD_LOT : SaleCondition.REGULAR).bit())));
  }

  /** The prints so far, asked as the definitions ask. */
  private record Plain(List<Print> all, long now) {
    Stream<Print> where(Predicate<Print> which) {
      return all.stream().filter(which);
    }

    Stream<Print> eligible(Predicate<Print> which) {
      return where(p -> !p.oddLot()).filter(which);
    }

    double shares(Predicate<Print> which) {
      return where(which).mapToLong(Print::size).sum();
    }

    double money(Predicate<Print> which) {
      return where(which).mapToDouble(p -> p.price() * p.size()).sum();
    }

    double high(Predicate<Print> which) {
      return orUnknown(eligible(which).mapToDouble(Print::price).max());
    }

    double low(Predicate<Print> which) {
      return orUnknown(eligible(which).mapToDouble(Print::price).min());
    }

    double price() {
      return eligible(p -> true).reduce((a, b) -> b).map(Print::price).orElse(PREVIOUS_CLOSE);
    }

    double open() {
      return eligible(Print::regular).findFirst().map(Print::price).orElse(Double.NaN);
    }

    double vwap(Predicate<Print> which) {
      return shares(which) == 0 ? Double.NaN : money(which) / shares(which);
    }

    Predicate<Print> last(long span) {
      return p -> p.at() > now - span;
    }

    private static double orUnknown(OptionalDouble value) {
      return value.orElse(Double.NaN);
    }

    double idleMinutes() {
      long running = now / DayTime.MINUTE;
      long withPrints =
          where(p -> running - p.at() / DayTime.MINUTE < 30)
              .map(p -> p.at() / DayTime.MINUTE)
              .distinct()
              .count();
      return 30.0 - withPrints;
    }

    double minutesSince(double extreme) {
      return eligible(Print::regular)
          .filter(p -> p.price() == extreme)
          .findFirst()
          .map(p -> Math.floor((now - p.at()) / (double) DayTime.MINUTE))
          .orElse(Double.NaN);
    }

    /** Each minute with a price is a bar. */
    TreeMap<Long, Double> closes() {
      TreeMap<Long, Double> closes = new TreeMap<>();
      eligible(p -> true).forEach(p -> closes.put(p.at() / DayTime.MINUTE, p.price()));
      return closes;
    }

    /** How many of the newest complete bars in a row compare so with what they are held against. */
    double run(int way, LongToDoubleFunction against) {
      List<Long> minutes = new ArrayList<>(closes().keySet());
      minutes.removeIf(minute -> minute >= now / DayTime.MINUTE);
      int run = 0;
      while (run < minutes.size()) {
        long minute = minutes.get(minutes.size() - 1 - run);
        double line = against.applyAsDouble(minute);
        double beyond = closes().get(minute) - line;
        if (Double.isNaN(line) || Math.abs(beyond) < NEAR || Math.signum(beyond) != way) {
          break;
        }
        run++;
      }
      return run;
    }

    double closeBefore(long minute) {
      Map.Entry<Long, Double> before = closes().lowerEntry(minute);
      return before == null ? Double.NaN : before.getValue();
    }

    double vwapAtEndOf(long minute) {
      boolean early = minute * DayTime.MINUTE < SessionHours.OPEN;
      return vwap(p -> p.at() / DayTime.MINUTE <= minute && (early || p.regular()));
    }

    /** Seeded with the mean of the first nine closes. */
    double ema9() {
      List<Double> closes = new ArrayList<>(closes().values());
      if (closes.size() < 9) {
        return Double.NaN;
      }
      double ema =
          DoubleStream.iterate(0, i -> i + 1).limit(9).map(i -> closes.get((int) i)).sum() / 9;
      for (double close : closes.subList(9, closes.size())) {
        ema += 2.0 / (9 + 1) * (close - ema);
      }
      return ema;
    }
  }

  /** A field's words and its definition, worked out plainly. */
  private record Defined(String words, ToDoubleFunction<Plain> plain) {}

  private static double percent(double of, double over) {
    return 100 * (of - over) / over;
  }

  private static final Predicate<Print> ANY = p -> true;

  private static final List<Defined> DEFINED =
      List.of(
          new Defined("price", Plain::price),
          new Defined("open", Plain::open),
          new Defined("change", p -> p.price() - PREVIOUS_CLOSE),
          new Defined("change %", p -> percent(p.price(), PREVIOUS_CLOSE)),
          new Defined(
              "gap", p -> percent(Double.isNaN(p.open()) ? p.price() : p.open(), PREVIOUS_CLOSE)),
          new Defined("change from open %", p -> percent(p.price(), p.open())),
          new Defined("volume", p -> p.shares(ANY)),
          new Defined("premarket volume", p -> p.shares(Print::early)),
          new Defined("regular volume", p -> p.shares(Print::regular)),
          new Defined("after-hours volume", p -> p.shares(print -> print.at() >= CLOSE)),
          new Defined("trades", p -> p.where(ANY).count()),
          new Defined("premarket trades", p -> p.where(Print::early).count()),
          new Defined("dollar volume", p -> p.money(ANY)),
          new Defined("float turnover", p -> p.shares(ANY) / FLOAT),
          new Defined("volume 1m", p -> p.shares(p.last(DayTime.MINUTE))),
          new Defined("volume 5m", p -> p.shares(p.last(5 * DayTime.MINUTE))),
          new Defined("trades 1m", p -> p.where(p.last(DayTime.MINUTE)).count()),
          new Defined("trades 5m", p -> p.where(p.last(5 * DayTime.MINUTE)).count()),
          new Defined("largest print", p -> p.where(ANY).mapToLong(Print::size).max().orElse(0)),
          new Defined("day high", p -> p.high(Print::regular)),
          new Defined("day low", p -> p.low(Print::regular)),
          new Defined("premarket high", p -> p.high(Print::early)),
          new Defined("premarket low", p -> p.low(Print::early)),
          new Defined("session high", p -> p.high(ANY)),
          new Defined("session low", p -> p.low(ANY)),
          new Defined("opening range high 15m", p -> p.high(PlainFieldsProperties::opens)),
          new Defined("opening range low 15m", p -> p.low(PlainFieldsProperties::opens)),
          new Defined("day range %", p -> percent(p.high(Print::regular), p.low(Print::regular))),
          new Defined("vwap 04:00", p -> p.vwap(ANY)),
          new Defined("vwap 09:30", p -> p.vwap(Print::regular)),
          new Defined("ema 9", Plain::ema9),
          new Defined("minutes since day high", p -> p.minutesSince(p.high(Print::regular))),
          new Defined("minutes since day low", p -> p.minutesSince(p.low(Print::regular))),
          new Defined("rising minutes", p -> p.run(1, p::closeBefore)),
          new Defined("falling minutes", p -> p.run(-1, p::closeBefore)),
          new Defined("minutes above vwap", p -> p.run(1, p::vwapAtEndOf)),
          new Defined("minutes below vwap", p -> p.run(-1, p::vwapAtEndOf)),
          new Defined("idle minutes 30", Plain::idleMinutes));

  private static boolean opens(Print print) {
    return print.regular() && print.at() < SessionHours.OPEN + 15 * DayTime.MINUTE;
  }

  @Tag("proof")
  @Property(tries = 300)
  void everyFieldIsWhatItsDefinitionSaysAtLength(
      @ForAll long seed, @ForAll @LongRange(max = 15) long hour) {
    everyFieldIsWhatItsDefinitionSays(seed, hour);
  }

  @Property(tries = 50)
  void everyFieldIsWhatItsDefinitionSays(
      @ForAll long seed, @ForAll @LongRange(max = 15) long hour) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Print> prints = prints(random);
    Session session = session(prints);
    TapeReplay engine = new TapeReplay(session);
    Function<Defined, Field.Reading> bound = d -> FieldCatalogue.number(d.words()).bind(session);
    List<Field.Reading> readings = DEFINED.stream().map(bound).toList();
    long now = DayTime.FIRST + 29 * DayTime.MINUTE;
    while (now < DayTime.LAST) {
      engine.runTo(now);
      long moment = now;
      Plain plain = new Plain(prints.stream().filter(p -> p.at() <= moment).toList(), moment);
      for (int i = 0; i < DEFINED.size(); i++) {
        double wanted = DEFINED.get(i).plain().applyAsDouble(plain);
        double value = readings.get(i).at(engine.state(0), moment);
        assertThat(Double.isNaN(value))
            .as(
                "%s at %s unknown, plainly %s",
                DEFINED.get(i).words(), DayTime.seconds(now), wanted)
            .isEqualTo(Double.isNaN(wanted));
        if (!Double.isNaN(wanted)) {
          assertThat(value)
              .as("%s at %s", DEFINED.get(i).words(), DayTime.seconds(now))
              .isCloseTo(wanted, within(NEAR * Math.max(1, Math.abs(wanted))));
        }
      }
      now += 1 + random.nextLong(DayTime.HOUR + hour * DayTime.MINUTE);
    }
  }
}
