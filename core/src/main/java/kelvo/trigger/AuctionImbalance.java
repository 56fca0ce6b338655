package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;

/** An auction cannot pair so many shares, or so large a part of a usual day. */
final class AuctionImbalance extends RememberingDetector {
  private static final int AVERAGED_SESSIONS = 20;

  private final double shares;
  private final double part;

  AuctionImbalance(Session session, double shares, double part) {
    super(session, Effect.IMBALANCE, 0);
    this.shares = shares;
    this.part = part;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    long size = session.tape().shares(event);
    if (part == 0) {
      return size >= shares;
    }
    return size >= part * session.security(state.id()).history().averageVolume(AVERAGED_SESSIONS);
  }
}
