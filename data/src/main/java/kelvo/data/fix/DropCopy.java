package kelvo.data.fix;

import java.net.InetSocketAddress;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import kelvo.data.fill.ToldFills;
import kelvo.refusal.RefusedException;
import kelvo.trade.Fill;
import org.jspecify.annotations.Nullable;
import quickfix.ApplicationAdapter;
import quickfix.ConfigError;
import quickfix.DefaultMessageFactory;
import quickfix.FieldNotFound;
import quickfix.MemoryStoreFactory;
import quickfix.Message;
import quickfix.SLF4JLogFactory;
import quickfix.SessionID;
import quickfix.SessionSettings;
import quickfix.SocketInitiator;
import quickfix.field.ExecID;
import quickfix.field.ExecType;
import quickfix.field.MsgType;

/**
 * Listens to a broker's drop copy over FIX 4.4, and connects again by itself. An execution that is
 * told twice counts once. The library's threads bring the fills.
 */
public final class DropCopy extends ApplicationAdapter implements AutoCloseable {
  /** The name that Kelvo goes by in FIX sessions, unless the broker gives another. */
  public static final String OWN_NAME = "KELVO";

  private final InetSocketAddress address;
  private final LocalDate date;
  private final SessionSettings settings;
  private final Set<String> executions = new HashSet<>();
  private final ToldFills told = new ToldFills(List.of());
  private Consumer<List<Fill>> filled = fresh -> {};
  private volatile String words = "Drop copy: not connected yet";
  private @Nullable SocketInitiator initiator;

  /** A drop copy that has not connected yet; fills of other dates are left out. */
  public DropCopy(InetSocketAddress address, String broker, LocalDate date) {
    this.address = address;
    this.date = date;
    settings = FixSession.initiator(address, OWN_NAME, broker);
  }

  /**
   * Connects.
   *
   * @param fills gets each new fill, as {@link ToldFills#take} has it
   * @throws RefusedException when the session cannot begin at all
   */
  public void start(Consumer<List<Fill>> fills) {
    filled = fills;
    try {
      SocketInitiator started =
          new SocketInitiator(
              this,
              new MemoryStoreFactory(),
              settings,
              new SLF4JLogFactory(settings),
              new DefaultMessageFactory());
      initiator = started;
      started.start();
    } catch (ConfigError e) {
      throw new RefusedException("the drop copy cannot begin: " + e.getMessage(), e);
    }
  }

  /** How it stands, in one sentence. */
  public String words() {
    return words;
  }

  @Override
  public void onCreate(SessionID session) {
    words = "Drop copy: connecting to " + address.getHostString() + ":" + address.getPort();
  }

  @Override
  public void onLogon(SessionID session) {
    words = "Drop copy connected";
  }

  @Override
  public void onLogout(SessionID session) {
    words = "Drop copy lost; it is tried again";
  }

  @Override
  public synchronized void fromApp(Message message, SessionID session) {
    try {
      if (message.getHeader().getString(MsgType.FIELD).equals(MsgType.EXECUTION_REPORT)) {
        take(message);
      }
    } catch (FieldNotFound e) {
      words = "Drop copy: a message without tag " + e.field + " was left out";
    } catch (RefusedException e) {
      words = "Drop copy: " + e.getMessage() + "; it was left out";
    }
  }

  private void take(Message report) throws FieldNotFound {
    char type = report.getChar(ExecType.FIELD);
    if (type == ExecType.TRADE_CANCEL || type == ExecType.TRADE_CORRECT) {
      words =
          "Drop copy: the broker took back or changed execution "
              + report.getString(quickfix.field.ExecRefID.FIELD)
              + "; mend it in the fills file and import that";
      return;
    }
    if (type != ExecType.TRADE) {
      return;
    }
    Fill fill = ExecutionReports.read(report, date);
    boolean today = fill.at() >= 0 && fill.at() < 24L * 3_600 * 1_000_000_000;
    if (today && executions.add(report.getString(ExecID.FIELD))) {
      told.add(fill);
      filled.accept(told.take());
    }
  }

  @Override
  public void close() {
    SocketInitiator started = initiator;
    if (started != null) {
      started.stop(true);
    }
  }
}
