package kelvo.data.scanfile;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.alert.AlertBook;
import kelvo.check.CheckRule;
import kelvo.data.file.KeptAside;
import kelvo.data.file.WholeFile;
import kelvo.data.folder.FiguresFile;
import kelvo.formula.OwnField;
import kelvo.journal.OwnRules;
import kelvo.research.KeptQuestion;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.universe.Figure;
import kelvo.universe.Universe;
import kelvo.watchlist.TheTen;
import kelvo.watchlist.Watchlist;

/**
 * The trader's own scans and universes in a data folder, a file each under {@code scans} and {@code
 * universes}, the watchlists, the alerts, the checks of the morning and the figures put right by
 * hand. A folder without scans has those that ship with Kelvo. Not thread-safe.
 */
public final class ScanFolder {
  private static final String JSON = ".json";
  private static final String CHECKS = "checks.json";
  private static final String ALERTS = "alerts.json";
  private static final String TEN = "ten.json";
  private static final String OWN_RULES = "own-rules.json";
  private static final String QUESTIONS = "questions.json";
  private static final String OWN_FIELDS = "fields.json";
  private static final int UNKNOWN_SHOWN = 3;

  private final Path root;
  private final Path scans;
  private final Path universes;
  private final Path lists;
  private final Vocabulary vocabulary;
  private final Consumer<String> wrong;
  private final boolean writable;

  /**
   * The scans of a data folder.
   *
   * @param vocabulary the words of its fields, to which the folder's own fields are added
   * @param wrong takes a sentence about each file that cannot be read; the others are read
   */
  public ScanFolder(Path folder, Vocabulary vocabulary, Consumer<String> wrong) {
    this(folder, vocabulary, wrong, true);
  }

  /**
   * The scans of a data folder.
   *
   * @param writable whether changes are written; else they are let go without a word
   */
  public ScanFolder(Path folder, Vocabulary vocabulary, Consumer<String> wrong, boolean writable) {
    this.wrong = wrong;
    this.writable = writable;
    root = folder;
    scans = folder.resolve("scans");
    universes = folder.resolve("universes");
    lists = folder.resolve("lists");
    this.vocabulary = vocabulary;
    readOwnFields();
  }

  /** Scans may ask for them, so they come first. */
  private void readOwnFields() {
    Path file = root.resolve(OWN_FIELDS);
    try {
      if (Files.exists(file)) {
        OwnFieldsFile.read(OWN_FIELDS, text(file), vocabulary, wrong);
      }
    } catch (ScanFile.ScanFileException e) {
      wrong.accept(e.getMessage() + "; there are no fields of your own");
    }
  }

  /** Writes the trader's own fields. */
  public void saveOwnFields(List<OwnField> fields) {
    write(root.resolve(OWN_FIELDS), OwnFieldsFile.write(fields));
  }

  /** A scan read again, with its fields as they are now. */
  public Scan again(Scan scan) {
    return ScanFile.parse(scan.name(), ScanFile.write(scan), vocabulary, List.of(scan.universe()));
  }

  /** The data folder. */
  public Path root() {
    return root;
  }

  /** The universes, by file name. */
  public List<Universe> universes() {
    return all(
        universes, (name, text) -> UniverseFile.parse(name, text, vocabulary), UniverseFile.KEYS);
  }

  /** The scans, by file name; those that ship with Kelvo when there are none. */
  public List<Scan> scans() {
    return scans(universes());
  }

  /** The scans, which may name one of these universes. */
  public List<Scan> scans(List<Universe> known) {
    List<Scan> own =
        all(scans, (name, text) -> ScanFile.parse(name, text, vocabulary, known), ScanFile.KEYS);
    return own.isEmpty() ? ScanFile.shipped(vocabulary) : own;
  }

  /** A scan from a file anywhere, which may name a universe of this folder. */
  public Scan read(Path file) {
    return ScanFile.read(file, vocabulary, universes());
  }

