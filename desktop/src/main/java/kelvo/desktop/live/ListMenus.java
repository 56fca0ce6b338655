package kelvo.desktop.live;

import java.io.File;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import kelvo.data.scanfile.WatchlistTable;
import kelvo.delivery.Channel;
import kelvo.desktop.workspace.Workspace;
import kelvo.refusal.RefusedException;
import kelvo.scan.Scan;
import kelvo.universe.PastedSymbols;
import kelvo.watchlist.Mark;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/** What can be done with a watchlist, and with a symbol on it. */
final class ListMenus {
  private static final String UNTIL = " until ";

  private final Workspace workspace;
  private final Asking asking;
  private final Supplier<Window> window;

  /** Asks for words: what for, what stands there, and who takes them; false asks again. */
  @FunctionalInterface
  interface Asking {
    void ask(String prompt, String before, Predicate<String> answer);
  }

  ListMenus(Workspace workspace, Asking asking, Supplier<Window> window) {
    this.workspace = workspace;
    this.asking = asking;
    this.window = window;
  }

  private void change(Watchlist changed, String what) {
    workspace.lists().change(changed, what);
  }

  /** The list of a name as it is now, not as it was when a menu was opened. */
  private Watchlist now(Watchlist list) {
    return workspace.lists().named(list.name());
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setMnemonicParsing(false);
    item.setOnAction(e -> action.run());
    return item;
  }

  /** What can be done with a list. */
  List<MenuItem> ofList(Watchlist list) {
    String name = list.name();
    return List.of(
        item(
            "Paste symbols…",
            () ->
                asking.ask(
                    "paste symbols; \"until 2031-03-14\" at the end ends them",
                    "",
                    text -> paste(now(list), text))),
        follow(list),
        item(
            "Columns…",
            () ->
                asking.ask(
                    "fields, such as: gap, volume 5m, spread %",
                    String.join(", ", list.columns()), text -> columns(now(list), text))),
        by(list),
        item(
            "Note…",
            () ->
                asking.ask(
                    "what " + name + " is for",
                    list.note(),
                    text -> {
                      change(now(list).noted(text.strip()), "Note on " + name);
                      return true;
                    })),
        item("Import a table…", () -> imported(list)),
        item("Export as a table…", () -> exported(list)),
        item("Remove the list", () -> workspace.lists().remove(list)));
  }

  private Menu follow(Watchlist list) {
    Menu follow = new Menu("Follow a scan");
    follow
        .getItems()
        .add(item("none", () -> change(now(list).following(""), list.name() + " follows nothing")));
    for (Scan scan : workspace.scans()) {
      follow
          .getItems()
          .add(
              item(
                  scan.name(),
                  () ->
                      change(
                          now(list).following(scan.name()),
                          list.name() + " follows " + scan.name())));
    }
    return follow;
  }

  private Menu by(Watchlist list) {
    Menu ways = new Menu("Hits ring by");
    for (Channel channel : Channel.values()) {
      CheckMenuItem way = new CheckMenuItem(channel.words());
      way.setSelected(list.how().contains(channel));
      way.setOnAction(
          e -> {
            Watchlist known = now(list);
            change(
                known.by(Channel.changed(known.how(), channel, way.isSelected())),
                list.name()
                    + (way.isSelected() ? " rings by " : " rings no more by ")
                    + channel.words());
          });
      ways.getItems().add(way);
    }
    return ways;
  }

  /** Takes symbols from anywhere into a list, until a date if one stands there. */
  private boolean paste(Watchlist list, String text) {
    int at = text.toLowerCase(Locale.ROOT).lastIndexOf(UNTIL);
    LocalDate until = null;
    if (at >= 0) {
      String date = text.substring(at + UNTIL.length()).strip();
      try {
        until = LocalDate.parse(date);
      } catch (DateTimeException e) {
        workspace
            .window()
            .action()
            .set("The date is written as 2031-03-14, found \"" + date + "\"");
        return false;
      }
    }
    PastedSymbols found =
        PastedSymbols.in(
            at < 0 ? text : text.substring(0, at),
            symbol -> workspace.session().numberOf(symbol).isPresent());
    change(
        list.with(found.known(), until),
        found.known().size()
            + " symbols on "
            + list.name()
            + (found.others().isEmpty()
                ? ""
                : "; not listed: " + String.join(", ", found.others())));
    return true;
  }

