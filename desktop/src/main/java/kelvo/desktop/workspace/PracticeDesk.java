package kelvo.desktop.workspace;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import kelvo.data.ledger.Ledger;
import kelvo.job.LatestAnswer;
import kelvo.player.Player;
import kelvo.player.Step;
import kelvo.practice.Instruction;
import kelvo.practice.KeptCall;
import kelvo.practice.PaperAccount;
import kelvo.practice.PaperBroker;
import kelvo.practice.PaperOrder;
import kelvo.practice.Terms;
import kelvo.refusal.RefusedException;
import kelvo.research.UsualSpreads;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.view.PaperView;
import org.jspecify.annotations.Nullable;

/**
 * Trading on paper in a recorded session: instructions to the paper broker and what has come of
 * them at the moment shown. Who goes back and sends something from there begins anew from there:
 * what was sent later is forgotten. Only for the window's thread.
 */
public final class PracticeDesk {
  private final OpenedDay day;
  private final Workspace workspace;
  private final TraderDay trader;
  private final Ledger ledger;
  private final ReadOnlyObjectWrapper<PaperAccount> account =
      new ReadOnlyObjectWrapper<>(PaperAccount.EMPTY);
  private final BooleanProperty shown = new SimpleBooleanProperty();
  private final BooleanProperty blind = new SimpleBooleanProperty();
  private final LatestAnswer otherDays;
  private final LatestAnswer spreadsRead;
  private final ObjectProperty<Step> step = new SimpleObjectProperty<>(Step.MINUTE);

  /** The player's thread reads them too. */
  private volatile List<Instruction> instructions;

  private volatile long latency;
  private @Nullable UsualSpreads spreads;
  private Player.@Nullable Following followed;
  private int fillsKept;

  /** Those of all drills. */
  private final List<KeptCall> calls;

  PracticeDesk(OpenedDay day, Workspace workspace, TraderDay trader) {
    this.day = day;
    this.workspace = workspace;
    this.trader = trader;
    ledger = day.connections().ledger();
    otherDays = workspace.answers().latest("looking for another day");
    spreadsRead = workspace.answers().slow("reading the usual spreads", this::withoutSpreads);
    instructions = day.practice().instructions();
    fillsKept = day.practice().fills().size();
    calls = new ArrayList<>(day.practice().calls());
    shown.addListener((o, was, is) -> trader.practise(is ? fills() : null));
    latency = latency(workspace.settings().now());
    workspace.settings().settings().addListener((o, was, is) -> latency = latency(is));
    follow();
    readSpreads();
  }

  private void follow() {
    Player.Following before = followed;
    if (before != null) {
      before.close();
    }
    followed =
        workspace
            .clock()
            .follow(
                new PaperView(day.session(), () -> latency, spreads, () -> instructions),
                this::take);
  }

  /** Reads the usual spreads once, when an order in a security without quotes needs them. */
  private void readSpreads() {
    if (spreads == null
        && !spreadsRead.isBusy()
        && !PaperView.areQuoted(day.session(), instructions)) {
      LocalDate today = workspace.day();
      spreadsRead.ask(progress -> workspace.past().usualSpreadsBut(today, progress), this::know);
    }
  }

  private void withoutSpreads() {
    know(UsualSpreads.NONE);
    workspace.window().action().set("On paper a tick stands for the usual spreads");
  }

  private void know(UsualSpreads known) {
    spreads = known;
    follow();
  }

  private static long latency(Settings settings) {
    return Math.round(settings.number(SettingCatalogue.PAPER_LATENCY) * DayTime.MILLISECOND);
  }

  /** Whether there is practice here: not in a session that still goes on. */
  public boolean isOffered() {
    return day.connections().feed() == null;
  }

  /** What has come of the instructions by the moment shown. */
  public ReadOnlyObjectProperty<PaperAccount> account() {
    return account.getReadOnlyProperty();
  }

  /** Whether trades on paper are shown and reviewed in place of the real ones. */
  public BooleanProperty shown() {
    return shown;
  }

  /** Whether the window must not tell what day it is and what is traded. */
  public BooleanProperty blind() {
    return blind;
  }

