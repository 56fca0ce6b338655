package kelvo.sim;

import java.net.InetSocketAddress;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import kelvo.data.fix.DropCopy;
import kelvo.data.fix.ExecutionReports;
import kelvo.data.fix.FixSession;
import kelvo.refusal.RefusedException;
import kelvo.trade.Fill;
import quickfix.ApplicationAdapter;
import quickfix.ConfigError;
import quickfix.DefaultMessageFactory;
import quickfix.MemoryStoreFactory;
import quickfix.SLF4JLogFactory;
import quickfix.Session;
import quickfix.SessionID;
import quickfix.SessionNotFound;
import quickfix.SessionSettings;
import quickfix.SocketAcceptor;

/**
 * A broker's drop copy on loopback: tells each fill as an execution report once its time has come,
 * and all of the day's again to whoever logs on.
 */
public final class SimulatedBroker extends ApplicationAdapter implements AutoCloseable {
  /** The name that the broker goes by in FIX sessions. */
  public static final String NAME = "SIMBROKER";

  private final LocalDate date;
  private final List<Fill> fills;
  private final SocketAcceptor acceptor;
  private final Set<SessionID> loggedOn = ConcurrentHashMap.newKeySet();
  private int told;

  /**
   * A broker that has not started.
   *
   * @param fills of the session, in any order
   * @throws IllegalStateException when it cannot be set up
   */
  public SimulatedBroker(InetSocketAddress address, LocalDate date, List<Fill> fills) {
    this.date = date;
    this.fills = new ArrayList<>(fills);
    this.fills.sort(Comparator.comparingLong(Fill::at));
    SessionSettings settings = FixSession.acceptor(address, NAME, DropCopy.OWN_NAME);
    try {
      acceptor =
          new SocketAcceptor(
              this,
              new MemoryStoreFactory(),
              settings,
              new SLF4JLogFactory(settings),
              new DefaultMessageFactory());
    } catch (ConfigError e) {
      throw new RefusedException("the broker cannot begin: " + e.getMessage(), e);
    }
  }

  /**
   * Starts to listen.
   *
   * @throws IllegalStateException when it cannot
   */
  public void start() {
    try {
      acceptor.start();
    } catch (ConfigError e) {
      throw new RefusedException("the broker cannot listen: " + e.getMessage(), e);
    }
  }

  /** Where it listens, once it has started; its own choice when it was given port 0. */
  public InetSocketAddress address() {
    return (InetSocketAddress) acceptor.getEndpoints().iterator().next().getLocalAddress();
  }

  /** Tells the fills up to a moment that have not been told; the fills that were. */
  public synchronized List<Fill> tellUntil(long moment) {
    int before = told;
    while (told < fills.size() && fills.get(told).at() <= moment) {
      int number = told++;
      loggedOn.forEach(session -> tell(number, session));
    }
    return List.copyOf(fills.subList(before, told));
  }

  private void tell(int number, SessionID session) {
    try {
      Session.sendToTarget(
          ExecutionReports.write(fills.get(number), date, "E" + (number + 1)), session);
    } catch (SessionNotFound e) {
      loggedOn.remove(session);
    }
  }

  @Override
  public synchronized void onLogon(SessionID session) {
    loggedOn.add(session);
    for (int i = 0; i < told; i++) {
      tell(i, session);
    }
  }

  @Override
  public void onLogout(SessionID session) {
    loggedOn.remove(session);
  }

  @Override
  public void close() {
    acceptor.stop(true);
  }
}
