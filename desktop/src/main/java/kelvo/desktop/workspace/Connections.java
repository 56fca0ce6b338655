package kelvo.desktop.workspace;

import kelvo.data.feed.LiveFeed;
import kelvo.data.fix.DropCopy;
import kelvo.data.folder.FolderLock;
import kelvo.data.ledger.Ledger;
import org.jspecify.annotations.Nullable;

/**
 * What an opened day holds open, each of which has to be closed.
 *
 * @param ledger of the data folder
 * @param feed brings what is still to come; null for a recorded session
 * @param dropCopy brings the trader's fills from the broker; null for none
 * @param lock keeps other windows from writing to the folder; null when another one does, so that
 *     this one only reads
 */
public record Connections(
    Ledger ledger,
    @Nullable LiveFeed feed,
    @Nullable DropCopy dropCopy,
    @Nullable FolderLock lock) {
  /** Whether what the trader does is kept. */
  public boolean isWritable() {
    return lock != null;
  }

  /** Lets another window write to the folder. */
  public void release() {
    if (lock != null) {
      lock.close();
    }
  }

  /** Closes all of it, when no window comes of it. */
  void abandon(Throwable why) {
    Opening opening = new Opening();
    if (lock != null) {
      opening.opens(lock);
    }
    opening.opens(ledger);
    if (feed != null) {
      opening.opens(feed);
    }
    if (dropCopy != null) {
      opening.opens(dropCopy);
    }
    opening.fail(why);
  }
}
