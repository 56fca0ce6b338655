package kelvo.desktop.workspace;

import kelvo.desktop.chart.ChartChoice;

/**
 * A kind of part: about a symbol, or about the market as a whole.
 *
 * @param id by which windows are kept in the data folder; never changed
 * @param title its name on buttons and windows
 * @param isOfSymbol whether it shows one symbol; else the whole market, and one of it is enough
 * @param maker makes one
 */
public record PartKind(String id, String title, boolean isOfSymbol, Maker maker) {
  /** A part about a symbol. */
  public PartKind(String id, String title, Maker maker) {
    this(id, title, true, maker);
  }

  /** Makes parts; charts with the same choice share bars and hours. */
  @FunctionalInterface
  public interface Maker {
    SymbolPart make(Workspace workspace, ChartChoice choice);
  }

  /** Makes such a part. */
  public SymbolPart make(Workspace workspace, ChartChoice choice) {
    SymbolPart part = maker.make(workspace, choice);
    part.node().setAccessibleText(title);
    return part;
  }
}