  /**
   * Opens another day at the time shown, one that nobody chooses, so that nobody knows what comes.
   *
   * @param blindly whether neither date nor symbol is to be told
   * @param none runs when there is no other
   */
  public void anotherDay(boolean blindly, Runnable none) {
    LocalDate today = workspace.day();
    long moment = workspace.clock().now();
    otherDays.ask(
        progress ->
            workspace.past().openDates().stream().filter(date -> !date.equals(today)).toList(),
        others -> {
          if (others.isEmpty()) {
            none.run();
          } else {
            LocalDate other = others.get(new Random().nextInt(others.size()));
            workspace.navigation().open(new OtherDay(other, moment, "", blindly));
          }
        });
  }

  /** By what one goes on through the day. */
  public ObjectProperty<Step> step() {
    return step;
  }

  /**
   * Goes to the next step of the day, or to the one before.
   *
   * @param way 1 or -1
   */
  public void go(int way) {
    Step by = step.get();
    String symbol = workspace.focus().symbol().get();
    long now = workspace.clock().now();
    workspace.clock().play(0);
    workspace
        .clock()
        .ask(
            run -> by.from(run, symbol, now, way),
            moment -> {
              workspace.clock().seek(moment);
              if (moment == now) {
                workspace.window().action().set("There is no further " + by.words());
              }
            });
  }

  private void take(PaperAccount now) {
    if (now.equals(account.get())) {
      return;
    }
    boolean filled = !now.fills().equals(account.get().fills());
    account.set(now);
    // Who looks at an earlier moment loses nothing of what was filled later.
    if (now.fills().size() > fillsKept) {
      keepFills(now);
    }
    if (filled && shown.get()) {
      trader.practise(fills());
    }
  }

  /**
   * What was filled on paper, and the trades that the drills' calls on this day would have been.
   */
  private List<Fill> fills() {
    List<Fill> fills = new ArrayList<>(account.get().fills());
    int number = 0;
    for (KeptCall call : calls) {
      if (call.date().equals(workspace.day())) {
        fills.addAll(call.fills(++number));
      }
    }
    fills.sort(Comparator.comparingLong(Fill::at));
    return fills;
  }

  /** Keeps a call of a drill. */
  public void called(KeptCall call) {
    calls.add(call);
    ledger.addDrillCall(call);
  }

  /** What all drills came to, in a sentence; empty before the first. */
  public String drillWords() {
    return KeptCall.words(calls);
  }

  private void keepFills(PaperAccount now) {
    fillsKept = now.fills().size();
    ledger.setPracticeFills(workspace.day(), now.fills());
  }

  /**
   * Sends an order at the moment shown.
   *
   * @param way 1 to buy, -1 to sell
   * @param exits of a bracket; null for an order alone
   * @throws RefusedException when it makes no order, in words
   */
  public void place(
      String symbol, int way, long shares, Terms terms, PaperOrder.@Nullable Exits exits) {
    if (symbol.isEmpty()) {
      throw new RefusedException("no symbol is in focus");
    }
    long id =
        instructions.stream()
                .filter(Instruction.Place.class::isInstance)
                .mapToLong(one -> ((Instruction.Place) one).order().id())
                .max()
                .orElse(0)
            + 1;
    PaperOrder order = new PaperOrder(id, symbol, way, shares, terms, exits);
    send(
        new Instruction.Place(workspace.clock().now(), order),
        (way > 0 ? "Buy " : "Sell ") + shares + " " + symbol + " " + terms.words());
  }

  /** Cancels what is left of an order. */
  public void cancel(long order) {
    send(new Instruction.Cancel(workspace.clock().now(), order), "Cancel order " + order);
  }

  /** Cancels all orders in a symbol and gives back what is held, at the market. */
  public void close(String symbol) {
    account.get().working().stream()
        .filter(order -> order.symbol().equals(symbol))
        .mapToLong(PaperBroker.Working::id)
        .distinct()
        .forEach(this::cancel);
    long held = account.get().position(symbol);
    if (held != 0) {
      place(symbol, held > 0 ? -1 : 1, Math.abs(held), new Terms.Market(), null);
    }
  }

  private void send(Instruction instruction, String words) {
    List<Instruction> sent =
        new ArrayList<>(instructions.stream().filter(one -> one.at() <= instruction.at()).toList());
    sent.add(instruction);
    instructions = List.copyOf(sent);
    ledger.addPractice(workspace.day(), sent.size() - 1, instruction);
    keepFills(account.get());
    readSpreads();
    workspace.clock().seek(workspace.clock().now());
    workspace.window().action().set("On paper: " + words);
  }
}
