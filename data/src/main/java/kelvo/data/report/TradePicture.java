package kelvo.data.report;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.OptionalInt;
import javax.imageio.ImageIO;
import kelvo.hit.Hit;
import kelvo.review.ReviewedTrade;
import kelvo.session.Session;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Fill;

/**
 * A trade's minutes as a small PNG: bars of a minute from half an hour before the entry to half an
 * hour after the exit, hits as ticks at the foot, purchases as triangles up and sales as triangles
 * down. Without letters, since a machine without a screen may have no fonts.
 */
final class TradePicture {
  private static final int WIDTH = 560;
  private static final int HEIGHT = 150;
  private static final int EDGE = 8;
  private static final int MARK = 6;
  private static final long AROUND = 30 * DayTime.MINUTE;
  private static final Color UP = new Color(0x1B5A9B);
  private static final Color DOWN = new Color(0xA8441B);
  private static final Color HELD = new Color(0xEFE9FA);
  private static final Color HIT = new Color(0x5B4A8C);

  private final PricePath path;
  private final ReviewedTrade reviewed;
  private final long from;
  private final long to;
  private double lowest = Double.POSITIVE_INFINITY;
  private double highest = Double.NEGATIVE_INFINITY;

  private TradePicture(PricePath path, ReviewedTrade reviewed) {
    this.path = path;
    this.reviewed = reviewed;
    from = Math.max(DayTime.FIRST, reviewed.trade().entryAt() - AROUND);
    to = Math.min(DayTime.LAST, reviewed.trade().exitAt() + AROUND);
  }

  /** The picture of a trade of a session; empty bytes where the session has no print of it. */
  static byte[] of(Session session, ReviewedTrade reviewed) {
    OptionalInt security = session.numberOf(reviewed.trade().symbol());
    return security.isEmpty()
        ? new byte[0]
        : new TradePicture(PricePath.of(session, security.getAsInt(), DayTime.LAST), reviewed)
            .png();
  }

  private byte[] png() {
    int first = path.firstAfter(from);
    for (int i = first; i < path.size() && path.time(i) <= to; i++) {
      reach(Price.dollars(path.price(i)));
    }
    if (lowest > highest) {
      return new byte[0];
    }
    reviewed.trade().fills().forEach(fill -> reach(fill.price().doubleValue()));
    BufferedImage picture = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = picture.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, WIDTH, HEIGHT);
    g.setColor(HELD);
    double entry = x(Math.max(from, reviewed.trade().entryAt()));
    g.fill(
        new Rectangle2D.Double(
            entry, 0, Math.max(1, x(reviewed.trade().exitAt()) - entry), HEIGHT));
    bars(g, first);
    hits(g);
    reviewed.trade().fills().forEach(fill -> mark(g, fill));
    g.dispose();
    try {
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      ImageIO.write(picture, "png", bytes);
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void reach(double price) {
    lowest = Math.min(lowest, price);
    highest = Math.max(highest, price);
  }

  private double x(long moment) {
    return EDGE + (WIDTH - 2 * EDGE) * (moment - from) / (double) Math.max(1, to - from);
  }

  private double y(double price) {
    double span = Math.max(1e-9, highest - lowest);
    return HEIGHT - 2 * EDGE - (HEIGHT - 3 * EDGE) * (price - lowest) / span;
  }

  private void bars(Graphics2D g, int first) {
    double wide = Math.max(1, 0.7 * (x(from + DayTime.MINUTE) - x(from)));
    int i = first;
    while (i < path.size() && path.time(i) <= to) {
      long minute = path.time(i) / DayTime.MINUTE;
      double open = Price.dollars(path.price(i));
      double high = open;
      double low = open;
      double close = open;
      for (; i < path.size() && path.time(i) / DayTime.MINUTE == minute; i++) {
        close = Price.dollars(path.price(i));
        high = Math.max(high, close);
        low = Math.min(low, close);
      }
      double middle = x(minute * DayTime.MINUTE + DayTime.MINUTE / 2);
      g.setColor(close >= open ? UP : DOWN);
      g.setStroke(new BasicStroke(1));
      g.draw(new Line2D.Double(middle, y(high), middle, y(low)));
      double top = y(Math.max(open, close));
      g.fill(
          new Rectangle2D.Double(
              middle - wide / 2, top, wide, Math.max(1, y(Math.min(open, close)) - top)));
    }
  }

  private void hits(Graphics2D g) {
    if (reviewed.move() != null) {
      g.setColor(HIT);
      for (Hit hit : reviewed.move().hits()) {
        if (hit.at() >= from && hit.at() <= to) {
          g.draw(new Line2D.Double(x(hit.at()), HEIGHT - EDGE, x(hit.at()), HEIGHT - 2));
        }
      }
    }
  }

  private void mark(Graphics2D g, Fill fill) {
    if (fill.at() < from) {
      return;
    }
    int way = fill.side().sign() > 0 ? 1 : -1;
    double x = x(fill.at());
    double y = y(fill.price().doubleValue());
    Path2D triangle = new Path2D.Double();
    triangle.moveTo(x, y);
    triangle.lineTo(x - MARK, y + way * 2 * MARK);
    triangle.lineTo(x + MARK, y + way * 2 * MARK);
    triangle.closePath();
    g.setColor(Color.BLACK);
    g.fill(triangle);
  }
}
