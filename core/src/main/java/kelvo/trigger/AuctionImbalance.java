package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;

/** An auction cannot pair so many shares, or so large a part of a usual day. */
final class AuctionImbalance extends RememberingDetector {
  private static final int AVERAGED_SESSIONS = 20;

  private final double shares;
  private final double part;
  private final int side;

  /**
   * Imbalances to be told.
   *
   * @param side 1 for buyers alone, -1 for sellers alone, 0 for both
   */
  AuctionImbalance(Session session, double shares, double part, int side) {
    super(session, Effect.IMBALANCE, 0);
    this.shares = shares;
    this.part = part;
    this.side = side;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    if (side != 0 && session.tape().buyersWait(event) != side > 0) {
      return false;
    }
    long size = session.tape().shares(event);
    if (part == 0) {
      return size >= shares;
    }
    return size >= part * session.security(state.id()).history().averageVolume(AVERAGED_SESSIONS);
  }
}
