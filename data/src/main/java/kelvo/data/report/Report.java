package kelvo.data.report;

import static j2html.TagCreator.body;
import static j2html.TagCreator.div;
import static j2html.TagCreator.each;
import static j2html.TagCreator.h1;
import static j2html.TagCreator.h2;
import static j2html.TagCreator.h3;
import static j2html.TagCreator.head;
import static j2html.TagCreator.iff;
import static j2html.TagCreator.img;
import static j2html.TagCreator.meta;
import static j2html.TagCreator.p;
import static j2html.TagCreator.rawHtml;
import static j2html.TagCreator.style;
import static j2html.TagCreator.table;
import static j2html.TagCreator.td;
import static j2html.TagCreator.th;
import static j2html.TagCreator.title;
import static j2html.TagCreator.tr;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import j2html.Config;
import j2html.TagCreator;
import j2html.rendering.FlatHtml;
import j2html.tags.DomContent;
import j2html.tags.specialized.DivTag;
import j2html.tags.specialized.HtmlTag;
import j2html.tags.specialized.TableTag;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import kelvo.job.Progress;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.journal.Subject;
import kelvo.review.DecisionReview;
import kelvo.review.Horizon;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedTrade;
import kelvo.review.ScanTotals;
import kelvo.review.SixFigures;
import kelvo.review.TradeTotals;
import kelvo.review.VerdictText;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trackrecord.PastReview;
import kelvo.trackrecord.TrackRecord;

/**
 * A page of the journal: what one session or several have brought, each trade with its picture, its
 * verdict and the trader's own words. HTML that needs nothing else, and the same as PDF.
 *
 * @param html the page, also well-formed XML
 */
public record Report(String html) {
  private static final String STYLE =
      """
      body { font-family: 'IBM Plex Sans', sans-serif; font-size: 10pt; color: #1f2430; margin: 18pt; }
      h1 { font-size: 16pt; } h2 { font-size: 12pt; margin-top: 14pt; } h3 { font-size: 10pt; margin-bottom: 2pt; }
      table { border-collapse: collapse; width: 100%; } td, th { padding: 2pt 5pt; text-align: left; border-bottom: 0.5pt solid #ddd6c8; }
      td.n, th.n { text-align: right; white-space: nowrap; } table { margin-bottom: 8pt; } .good { color: #1f7a55; } .bad { color: #96304f; } .faded { color: #6c6a64; }
      .trade { page-break-inside: avoid; margin-top: 8pt; } img { width: 420pt; }
      """;

