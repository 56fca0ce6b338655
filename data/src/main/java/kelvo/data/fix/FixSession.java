package kelvo.data.fix;

import java.net.InetSocketAddress;
import quickfix.SessionID;
import quickfix.SessionSettings;

/**
 * The settings of a FIX 4.4 session that starts from the beginning at each logon, so that the
 * broker tells the whole day again and nothing needs to be kept on disk.
 */
public final class FixSession {
  private static final String VERSION = "FIX.4.4";
  private static final int HEARTBEAT_SECONDS = 30;
  private static final int RECONNECT_SECONDS = 1;

  private FixSession() {}

  /** The settings of the side that listens for connections. */
  public static SessionSettings acceptor(InetSocketAddress address, String own, String other) {
    SessionSettings settings = new SessionSettings();
    SessionID id = common(settings, own, other);
    settings.setString(id, "ConnectionType", "acceptor");
    settings.setString(id, "SocketAcceptAddress", address.getHostString());
    settings.setLong(id, "SocketAcceptPort", address.getPort());
    return settings;
  }

  /** The settings of the side that connects. */
  public static SessionSettings initiator(InetSocketAddress address, String own, String other) {
    SessionSettings settings = new SessionSettings();
    SessionID id = common(settings, own, other);
    settings.setString(id, "ConnectionType", "initiator");
    settings.setString(id, "SocketConnectHost", address.getHostString());
    settings.setLong(id, "SocketConnectPort", address.getPort());
    settings.setLong(id, "HeartBtInt", HEARTBEAT_SECONDS);
    settings.setLong(id, "ReconnectInterval", RECONNECT_SECONDS);
    return settings;
  }

  private static SessionID common(SessionSettings settings, String own, String other) {
    SessionID id = new SessionID(VERSION, own, other);
    settings.setString(id, "BeginString", VERSION);
    settings.setString(id, "SenderCompID", own);
    settings.setString(id, "TargetCompID", other);
    settings.setString(id, "StartTime", "00:00:00");
    settings.setString(id, "EndTime", "00:00:00");
    settings.setString(id, "NonStopSession", "Y");
    settings.setString(id, "ResetOnLogon", "Y");
    settings.setString(id, "UseDataDictionary", "Y");
    return id;
  }

  /** The one session of such settings. */
  public static SessionID only(SessionSettings settings) {
    var ids = settings.sectionIterator();
    if (!ids.hasNext()) {
      throw new IllegalArgumentException("no FIX session in the settings");
    }
    return ids.next();
  }
}
