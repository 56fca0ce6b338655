package kelvo.desktop.workspace;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import kelvo.alert.AlertBook;
import kelvo.check.CheckRule;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFolder;
import kelvo.research.KeptQuestion;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.setting.Settings;
import kelvo.universe.Figure;
import kelvo.universe.Universe;
import kelvo.watchlist.Watchlist;

/**
 * What a data folder keeps of the trader's own, as it was when the day was opened.
 *
 * @param folder where it is kept
 * @param vocabulary the words that rules may use
 * @param settings what the trader has set
 * @param scans what is looked for, and how it is judged
 * @param lists what is watched
 */
public record TraderFiles(
    ScanFolder folder, Vocabulary vocabulary, Settings settings, Scans scans, Lists lists) {
  /**
   * What is looked for, and how it is judged.
   *
   * @param inUse the scans
   * @param figures that were put right by hand
   * @param ownRules what the trader keeps or breaks, a sentence each
   * @param questions of research that were kept
   */
  public record Scans(
      List<Scan> inUse,
      List<Universe> universes,
      List<Figure> figures,
      List<CheckRule> checks,
      List<String> ownRules,
      List<KeptQuestion> questions) {}

  /**
   * What is watched.
   *
   * @param mostKept how many symbols the Ten may hold
   * @param watchlists besides the Ten
   * @param alerts what is to ring
   */
  public record Lists(int mostKept, List<Watchlist> watchlists, AlertBook alerts) {}

  /**
   * Reads a folder.
   *
   * @param writes whether what cannot be read is kept aside, since this window may write
   * @param problems takes what cannot be read, a sentence each
   */
  static TraderFiles read(Path root, DataFolder data, boolean writes, Consumer<String> problems) {
    Vocabulary vocabulary = data.vocabulary();
    ScanFolder folder = new ScanFolder(root, vocabulary, problems, writes);
    List<Universe> universes = folder.universes();
    Lists lists = new Lists(folder.mostKept(), folder.watchlists(), folder.alerts());
    Scans scans =
        new Scans(
            folder.scans(universes),
            universes,
            data.figures(),
            folder.checks(),
            folder.ownRules(),
            folder.questions());
    return new TraderFiles(folder, vocabulary, data.settings(), scans, lists);
  }

  /** The same with other scans, and nothing that is watched. */
  TraderFiles lookingFor(List<Scan> others) {
    return new TraderFiles(
        folder,
        vocabulary,
        settings,
        new Scans(
            others, scans.universes, scans.figures, scans.checks, scans.ownRules, scans.questions),
        new Lists(lists.mostKept, List.of(), AlertBook.EMPTY));
  }
}
