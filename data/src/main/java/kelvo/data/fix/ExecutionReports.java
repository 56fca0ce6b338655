package kelvo.data.fix;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import quickfix.FieldNotFound;
import quickfix.Message;
import quickfix.field.Account;
import quickfix.field.AvgPx;
import quickfix.field.Commission;
import quickfix.field.CumQty;
import quickfix.field.ExecID;
import quickfix.field.ExecType;
import quickfix.field.LastPx;
import quickfix.field.LastQty;
import quickfix.field.LeavesQty;
import quickfix.field.OrdStatus;
import quickfix.field.OrderID;
import quickfix.field.PositionEffect;
import quickfix.field.Symbol;
import quickfix.field.TransactTime;
import quickfix.fix44.ExecutionReport;

/**
 * Fills as FIX 4.4 execution reports (MsgType 8, ExecType F), by the published meaning of the tags:
 * TransactTime (60, UTC), Side (54: 1 buy, 2 sell, 5 sell short), LastQty (32), LastPx (31),
 * Commission (12), Account (1), OrderID (37). A buy that closes (PositionEffect 77 = C) covers.
 */
public final class ExecutionReports {
  private ExecutionReports() {}

  /**
   * The fill of a report.
   *
   * @param session the date from whose midnight in New York its time is counted
   * @throws RefusedException when the report is no fill that can be read
   */
  static Fill read(Message report, LocalDate session) {
    try {
      LocalDateTime there =
          report
              .getUtcTimeStamp(TransactTime.FIELD)
              .atZone(ZoneOffset.UTC)
              .withZoneSameInstant(DayTime.NEW_YORK)
              .toLocalDateTime();
      return new Fill(
          Duration.between(session.atStartOfDay(), there).toNanos(),
          report.getString(Symbol.FIELD),
          side(report),
          report.getDecimal(LastQty.FIELD),
          report.getDecimal(LastPx.FIELD),
          report.isSetField(Commission.FIELD)
              ? report.getDecimal(Commission.FIELD)
              : BigDecimal.ZERO,
          report.isSetField(Account.FIELD) ? report.getString(Account.FIELD) : "",
          report.getString(OrderID.FIELD));
    } catch (FieldNotFound e) {
      throw new RefusedException("an execution report lacks tag " + e.field, e);
    }
  }

  private static FillSide side(Message report) throws FieldNotFound {
    char side = report.getChar(quickfix.field.Side.FIELD);
    boolean closes =
        report.isSetField(PositionEffect.FIELD)
            && report.getChar(PositionEffect.FIELD) == PositionEffect.CLOSE;
    return switch (side) {
      case quickfix.field.Side.BUY -> closes ? FillSide.COVER : FillSide.BUY;
      case quickfix.field.Side.SELL -> FillSide.SELL;
      case quickfix.field.Side.SELL_SHORT, quickfix.field.Side.SELL_SHORT_EXEMPT -> FillSide.SHORT;
      default ->
          throw new RefusedException("an execution report has side " + side + ", not 1, 2, 5 or 6");
    };
  }

  /** The report of a fill, as a broker writes it. */
  public static ExecutionReport write(Fill fill, LocalDate session, String execId) {
    LocalDateTime utc =
        session
            .atStartOfDay()
            .plusNanos(fill.at())
            .atZone(DayTime.NEW_YORK)
            .withZoneSameInstant(ZoneOffset.UTC)
            .toLocalDateTime();
    ExecutionReport report = new ExecutionReport();
    report.setString(OrderID.FIELD, fill.orderId());
    report.setString(ExecID.FIELD, execId);
    report.setChar(ExecType.FIELD, ExecType.TRADE);
    report.setChar(OrdStatus.FIELD, OrdStatus.FILLED);
    report.setChar(quickfix.field.Side.FIELD, side(fill.side()));
    report.setDecimal(LeavesQty.FIELD, BigDecimal.ZERO);
    report.setDecimal(CumQty.FIELD, fill.quantity());
    report.setDecimal(AvgPx.FIELD, fill.price());
    report.setString(Symbol.FIELD, fill.symbol());
    report.setDecimal(LastQty.FIELD, fill.quantity());
    report.setDecimal(LastPx.FIELD, fill.price());
    report.setUtcTimeStamp(TransactTime.FIELD, utc, true);
    report.setDecimal(Commission.FIELD, fill.fee());
    if (!fill.account().isEmpty()) {
      report.setString(Account.FIELD, fill.account());
    }
    if (fill.side() == FillSide.COVER) {
      report.setChar(PositionEffect.FIELD, PositionEffect.CLOSE);
    }
    return report;
  }

  private static char side(FillSide side) {
    return switch (side) {
      case BUY, COVER -> quickfix.field.Side.BUY;
      case SELL -> quickfix.field.Side.SELL;
      case SHORT -> quickfix.field.Side.SELL_SHORT;
    };
  }
}
