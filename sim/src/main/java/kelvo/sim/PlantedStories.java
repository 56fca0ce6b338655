package kelvo.sim;

import java.util.ArrayList;
import java.util.List;
import kelvo.session.SecurityKind;
import kelvo.time.DayTime;

/**
 * The stories of the demo session, with what a careful user should find. Tests read them from here.
 */
public final class PlantedStories {
  /** When the halted stock stops trading, and when it trades again. */
  public static final long HALT_FROM = DayTime.parse("10:42:10");

  public static final long HALT_TO = DayTime.parse("10:47:10");

  private PlantedStories() {}

  /** All stories. */
  public static List<Story> all() {
    List<Story> stories = new ArrayList<>();
    stories.add(
        story(
            "gapper",
            "TIDARC",
            "Tidal Arc Power",
            "tidal power",
            SecurityKind.COMMON_STOCK,
            6.20,
            14e6,
            1,
            "04:00 1, 07:02 1, 07:20 1.24, 08:00 1.31, 08:45 1.27, 09:29 1.38, 09:34 1.44, 09:40 1.40, 09:58 1.62, 10:14 1.74, 10:50 1.58, 12:00 1.55, 14:00 1.50, 16:00 1.57, 20:00 1.56",
            "04:00 0.2, 07:02 60, 07:30 25, 09:00 45, 09:30 700, 09:45 420, 10:20 200, 11:00 90, 15:30 180, 16:00 8",
            190,
            "07:02",
            "Tidal Arc Power signs eleven-year contract to light the port of Maren",
            "A real gap: fresh news about the company itself, heavy volume for its float, price above its daily averages."));
    stories.add(
        story(
            "stairs",
            "KELPOR",
            "Kelporium Foods",
            "kelp foods",
            SecurityKind.COMMON_STOCK,
            3.05,
            2.1e6,
            1,
            "04:00 1, 08:05 1, 08:15 1.05, 08:24 1.03, 08:40 1.10, 08:52 1.08, 09:10 1.17, 09:28 1.14, 09:45 1.27, 09:58 1.23, 10:20 1.42, 10:36 1.36, 11:05 1.71, 11:25 1.60, 12:00 1.77, 13:00 1.62, 16:00 1.48, 20:00 1.46",
            "04:00 0.05, 08:05 3, 09:30 14, 10:10 24, 11:00 45, 12:10 15, 16:00 0.2",
            120,
            "",
            "",
            "Quiet stair steps in a thin low-float stock: by the time volume looks large, most of the run is over."));
    stories.add(
        story(
            "reverse split",
            "SONWEL",
            "Sonwell Therapy",
            "sound therapy",
            SecurityKind.COMMON_STOCK,
            0.62,
            42e6,
            0.1,
            "04:00 1.01, 09:30 1.02, 12:00 0.97, 16:00 0.95, 20:00 0.95",
            "04:00 1.2, 09:30 30, 10:30 8, 15:30 15, 16:00 0.3",
            140,
            "",
            "",
            "Looks like a gap of +900% and is a 1-for-10 reverse split: adjusted, it is almost unchanged."));
    stories.add(
        story(
            "fund",
            "GLASBX",
            "Glass Battery Makers Fund",
            "glass batteries",
            SecurityKind.FUND,
            24.10,
            Double.NaN,
            1,
            "04:00 1.11, 09:30 1.12, 16:00 1.10, 20:00 1.10",
            "04:00 4, 09:30 40, 16:00 1",
            150,
            "",
            "",
            "A fund among the gappers: not a company, so no scan on common stock lists it."));
    stories.add(
        story(
            "warrant",
            "TIDARW",
            "Tidal Arc Power warrants",
            "tidal power",
            SecurityKind.WARRANT,
            0.84,
            Double.NaN,
            1,
            "04:00 1, 07:05 1.1, 07:40 1.5, 09:30 1.7, 10:14 2.1, 16:00 1.8, 20:00 1.8",
            "04:00 0.1, 07:05 5, 09:30 30, 11:00 8, 16:00 0.5",
            260,
            "",
            "",
            "A warrant that moves with its company: its kind keeps it out."));
    stories.addAll(theme());
    stories.add(
        story(
            "offering",
            "DESALQ",
            "Desalqua Water",
            "desalination",
            SecurityKind.COMMON_STOCK,
            18.40,
            31e6,
            1,
            "04:00 1, 06:31 0.99, 06:45 0.81, 08:00 0.78, 09:29 0.76, 10:05 0.70, 12:00 0.73, 16:00 0.715, 20:00 0.715",
            "04:00 0.3, 06:31 22, 09:30 220, 10:30 80, 15:30 120, 16:00 3",
            170,
            "06:31",
            "Desalqua Water prices public offering of 9 million shares at $14.50",
            "A gap down for a reason that stays: shares are offered below the market."));
    stories.add(
        story(
            "fake",
            "NITRAL",
            "Night Rail Lines",
            "night rail",
            SecurityKind.COMMON_STOCK,
            11.75,
            9e6,
            1,
            "04:00 1, 16:00 1.01, 20:00 1.01",
            "04:00 0, 09:30 6, 16:00 0.1",
            120,
            "",
            "",
            "One print of 100 shares at 07:41 makes a gap of +31%; nothing else trades there."));
    stories.add(
        story(
            "halt",
            "DENBOT",
            "Denbot Surgical",
            "dental robotics",
            SecurityKind.COMMON_STOCK,
            4.48,
            7.5e6,
            1,
            "04:00 1, 09:30 1.03, 10:30 1.09, 10:38 1.22, 10:42 1.42, 10:47 1.52, 10:55 1.71, 11:20 1.38, 13:00 1.30, 16:00 1.26, 20:00 1.26",
            "04:00 0.1, 09:30 20, 10:30 160, 10:42 320, 11:30 60, 15:30 70, 16:00 1",
            180,
            "10:29",
            "Denbot Surgical receives first approval for unattended root work",
            "Halts on volatility at 10:42, resumes at 10:47 higher, then gives most of it back."));
    stories.add(
        story(
            "fader",
            "GENSED",
            "Genesis Seed",
            "seed genetics",
            SecurityKind.COMMON_STOCK,
            9.30,
            22e6,
            1,
            "04:00 1.02, 08:00 1.09, 09:30 1.13, 11:20 1.33, 12:40 1.26, 13:30 1.27, 14:20 1.13, 15:20 1.03, 16:00 1.01, 20:00 1.01",
            "04:00 0.8, 07:30 9, 09:30 190, 10:30 120, 12:00 55, 13:30 90, 15:30 140, 16:00 2",
            180,
            "06:15",
            "Genesis Seed and Harrow Farms begin partnership on salt-proof barley",
            "Up 33% at its high in the late morning, then falls through VWAP and fades into the close."));
    stories.add(
        story(
            "red to green",
            "BREGLA",
            "Breakwater Glass",
            "wave glass",
            SecurityKind.COMMON_STOCK,
            8.10,
            18e6,
            1,
            "04:00 0.985, 08:00 0.97, 09:30 0.965, 09:45 0.955, 10:05 0.98, 10:30 1.03, 11:15 1.08, 12:30 1.05, 16:00 1.06, 20:00 1.06",
            "04:00 0.5, 09:30 110, 10:20 160, 11:30 60, 15:30 90, 16:00 1",
            170,
            "",
            "",
            "Opens 3.5% below the close before, comes up through it at about 10:16 and stays above."));
    stories.add(
        story(
            "after hours",
            "LANHAR",
            "Lantern Harbour Lamps",
            "harbour lights",
            SecurityKind.COMMON_STOCK,
            14.20,
            25e6,
            1,
            "04:00 1, 16:05 1, 16:08 1.07, 16:20 1.12, 17:00 1.10, 20:00 1.14",
            "04:00 0.2, 09:30 25, 15:30 40, 16:00 2, 16:05 90, 17:00 30, 18:30 8",
            150,
            "16:05",
            "Lantern Harbour Lamps quarterly results beat its plan, order book doubles",
            "Quiet all day; after the close its results lift it by 12%: tomorrow's gap begins here."));
    return List.copyOf(stories);
  }

