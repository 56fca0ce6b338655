package kelvo.desktop.workspace;

import java.util.Locale;
import java.util.OptionalInt;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import kelvo.journal.FocusSpan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.view.QuoteView;
import org.jspecify.annotations.Nullable;

/** The symbol that a window looks at, and since when. Only for the window's thread. */
public final class Focus {
  private static final long MIN_SPAN = DayTime.SECOND;

  private final Session session;
  private final DayClock clock;
  private final Consumer<String> says;
  private final StringProperty symbol = new SimpleStringProperty("");
  private final ReadOnlyObjectWrapper<@Nullable LookedAt> lookedAt = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<QuoteView.@Nullable Quote> quote =
      new ReadOnlyObjectWrapper<>();
  private final Followed<QuoteView.Quote> quotes;
  private Consumer<FocusSpan> ended = span -> {};
  private long since;

  /**
   * Nothing is looked at yet.
   *
   * @param says takes what was not found, in words
   */
  Focus(Session session, DayClock clock, Consumer<String> says) {
    this.session = session;
    this.clock = clock;
    this.says = says;
    quotes = new Followed<>(clock, quote::set);
  }

  /** Takes each span of a second or more during which a symbol was looked at. */
  void onEnd(Consumer<FocusSpan> then) {
    ended = then;
  }

  /** The symbol in focus; empty for none. Change it with {@link #on}. */
  public StringProperty symbol() {
    return symbol;
  }

  /** How the symbol in focus stands; null without one, and until it is known. */
  public ReadOnlyObjectProperty<QuoteView.@Nullable Quote> quote() {
    return quote.getReadOnlyProperty();
  }

  /** The moment that is to be seen on a chart; null before the first. */
  public ReadOnlyObjectProperty<@Nullable LookedAt> lookedAt() {
    return lookedAt.getReadOnlyProperty();
  }

  /** Puts a symbol in focus. */
  public void on(String wanted) {
    if (!wanted.equals(symbol.get())) {
      end();
      symbol.set(wanted);
      since = clock.now();
      followQuote();
    }
  }

  /** Puts a symbol in focus and a moment of its day in the middle of its chart. */
  public void lookAt(String wanted, long moment) {
    on(wanted);
    lookedAt.set(new LookedAt(wanted, moment));
  }

  /** Puts the symbol, or the first one whose symbol or name contains the text, in focus. */
  public void find(String text) {
    String wanted = text.strip().toUpperCase(Locale.ROOT);
    OptionalInt exact = session.numberOf(wanted);
    if (exact.isPresent()) {
      on(wanted);
      return;
    }
    session.securities().stream()
        .filter(
            facts ->
                facts.symbol().startsWith(wanted)
                    || facts.security().name().toUpperCase(Locale.ROOT).contains(wanted))
        .findFirst()
        .ifPresentOrElse(
            facts -> on(facts.symbol()),
            () -> says.accept("No symbol or name contains \"" + text + "\""));
  }

  /** The span that goes on ends here, and another one begins. */
  void end() {
    long until = clock.now();
    if (!symbol.get().isEmpty() && until - since >= MIN_SPAN) {
      ended.accept(new FocusSpan(symbol.get(), since, until));
    }
    since = until;
  }

  private void followQuote() {
    quote.set(null);
    quotes.stop();
    session
        .numberOf(symbol.get())
        .ifPresent(security -> quotes.follow(new QuoteView(session, security)));
  }

  /** Which way the symbol in focus moves now, by its gap; up for any other. */
  Side wayOf(String other) {
    QuoteView.Quote now = quote.get();
    return now != null && now.facts().symbol().equals(other) ? Side.of(now.gapPercent()) : Side.UP;
  }
}
