package kelvo.alert;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kelvo.field.FieldValues;
import kelvo.field.Unit;
import kelvo.hit.Hit;

/**
 * What speaks against buying a stair step, though it comes early: hardly anything has been traded,
 * nothing lies below that might hold it, the spread is wide, few shares are bid. The bounds are
 * common practice, no source.
 */
public final class StairWarning {
  private static final String TRIGGER = "stair step";
  private static final double THIN_SHARES = 50_000;
  private static final double FAR_PERCENT = 5;
  private static final double WIDE_PERCENT = 1;
  private static final double FEW_SHARES = 500;

  private StairWarning() {}

  /** The warnings of a hit, in words; empty when there are none, or it is no stair step. */
  public static String of(Hit hit) {
    if (!hit.trigger().words().startsWith(TRIGGER)) {
      return "";
    }
    FieldValues fields = hit.fields();
    List<String> warnings = new ArrayList<>();
    double volume = fields.of("volume");
    if (volume < THIN_SHARES) {
      warnings.add("only " + Unit.SHARES.text(volume) + " shares so far");
    }
    double below = fields.of("room below %");
    if (Double.isNaN(below) || Double.isInfinite(below)) {
      warnings.add("no support below");
    } else if (below >= FAR_PERCENT) {
      warnings.add(String.format(Locale.ROOT, "no support for %.1f%% below", below));
    }
    double spread = fields.of("spread %");
    if (spread >= WIDE_PERCENT) {
      warnings.add(String.format(Locale.ROOT, "spread %.1f%%", spread));
    }
    double bid = fields.of("bid size");
    if (bid < FEW_SHARES) {
      warnings.add(Unit.SHARES.text(bid) + " shares bid");
    }
    return String.join(", ", warnings);
  }
}