  private boolean columns(Watchlist list, String text) {
    List<String> fields =
        Stream.of(text.split(",")).map(String::strip).filter(word -> !word.isEmpty()).toList();
    for (String field : fields) {
      if (workspace.desk().vocabulary().find(field).isEmpty()) {
        workspace.window().action().set("No field is called \"" + field + "\"");
        return false;
      }
    }
    change(list.showing(fields), "Columns of " + list.name());
    return true;
  }

  private void imported(Watchlist list) {
    table(
        true,
        list,
        file -> change(WatchlistTable.with(now(list), file), "Imported into " + list.name()));
  }

  private void exported(Watchlist list) {
    table(
        false,
        list,
        file -> {
          WatchlistTable.write(file, now(list));
          workspace.window().action().set("Wrote " + list.name() + " to " + file.getFileName());
        });
  }

  private void table(boolean opens, Watchlist list, Consumer<Path> use) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(list.name());
    chooser.setInitialFileName(list.name() + ".csv");
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Tables", "*.csv"));
    File file = opens ? chooser.showOpenDialog(window.get()) : chooser.showSaveDialog(window.get());
    if (file != null) {
      try {
        use.accept(file.toPath());
      } catch (RefusedException e) {
        workspace.window().action().set(String.valueOf(e.getMessage()));
      } catch (UncheckedIOException e) {
        workspace
            .window()
            .action()
            .set(file.getName() + " can be neither read nor written; choose another place");
      }
    }
  }

  /** What can be done with a symbol on a list of the trader's own; none of the Ten. */
  List<MenuItem> ofEntry(Watchlist list, String symbol) {
    Watchlist.Entry entry =
        list.entries().stream().filter(e -> e.symbol().equals(symbol)).findFirst().orElse(null);
    List<MenuItem> items = new ArrayList<>();
    if (entry == null) {
      return items;
    }
    Menu sections = new Menu("Section");
    for (String section : list.sections()) {
      sections
          .getItems()
          .add(
              item(
                  section.isEmpty() ? "none" : section,
                  () -> change(now(list).sorted(symbol, section), symbol + " in " + section)));
    }
    sections
        .getItems()
        .add(
            item(
                "Another…",
                () ->
                    asking.ask(
                        "name of the section",
                        "",
                        text -> {
                          change(
                              now(list).sorted(symbol, text.strip()),
                              symbol + " in " + text.strip());
                          return true;
                        })));
    Menu marks = new Menu("Mark");
    for (Mark mark : Mark.values()) {
      marks
          .getItems()
          .add(
              item(
                  mark == Mark.NONE ? "none" : mark.shape() + "  " + mark.words(),
                  () ->
                      change(
                          now(list).changing(symbol, e -> e.marked(mark)), "Mark of " + symbol)));
    }
    items.add(sections);
    items.add(marks);
    items.add(
        item(
            "Note…",
            () ->
                asking.ask(
                    "what to know about " + symbol,
                    entry.note(),
                    text -> {
                      change(
                          now(list).changing(symbol, e -> e.noted(text.strip())),
                          "Note on " + symbol);
                      return true;
                    })));
    items.add(until(list, symbol, "For good", null));
    items.add(until(list, symbol, "Until the end of today", workspace.day()));
    items.add(
        item(
            "Off the list",
            () -> change(now(list).without(symbol), symbol + " off " + list.name())));
    return items;
  }

  private MenuItem until(Watchlist list, String symbol, String words, @Nullable LocalDate date) {
    return item(
        words, () -> change(now(list).changing(symbol, e -> e.until(date)), symbol + ": " + words));
  }
}
