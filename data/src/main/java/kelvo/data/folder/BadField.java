package kelvo.data.folder;

/** A field of a row that is not what its column needs. */
final class BadField extends RuntimeException {
  private static final long serialVersionUID = 1L;

  final String column;
  final String expected;
  final String text;

  BadField(String column, String expected, String text) {
    super(column, null, false, false);
    this.column = column;
    this.expected = expected;
    this.text = text;
  }
}