  private static List<Story> theme() {
    return List.of(
        towing(
            "ORBTOW",
            "Orbital Tow",
            12.60,
            48e6,
            1.155,
            "05:58",
            "Orbital Tow leads group chosen to clear the high lanes"),
        towing("TUGSAT", "Tugsat Services", 7.15, 26e6, 1.12, "", ""),
        towing("LOFTRA", "Loftra Systems", 21.80, 61e6, 1.09, "", ""),
        towing("PERIGE", "Perigee Lines", 5.05, 17e6, 1.135, "", ""));
  }

  private static Story towing(
      String symbol,
      String company,
      double close,
      double floatShares,
      double gap,
      String at,
      String news) {
    String path =
        "04:00 1.01, 06:00 1.02, 07:10 "
            + (1 + (gap - 1) * 0.7)
            + ", 09:30 "
            + gap
            + ", 10:30 "
            + (gap * 1.05)
            + ", 12:30 "
            + (gap * 1.02)
            + ", 16:00 "
            + (gap * 1.04)
            + ", 20:00 "
            + (gap * 1.04);
    return story(
        "theme",
        symbol,
        company,
        "orbital towing",
        SecurityKind.COMMON_STOCK,
        close,
        floatShares,
        1,
        path,
        "04:00 0.6, 06:00 9, 09:30 130, 10:30 60, 15:30 80, 16:00 1",
        160,
        at,
        news,
        "One of four orbital towing stocks that rise together: a theme.");
  }

  private static Story story(
      String id,
      String symbol,
      String company,
      String sector,
      SecurityKind kind,
      double close,
      double floatShares,
      double ratio,
      String price,
      String activity,
      int printShares,
      String newsAt,
      String news,
      String finding) {
    return new Story(
        id,
        symbol,
        company,
        sector,
        kind,
        close,
        floatShares,
        ratio,
        marks(price),
        marks(activity),
        printShares,
        newsAt,
        news,
        finding);
  }

  private static List<Story.Mark> marks(String text) {
    List<Story.Mark> marks = new ArrayList<>();
    for (String mark : text.split(", ")) {
      String[] parts = mark.split(" ");
      marks.add(new Story.Mark(DayTime.parse(parts[0]), Double.parseDouble(parts[1])));
    }
    return marks;
  }
}