  private <T> List<T> all(Path folder, BiFunction<String, String, T> reader, List<String> known) {
    List<T> all = new ArrayList<>();
    for (Path file : files(folder)) {
      String name = file.getFileName().toString();
      try {
        String text = text(file);
        all.add(reader.apply(name, text));
        List<String> unknown = JsonKeys.ofFile(name, text).unknown(known);
        if (!unknown.isEmpty()) {
          wrong.accept(
              name
                  + (unknown.size() == 1 ? ": unknown key " : ": unknown keys ")
                  + unknown.stream().limit(UNKNOWN_SHOWN).collect(Collectors.joining(", "))
                  + (unknown.size() > UNKNOWN_SHOWN ? " and more" : "")
                  + "; allowed are "
                  + String.join(", ", known)
                  + "; the rest counts");
        }
      } catch (ScanFile.ScanFileException e) {
        wrong.accept(e.getMessage() + "; the file was left out");
      }
    }
    return all;
  }

  private static List<Path> files(Path folder) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(f -> f.toString().endsWith(JSON)).sorted().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String text(Path file) {
    return JsonText.of(file);
  }

  /**
   * Writes a scan in place of the one of the same name. The first change in a folder without scans
   * writes the shipped ones too, so that none is lost.
   */
  public void save(Scan scan) {
    if (files(scans).isEmpty()) {
      for (String file : ScanFile.shippedFiles()) {
        write(scans.resolve(file), ScanFile.shippedText(file));
      }
    }
    Path file = fileOf(scan.name(), scans).orElseGet(() -> freeFile(scans, scan.name()));
    write(file, JsonText.keepingOthers(ScanFile.write(scan), file, ScanFile.KEYS));
  }

  /** Takes a scan's file away. */
  public void remove(Scan scan) {
    fileOf(scan.name(), scans).ifPresent(this::delete);
  }

  /** Writes a universe in place of the one of the same name. */
  public void save(Universe universe) {
    Path file =
        fileOf(universe.name(), universes).orElseGet(() -> freeFile(universes, universe.name()));
    write(file, JsonText.keepingOthers(UniverseFile.write(universe), file, UniverseFile.KEYS));
  }

  /** Takes a universe's file away. */
  public void remove(Universe universe) {
    fileOf(universe.name(), universes).ifPresent(this::delete);
  }

  /** The watchlists, by file name; those that ship with Kelvo where nobody has made any. */
  public List<Watchlist> watchlists() {
    if (!Files.isDirectory(lists)) {
      return ShippedFiles.LISTS.names().stream()
          .map(file -> WatchlistFile.parse(file, ShippedFiles.LISTS.text(file)))
          .toList();
    }
    return all(lists, WatchlistFile::parse, WatchlistFile.KEYS);
  }

  /** The first change writes those that ship too, so that none is lost. */
  private void keepShippedLists() {
    if (!Files.isDirectory(lists)) {
      for (String file : ShippedFiles.LISTS.names()) {
        write(lists.resolve(file), ShippedFiles.LISTS.text(file));
      }
    }
  }

  /** Writes a watchlist in place of the one of the same name. */
  public void save(Watchlist list) {
    keepShippedLists();
    Path file = fileOf(list.name(), lists).orElseGet(() -> freeFile(lists, list.name()));
    write(file, JsonText.keepingOthers(WatchlistFile.write(list), file, WatchlistFile.KEYS));
  }

  /** Takes a watchlist's file away. */
  public void remove(Watchlist list) {
    keepShippedLists();
    fileOf(list.name(), lists).ifPresent(this::delete);
  }

  /** What the trader wants to ring; nothing when that cannot be read. */
  public AlertBook alerts() {
    Path file = root.resolve(ALERTS);
    try {
      return Files.exists(file)
          ? AlertsFile.parse(ALERTS, text(file), vocabulary, wrong)
          : AlertBook.EMPTY;
    } catch (ScanFile.ScanFileException e) {
      wrong.accept(e.getMessage() + "; no alert of your own rings");
      return AlertBook.EMPTY;
    }
  }

  /** Writes what the trader wants to ring; alerts that could not be read stay in the file. */
  public void save(AlertBook book) {
    Path file = root.resolve(ALERTS);
    String before = JsonText.isReadable(file) ? text(file) : "{}";
    write(file, AlertsFile.write(book, before, vocabulary));
  }