  /**
   * The report of a record.
   *
   * @param sessions reads a session of it, for the pictures
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public static Report of(
      TrackRecord record,
      ReviewSettings settings,
      Function<LocalDate, Session> sessions,
      Progress progress) {
    List<DomContent> days = new ArrayList<>();
    int done = 0;
    for (PastReview session : record.sessions()) {
      progress.done((double) done++ / record.sessions().size());
      days.add(day(session, record, settings, sessions));
    }
    String name = name(record);
    return new Report(
        "<!DOCTYPE html>\n"
            + rendered(
                TagCreator.html(
                        head(meta().withCharset("utf-8"), title(name), style(rawHtml(STYLE))),
                        body(
                            h1(name),
                            figures(record.figures()),
                            iff(record.sessions().size() > 1, sessions(record)),
                            each(days, day -> day),
                            h2("Scans"),
                            scans(record.scans()),
                            p(settings.words()).withClass("faded")))
                    .attr("xmlns", "http://www.w3.org/1999/xhtml")));
  }

  /** Well-formed XML, as the PDF needs it. */
  private static String rendered(HtmlTag page) {
    try {
      return page.render(FlatHtml.inMemory(Config.defaults().withEmptyTagsClosed(true))).toString();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String name(TrackRecord record) {
    List<PastReview> sessions = record.sessions();
    if (sessions.isEmpty()) {
      return "Kelvo: no sessions";
    }
    LocalDate first = sessions.getFirst().date();
    LocalDate last = sessions.getLast().date();
    return "Kelvo: " + (first.equals(last) ? first : first + " to " + last);
  }

  private static TableTag figures(SixFigures six) {
    TradeTotals all = six.all();
    return table(
        tr(
            th("net of fees"),
            th("trades won"),
            th("on a hit"),
            th("late"),
            th("off plan"),
            th("missed that ran"),
            th("dropped that ran")),
        tr(
            td(money(all.net())),
            td(all.wins() + " of " + all.trades()),
            td(six.onHit().trades() + ", " + money(six.onHit().net())),
            td(six.late().trades() + ", " + money(six.late().net())),
            td(six.offPlan().trades() + ", " + money(six.offPlan().net())),
            td(six.missed().ran() + " of " + six.missed().known()),
            td(six.dropped().ran() + " of " + six.dropped().known())));
  }

  private static TableTag sessions(TrackRecord record) {
    return table(
        tr(th("session"), number("trades"), number("won"), number("net"), number("fees")),
        each(
            record.sessions(),
            one -> {
              TradeTotals all = one.review().all();
              return tr(
                  td(one.date().toString()),
                  right(all.trades()),
                  right(all.wins()),
                  td(money(all.net())).withClass("n"),
                  td(money(all.fees())).withClass("n"));
            }));
  }

  private static DomContent number(String name) {
    return th(name).withClass("n");
  }

  private static DomContent right(long count) {
    return td(Long.toString(count)).withClass("n");
  }

  private static TableTag scans(List<ScanTotals> scans) {
    return table(
        tr(
            th("scan"),
            number("hits"),
            number("moves"),
            number("ran"),
            number("hits an hour"),
            number("trades"),
            number("net")),
        each(
            scans,
            scan ->
                tr(
                    td(scan.scan()),
                    right(scan.hits()),
                    right(scan.moves()),
                    td(scan.ran() + " of " + scan.known()).withClass("n"),
                    td(fixed(scan.hitsPerHour(), 1)).withClass("n"),
                    right(scan.trades()),
                    td(scan.trades() == 0 ? "" : money(scan.net())).withClass("n"))));
  }

  private static DivTag day(
      PastReview day,
      TrackRecord record,
      ReviewSettings settings,
      Function<LocalDate, Session> sessions) {
    List<ReviewedTrade> trades =
        record.trades().stream()
            .filter(trade -> trade.context().date().equals(day.date()))
            .toList();
    List<DecisionReview> decided =
        day.decisions().stream()
            .filter(one -> one.decision().choice() != Choice.UNDECIDED)
            .toList();
    Map<LocalDate, Session> read = new HashMap<>();
    Remark said = day.page().on(Subject.SESSION);
    return div(
        h2(day.date().toString()),
        words(said),
        each(day.page().rules(), Report::rule),
        iff(!decided.isEmpty(), decisions(decided)),
        each(
            trades,
            trade ->
                trade(
                    trade,
                    day.page().on(trade.subject()),
                    settings,
                    read.computeIfAbsent(day.date(), sessions))));
  }

  private static DomContent words(Remark remark) {
    return div(
        iff(!remark.text().isBlank(), p(remark.text())),
        iff(
            !remark.tags().isEmpty(),
            p("tags: " + String.join(", ", remark.tags())).withClass("faded")));
  }

  private static DomContent rule(RuleKept kept) {
    return iff(
        kept.answer() != RuleKept.Answer.OPEN,
        p(kept.answer().name().toLowerCase(Locale.ROOT) + ": " + kept.rule())
            .withClass(kept.answer() == RuleKept.Answer.KEPT ? "good" : "bad"));
  }

  private static TableTag decisions(List<DecisionReview> decisions) {
    return table(
        tr(
            th("decided"),
            th("symbol"),
            number("at"),
            th("why"),
            th("plan"),
            number("best in 30 min"),
            number("to the close"),
            number("yours")),
        each(
            decisions,
            one -> {
              Decision decision = one.decision();
              return tr(
                  td(decision.choice().word()),
                  td(decision.symbol()),
                  td(DayTime.minutes(one.since())).withClass("n"),
                  td(decision.reason()),
                  td(decision.plan()),
                  td(percent(one.over(Horizon.HALF_HOUR).best())).withClass("n"),
                  td(percent(one.over(Horizon.TO_CLOSE).best())).withClass("n"),
                  td(one.trades().isEmpty() ? "" : money(one.net())).withClass("n"));
            }));
  }

  private static DivTag trade(
      ReviewedTrade trade, Remark remark, ReviewSettings settings, Session session) {
    VerdictText text = VerdictText.of(trade, settings);
    byte[] picture = TradePicture.of(session, trade);
    String entry =
        trade.trade().entryAt() < 0 ? "held overnight" : DayTime.seconds(trade.trade().entryAt());
    return div(
            h3(
                trade.trade().symbol()
                    + " "
                    + trade.trade().side().word()
                    + ", "
                    + entry
                    + " to "
                    + DayTime.seconds(trade.trade().exitAt())
                    + ": "
                    + money(trade.result())),
            p(text.verdict() + ": " + text.because() + ". " + text.rule()),
            iff(
                picture.length > 0,
                img()
                    .withSrc("data:image/png;base64," + Base64.getEncoder().encodeToString(picture))
                    .withAlt("Minutes around the trade: hits at the foot, fills as triangles")),
            words(remark))
        .withClass("trade");
  }

  private static String money(double dollars) {
    return String.format(Locale.ROOT, "%s$%,.2f", dollars < 0 ? "-" : "", Math.abs(dollars));
  }

  private static String percent(double value) {
    return Double.isNaN(value) ? "" : String.format(Locale.ROOT, "%+.1f%%", value);
  }

  private static String fixed(double value, int decimals) {
    return Double.isNaN(value) ? "" : String.format(Locale.ROOT, "%,." + decimals + "f", value);
  }

  /**
   * Writes it as PDF.
   *
   * @param font the letters, as TrueType
   * @throws IOException when it cannot be written
   */
  public void writePdf(OutputStream to, Supplier<InputStream> font) throws IOException {
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.useFont(font::get, "IBM Plex Sans");
    builder.withHtmlContent(html, null);
    builder.toStream(to);
    builder.run();
  }
}
