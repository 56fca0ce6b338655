package kelvo.data.ledger;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Optional;
import org.sqlite.SQLiteErrorCode;

/** What keeps a whole ledger from being opened or written, and the way out of each. */
enum LedgerTrouble {
  FULL("free some disk space"),
  GONE("put the folder back where it was"),
  BUSY("close the other program"),
  FORBIDDEN("let the file and its folder be written"),
  DISK("look after the disk");

  private static final int FIRST_BYTE = 0xff;

  private final String wayOut;

  LedgerTrouble(String wayOut) {
    this.wayOut = wayOut;
  }

  /** What the trader can do. */
  String wayOut() {
    return wayOut;
  }

  /** The trouble behind what was thrown; empty when it is of what was to be written or read. */
  static Optional<LedgerTrouble> of(Throwable thrown) {
    for (Throwable e = thrown; e != null; e = e.getCause()) {
      if (e instanceof SQLException sql) {
        return of(SQLiteErrorCode.getErrorCode(sql.getErrorCode() & FIRST_BYTE));
      }
      if (e instanceof IOException) {
        return Optional.of(GONE);
      }
    }
    return Optional.empty();
  }

  private static Optional<LedgerTrouble> of(SQLiteErrorCode code) {
    return switch (code) {
      case SQLITE_FULL -> Optional.of(FULL);
      case SQLITE_BUSY, SQLITE_LOCKED -> Optional.of(BUSY);
      case SQLITE_READONLY, SQLITE_PERM, SQLITE_CANTOPEN, SQLITE_AUTH -> Optional.of(FORBIDDEN);
      case SQLITE_IOERR -> Optional.of(DISK);
      default -> Optional.empty();
    };
  }
}