  /**
   * The rules that the trader keeps or breaks; those that Kelvo starts with when there are none.
   */
  public List<String> ownRules() {
    Path file = root.resolve(OWN_RULES);
    try {
      return Files.exists(file) ? OwnRulesFile.parse(OWN_RULES, text(file)) : OwnRules.DEFAULT;
    } catch (ScanFile.ScanFileException e) {
      wrong.accept(e.getMessage() + "; the rules that Kelvo starts with are asked");
      return OwnRules.DEFAULT;
    }
  }

  /** Writes the rules that the trader keeps or breaks. */
  public void saveOwnRules(List<String> rules) {
    write(root.resolve(OWN_RULES), OwnRulesFile.write(rules));
  }

  /** The questions that the trader keeps; none when they cannot be read. */
  public List<KeptQuestion> questions() {
    Path file = root.resolve(QUESTIONS);
    try {
      return Files.exists(file) ? QuestionsFile.parse(QUESTIONS, text(file)) : List.of();
    } catch (ScanFile.ScanFileException e) {
      wrong.accept(e.getMessage() + "; no kept question is offered");
      return List.of();
    }
  }

  /** Writes the questions that the trader keeps. */
  public void saveQuestions(List<KeptQuestion> questions) {
    write(root.resolve(QUESTIONS), QuestionsFile.write(questions));
  }

  /** The checks of the morning; the usual ones when the folder has none of its own. */
  public List<CheckRule> checks() {
    Path file = root.resolve(CHECKS);
    try {
      return Files.exists(file)
          ? ChecksFile.parse(CHECKS, text(file), vocabulary)
          : CheckRule.DEFAULT;
    } catch (ScanFile.ScanFileException e) {
      wrong.accept(e.getMessage() + "; the usual checks are asked");
      return CheckRule.DEFAULT;
    }
  }

  /** Writes the checks of the morning. */
  public void save(List<CheckRule> checks) {
    write(root.resolve(CHECKS), ChecksFile.write(checks));
  }

  /** How many symbols the Ten may hold. */
  public int mostKept() {
    Path file = root.resolve(TEN);
    try {
      return Files.exists(file) ? TenFile.parse(TEN, text(file)) : TheTen.DEFAULT_SIZE;
    } catch (ScanFile.ScanFileException e) {
      wrong.accept(e.getMessage() + "; it holds " + TheTen.DEFAULT_SIZE);
      return TheTen.DEFAULT_SIZE;
    }
  }

  /** Writes how many symbols the Ten may hold. */
  public void saveMostKept(int most) {
    write(root.resolve(TEN), TenFile.write(most));
  }

  /** Keeps a figure that the trader has put right; it counts when the folder is read again. */
  public void putRight(Figure figure) {
    if (writable) {
      FiguresFile.append(root, figure);
    }
  }

  /** Takes a figure that was put right back: {@link FiguresFile#takeBack}. */
  public void takeBack(Figure figure) {
    if (writable) {
      FiguresFile.takeBack(root, figure);
    }
  }

  private static Optional<Path> fileOf(String name, Path folder) {
    return files(folder).stream().filter(file -> JsonText.nameIn(file).equals(name)).findFirst();
  }

  /** A file that no other scan or universe has, though their names may be alike. */
  private static Path freeFile(Path folder, String name) {
    String letters =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String plain = letters.isEmpty() ? "unnamed" : letters;
    Path free = folder.resolve(plain + JSON);
    for (int i = 2; Files.exists(free); i++) {
      free = folder.resolve(plain + "-" + i + JSON);
    }
    return free;
  }

  private void write(Path file, String text) {
    if (!writable) {
      return;
    }
    try {
      Files.createDirectories(file.getParent());
      if (Files.exists(file) && !JsonText.isReadable(file)) {
        keepAside(file);
      }
      WholeFile.replace(file, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What cannot be read is not written over: the trader may still put it right. */
  private void keepAside(Path file) throws IOException {
    Path aside = KeptAside.move(file);
    wrong.accept(
        file.getFileName()
            + " could not be read and is kept as "
            + aside.getFileName()
            + "; the new one takes its place");
  }

  private void delete(Path file) {
    if (!writable) {
      return;
    }
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
