package kelvo.rule;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import kelvo.field.Field;

/**
 * Makes columns, each row of fields of classes of its own that have the bytes of {@link
 * FieldColumn}. One class for all fields would jump to wherever its field's reading is, which the
 * processor guesses badly and the compiler cannot see through; a class that always reads the same
 * field and goes on to the same next column becomes straight code together with those after it.
 * Rows of the same fields share their classes, and so what was compiled of them. Any thread may
 * ask.
 */
final class ColumnClasses {
  /** How many classes are kept; those asked for longest ago are made anew. */
  private static final int MOST = 2048;

  private static final MethodType MAKING =
      MethodType.methodType(void.class, Column.Setting.class, Column.class);

  private static final byte[] PATTERN = pattern();

  /** The constructors by the fields from a column to its row's end. */
  private static final Map<List<String>, MethodHandle> MADE =
      new LinkedHashMap<>(MOST, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<List<String>, MethodHandle> eldest) {
          return size() > MOST;
        }
      };

  private ColumnClasses() {}

  /**
   * A column.
   *
   * @param fields its own field and those of the columns after it
   */
  static Column of(List<Field.Number> fields, Column.Setting setting, Column next) {
    try {
      return (Column) making(fields.stream().map(Field::words).toList()).invokeExact(setting, next);
    } catch (Throwable e) {
      throw new IllegalStateException("a column of " + fields.getFirst().words(), e);
    }
  }

  private static MethodHandle making(List<String> words) {
    synchronized (MADE) {
      return MADE.computeIfAbsent(words, w -> define());
    }
  }

  private static MethodHandle define() {
    try {
      MethodHandles.Lookup own = MethodHandles.lookup().defineHiddenClass(PATTERN, true);
      return own.findConstructor(own.lookupClass(), MAKING)
          .asType(MAKING.changeReturnType(Column.class));
    } catch (IllegalAccessException | NoSuchMethodException e) {
      throw new IllegalStateException(e);
    }
  }

  private static byte[] pattern() {
    try (InputStream bytes =
        Objects.requireNonNull(FieldColumn.class.getResourceAsStream("FieldColumn.class"))) {
      return bytes.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
