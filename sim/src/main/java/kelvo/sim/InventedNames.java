package kelvo.sim;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SplittableRandom;

/** Makes up companies and six-letter symbols, which no US listing has. */
final class InventedNames {
  static final List<String> SECTORS =
      List.of(
          "tidal power",
          "glass batteries",
          "desalination",
          "seed genetics",
          "cold-chain freight",
          "dental robotics",
          "orbital towing",
          "kelp foods",
          "night rail",
          "sound therapy",
          "algae dyes",
          "ice quarrying",
          "wind ferries",
          "peat carbon",
          "bone printing",
          "fog harvesting",
          "cable gliders",
          "moss insulation",
          "rail gardens",
          "tide clocks",
          "salt glass",
          "urban bees",
          "drone masonry",
          "memory paper",
          "shell concrete",
          "heat lending",
          "river mining",
          "cloud seeding",
          "stage holograms",
          "bark textiles",
          "geyser power",
          "lamp fungi",
          "slow parcels",
          "echo mapping",
          "reef building",
          "dune farming",
          "spore vaccines",
          "string bridges",
          "amber optics",
          "canal robots");

  private static final List<String> STARTS =
      List.of(
          "Har", "Mel", "Quor", "Ves", "Tam", "Bri", "Oster", "Lun", "Ferr", "Cal", "Wend", "Pol",
          "Skar", "Dov", "Ing", "Ruth", "Zeph", "Mar", "Nor", "Ald", "Grim", "Hol", "Jas", "Kest",
          "Tre");
  private static final List<String> ENDS =
      List.of(
          "low", "ien", "ath", "per", "wick", "mund", "ora", "stead", "ell", "by", "ane", "ford",
          "ix", "ova", "dale", "mere", "ston", "grave", "ley", "una");
  private static final List<String> FORMS =
      List.of(
          "Works",
          "Group",
          "Systems",
          "Partners",
          "Industries",
          "Lines",
          "Labs",
          "Company",
          "Holdings",
          "Union");

  private final SplittableRandom random;
  private final Set<String> symbols = new HashSet<>();

  InventedNames(long seed, Set<String> taken) {
    random = new SplittableRandom(seed);
    symbols.addAll(taken);
  }

  /** A company's name that fits a sector. */
  String company(String sector) {
    String trade = sector.substring(0, 1).toUpperCase(Locale.ROOT) + sector.substring(1);
    return pick(STARTS) + pick(ENDS) + " " + trade.split("[ -]")[0] + " " + pick(FORMS);
  }

  /** A symbol of six letters that begins like the company's name and was not given before. */
  String symbol(String company) {
    String letters = company.toUpperCase(Locale.ROOT).replaceAll("[^A-Z]", "");
    String symbol = letters.substring(0, 6);
    while (!symbols.add(symbol)) {
      StringBuilder next = new StringBuilder(letters.substring(0, 3));
      for (int i = 0; i < 3; i++) {
        next.append((char) ('A' + random.nextInt(26)));
      }
      symbol = next.toString();
    }
    return symbol;
  }

  private String pick(List<String> words) {
    return words.get(random.nextInt(words.size()));
  }
}
