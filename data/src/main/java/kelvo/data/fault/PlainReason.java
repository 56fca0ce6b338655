package kelvo.data.fault;

import java.io.EOFException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.sql.SQLException;
import java.util.zip.ZipException;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteErrorCode;

/** Why something went wrong, in words of the trader's and not of the libraries that were asked. */
public final class PlainReason {
  private static final int FIRST_BYTE = 0xff;
  private static final String INSIDE = "an error inside Kelvo, of which the log says more";

  private PlainReason() {}

  /** The reason without a full stop. */
  public static String of(Throwable thrown) {
    return switch (speaking(thrown)) {
      case NoSuchFileException e -> "there is no file " + e.getFile();
      case AccessDeniedException e -> e.getFile() + " may not be read or written";
      case FileAlreadyExistsException e -> e.getFile() + " is there already";
      case NotDirectoryException e -> e.getFile() + " is no folder";
      case FileSystemException e when e.getReason() != null ->
          e.getFile() + ": " + plain(e.getReason());
      case FileSystemException e -> e.getFile() + " cannot be read or written";
      case CharacterCodingException e -> "text that is not in UTF-8";
      case EOFException e -> "a file that is cut off";
      case ZipException e -> "a compressed file that is damaged";
      case ConnectException e -> "nobody answers there";
      case SQLException e -> ofDatabase(e);
      case RuntimeException e when isMistake(e) -> INSIDE;
      case Throwable e -> said(e.getMessage());
    };
  }

  /** The outermost that speaks in words of Kelvo's, else the file or database that failed. */
  private static Throwable speaking(Throwable thrown) {
    for (Throwable inner = thrown; inner != null; inner = inner.getCause()) {
      if (inner instanceof SQLException || inner instanceof IOException || isOwn(inner)) {
        return inner;
      }
    }
    return thrown;
  }

  private static boolean isOwn(Throwable thrown) {
    boolean kelvos = thrown.getClass().getName().startsWith("kelvo.");
    return thrown.getMessage() != null
        && (kelvos || thrown instanceof UncheckedIOException)
        && !thrown.getMessage().equals(String.valueOf(thrown.getCause()));
  }

  /** What the JDK throws at a program that is wrong; its words mean nothing to a trader. */
  private static boolean isMistake(RuntimeException thrown) {
    String name = thrown.getClass().getName();
    return name.startsWith("java.lang.") || name.startsWith("java.util.");
  }

  private static String said(@Nullable String message) {
    return message == null || message.isBlank() ? INSIDE : plain(message);
  }

  private static String plain(String words) {
    return words.contains("No space left") ? "the disk is full" : words;
  }

  private static String ofDatabase(SQLException e) {
    return switch (SQLiteErrorCode.getErrorCode(e.getErrorCode() & FIRST_BYTE)) {
      case SQLITE_FULL -> "the disk is full";
      case SQLITE_READONLY, SQLITE_PERM, SQLITE_CANTOPEN, SQLITE_AUTH -> "it may not be written";
      case SQLITE_BUSY, SQLITE_LOCKED -> "another program holds it";
      case SQLITE_CORRUPT, SQLITE_NOTADB, SQLITE_FORMAT -> "the file is damaged";
      case SQLITE_IOERR -> "the disk fails";
      case SQLITE_CONSTRAINT -> "it contradicts what is kept already";
      default -> "the database refuses it";
    };
  }
}
